'use client';

import { useEffect, useRef, useState } from 'react';
import type { Answer, InWords, LookInWords } from '@/core/interrogate';
import { useKeys } from '../open/keys';

/** One experiment: what to do, where to look, and an answer to press for each surface. */
export function Experiment({
  words: { before, steps, after },
  number,
  seconds,
  why,
  fresh,
  onAnswer,
  onBack,
}: {
  words: InWords;
  /** Counted from 1. */
  number: number;
  seconds: number;
  /** Why this one; nothing where that is said elsewhere. */
  why: string;
  /** It is the one to answer; false while the next is chosen. */
  fresh: boolean;
  /** Everything is answered. */
  onAnswer: (answer: Answer) => void;
  onBack: (() => void) | undefined;
}) {
  const looks = steps.flatMap((step) => step.looks);
  const [begun, setBegun] = useState<{ number: number; given: Answer }>({ number, given: [] });
  const given = begun.number === number ? begun.given : [];
  const section = useRef<HTMLElement>(null);
  /** Answered by a button, which is gone then: the next one is where that was. */
  const byButton = useRef(false);
  useEffect(() => {
    if (!fresh) return;
    const first = section.current?.querySelector<HTMLElement>('[role="group"] button');
    // With several positions the next question may be below the window.
    if (given.length > 0) first?.closest('[role="group"]')?.scrollIntoView({ block: 'nearest' });
    if (!byButton.current) return;
    byButton.current = false;
    first?.focus();
  }, [fresh, number, given.length]);
  const give = (seen: Answer[number]) => {
    const all = [...given, seen];
    byButton.current = section.current?.contains(document.activeElement) ?? false;
    if (all.length < looks.length) setBegun({ number, given: all });
    else onAnswer(all);
  };
  useKeys((event, phase) => {
    const chosen = looks[given.length]?.answers[Number(event.key) - 1];
    if (!chosen) return false;
    // The whole press is the answer's: on its way down it would move a switch of the rig.
    if (phase === 'up' && fresh) give(chosen[0]);
    return true;
  }, true);
  const back = given.length > 0 ? () => setBegun({ number, given: given.slice(0, -1) }) : onBack;
  return (
    <section ref={section} className="card" aria-labelledby="experiment">
      <p className="text-soft flex flex-wrap justify-between gap-x-4 text-sm" aria-live="polite">
        <span>{fresh ? `Experiment ${number}` : 'Choosing the next …'}</span>
        <span>about {seconds} seconds</span>
      </p>
      <p className="text-soft mt-1 text-sm">First:</p>
      <ol className="list-decimal pl-5">
        {before.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ol>
      {steps.map((step, at) => (
        // The same is done again in another position.
        <div key={at} className="mt-3">
          <h2 id={at === 0 ? 'experiment' : undefined} className="text-xl font-bold">
            {step.does}
          </h2>
          {step.looks.map((look) => {
            const place = looks.indexOf(look);
            return (
              <Look
                key={place}
                look={look}
                said={given[place]}
                now={place === given.length}
                fresh={fresh}
                onAnswer={give}
              />
            );
          })}
        </div>
      ))}
      {after.map((line) => (
        <p key={line} className="mt-3">
          {line}
        </p>
      ))}
      {why && <p className="text-soft mt-3 text-sm">{why}</p>}
      {back && (
        <button type="button" className="btn btn-small mt-3" onClick={back}>
          Take back the last answer
        </button>
      )}
    </section>
  );
}

/** One surface to look at: what may be seen, or what was answered. */
function Look({
  look: { watch, answers },
  said,
  now,
  fresh,
  onAnswer,
}: {
  look: LookInWords;
  /** What was answered. */
  said: Answer[number] | undefined;
  /** It is the one to answer. */
  now: boolean;
  fresh: boolean;
  onAnswer: (seen: Answer[number]) => void;
}) {
  if (said !== undefined)
    return (
      <p className="mt-2">
        <span className="font-semibold">{watch}</span>{' '}
        <span className="border-b-2">{answers.find(([a]) => a === said)?.[1]}</span>
      </p>
    );
  return (
    // Clear of the bar at the foot of a phone when it is scrolled to.
    <div role="group" aria-label={watch} className="scroll-mb-20">
      <p className={`mt-2 ${now ? 'font-semibold' : 'text-soft'}`}>{watch}</p>
      {now && (
        <div className="mt-2 grid gap-2 @md:grid-cols-2">
          {answers.map(([answer, words], i) => (
            <button
              key={answer}
              type="button"
              className="btn justify-start text-left"
              disabled={!fresh}
              onClick={() => onAnswer(answer)}
            >
              <kbd className="font-num border px-1">{i + 1}</kbd> {words}
            </button>
          ))}
        </div>
      )}
    </div>
  );
}
