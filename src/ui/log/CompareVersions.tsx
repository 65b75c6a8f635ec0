'use client';

import { format } from 'date-fns';
import { useEffect, useState } from 'react';
import { toast } from 'sonner';
import type { Difference } from '@/core/compare';
import type { LogView } from '@/server/log';
import { useModel } from '../open/modelStore';
import { reasonsOf, send } from '../open/send';
import { Select } from '../parts/Select';

/** Any two versions, what differs in words; and the older one made the newest again. */
export function CompareVersions({ versions }: { versions: LogView['versions'] }) {
  const id = useModel((s) => s.id);
  const version = useModel((s) => s.version);
  const backTo = useModel((s) => s.backTo);
  const [from, setFrom] = useState<number>();
  const [to, setTo] = useState<number>();
  const later = to ?? version;
  const earlier = from ?? Math.max(1, later - 1);
  const [found, setFound] = useState<{
    key: string;
    differences: Difference[];
    problem?: string;
  }>();
  const key = `${earlier} ${later}`;
  useEffect(() => {
    let gone = false;
    void send<{ differences: Difference[] }>(
      'GET',
      `/api/models/${id}/versions?from=${earlier}&to=${later}`,
      undefined,
    ).then((reply) => {
      if (gone) return;
      if (reply.ok) setFound({ key, differences: reply.value.differences });
      else setFound({ key, differences: [], problem: reasonsOf(reply.problems) });
    });
    return () => {
      gone = true;
    };
  }, [id, earlier, later, key]);
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
  const shown = found?.key === key ? found.differences : undefined;
  const problem = found?.key === key ? found.problem : undefined;
  return (
    <section className="card" aria-labelledby="compare-title">
      <h2 id="compare-title" className="text-lg font-bold">
        What changed between
      </h2>
      <div className="mt-2 grid gap-2">
        {pick('this version', earlier, setFrom)}
        {pick('and this one', later, setTo)}
      </div>
      <ul className="mt-2" aria-live="polite">
        {problem && <li className="text-stop">They could not be compared: {problem}.</li>}
        {shown?.length === 0 && !problem && <li>Nothing: the two are the same.</li>}
        {shown?.slice(0, 40).map((d, i) => (
          <li key={i} className="border-t border-(--card-edge) py-1 wrap-anywhere">
            <strong>{d.what}</strong> {d.words}
          </li>
        ))}
        {shown && shown.length > 40 && <li>… and {shown.length - 40} more.</li>}
      </ul>
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
    </section>
  );
}
