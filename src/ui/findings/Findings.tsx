'use client';

import { useMemo } from 'react';
import { RULES, verify, type Severity } from '@/core/verify';
import type { Status } from '@/core/logbook';
import { useModel } from '../frame/modelStore';
import { StatusMark } from '../status/StatusMark';

const STATUS: Record<Severity, Status> = { stop: 'stop', caution: 'caution', note: 'todo' };

/** What the rules say about the Setup as it is written down, with repairs to apply. */
export function Findings() {
  const { setup, edit } = useModel((s) => s);
  const findings = useMemo(() => verify(setup), [setup]);
  return (
    <section className="card" aria-labelledby="findings-title">
      <h2 id="findings-title" className="text-lg font-bold">
        What the rules say
      </h2>
      {findings.length === 0 ? (
        <p className="mt-1">
          <StatusMark status="proven" words={`Nothing against it: ${RULES.length} rules looked.`} />
        </p>
      ) : (
        <ul className="mt-2 flex flex-col gap-4">
          {findings.map((f) => {
            const rule = RULES.find((r) => r.id === f.rule)!;
            return (
              <li key={`${f.rule} ${f.where} ${f.says}`}>
                <StatusMark status={STATUS[f.severity]} words={rule.title} />
                <p>{f.says}</p>
                <p className="text-soft text-sm">{rule.why}</p>
                {f.witness && <p className="text-soft text-sm">Seen with: {f.witness.words}.</p>}
                {f.remedies.map((r) => (
                  <button
                    key={r.label}
                    type="button"
                    className="btn mt-1 text-left text-sm"
                    onClick={() => void edit(r.patch, r.label.slice(0, 80))}
                  >
                    {r.label}
                  </button>
                ))}
              </li>
            );
          })}
        </ul>
      )}
    </section>
  );
}
