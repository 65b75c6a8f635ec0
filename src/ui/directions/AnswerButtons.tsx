'use client';

import { CircleSlash, MoveDown, MoveLeft, MoveRight, MoveUp } from 'lucide-react';
import type { Observed } from '@/core/logbook';
import { optionsFor, type SurfaceAnswer, type AnswerId, type Together } from '@/core/asking';
import { ANSWERS } from './answers';

const KEY_ICONS: Record<string, typeof MoveUp> = {
  ArrowUp: MoveUp,
  ArrowDown: MoveDown,
  ArrowLeft: MoveLeft,
  ArrowRight: MoveRight,
  x: CircleSlash,
};

/** Both sides of the model answered in one go. */
export function TogetherButtons({
  together,
  onAnswer,
  onOneByOne,
}: {
  together: readonly Together[];
  onAnswer: (answers: readonly SurfaceAnswer[]) => void;
  onOneByOne: () => void;
}) {
  return (
    <div className="grid grid-cols-2 gap-2 lg:mt-3">
      {together.map(({ key, words, answers }) => {
        const Icon = KEY_ICONS[key]!;
        return (
          <button
            key={key}
            type="button"
            className="btn justify-start gap-2 px-2 text-left lg:min-h-14 lg:gap-3 lg:px-3 lg:text-lg"
            onClick={() => onAnswer(answers)}
          >
            <span className="text-soft shrink-0 rounded border border-(--card-edge) p-1 pointer-coarse:hidden">
              <Icon size={16} aria-hidden />
            </span>
            {words}
          </button>
        );
      })}
      <button type="button" className="btn px-2 lg:min-h-14" onClick={onOneByOne}>
        something else: one at a time
      </button>
    </div>
  );
}

/** A row of answers for each surface. */
export function AnswerRows({
  look,
  at,
  onAnswer,
  onChoose,
}: {
  look: readonly Observed[];
  at: Observed;
  onAnswer: (of: Observed, seen: AnswerId) => void;
  onChoose: (of: Observed) => void;
}) {
  return (
    <ul className="flex flex-col gap-2 lg:mt-3">
      {look.map((o) => (
        <li
          key={o.expectation.surface.id}
          className={`grid items-center gap-2 @lg:grid-cols-[8rem_1fr] ${
            o === at && look.length > 1 ? 'border-accent -ml-3 border-l-4 pl-2' : ''
          }`}
        >
          {look.length > 1 && (
            <button
              type="button"
              className="min-h-8 text-left font-semibold pointer-coarse:min-h-11"
              aria-pressed={o === at}
              onClick={() => onChoose(o)}
            >
              {o.expectation.surface.label}
            </button>
          )}
          <div className={`grid grid-cols-3 gap-2 ${look.length > 1 ? '' : '@lg:col-span-2'}`}>
            {optionsFor(o.expectation.surface).map((id) => (
              <AnswerButton key={id} of={o} id={id} alone={look.length === 1} onAnswer={onAnswer} />
            ))}
          </div>
        </li>
      ))}
    </ul>
  );
}

/** One answer of one surface; what was seen before is marked. */
function AnswerButton({
  of,
  id,
  alone,
  onAnswer,
}: {
  of: Observed;
  id: AnswerId;
  /** No other surface is asked in this look. */
  alone: boolean;
  onAnswer: (of: Observed, seen: AnswerId) => void;
}) {
  const { words, icon: Icon } = ANSWERS[id];
  const { check, surface } = of.expectation;
  const fresh = of.status === 'proven' || of.status === 'stop';
  const before = of.evidence?.seen === id;
  return (
    <button
      type="button"
      className="btn px-2 lg:min-h-14 lg:text-lg"
      aria-pressed={fresh && before}
      onClick={() => onAnswer(of, id)}
    >
      <Icon size={22} aria-hidden />
      {id === 'centre' && check.way === 'held' ? 'back at centre' : words}
      {!alone && <span className="sr-only">, {surface.label.toLowerCase()}</span>}
    </button>
  );
}
