'use client';

import { everythingTaken, kindOf, measureTaken, type Measures } from '@/core/setup';
import { NumberField } from '../fields/NumberField';
import { TextField } from '../fields/TextField';
import { useModel } from '../open/modelStore';
import { AirframeQuestions } from './AirframeQuestions';
import { Assumed } from './Assumed';
import { Motors } from './Motors';
import { Places } from './Places';
import { Select } from '../parts/Select';
import { SystemChoice } from '../fields/SystemChoice';
import { NOSE_UP } from '../words';

type NumberMeasure = Exclude<keyof Measures, 'stance'>;

/** Measures with what they are called; some are asked of models that fly only. */
const MEASURE_WORDS: Record<NumberMeasure, string> = {
  spanMm: 'span (or width)',
  lengthMm: 'length',
  chordMm: 'wing chord',
  massG: 'mass, ready to go',
  cruiseMps: 'usual speed',
  approachMps: 'slow speed',
  glideRatio: 'glide ratio',
  wheelbaseMm: 'between supports, fore and aft',
  trackMm: 'track',
  standingPitchDeg: NOSE_UP.standingPitchDeg,
  flyingPitchDeg: NOSE_UP.flyingPitchDeg,
};

const FIELDS: readonly (readonly [NumberMeasure, unit: string, step: number, flies?: 'flies'])[] = [
  ['spanMm', 'mm', 10],
  ['lengthMm', 'mm', 10],
  ['chordMm', 'mm', 5, 'flies'],
  ['massG', 'g', 10],
  ['cruiseMps', 'm/s', 0.5],
  ['approachMps', 'm/s', 0.5],
  ['glideRatio', ': 1', 0.5, 'flies'],
  ['wheelbaseMm', 'mm', 5],
  ['trackMm', 'mm', 5],
  ['standingPitchDeg', '°', 0.5, 'flies'],
  ['flyingPitchDeg', '°', 0.5, 'flies'],
];

const STANCE_WORDS: Record<Measures['stance'], string> = {
  'nose-wheel': 'nose wheel',
  'tail-wheel': 'tail wheel',
  floats: 'floats',
  skis: 'skis',
  belly: 'its belly',
  wheels: 'four wheels',
  hull: 'its hull',
};

/** Name, notes and measures: what the pictures, and later the level and failsafe figures, are made of. */
export function ModelStation() {
  const setup = useModel((s) => s.setup);
  const edit = useModel((s) => s.edit);
  const { airframe } = setup;
  const { onSurface } = kindOf(airframe);
  const assumed = airframe.assumed?.length ?? 0;
  const set = (path: string, value: unknown, label: string) =>
    edit([{ op: 'replace', path, value }], label)[0]?.reason;
  return (
    <div className="grid gap-4 @4xl:grid-cols-[1fr_24rem]">
      <section className="card flex flex-col gap-4 self-start" aria-label="Name and measures">
        {assumed > 0 && (
          <p className="border-accent flex flex-wrap items-center gap-3 border-l-4 pl-3">
            <span className="min-w-60 flex-1">
              {assumed === 1 ? 'One measure is' : `${assumed} measures are`} assumed: typical for
              its kind. {onSurface ? 'Steering' : 'Level'}, failsafe and tuning are worked out from
              them.
            </span>
            <button
              type="button"
              className="btn"
              onClick={() => void edit(everythingTaken(airframe), 'Measures right as assumed')}
            >
              Confirm all of it
            </button>
          </p>
        )}
        <TextField label="Name" value={setup.name} onCommit={(v) => set('/name', v, 'Renamed')} />
        <TextField
          long
          label="Notes"
          value={setup.notes}
          onCommit={(v) => set('/notes', v, 'Notes changed')}
        />
        <SystemChoice />
        <div className="grid grid-cols-2 items-end gap-3 @lg:grid-cols-3">
          {FIELDS.filter(([, , , flies]) => !flies || !onSurface).map(([field, unit, step]) => (
            <div key={field}>
              <NumberField
                label={MEASURE_WORDS[field]}
                unit={unit}
                at={`/airframe/measures/${field}`}
                step={step}
                value={airframe.measures[field]}
                onCommit={(v) =>
                  edit(measureTaken(airframe, field, v), `${MEASURE_WORDS[field]}: ${v} ${unit}`)[0]
                    ?.reason
                }
              />
              <Assumed measure={field} words={MEASURE_WORDS[field]} />
            </div>
          ))}
          {!onSurface && (
            <div>
              <label className="text-sm font-semibold" htmlFor="stance">
                stands on
              </label>
              <Select
                id="stance"
                value={airframe.measures.stance}
                onChange={(e) => {
                  const stance = e.target.value as Measures['stance'];
                  void edit(
                    measureTaken(airframe, 'stance', stance),
                    `Stands on ${STANCE_WORDS[stance]}`,
                  );
                }}
              >
                {Object.entries(STANCE_WORDS).map(([id, words]) => (
                  <option key={id} value={id}>
                    {words}
                  </option>
                ))}
              </Select>
              <Assumed measure="stance" words="stands on" />
            </div>
          )}
        </div>
      </section>
      <div className="flex flex-col gap-4">
        <Places />
        <AirframeQuestions />
        <Motors />
      </div>
    </div>
  );
}
