'use client';

import { Fragment, useState } from 'react';
import { MOVEMENT_WORDS, movementOf, type SurfaceThrows } from '@/core/chain';
import { setThrow, type ThrowEnd } from '@/core/plan';
import { driveAt, drivesOf, pointer, type Surface } from '@/core/setup';
import { NumberField } from '../fields/NumberField';
import { NumberWord } from '../fields/NumberWord';
import { useModel } from '../open/modelStore';
import { Fold } from '../parts/Fold';
import { Pointing } from '../live/Pointing';
import { SurfaceDrawing } from './SurfaceDrawing';

const LENGTHS = [
  ['armMm', 'servo arm'],
  ['hornMm', 'horn'],
  ['rodMm', 'rod'],
] as const;

/** One surface with its ends, pulled or typed in millimetres, and the lengths behind them. */
export function SurfaceThrow({
  surface,
  rows,
}: {
  surface: Surface;
  rows: readonly SurfaceThrows[];
}) {
  const setup = useModel((s) => s.setup);
  const edit = useModel((s) => s.edit);
  const [said, setSaid] = useState('');
  const i = setup.airframe.surfaces.indexOf(surface);
  const { centre, lostPct } = rows[0]!;
  const set = (path: string, value: number, label: string) =>
    edit([{ op: 'replace', path, value }], label)[0]?.reason;
  const pull = (row: SurfaceThrows, end: ThrowEnd, mm: number) => {
    const change = setThrow(setup, row, end, mm);
    if (!change.ok) return change.reason;
    const refused = edit(change.patch, `${surface.label}: ${change.words}`)[0]?.reason;
    if (!refused)
      setSaid(
        `Now ${change.words}${change.also.length > 0 ? `, and with it ${change.also.join(', ').toLowerCase()}` : ''}.`,
      );
    return refused;
  };
  return (
    <Pointing as="li" at={{ surfaces: [surface.id] }} className="card flex flex-col gap-1">
      <h3 className="font-bold">{surface.label}</h3>
      <SurfaceDrawing
        surface={surface}
        rows={rows}
        onPull={(row, end, mm) => setSaid(pull(row, end, mm) ?? said)}
      />
      {rows.map((row) => {
        const control = setup.transmitter.controls.find((c) => c.id === row.control)!;
        const ends = (['low', 'high'] as const).map((end) => {
          const { surfaceDeg, servoDeg, edgeMm: edge, pulseUs } = row[end];
          if (Number.isNaN(surfaceDeg))
            return <span key={end}>an end its linkage cannot reach</span>;
          const way = movementOf(surface, surfaceDeg);
          if (way === 'centre') return <span key={end}>in line</span>;
          return (
            <span
              key={end}
              title={`${pulseUs.toFixed(0)} µs, servo ${Math.abs(servoDeg).toFixed(0)}°`}
            >
              <NumberWord
                label={`${surface.label} ${MOVEMENT_WORDS[way]} with ${control.label}`}
                unit="mm"
                min={0}
                max={2000}
                step={1}
                value={Math.round(Math.abs(edge))}
                onCommit={(mm) => pull(row, end, mm)}
              />{' '}
              {MOVEMENT_WORDS[way]}{' '}
              <span className="text-soft">({Math.abs(surfaceDeg).toFixed(0)}°)</span>
            </span>
          );
        });
        return (
          <p key={row.control}>
            <span className="text-soft">{control.label}:</span> {ends[0]}, {ends[1]}
          </p>
        );
      })}
      {Math.abs(centre.surfaceDeg) > 0.5 && (
        <p className="text-caution text-sm">
          Stands {Math.abs(centre.surfaceDeg).toFixed(1)}° off with everything released.
        </p>
      )}
      {lostPct > 0 && (
        <p className="text-soft text-sm">The subtrim costs {lostPct} % of travel on one side.</p>
      )}
      <p role="status" className="text-soft text-sm">
        {said}
      </p>
      <Fold quiet title="Chord, arm, horn and rod">
        <div className="grid grid-cols-2 gap-2">
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
          {drivesOf(surface).map((drive, d) => {
            const servo = setup.airframe.servos.find((s) => s.id === drive.servo)!;
            return (
              <Fragment key={drive.servo}>
                {surface.ganged && (
                  <h4 className="col-span-2 text-sm font-semibold">{servo.label}</h4>
                )}
                {LENGTHS.map(([field, words]) => (
                  <NumberField
                    key={field}
                    label={words}
                    unit="mm"
                    at={`/airframe/surfaces/0/linkage/${field}`}
                    step={0.5}
                    value={drive.linkage[field]}
                    onCommit={(v) =>
                      set(
                        pointer('airframe', 'surfaces', i, ...driveAt(d), 'linkage', field),
                        v,
                        `${d === 0 ? surface.label : servo.label}: ${words} ${v} mm`,
                      )
                    }
                  />
                ))}
              </Fragment>
            );
          })}
        </div>
      </Fold>
    </Pointing>
  );
}
