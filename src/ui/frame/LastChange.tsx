'use client';

import { X } from 'lucide-react';
import Link from 'next/link';
import { useMemo, useState } from 'react';
import { killedBy } from '@/core/procedure';
import { StatusMark } from '../status/StatusMark';
import { useModel } from '../open/modelStore';
import { useVerdict } from '../open/verdict';
import { isProved } from '@/core/verify';

/** What the last change in this tab killed, at whichever station it was made: said at once, with the reasons. */
export function LastChange() {
  const id = useModel((s) => s.id);
  const setup = useModel((s) => s.setup);
  const evidence = useModel((s) => s.evidence);
  const changed = useModel((s) => s.changed);
  const { findings, visiting, provedBefore } = useVerdict();
  const [put, setPut] = useState<object>();
  // Some tests are made from the proof: not before it is there.
  const judged = findings !== undefined && visiting === undefined;
  const killed = useMemo(() => {
    const before = changed && isProved(changed.before) ? changed.before : provedBefore;
    return changed && before && judged ? killedBy(before, setup, evidence) : [];
  }, [changed, judged, provedBefore, setup, evidence]);
  if (!changed || killed.length === 0 || put === changed) return null;
  return (
    <section className="card mb-4 print:hidden" aria-labelledby="killed-title">
      <div className="flex items-start justify-between gap-3">
        <h2 id="killed-title" className="text-lg font-bold">
          To check again after your last change
        </h2>
        <button type="button" className="btn" aria-label="Dismiss" onClick={() => setPut(changed)}>
          <X size={18} aria-hidden />
        </button>
      </div>
      <p className="text-soft text-sm">{changed.label}</p>
      <ul className="mt-1 flex flex-col gap-1">
        {killed.map((k) => (
          <li key={k.step.id}>
            <Link className="hover:underline" href={`/models/${id}/${k.step.station}`}>
              <StatusMark status="stale" words={`${k.step.title}, ${k.count}`} />
            </Link>
            <span className="text-soft"> because {k.reasons.join('; ')} changed</span>
          </li>
        ))}
      </ul>
    </section>
  );
}
