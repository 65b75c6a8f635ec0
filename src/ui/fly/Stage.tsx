import dynamic from 'next/dynamic';
import { modeWords } from '@/core/chain';
import type { Point } from '@/core/motion';
import type { Airframe, Mode, Setup } from '@/core/setup';
import { Pictured } from '../drawing/Pictured';
import { SETTING_UP } from '../words';
import { ENLARGED, MARKS_M, type Eye } from './eye';

const FlyScene = dynamic(() => import('./FlyScene'), {
  ssr: false,
  loading: () => <p className="text-soft p-4">{SETTING_UP}</p>,
});

/** A moment of a flight: the picture, and its numbers. */
export function Stage({
  airframe,
  unit,
  points,
  other,
  at,
  eye,
}: {
  airframe: Airframe;
  unit: Setup['unit'];
  points: readonly Point[];
  other: readonly Point[];
  at: Point | undefined;
  eye: Eye;
}) {
  return (
    <div className="card relative h-72 overflow-hidden p-0 @lg:h-[21rem]">
      {at && (
        <Pictured plain={<Plain points={points} at={at} />}>
          <FlyScene airframe={airframe} points={points} other={other} at={at} eye={eye} />
        </Pictured>
      )}
      {eye === 'pilot' && at && (
        <p className="bg-card/85 text-soft absolute right-2 bottom-2 rounded px-2 text-sm">
          drawn {ENLARGED} times its size; lines every {MARKS_M} m
        </p>
      )}
      {at && (
        <dl className="bg-card/85 absolute top-2 left-2 flex flex-wrap gap-x-4 rounded px-2 py-1 text-sm tabular-nums">
          {(
            [
              ['height', `${Math.round(at.heightM)} m`],
              ['speed', `${Math.round(at.airspeedMps)} m/s`],
              ['bank', `${Math.round(at.rollDeg)}°`],
              ['nose', `${Math.round(at.pitchDeg)}°`],
              ['mode', modeWords(unit, at.mode as Mode)],
              ['gain', `${Math.round(at.gainPct)} %`],
            ] as const
          ).map(([name, value]) => (
            <div key={name} className="flex gap-1">
              <dt className="text-soft">{name}</dt>
              <dd className="font-semibold">{value}</dd>
            </div>
          ))}
        </dl>
      )}
    </div>
  );
}

/** Where there is no 3D: height over the way it went, from the side. */
function Plain({ points, at }: { points: readonly Point[]; at: Point }) {
  const most = Math.max(20, ...points.map((p) => p.heightM));
  const north = points.map((p) => p.northM);
  const [from, to] = [Math.min(...north), Math.max(1, ...north)];
  const x = (p: Point) => (100 * (p.northM - from)) / Math.max(1, to - from);
  const y = (p: Point) => 100 - (95 * p.heightM) / most;
  return (
    <svg viewBox="0 0 100 100" className="h-full w-full" preserveAspectRatio="none" aria-hidden>
      <polyline
        points={points.map((p) => `${x(p)},${y(p)}`).join(' ')}
        fill="none"
        stroke="var(--accent)"
        vectorEffect="non-scaling-stroke"
      />
      <circle cx={x(at)} cy={y(at)} r={1.5} fill="var(--ink)" />
    </svg>
  );
}
