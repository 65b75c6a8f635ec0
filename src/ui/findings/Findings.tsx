'use client';

import { Link } from '../parts/Link';
import { situationFor } from '@/core/motion';
import { kindOf } from '@/core/setup';
import { findingKey, type Finding, type Severity } from '@/core/verify';
import type { Status } from '@/core/logbook';
import { STEPS, type StepId } from '@/core/procedure';
import { useModel } from '../open/modelStore';
import { useVerdict } from '../open/verdict';
import { Fold } from '../parts/Fold';
import { useShow } from '../live/useShow';
import { StatusMark } from '../status/StatusMark';
import { Section } from '../parts/Section';

const STATUS: Record<Severity, Status> = { stop: 'stop', caution: 'caution', note: 'todo' };

/** What the rules say about the Setup as it is written down, with repairs to apply. */
export function Findings() {
  const { findings, proof, rules, visiting, failed } = useVerdict();
  const held = proof?.results.length ?? 0;
  const serious = findings?.filter((f) => f.severity !== 'note') ?? [];
  const notes = findings?.filter((f) => f.severity === 'note') ?? [];
  return (
    <Section title="What is wrong">
      <p className="text-soft text-sm" aria-live="polite">
        {visiting === undefined || failed
          ? ''
          : visiting === 0
            ? 'looking …'
            : `looking … ${visiting.toLocaleString('en')} ${visiting === 1 ? 'state' : 'states'} so far`}
      </p>
      {findings && serious.length === 0 && (
        <p className="mt-1">
          <StatusMark
            status="proven"
            words={`No problems found (${held} requirements, ${rules} rules).`}
          />
        </p>
      )}
      <FindingList findings={serious} />
      {notes.length > 0 && (
        <Fold className="mt-3" title={`To keep in mind (${notes.length})`}>
          <FindingList findings={notes} />
        </Fold>
      )}
    </Section>
  );
}

/** What some rules say, where it is decided; nothing where they find nothing. */
export function FindingsOfRules({ rules }: { rules: readonly string[] }) {
  const { findings } = useVerdict();
  const own = findings?.filter((f) => rules.includes(f.rule)) ?? [];
  if (own.length === 0) return null;
  return (
    <section className="card border-caution" aria-label="What the rules say">
      <FindingList findings={own} />
    </section>
  );
}

/** What stops one step of the job, with repairs to apply; nothing where the rules find nothing. */
export function FindingsOf({ step }: { step: StepId }) {
  return <FindingsOfRules rules={STEPS.find((s) => s.id === step)?.rules ?? []} />;
}

function FindingList({ findings }: { findings: readonly Finding[] }) {
  const edit = useModel((s) => s.edit);
  const id = useModel((s) => s.id);
  const canFly = useModel((s) => kindOf(s.setup.airframe).moves === 'air');
  const { reasons } = useVerdict();
  const show = useShow();
  return (
    <ul className="mt-2 flex flex-col gap-4">
      {groupsOf(findings).map(([first, ...others]) => {
        const rule = reasons[first.rule] ?? { title: first.rule, why: '' };
        return (
          <li key={findingKey(first)}>
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
              {canFly && typeof situationFor(first) === 'string' && (
                <Link
                  className="btn text-left text-sm"
                  href={`/models/${id}/fly?finding=${encodeURIComponent(findingKey(first))}`}
                >
                  See it fly
                </Link>
              )}
              {first.witness && (
                <button
                  type="button"
                  className="btn text-left text-sm"
                  onClick={() => show(first.witness!)}
                >
                  Show me: {first.witness.words}
                </button>
              )}
            </div>
          </li>
        );
      })}
    </ul>
  );
}

/** Findings of one rule that the same repair corrects are told together. */
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
