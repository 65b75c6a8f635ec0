'use client';

import Link from 'next/link';
import { useMemo } from 'react';
import { RULES, verify, type Finding, type Severity } from '@/core/verify';
import type { Status } from '@/core/logbook';
import { useModel } from '../frame/modelStore';
import { StatusMark } from '../status/StatusMark';

const STATUS: Record<Severity, Status> = { stop: 'stop', caution: 'caution', note: 'todo' };

/** What the rules say about the Setup as it is written down, with repairs to apply. */
export function Findings() {
  const { id, setup, edit } = useModel((s) => s);
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
          {groupsOf(findings).map(([first, ...others]) => {
            const rule = RULES.find((r) => r.id === first.rule)!;
            return (
              <li key={`${first.rule} ${first.says}`}>
                <StatusMark status={STATUS[first.severity]} words={rule.title} />
                {[first, ...others].map((f) => (
                  <p key={f.says}>{f.says}</p>
                ))}
                <p className="text-soft text-sm">{rule.why}</p>
                <div className="mt-1 flex flex-wrap gap-2">
                  {first.remedies.map((r) => (
                    <button
                      key={r.label}
                      type="button"
                      className="btn text-left text-sm"
                      onClick={() => void edit(r.patch, r.label.slice(0, 80))}
                    >
                      {r.label}
                    </button>
                  ))}
                  {first.witness && (
                    <Link
                      className="btn text-sm"
                      href={`/models/${id}/rig?set=${Object.entries(first.witness.controls)
                        .map(([control, value]) => `${control}:${value}`)
                        .join(',')}`}
                    >
                      Show me: {first.witness.words}
                    </Link>
                  )}
                </div>
              </li>
            );
          })}
        </ul>
      )}
    </section>
  );
}

/** Findings of one rule that the same repair mends are told together. */
function groupsOf(findings: readonly Finding[]): [Finding, ...Finding[]][] {
  const groups: [Finding, ...Finding[]][] = [];
  const key = (f: Finding) => `${f.rule} ${JSON.stringify(f.remedies)} ${f.witness?.words}`;
  for (const finding of findings) {
    const group = groups.find(([first]) => key(first) === key(finding));
    if (group) group.push(finding);
    else groups.push([finding]);
  }
  return groups;
}
