'use client';

import {
  ArrowDown,
  ArrowLeft,
  ArrowRight,
  ArrowUp,
  CircleHelp,
  CircleSlash,
  SkipForward,
  Undo2,
} from 'lucide-react';
import { useState } from 'react';
import { isUpright, modeWords } from '@/core/chain';
import { aidsFor, controlsFor, type Check, type Expectation } from '@/core/directions';
import type { Surface } from '@/core/setup';
import type { Observed } from '@/core/logbook';
import { useKeys } from '../frame/keys';
import { useModel } from '../frame/modelStore';
import { MovementDrawing } from './MovementDrawing';

const ANSWERS = {
  up: { words: 'up', icon: ArrowUp },
  down: { words: 'down', icon: ArrowDown },
  left: { words: 'left', icon: ArrowLeft },
  right: { words: 'right', icon: ArrowRight },
  centre: { words: 'did not move', icon: CircleSlash },
} as const;

const KEYS: Record<string, keyof typeof ANSWERS> = {
  ArrowUp: 'up',
  ArrowDown: 'down',
  ArrowLeft: 'left',
  ArrowRight: 'right',
  x: 'centre',
};

type AnswerId = keyof typeof ANSWERS;

const optionsFor = (surface: Surface): AnswerId[] =>
  isUpright(surface) ? ['left', 'right', 'centre'] : ['up', 'down', 'centre'];

/** "Is the left aileron's trailing edge up or down?" */
function asks(check: Check, { role }: Surface): readonly [before: string, after: string] {
  const [a, b] = isUpright({ role }) ? ['left', 'right'] : ['up', 'down'];
  if (role === 'wheel') return ['Where did the front of the', 'point?'];
  return check.way === 'held'
    ? ['While you keep it there: is the trailing edge of the', `${a} or ${b}?`]
    : ['Which way did the trailing edge of the', 'go?'];
}

/** One movement, an answer for each surface it should move; and help for those who could not see it. */
export function Question({
  look,
  at,
  left,
  total,
  onAnswer,
  onChoose,
  onSkip,
  onInstead,
  onBack,
  beside,
}: {
  /** Everything asked of this one movement. */
  look: readonly Observed[];
  /** The one the keys answer. */
  at: Observed;
  left: number;
  total: number;
  onAnswer: (of: Observed, seen: AnswerId) => void;
  onChoose: (of: Observed) => void;
  onSkip: ((of: Observed) => void) | undefined;
  onInstead: (other: Expectation) => void;
  onBack: (() => void) | undefined;
  /** What is asked in the same look. */
  beside?: React.ReactNode;
}) {
  const setup = useModel((s) => s.setup);
  const [unsure, setUnsure] = useState(0);
  const { check, surface } = at.expectation;
  const aids = aidsFor(setup, at.expectation);
  const aid = unsure > 0 ? aids[Math.min(unsure, aids.length) - 1] : undefined;
  useKeys((event, phase) => {
    if (phase === 'up') return false;
    const pressed = event.key.length === 1 ? event.key.toLowerCase() : event.key;
    const answer = KEYS[pressed];
    if (answer && optionsFor(surface).includes(answer)) {
      event.preventDefault();
      onAnswer(at, answer);
    } else if (pressed === 'u') setUnsure((n) => n + 1);
    else if (pressed === 's' && onSkip) onSkip(at);
    else if (pressed === 'i' && aid?.instead) onInstead(aid.instead);
    else if (pressed === 'Backspace' && onBack) onBack();
    else return pressed.startsWith('Arrow');
    return true;
  }, true);
  const controls = controlsFor(setup, check);
  const [before, after] = asks(check, surface);
  return (
    <section className="card" aria-labelledby="question-title" data-check={check.id}>
      <div className="flex items-baseline justify-between gap-3">
        <p className="text-soft text-sm">
          {check.kind === 'stick'
            ? 'Unit off'
            : check.mode
              ? modeWords(setup.unit, check.mode)
              : 'Unit on'}{' '}
          · {check.axis}
          {controls.length > 0 && <span className="text-ink"> · {controls.join(', ')}</span>}
        </p>
        <p className="text-soft shrink-0 text-sm" aria-live="polite">
          {left} of {total} left
        </p>
      </div>
      <div className="mt-1 grid items-center gap-4 @lg:grid-cols-[1fr_13rem]">
        <div>
          <h2 id="question-title" className="text-2xl font-bold">
            {check.instruction}.
          </h2>
          <p className="mt-2 text-lg">
            {before} <strong>{surface.label.toLowerCase()}</strong> {after}
          </p>
        </div>
        <MovementDrawing check={check} surfaceId={surface.id} />
      </div>
      <ul className="mt-3 flex flex-col gap-2">
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
                <AnswerButton
                  key={id}
                  of={o}
                  id={id}
                  alone={look.length === 1}
                  onAnswer={onAnswer}
                />
              ))}
            </div>
          </li>
        ))}
      </ul>
      <div className="mt-2 flex flex-wrap gap-2">
        <button type="button" className="btn" onClick={() => setUnsure((n) => n + 1)}>
          <CircleHelp size={18} aria-hidden />
          could not tell
        </button>
        {onSkip && (
          <button type="button" className="btn" onClick={() => onSkip(at)}>
            <SkipForward size={18} aria-hidden />
            later
          </button>
        )}
        {onBack && (
          <button type="button" className="btn" onClick={onBack}>
            <Undo2 size={18} aria-hidden />
            take the last answer back
          </button>
        )}
      </div>
      {beside}
      {aid && (
        <div
          className="border-accent mt-3 border-l-4 pl-3"
          role="status"
          aria-label="A way to see it"
        >
          <p className="font-bold">
            {aid.title}
            <span className="text-soft text-sm font-normal">
              {' '}
              · way {Math.min(unsure, aids.length)} of {aids.length}
            </span>
          </p>
          <p>{aid.does}</p>
          {aid.instead && (
            <button
              type="button"
              className="btn btn-main mt-2"
              onClick={() => onInstead(aid.instead!)}
            >
              Look at it in{' '}
              {aid.instead.check.mode && modeWords(setup.unit, aid.instead.check.mode)} instead
            </button>
          )}
        </div>
      )}
      <p className="text-soft mt-3 text-sm">
        Keys: arrows for the way it went, x did not move, u could not tell, s later.
      </p>
    </section>
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
      className="btn min-h-14 px-2 text-lg"
      aria-pressed={fresh && before}
      onClick={() => onAnswer(of, id)}
    >
      <Icon size={22} aria-hidden />
      {id === 'centre' && check.way === 'held' ? 'back at centre' : words}
      {!alone && <span className="sr-only">, {surface.label.toLowerCase()}</span>}
    </button>
  );
}
