'use client';

import { X } from 'lucide-react';
import { Link } from '../parts/Link';
import { useMemo, useState } from 'react';
import { killedBy } from '@/core/procedure';
import { StatusMark } from '../status/StatusMark';
import { useModel } from '../open/modelStore';
import type { Of } from '../open/askProver';
import { useProver } from '../open/useProver';
import { useVerdict } from '../open/verdict';
import { isProved } from '@/core/verify';

/** What the last change in this tab killed, at whichever station it was made: said at once, with the reasons. */
export function LastChange() {
  const id = useModel((s) => s.id);
  const setup = useModel((s) => s.setup);
  const evidence = useModel((s) => s.evidence);
  const changed = useModel((s) => s.changed);
  const { visiting } = useVerdict();
  const [put, setPut] = useState<object>();
  // Some tests are made from the proof of what was and of what is.
  const known = changed && visiting === undefined && isProved(changed.before);
  const here = useMemo(
    () => (known ? killedBy(changed.before, setup, evidence) : undefined),
    [changed, known, setup, evidence],
  );
  const askFor = changed && visiting === undefined && !known ? changed.before : undefined;
  const asked = useProver(
    'killedBy',
    useMemo(
      (): Of<'killedBy'> | undefined => askFor && [askFor, setup, evidence],
      [askFor, setup, evidence],
    ),
  );
  const killed = here ?? (asked && 'answer' in asked ? asked.answer : []);
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
          <li key={k.id}>
            <Link className="hover:underline" href={`/models/${id}/${k.station}`}>
              <StatusMark status="stale" words={`${k.title}, ${k.count}`} />
            </Link>
            <span className="text-soft"> because {k.reasons.join('; ')} changed</span>
          </li>
        ))}
      </ul>
    </section>
  );
}
