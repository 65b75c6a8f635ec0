'use client';

import { Link } from '../parts/Link';
import { useModel } from '../open/modelStore';
import { useVerdict } from '../open/verdict';
import { StatusMark } from '../status/StatusMark';
import { PROVING } from '../words';

/** The verdict on the program in a few lines: what was held, or what is wrong. */
export function Verdict() {
  const id = useModel((s) => s.id);
  const { findings, proof, reasons, visiting, failed } = useVerdict();
  if (failed) return null;
  if (!findings || !proof) return <p className="text-soft py-1 text-sm">{PROVING}</p>;
  const serious = findings.filter((f) => f.severity !== 'note');
  // The title of a mistake says what is wrong; that of a requirement says what must be.
  const wrong = new Map(
    serious.map((f) => [
      (f.requirements.some((r) => r === f.rule) ? undefined : reasons[f.rule]?.title) ?? f.says,
      f.severity,
    ]),
  );
  return (
    <section
      aria-label="Verdict"
      data-tour="verdict"
      className="border-t border-(--card-edge) py-1.5"
    >
      {visiting !== undefined ? (
        <p className="text-soft text-sm">Trying every combination again …</p>
      ) : serious.length === 0 ? (
        <StatusMark
          status="proven"
          words={`No problems found in ${proof.rows.length} ${proof.rows.length === 1 ? 'combination' : 'combinations'}`}
        />
      ) : (
        <>
          {[...wrong].slice(0, 2).map(([words, severity]) => (
            <p key={words}>
              <StatusMark status={severity === 'stop' ? 'stop' : 'caution'} words={words} />
            </p>
          ))}
          {wrong.size > 2 && <p className="text-soft text-sm">and {wrong.size - 2} more</p>}
        </>
      )}{' '}
      <Link className="block text-sm underline" href={`/models/${id}/proof`}>
        {serious.length === 0 ? 'See the proof' : 'See why, and repair it'}
      </Link>
    </section>
  );
}
