'use client';

import { everythingTaken, kindOf, measureTaken, type Measures } from '@/core/setup';
import { NumberField } from '../fields/NumberField';
import { TextField } from '../fields/TextField';
import { useModel } from '../open/modelStore';
import { AirframeQuestions } from './AirframeQuestions';
import { Assumed } from './Assumed';
import { Motors } from './Motors';
import { Places } from './Places';
import { Section } from '../parts/Section';
import { Select } from '../parts/Select';
import { SystemChoice } from '../fields/SystemChoice';
import { MEASURE_WORDS, type NumberMeasure } from './measures';

/** Some are asked of models that fly only. */
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

/** The model from above, its measures and parts: what pictures and directions, level and failsafe are worked out from. */
export function ModelStation() {
  return (
    <div className="grid gap-4 @4xl:grid-cols-[1fr_24rem]">
      <StillAssumed />
      <Places />
      <MeasuresCard />
      <div className="flex flex-col gap-4">
        <AirframeQuestions />
        <Motors />
      </div>
      <NameAndNotes />
    </div>
  );
}

/** How much is only usual for its kind, and one press that takes all of it as right. */
function StillAssumed() {
  const airframe = useModel((s) => s.setup.airframe);
  const edit = useModel((s) => s.edit);
  const assumed = airframe.assumed?.length ?? 0;
  if (assumed === 0) return null;
  return (
    <p className="border-accent flex flex-wrap items-center gap-3 border-l-4 pl-3 @4xl:col-span-2">
      <span className="min-w-60 flex-1">
        {assumed === 1 ? 'One measure is' : `${assumed} measures are`} assumed: typical for its
        kind. {kindOf(airframe).onSurface ? 'Steering' : 'Level'}, failsafe and tuning are worked
        out from them.
      </span>
      <button
        type="button"
        className="btn"
        onClick={() => void edit(everythingTaken(airframe), 'Measures right as assumed')}
      >
        Confirm all of it
      </button>
    </p>
  );
}

function NameAndNotes() {
  const setup = useModel((s) => s.setup);
  const edit = useModel((s) => s.edit);
  const set = (path: string, value: unknown, label: string) =>
    edit([{ op: 'replace', path, value }], label)[0]?.reason;
  return (
    <Section title="What it is called" className="card flex flex-col gap-3 self-start">
      <TextField label="Name" value={setup.name} onCommit={(v) => set('/name', v, 'Renamed')} />
      <TextField
        long
        label="Notes"
        value={setup.notes}
        onCommit={(v) => set('/notes', v, 'Notes changed')}
      />
    </Section>
  );
}

function MeasuresCard() {
  const airframe = useModel((s) => s.setup.airframe);
  const edit = useModel((s) => s.edit);
  const { onSurface } = kindOf(airframe);
  return (
    <Section title="Measures" className="card flex flex-col gap-3 self-start">
      <SystemChoice />
      <div className="grid grid-cols-2 items-end gap-3 @lg:grid-cols-3 @4xl:grid-cols-2">
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
    </Section>
  );
}
