'use client';

import { isDone, testSubject, tests } from '@/core/logbook';
import { settingGroups } from '@/core/settings';
import { useKeys } from '../open/keys';
import { useModel } from '../open/modelStore';
import { TestScript } from '../checks/TestScript';
import { SettingGroup } from './SettingGroup';

/** What is set inside the unit: entered, then read back. */
export function SettingsStation() {
  const setup = useModel((s) => s.setup);
  const evidence = useModel((s) => s.evidence);
  const observeAll = useModel((s) => s.observeAll);
  const groups = settingGroups(setup);
  const steps = tests(setup, evidence, 'unit');
  const seen = steps.filter((t) => isDone(t.status)).length;
  /** Lines that are still to be confirmed. */
  const listed = steps.filter(
    (t) => !isDone(t.status) && groups.some((g) => g.id === t.asked.item),
  );
  const allAsShown = () =>
    void observeAll(
      listed.map(({ asked }) => ({
        ...testSubject(asked),
        seen: 'pass',
        ground: 'said',
      })),
      'The settings of the unit',
    );
  useKeys((event, phase) => {
    if (phase === 'up' || event.key !== 'y' || listed.length === 0) return false;
    allAsShown();
    return true;
  }, true);
  return (
    <div className="flex flex-col gap-4">
      <section className="flex flex-col gap-3" aria-labelledby="settings-title">
        <h2 id="settings-title" className="text-lg font-bold">
          Enter each, then read it back
        </h2>
        <p className="flex flex-wrap items-center gap-3">
          <span className="text-soft text-sm" aria-live="polite">
            {seen} of {steps.length} confirmed
          </span>
          {listed.length > 1 && (
            <button type="button" className="btn btn-main" onClick={allAsShown}>
              All {listed.length} read back as shown <kbd className="font-num border px-1">y</kbd>
            </button>
          )}
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
        keyed={listed.length === 0}
        steps={steps.filter((t) => !groups.some((g) => g.id === t.asked.item))}
      />
    </div>
  );
}
