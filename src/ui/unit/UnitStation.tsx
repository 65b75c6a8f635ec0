'use client';

import { tests } from '@/core/logbook';
import { settingGroups } from '@/core/settings';
import { useModel } from '../frame/modelStore';
import { FitPart } from '../hangar/FitPart';
import { prefixed } from '../hangar/prefixed';
import { TestScript } from '../recovery/TestScript';
import { SettingGroup } from './SettingGroup';
import { UnitEditor } from './UnitEditor';
import { UnitGuideCard } from './UnitGuideCard';

/** What is set inside the unit. */
export function UnitStation() {
  const setup = useModel((s) => s.setup);
  const evidence = useModel((s) => s.evidence);
  const edit = useModel((s) => s.edit);
  const groups = settingGroups(setup);
  const steps = tests(setup, evidence, 'unit');
  const seen = steps.filter((t) => t.status === 'proven').length;
  return (
    <div className="grid gap-4 lg:grid-cols-[1fr_24rem] lg:items-start">
      <div className="lg:col-span-2">
        <FitPart kind="unit" />
      </div>
      <section className="flex flex-col gap-3" aria-labelledby="settings-title">
        <h2 id="settings-title" className="text-lg font-bold">
          Enter each, then read it back
        </h2>
        <p className="text-soft text-sm" aria-live="polite">
          {seen} of {steps.length} seen as they must be
        </p>
        <ul className="card flex flex-col divide-y divide-(--card-edge)">
          {groups.map((group) => (
            <SettingGroup
              key={group.id}
              group={group}
              test={steps.find((t) => t.asked.item === group.id)}
            />
          ))}
        </ul>
        {!setup.unit.traits.slotsSettable && 'bands' in setup.unit.traits.modeSelect && (
          <p className="text-soft text-sm">
            The mode of each switch position is fixed in this unit.
          </p>
        )}
      </section>
      <TestScript
        title="At the end"
        steps={steps.filter((t) => !groups.some((g) => g.id === t.asked.item))}
      />
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
    </div>
  );
}
