'use client';

import { useMemo } from 'react';
import { movementOf, throwsOf } from '@/core/chain';
import { pointer } from '@/core/setup';
import { NumberField } from '../fields/NumberField';
import { useModel } from '../frame/modelStore';

const LENGTHS = [
  ['armMm', 'servo arm'],
  ['hornMm', 'horn'],
  ['rodMm', 'rod'],
] as const;

/** How far each surface goes, from pulse to millimetres, and the lengths that make it so. */
export function ThrowTable() {
  const setup = useModel((s) => s.setup);
  const edit = useModel((s) => s.edit);
  const throws = useMemo(() => throwsOf(setup), [setup]);
  const set = (path: string, value: number, label: string) =>
    edit([{ op: 'replace', path, value }], label)[0]?.reason;
  return (
    <section className="card" aria-labelledby="throws-title">
      <h2 id="throws-title" className="text-lg font-bold">
        Throws
      </h2>
      <p className="text-soft text-sm">
        From stick end to stick end, with rates and endpoints as they stand. Measure the millimetres
        at the trailing edge of the model.
      </p>
      <ul className="mt-2 flex flex-col divide-y divide-(--card-edge)">
        {throws.map((t, i) => {
          const surface = setup.airframe.surfaces[i]!;
          const end = ({ surfaceDeg, servoDeg, edgeMm, pulseUs }: typeof t.low) =>
            Number.isNaN(surfaceDeg)
              ? 'the rod cannot reach'
              : `${Math.abs(surfaceDeg).toFixed(1)}° ${movementOf(surface, surfaceDeg)}, ${Math.abs(edgeMm).toFixed(0)} mm (${pulseUs.toFixed(0)} µs, servo ${Math.abs(servoDeg).toFixed(0)}°)`;
          return (
            <li key={t.surface} className="py-2">
              <p className="flex flex-wrap justify-between gap-x-4">
                <strong>{surface.label}</strong>
                <span className="font-num text-sm">
                  {end(t.low)} · {end(t.high)}
                </span>
              </p>
              {Math.abs(t.centre.surfaceDeg) > 0.5 && (
                <p className="text-caution text-sm">
                  Stands {Math.abs(t.centre.surfaceDeg).toFixed(1)}° off with the stick in the
                  middle.
                </p>
              )}
              {t.lostPct > 0 && (
                <p className="text-soft text-sm">
                  The subtrim costs {t.lostPct} % of travel on one side.
                </p>
              )}
              <details>
                <summary className="text-soft flex min-h-11 cursor-pointer items-center text-sm">
                  <span className="underline">Change arm, horn, rod or chord</span>
                </summary>
                <div className="grid grid-cols-2 gap-2 @lg:grid-cols-4">
                  {LENGTHS.map(([field, words]) => (
                    <NumberField
                      key={field}
                      label={words}
                      unit="mm"
                      at={`/airframe/surfaces/0/linkage/${field}`}
                      step={0.5}
                      value={surface.linkage[field]}
                      onCommit={(v) =>
                        set(
                          pointer('airframe', 'surfaces', i, 'linkage', field),
                          v,
                          `${surface.label}: ${words} ${v} mm`,
                        )
                      }
                    />
                  ))}
                  <NumberField
                    label="chord"
                    unit="mm"
                    at="/airframe/surfaces/0/chordMm"
                    value={surface.chordMm}
                    onCommit={(v) =>
                      set(
                        pointer('airframe', 'surfaces', i, 'chordMm'),
                        v,
                        `${surface.label}: chord ${v} mm`,
                      )
                    }
                  />
                </div>
              </details>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
