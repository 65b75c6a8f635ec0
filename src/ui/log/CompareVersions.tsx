'use client';

import { format } from 'date-fns';
import { useState } from 'react';
import { toast } from '../parts/toast';
import type { LogView } from '@/server/log';
import { useModel } from '../open/modelStore';
import { Select } from '../parts/Select';
import { DifferenceList } from './DifferenceList';
import { useDifferences } from './useDifferences';
import { Section } from '../parts/Section';

/** Any two versions, what differs in words; and the older one made the newest again. */
export function CompareVersions({ versions }: { versions: LogView['versions'] }) {
  const version = useModel((s) => s.version);
  const backTo = useModel((s) => s.backTo);
  const [from, setFrom] = useState<number>();
  const [to, setTo] = useState<number>();
  const later = to ?? version;
  const earlier = from ?? Math.max(1, later - 1);
  const pick = (label: string, value: number, set: (v: number) => void) => (
    <label className="min-w-0 text-sm font-semibold">
      {label}
      <Select value={value} onChange={(e) => set(Number(e.target.value))}>
        {versions.map((v) => (
          <option key={v.version} value={v.version}>
            {v.version} · {format(v.at, 'd MMM yyyy')} · {v.label}
          </option>
        ))}
      </Select>
    </label>
  );
  return (
    <Section title="What changed between">
      <div className="mt-2 grid gap-2">
        {pick('this version', earlier, setFrom)}
        {pick('and this one', later, setTo)}
      </div>
      <DifferenceList found={useDifferences(earlier, later)} />
      {earlier !== version && (
        <button
          type="button"
          className="btn mt-3"
          onClick={async () => {
            if (await backTo(earlier))
              toast.success(`Version ${earlier} is on top again, as a version of its own.`);
          }}
        >
          Back to version {earlier}
        </button>
      )}
    </Section>
  );
}
