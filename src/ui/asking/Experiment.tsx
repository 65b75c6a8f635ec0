'use client';

import type { Answer, InWords } from '@/core/interrogate';

/** One experiment: what to do, what to look at, and an answer to press. */
export function Experiment({
  words,
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
  onAnswer: (answer: Answer) => void;
  onBack: (() => void) | undefined;
}) {
  const { does, watch, answers } = words;
  return (
    <section className="card" aria-labelledby="experiment">
      <p className="text-soft flex flex-wrap justify-between gap-x-4 text-sm" aria-live="polite">
        <span>{fresh ? `Experiment ${number}` : 'Choosing the next …'}</span>
        <span>about {seconds} seconds</span>
      </p>
      <h2 id="experiment" className="mt-1 text-xl font-bold">
        {does.at(-1)}
      </h2>
      <p className="text-soft mt-1 text-sm">Before that:</p>
      <ol className="list-decimal pl-5">
        {does.slice(0, -1).map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ol>
      <p className="mt-3 font-semibold">{watch}</p>
      <div className="mt-2 grid gap-2 @md:grid-cols-2">
        {answers.map(([answer, said], i) => (
          <button
            key={answer}
            type="button"
            className="btn justify-start text-left"
            disabled={!fresh}
            onClick={() => onAnswer(answer)}
          >
            <kbd className="font-num border px-1">{i + 1}</kbd> {said}
          </button>
        ))}
      </div>
      {why && <p className="text-soft mt-3 text-sm">{why}</p>}
      {onBack && (
        <button type="button" className="btn btn-small mt-3" onClick={onBack}>
          Take back the last answer
        </button>
      )}
    </section>
  );
}
