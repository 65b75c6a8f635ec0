'use client';

import type { PendingAnswer } from '../open/modelState';
import { useModel } from '../open/modelStore';
import { CHANGED_MEANWHILE, keepFor } from '../words';

/** Answers the server has not kept: taken off the screen, and offered again here. */
export function UnkeptAnswers() {
  const answers = useModel((s) => s.answers);
  const retry = useModel((s) => s.retry);
  // Those without a reason have not been tried since the page was opened.
  const failed = answers.filter((a) => a.state === 'failed' && a.reason !== undefined);
  const refused = answers.filter((a) => a.state === 'refused');
  if (failed.length + refused.length === 0) return null;
  return (
    <section role="alert" className="card border-stop mb-4" aria-label="Answers not saved yet">
      {failed.length > 0 && (
        <div className="flex flex-wrap items-center gap-3">
          <div className="min-w-60 flex-1 wrap-break-word">
            <p>
              <strong>
                {failed.length === 1 ? 'An answer is' : `${failed.length} answers are`} not kept:
              </strong>{' '}
              {failed[0]!.reason}. They are sent again by themselves.
            </p>
            <ul className="list-disc pl-5">
              {failed.map((a) => (
                <li key={`${a.check} ${a.surface}`}>
                  {a.words}
                  <Drop answer={a} />
                </li>
              ))}
            </ul>
          </div>
          <button type="button" className="btn btn-main" onClick={retry}>
            Send again
          </button>
        </div>
      )}
      {refused.map((a) => (
        <Refused key={`${a.check} ${a.surface}`} answer={a} />
      ))}
    </section>
  );
}

/** Given on a version of which something it depends on was changed elsewhere since. */
function Refused({ answer }: { answer: PendingAnswer }) {
  const keepAnswer = useModel((s) => s.keepAnswer);
  const dropAnswer = useModel((s) => s.dropAnswer);
  return (
    <div className="mt-2 flex flex-wrap items-center gap-3">
      <p className="min-w-60 flex-1 wrap-break-word">
        <strong>{CHANGED_MEANWHILE}</strong> {answer.words} was seen on version {answer.version};
        since then {answer.changed?.join(', ')} changed elsewhere. What you see here is the model as
        it is now.
      </p>
      <button type="button" className="btn btn-main" onClick={() => dropAnswer(answer)}>
        Check again
      </button>
      <button type="button" className="btn" onClick={() => keepAnswer(answer)}>
        {keepFor(answer.version)}
      </button>
    </div>
  );
}

function Drop({ answer }: { answer: PendingAnswer }) {
  const dropAnswer = useModel((s) => s.dropAnswer);
  return (
    <button
      type="button"
      className="ml-2 min-h-8 underline"
      aria-label={`Discard: ${answer.words}`}
      onClick={() => dropAnswer(answer)}
    >
      discard it
    </button>
  );
}
