'use client';

import { isAtOnce, isDone, testSubject, type Checked, type Status } from '@/core/logbook';
import { restWords, type ScriptStep } from '@/core/script';
import { useKeys } from '../open/keys';
import { useModel } from '../open/modelStore';
import { useBench } from '../open/useBench';
import { usePut } from '../live/usePut';
import { StatusMark } from '../status/StatusMark';
import { LocalisedMeasures } from '../measure/LocalisedMeasures';
import { seenBefore } from '../words';
import { Section } from '../parts/Section';

/** Do this, see that, one at a time; the answers are kept and go stale by themselves. */
export function TestScript({
  title,
  steps,
  keyed = true,
}: {
  title: string;
  steps: Checked<ScriptStep>[];
  /** The keys y and x answer the next one. */
  keyed?: boolean;
}) {
  const next = steps.findIndex((s) => !isDone(s.status));
  const observe = useModel((s) => s.observe);
  const observeAll = useModel((s) => s.observeAll);
  const rest = useModel((s) => restWords(s.setup));
  const { say } = useBench();
  usePut(steps[next]?.asked.state);
  const open = steps.filter((s) => !isDone(s.status));
  const test = steps[0]?.asked.test;
  const together = test !== undefined && isAtOnce(test) && open.length > 1;
  const answer = (asked: ScriptStep, seen: 'pass' | 'fail') => {
    void observe(testSubject(asked), seen, `“${asked.does}”`);
    // Whoever has just made it safe need not be asked again whether it is.
    if (test === 'safe') say('prop-off', 'prop-off', seen === 'pass');
  };
  const allAreSo = () =>
    void observeAll(
      open.map(({ asked }) => ({
        ...testSubject(asked),
        seen: 'pass',
        ground: 'said',
      })),
      title,
    );
  useKeys((event, phase) => {
    const asked = steps[next]?.asked;
    if (phase === 'up' || !keyed || !asked) return false;
    if (event.key === 'a' && together) allAreSo();
    else if (event.key === 'y' || event.key === 'x')
      answer(asked, event.key === 'y' ? 'pass' : 'fail');
    else return false;
    return true;
  }, true);
  return (
    <Section title={title}>
      <p className="text-soft text-sm" aria-live="polite">
        {steps.filter((s) => isDone(s.status)).length} of {steps.length} confirmed
        {keyed && next >= 0 && ' · keys: y yes, x no'}
      </p>
      {steps.some((s) => s.asked.state) && <p className="text-soft mt-1">{rest}</p>}
      {together && (
        <button type="button" className="btn mt-1" onClick={allAreSo}>
          Confirm all {open.length} {keyed && <kbd className="font-num border px-1">a</kbd>}
        </button>
      )}
      <ol className="mt-2 flex flex-col divide-y divide-(--card-edge)">
        {steps.map(({ asked, status, reasons }, i) => (
          <li key={asked.item} className={`py-3 ${i === next ? '' : 'opacity-85'}`}>
            <div className="flex items-start justify-between gap-3">
              <p className={i === next ? 'text-lg font-semibold' : ''}>
                {i + 1}. <LocalisedMeasures>{asked.does}</LocalisedMeasures>
              </p>
              <span className="shrink-0">
                <TestMark status={status} />
              </span>
            </div>
            <ul className="list-disc pl-6">
              {asked.sees.map((s) => (
                <li key={s} className={asked.faults.includes(s) ? 'text-stop font-bold' : ''}>
                  <LocalisedMeasures>{s}</LocalisedMeasures>
                </li>
              ))}
            </ul>
            {status === 'stale' && <p className="text-soft text-sm">{seenBefore(reasons)}</p>}
            <AnswerButtons
              words={`step ${i + 1}`}
              main={i === next}
              answer={(seen) => answer(asked, seen)}
            />
          </li>
        ))}
      </ol>
    </Section>
  );
}

const MARKS: Record<Status, string> = {
  proven: 'confirmed',
  said: 'said',
  assumed: 'assumed',
  todo: 'to do',
  stale: 'check again',
  stop: 'failed',
  caution: '',
};

/** How one thing of a test stands. */
export const TestMark = ({ status }: { status: Status }) => (
  <StatusMark status={status} words={MARKS[status]} />
);

/** The two answers to one thing of a test. */
export function Answers({
  asked,
  words,
  main = false,
  compact = false,
}: {
  asked: ScriptStep;
  /** What it is an answer to, for those who hear the buttons. */
  words: string;
  main?: boolean;
  /** In a table: the words are heard, not shown. */
  compact?: boolean;
}) {
  const observe = useModel((s) => s.observe);
  return (
    <AnswerButtons
      words={words}
      main={main}
      compact={compact}
      answer={(seen) => void observe(testSubject(asked), seen, `“${asked.does}”`)}
    />
  );
}

function AnswerButtons({
  words,
  main,
  compact = false,
  answer,
}: {
  words: string;
  main: boolean;
  compact?: boolean;
  answer: (seen: 'pass' | 'fail') => void;
}) {
  const shown = (text: string) => (compact ? <span className="sr-only">{text}</span> : text);
  return (
    <div className={`flex gap-2 ${compact ? '' : 'mt-2 flex-wrap'} ${main ? 'pinned' : ''}`}>
      <button
        type="button"
        className={`btn ${compact ? 'btn-small' : ''} ${main ? 'btn-main' : ''}`}
        onClick={() => answer('pass')}
      >
        Yes{shown(', correct')}
        <span className="sr-only">, {words}</span>
      </button>
      <button
        type="button"
        className={`btn ${compact ? 'btn-small' : ''}`}
        onClick={() => answer('fail')}
      >
        No{shown(', wrong')}
        <span className="sr-only">, {words}</span>
      </button>
    </div>
  );
}
