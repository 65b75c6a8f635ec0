'use client';

import { useMemo, useState } from 'react';
import { isDone, testSubject, checklist } from '@/core/logbook';
import { settingGroups, shippedRows, type RowGroup } from '@/core/settings';
import { useKeys } from '../open/keys';
import { useModel } from '../open/modelStore';
import { TestScript } from '../checks/TestScript';
import { SettingGroup } from './SettingGroup';
import { Section } from '../parts/Section';

/** What is set inside the unit: entered, then read back. */
export function SettingsStation() {
  const setup = useModel((s) => s.setup);
  const evidence = useModel((s) => s.evidence);
  const observeAll = useModel((s) => s.observeAll);
  const [ownWords, setOwnWords] = useState(false);
  const groups = settingGroups(setup);
  const steps = checklist(setup, evidence, 'unit');
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
  const shipped = useMemo(() => shippedRows(setup), [setup]);
  const differs = (group: RowGroup) =>
    group.rows.some((row) => shipped.get(row.id)?.words !== row.words);
  const parts = [
    { id: 'change', title: 'Different from a new unit', groups: groups.filter(differs) },
    { id: 'same', title: 'As in a new unit', groups: groups.filter((g) => !differs(g)) },
  ].filter((part) => part.groups.length > 0);
  return (
    <div className="flex flex-col gap-4">
      <Section title="Enter each, then read it back" className="flex flex-col gap-3">
        <p className="flex flex-wrap items-center gap-3">
          <span className="text-soft text-sm" aria-live="polite">
            {seen} of {steps.length} confirmed
          </span>
          {listed.length > 1 && (
            <button type="button" className="btn btn-main" onClick={allAsShown}>
              All {listed.length} read back as shown <kbd className="font-num border px-1">y</kbd>
            </button>
          )}
          <button
            type="button"
            className="btn"
            aria-pressed={ownWords}
            onClick={() => setOwnWords(!ownWords)}
          >
            What your leaflet calls them
          </button>
        </p>
        {parts.map((part) => (
          <section
            key={part.id}
            className="card @container"
            aria-labelledby={`settings-${part.id}`}
          >
            <h3 id={`settings-${part.id}`} className="text-soft text-sm font-semibold">
              {part.title}
            </h3>
            <ul className="divide-y divide-(--card-edge)">
              {part.groups.map((group) => (
                <SettingGroup
                  key={group.id}
                  group={group}
                  shipped={shipped}
                  test={steps.find((t) => t.asked.item === group.id)}
                  ownWords={ownWords}
                />
              ))}
            </ul>
          </section>
        ))}
        {!setup.unit.traits.slotsSettable && 'bands' in setup.unit.traits.modeSelect && (
          <p className="text-soft text-sm">
            The mode of each switch position is fixed in this unit.
          </p>
        )}
      </Section>
      <TestScript
        title="At the end"
        keyed={listed.length === 0}
        steps={steps.filter((t) => !groups.some((g) => g.id === t.asked.item))}
      />
    </div>
  );
}
