'use client';

import { useMemo, useState } from 'react';
import { GROUNDS, lostOnGround, stopOf, type GroundId, type Stop } from '@/core/recovery';
import { kindOf } from '@/core/setup';
import { Choice } from '../fields/Choice';
import { NumberField } from '../fields/NumberField';
import { useModel } from '../open/modelStore';
import { Measured } from '../measure/Measured';
import { Section } from '../parts/Section';

/** What a car or boat does from full speed when the signal is lost: metres to a stop, or the circle. */
export function GroundStop() {
  const setup = useModel((s) => s.setup);
  const { airframe } = setup;
  const wheels = kindOf(airframe).moves === 'wheels';
  const [fromMps, setFrom] = useState(airframe.measures.cruiseMps);
  const [ground, setGround] = useState<GroundId>('hard');
  const lost = useMemo(() => lostOnGround(setup), [setup]);
  const stays = Math.abs(lost.hardOverDeg - lost.straightDeg) > 1;
  const stop = (steeredDeg: number) =>
    stopOf(airframe, fromMps, { brakes: lost.brakes, steeredDeg, ground });
  const straight = stop(lost.straightDeg);
  const over = stop(lost.hardOverDeg);
  return (
    <Section title="Where it ends up" className="card flex flex-col gap-2">
      <NumberField
        label="speed when the signal is lost"
        unit="m/s"
        min={0.5}
        max={60}
        step={0.5}
        value={fromMps}
        onCommit={setFrom}
      />
      {wheels && (
        <Choice
          label="On"
          value={ground}
          options={(Object.keys(GROUNDS) as GroundId[]).map((g) => [g, GROUNDS[g].words] as const)}
          onChange={setGround}
        />
      )}
      {lost.motorPct > 5 ? (
        <p className="text-stop font-semibold">
          The motor runs on at {lost.motorPct.toFixed(0)} %: it does not stop at all. Choose a
          failsafe at Program.
        </p>
      ) : (
        <>
          <StopDrawing stops={stays ? [straight, over] : [straight]} />
          <p>
            {lost.brakes ? 'Braked' : 'Motor off'}, from <Measured value={fromMps} unit="m/s" />:{' '}
            <strong>
              <Measured value={straight.metres} unit="m" />
            </strong>{' '}
            in {straight.seconds.toFixed(0)} s{wheels ? ' to a stop' : ' until it creeps'}
            {Number.isFinite(straight.radiusM) && (
              <>
                , round a circle of <Measured value={straight.radiusM} unit="m" digits={1} /> radius
              </>
            )}
            .
          </p>
          {stays && (
            <p>
              The steering stays as it is. Hard over when the signal is lost: a circle of{' '}
              <strong>
                <Measured value={over.radiusM} unit="m" digits={1} />
              </strong>{' '}
              radius
              {over.slides ? ', wider at first: at this speed it slides' : ''}.
            </p>
          )}
          {!stays && straight.slides && (
            <p className="text-caution">
              At this speed the tyres do not hold that turn: it slides.
            </p>
          )}
        </>
      )}
      <p className="text-soft text-sm">
        {wheels
          ? 'Constant deceleration, and the circle by the geometry of the axles. The grip of tyres and the drag of the drive are round figures, no source: try it where there is room.'
          : 'Drag of the hull grows with the square of its speed; how far it carries is a round figure, no source: try it on open water.'}
      </p>
    </Section>
  );
}

/** From above: the way to a stop, straight up or round. */
function StopDrawing({ stops }: { stops: readonly Stop[] }) {
  const reach = Math.max(
    1,
    ...stops.map((s) => Math.min(s.metres, Number.isFinite(s.radiusM) ? 2 * s.radiusM : Infinity)),
  );
  const scale = 120 / reach;
  // A circle that is gone round comes back below where it began.
  const below = Math.max(
    0,
    ...stops.map((s) => (s.metres / s.radiusM > Math.PI ? s.radiusM * scale : 0)),
  );
  return (
    <svg viewBox={`0 0 320 ${150 + below}`} className="max-h-72 w-full" aria-hidden>
      <line x1={20} y1={135} x2={20 + 50} y2={135} stroke="var(--ink)" strokeWidth={2} />
      <text x={76} y={139} fontSize={11} fill="var(--ink)">
        <Measured value={50 / scale} unit="m" />
      </text>
      {stops.map((s, i) => (
        <path
          key={i}
          d={pathOf(s, 160, 138, scale)}
          fill="none"
          stroke="var(--accent)"
          strokeWidth={3}
          strokeDasharray={i === 0 ? undefined : '6 5'}
        />
      ))}
      <path d="M154 144 L160 130 L166 144 Z" fill="var(--ink)" />
    </svg>
  );
}

function pathOf({ metres, radiusM }: Stop, x: number, y: number, scale: number): string {
  if (!Number.isFinite(radiusM)) return `M${x} ${y}v${-metres * scale}`;
  const r = radiusM * scale;
  const turn = Math.min(metres / radiusM, 2 * Math.PI - 0.01);
  const end = { x: x + r - r * Math.cos(turn), y: y - r * Math.sin(turn) };
  return `M${x} ${y}A${r} ${r} 0 ${turn > Math.PI ? 1 : 0} 1 ${end.x} ${end.y}`;
}
