'use client';

import { tests } from '@/core/logbook';
import { settingGroups } from '@/core/settings';
import { useModel } from '../frame/modelStore';
import { TestScript } from '../recovery/TestScript';
import { SettingGroup } from './SettingGroup';

/** What is set inside the unit: entered, then read back. */
export function SettingsStation() {
  const setup = useModel((s) => s.setup);
  const evidence = useModel((s) => s.evidence);
  const groups = settingGroups(setup);
  const steps = tests(setup, evidence, 'unit');
  const seen = steps.filter((t) => t.status === 'proven').length;
  return (
    <div className="flex flex-col gap-4">
      <section className="flex flex-col gap-3" aria-labelledby="settings-title">
        <h2 id="settings-title" className="text-lg font-bold">
          Enter each, then read it back
        </h2>
        <p className="text-soft text-sm" aria-live="polite">
          {seen} of {steps.length} confirmed
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
    </div>
  );
}
