'use client';

import { Check, X } from 'lucide-react';
import { useState } from 'react';
import type { Round } from '@/core/preflight';
import { gateWords } from '@/core/procedure';
import { restWords } from '@/core/script';
import { useKeys } from '../open/keys';
import { useModel } from '../open/modelStore';
import { LocalisedMeasures } from '../measure/LocalisedMeasures';
import { usePut } from '../live/usePut';

/** What is checked in one go, large: all of it right, or which of it is wrong. */
export function RoundCard({
  round: { title, items },
  at,
  of,
  onAnswer,
  onBack,
  onBreakOff,
}: {
  round: Round;
  /** Its place in the card, from 1. */
  at: number;
  of: number;
  /** Answers every line of the round; these items are wrong. */
  onAnswer: (wrong: readonly string[]) => void;
  onBack: () => void;
  onBreakOff: () => void;
}) {
  const setup = useModel((s) => s.setup);
  const { airframe } = setup;
  const motors = airframe.motors.length > 0;
  /** The line that is being read: the rig stands as it says. */
  const [reading, setReading] = useState(0);
  usePut(items[reading]?.state);
  const [wrong, setWrong] = useState<readonly string[]>([]);
  const mark = (item: string) =>
    setWrong((list) =>
      list.includes(item) ? list.filter((other) => other !== item) : [...list, item],
    );
  useKeys((event, phase) => {
    if (phase === 'up') return false;
    const line = items[Number(event.key) - 1];
    if (event.key === 'y') onAnswer(wrong);
    else if (event.key === 'x' && items.length === 1) onAnswer([items[0]!.item]);
    else if (event.key === 'Backspace') onBack();
    else if (line && items.length > 1) mark(line.item);
    else return false;
    return true;
  }, true);
  const alone = items.length === 1;
  return (
    <section className="card mx-auto flex min-h-[60vh] max-w-2xl flex-col" aria-live="polite">
      <p className="text-soft">
        {at} of {of} · {title}
      </p>
      {motors && items.some((i) => i.item === 'run-up') && (
        <p className="border-caution mt-2 border-l-4 pl-3 font-semibold">
          {gateWords('hold', airframe)} {gateWords('clear-behind', airframe)}
        </p>
      )}
      {items.some((i) => i.state) && <p className="text-soft mt-1">{restWords(setup)}</p>}
      <ol className="mt-2 flex flex-col divide-y divide-(--card-edge)">
        {items.map((item, i) => (
          <li
            key={item.item}
            className="flex items-start justify-between gap-3 py-3"
            onPointerEnter={() => setReading(i)}
            onFocus={() => setReading(i)}
          >
            <div>
              <h2 className={alone ? 'text-2xl font-bold' : 'text-lg font-bold'}>
                {!alone && `${i + 1}. `}
                <LocalisedMeasures>{item.does}</LocalisedMeasures>
              </h2>
              <ul className={`mt-1 list-disc pl-6 ${alone ? 'text-xl' : ''}`}>
                {item.sees.map((s) => (
                  <li key={s}>
                    <LocalisedMeasures>{s}</LocalisedMeasures>
                  </li>
                ))}
              </ul>
            </div>
            {!alone && (
              <button
                type="button"
                className={`btn shrink-0 ${wrong.includes(item.item) ? 'text-stop border-stop' : ''}`}
                aria-pressed={wrong.includes(item.item)}
                onClick={() => mark(item.item)}
              >
                <X size={18} aria-hidden /> wrong
                <span className="sr-only">, {item.does}</span>
              </button>
            )}
          </li>
        ))}
      </ol>
      <div className={`mt-auto grid gap-3 pt-6 ${alone ? 'grid-cols-2' : ''}`}>
        <button
          type="button"
          className="btn btn-main min-h-24 text-2xl"
          onClick={() => onAnswer(wrong)}
        >
          <Check size={32} aria-hidden />
          {alone
            ? 'Yes, correct'
            : wrong.length === 0
              ? `All ${items.length} correct`
              : `Go on: ${wrong.length} wrong`}
        </button>
        {alone && (
          <button
            type="button"
            className="btn min-h-24 text-2xl"
            onClick={() => onAnswer([items[0]!.item])}
          >
            <X size={32} aria-hidden /> No, wrong
          </button>
        )}
      </div>
      <div className="mt-3 flex justify-between">
        <button type="button" className="btn" onClick={onBack}>
          back
        </button>
        <button type="button" className="btn" onClick={onBreakOff}>
          stop here
        </button>
      </div>
      <p className="text-soft mt-2 text-sm pointer-coarse:hidden">
        {alone ? 'Keys: y yes, x no' : `Keys: y all correct, 1–${items.length} marks a wrong one`},
        Backspace goes back.
      </p>
    </section>
  );
}
