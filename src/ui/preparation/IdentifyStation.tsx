'use client';

import { checklist } from '@/core/logbook';
import { FindingsOf } from '../findings/Findings';
import { useModel } from '../open/modelStore';
import { TestScript } from '../checks/TestScript';
import { Section } from '../parts/Section';

type VersionKey = 'unitHardware' | 'unitFirmware' | 'transmitterFirmware';

/** What stands where a version cannot be read off: somebody has looked. */
const UNREADABLE = 'cannot be read';

/** What is on the bench: written down, bound and up to date before anything is set. */
export function IdentifyStation() {
  const setup = useModel((s) => s.setup);
  const evidence = useModel((s) => s.evidence);
  const edit = useModel((s) => s.edit);
  const { installation } = setup;
  const write = (key: VersionKey, label: string, value: string) => {
    if (value !== installation[key])
      edit(
        [{ op: 'replace', path: `/installation/${key}`, value }],
        `${label}: ${value || 'not known'}`,
      );
  };
  const field = (key: VersionKey, label: string) => (
    <div className="flex flex-col gap-1">
      <label className="text-sm font-semibold">
        {label}
        <input
          className="field font-normal"
          maxLength={60}
          defaultValue={installation[key]}
          key={installation[key]}
          onBlur={(e) => write(key, label, e.target.value.trim())}
        />
      </label>
      {installation[key] === '' && (
        <button
          type="button"
          className="btn self-start text-sm"
          onClick={() => write(key, label, UNREADABLE)}
        >
          Cannot be read<span className="sr-only">: {label}</span>
        </button>
      )}
    </div>
  );
  return (
    <div className="flex flex-col gap-4">
      <Section title="What is on the bench" className="card flex flex-col gap-3">
        <div className="grid gap-2 @lg:grid-cols-3">
          {field('unitHardware', 'Unit, hardware')}
          {field('unitFirmware', 'Unit, firmware')}
          {field('transmitterFirmware', 'Transmitter, firmware')}
        </div>
        <label className="flex min-h-11 items-center gap-3">
          <input
            type="checkbox"
            className="size-6"
            checked={installation.secondHand}
            onChange={(e) =>
              edit(
                [{ op: 'replace', path: '/installation/secondHand', value: e.target.checked }],
                e.target.checked ? 'Unit is second-hand' : 'Unit is new',
              )
            }
          />
          The unit is second-hand, or its past is unknown
        </label>
      </Section>
      <FindingsOf step="identify" />
      <TestScript title="Identify" steps={checklist(setup, evidence, 'identify')} />
    </div>
  );
}
