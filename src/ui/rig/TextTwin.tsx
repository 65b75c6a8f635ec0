'use client';

import { gainWords, lightWords } from '@/core/chain';
import { AXES, type Setup } from '@/core/setup';
import type { Snapshot } from '@/core/standin';
import { UnitLight } from '../drawing/UnitLight';
import { AXIS_WORDS, modeWords } from '../words/unit';

const signed = (n: number, digits = 0) =>
  `${n < -0.05 ? '−' : n > 0.05 ? '+' : ''}${Math.abs(n).toFixed(digits)}`;

/** Everything the picture shows, in words. */
export function TextTwin({
  setup,
  snapshot,
  linkUp,
}: {
  setup: Setup;
  snapshot: Snapshot | undefined;
  linkUp: boolean;
}) {
  if (!snapshot) return <aside className="card">…</aside>;
  const moved = snapshot.answers.filter((a) => a.movement !== 'centre');
  const label = (id: string) =>
    setup.airframe.surfaces.find((s) => s.id === id)!.label.toLowerCase();
  const light = setup.unit.traits.lights.find((l) => l.mode === snapshot.mode);
  return (
    <aside className="card flex flex-col gap-3" aria-label="In words">
      <div>
        <h2 className="text-lg font-bold">The unit: {modeWords(setup.unit, snapshot.mode)}</h2>
        <p className="text-soft text-sm">
          {linkUp ? 'signal there' : 'SIGNAL LOST'}
          {snapshot.recovering && ', recovering'}
          {!snapshot.armed && ', not armed: run the throttle up once'}
        </p>
        {light && (
          <p className="mt-1 flex items-center gap-2 text-sm">
            <UnitLight colour={light.colour} blinks={light.blinks} />
            its light: {lightWords(setup.unit, light)}
          </p>
        )}
        <p role="status" className="text-caution mt-1 font-semibold empty:hidden">
          {snapshot.heard}
        </p>
        <dl className="mt-1 grid grid-cols-[4rem_repeat(3,1fr)] text-sm">
          <dt className="sr-only">Axis</dt>
          <dd className="text-soft col-start-2 text-right">gain</dd>
          <dd className="text-soft text-right">tilt</dd>
          <dd className="text-soft text-right">pushes</dd>
          {AXES.map((axis, i) => (
            <div key={axis} className="contents">
              <dt className="font-semibold">{AXIS_WORDS[axis]}</dt>
              <dd className="num">{gainWords(snapshot.gainPct[i]!)}</dd>
              <dd className="num">{signed(wrap180(snapshot.attitudeDeg[axis]))}°</dd>
              <dd className="num">{signed(snapshot.correctionPct[i]!)} %</dd>
            </div>
          ))}
        </dl>
      </div>
      <div>
        <h2 className="text-lg font-bold">Now</h2>
        <ul data-testid="twin-now">
          {snapshot.twin.map((line) => (
            <li key={line.replace(/ -?\d+.*/, '')}>{line}</li>
          ))}
        </ul>
      </div>
      <div>
        <h2 className="text-lg font-bold">Last movement</h2>
        <p data-testid="twin-last" aria-live="polite">
          {snapshot.movement === ''
            ? 'Move the model to see what the unit does.'
            : moved.length === 0
              ? `${snapshot.movement}: nothing moved`
              : `${snapshot.movement}: ${moved.map((a) => `${label(a.surface)} ${a.movement}`).join(', ')}`}
        </p>
      </div>
    </aside>
  );
}

const wrap180 = (deg: number) => ((((deg + 180) % 360) + 360) % 360) - 180;
