'use client';

import { Choice } from '../fields/Choice';
import { NumberField } from '../fields/NumberField';
import { useModel } from '../open/modelStore';

/** The gain lead in or out; pulled, some units go on with the last value they saw. */
export function GainLead() {
  const { gainLead, gainLeadLastPct } = useModel((s) => s.setup.installation);
  const keeps = useModel((s) => s.setup.unit.traits.gainLeadMissing === 'keeps-last');
  const edit = useModel((s) => s.edit);
  return (
    <div className="mt-2 flex flex-wrap items-end gap-3 print:hidden">
      <Choice
        label="Gain lead"
        value={gainLead ? 'in' : 'out'}
        options={[
          ['in', 'plugged in'],
          ['out', 'pulled'],
        ]}
        onChange={(v) =>
          void edit(
            [{ op: 'replace', path: '/installation/gainLead', value: v === 'in' }],
            `Gain lead ${v === 'in' ? 'plugged in' : 'pulled'}`,
          )
        }
      />
      {!gainLead && keeps && (
        <NumberField
          label="gain channel on the monitor when it was pulled"
          unit="%"
          at="/installation/gainLeadLastPct"
          value={gainLeadLastPct ?? 0}
          onCommit={(value) =>
            edit(
              [{ op: 'add', path: '/installation/gainLeadLastPct', value }],
              `Gain lead pulled at ${value} %`,
            )[0]?.reason
          }
        />
      )}
    </div>
  );
}
