'use client';

import { AXES, pointer } from '@/core/setup';
import { Choice } from '../fields/Choice';
import { NumberField } from '../fields/NumberField';
import { tests } from '@/core/logbook';
import { TestScript } from '../recovery/TestScript';
import { useModel } from '../frame/modelStore';
import { FitPart } from '../hangar/FitPart';
import { prefixed } from '../hangar/prefixed';
import { UnitEditor } from './UnitEditor';
import { UnitGuideCard } from './UnitGuideCard';
import { AXIS_WORDS, MODE_WORDS } from './words';
import { Select } from '../parts/Select';

/** What is set inside the unit. */
export function UnitStation() {
  const { setup, evidence, edit } = useModel((s) => s);
  const { traits, settings } = setup.unit;
  const set = (path: string, value: unknown, label: string) =>
    edit([{ op: 'replace', path, value }], label)[0]?.reason;
  return (
    <div className="grid gap-4 lg:grid-cols-2">
      <div className="lg:col-span-2">
        <FitPart kind="unit" />
      </div>
      <TestScript title="Entered in it" steps={tests(setup, evidence, 'unit')} />
      <section className="card flex flex-col gap-3" aria-labelledby="modes-title">
        <h2 id="modes-title" className="text-lg font-bold">
          Mode of each switch position
        </h2>
        {settings.slots.map((mode, slot) => (
          <label key={slot} className="grid grid-cols-[7rem_1fr] items-center gap-2">
            <span className="font-semibold">Position {slot + 1}</span>
            <Select
              value={mode}
              disabled={!traits.slotsSettable}
              onChange={(e) =>
                set(
                  pointer('unit', 'settings', 'slots', slot),
                  e.target.value,
                  `Position ${slot + 1}: ${e.target.value}`,
                )
              }
            >
              {traits.modes.map((m) => (
                <option key={m} value={m}>
                  {MODE_WORDS[m]}
                </option>
              ))}
            </Select>
          </label>
        ))}
        {!traits.slotsSettable && (
          <p className="text-soft text-sm">This unit’s modes are fixed to the switch positions.</p>
        )}
      </section>
      <details className="card lg:col-span-2">
        <summary className="min-h-11 cursor-pointer text-lg font-bold">
          What kind of unit it is: {setup.unit.name}
        </summary>
        <p className="text-soft mb-3 text-sm">
          Yours differs? Answer as your leaflet and your unit say; the rig follows at once.
        </p>
        <UnitEditor
          unit={setup.unit}
          change={(patch, label) => edit(prefixed('/unit', patch), label)}
        />
      </details>
      <details className="card lg:col-span-2">
        <summary className="min-h-11 cursor-pointer text-lg font-bold">
          Order of set-up, gestures, what it cannot do
        </summary>
        <UnitGuideCard unit={setup.unit} />
      </details>
      {AXES.filter((axis) => traits.axes.includes(axis)).map((axis) => {
        const own = settings.axes[axis];
        const path = (field: string) => pointer('unit', 'settings', 'axes', axis, field);
        return (
          <section key={axis} className="card flex flex-col gap-3" aria-labelledby={`axis-${axis}`}>
            <h2 id={`axis-${axis}`} className="text-lg font-bold">
              {AXIS_WORDS[axis]}
            </h2>
            <Choice
              label="Correction direction"
              value={own.reversed ? 'reversed' : 'normal'}
              options={[
                ['normal', 'normal'],
                ['reversed', 'reversed'],
              ]}
              onChange={(v) =>
                void set(path('reversed'), v === 'reversed', `${AXIS_WORDS[axis]} correction ${v}`)
              }
            />
            <div className="grid grid-cols-2 gap-2">
              <NumberField
                label="gain share"
                unit="%"
                at={`/unit/settings/axes/${axis}/gainPct`}
                value={own.gainPct}
                onCommit={(v) => set(path('gainPct'), v, `${AXIS_WORDS[axis]} gain ${v} %`)}
              />
              <NumberField
                label="stick fade"
                unit="%"
                at={`/unit/settings/axes/${axis}/fadePct`}
                value={own.fadePct}
                onCommit={(v) => set(path('fadePct'), v, `${AXIS_WORDS[axis]} fade ${v} %`)}
              />
            </div>
          </section>
        );
      })}
    </div>
  );
}
