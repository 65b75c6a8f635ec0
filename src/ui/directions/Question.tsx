'use client';

import { CircleHelp, SkipForward, Undo2 } from 'lucide-react';
import { useMemo, useState } from 'react';
import { isUpright, modeWords } from '@/core/chain';
import {
  aidsFor,
  controlsFor,
  modeOf,
  stateOf,
  type Check,
  type Expectation,
} from '@/core/directions';
import { AXIS_NAMES, type Surface } from '@/core/setup';
import { isOpen, type Observed } from '@/core/logbook';
import { useKeys } from '../open/keys';
import { useModel } from '../open/modelStore';
import { AnswerRows, TogetherButtons } from './AnswerButtons';
import { optionsFor, togetherFor, type SurfaceAnswer } from '@/core/asking';
import { KEYS } from './answers';
import { usePut } from '../live/usePut';
import { MovementDrawing } from './MovementDrawing';

/** Stands for the surfaces in a question. */
const NAMED = '\uFFFC';

/** "Is the trailing edge of the left aileron up or down?", what stands before and after the surfaces. */
function asks(check: Check, { role }: Surface, several: boolean): readonly string[] {
  const whole =
    role === 'wheel'
      ? several
        ? `Where did the fronts of the ${NAMED} point?`
        : `Where did the front of the ${NAMED} point?`
      : check.way !== 'held'
        ? several
          ? `Which way did the trailing edges of the ${NAMED} go?`
          : `Which way did the trailing edge of the ${NAMED} go?`
        : isUpright({ role })
          ? `While you keep it there: is the trailing edge of the ${NAMED} left or right?`
          : several
            ? `While you keep it there: are the trailing edges of the ${NAMED} up or down?`
            : `While you keep it there: is the trailing edge of the ${NAMED} up or down?`;
  return whole.split(NAMED).map((part) => part.trim());
}

/** One movement, an answer for the surfaces it should move; and help for those who could not see it. */
export function Question({
  look,
  at,
  left,
  total,
  chosen,
  onAnswer,
  onChoose,
  onSkip,
  onInstead,
  onBack,
  beside,
}: {
  /** Everything asked of this one movement. */
  look: readonly Observed[];
  /** The one the keys answer where the surfaces are asked one by one. */
  at: Observed;
  left: number;
  total: number;
  /** This one surface was chosen from the lists. */
  chosen: boolean;
  onAnswer: (answers: readonly SurfaceAnswer[]) => void;
  onChoose: (of: Observed) => void;
  onSkip: ((of: readonly Observed[]) => void) | undefined;
  onInstead: (other: Expectation) => void;
  onBack: (() => void) | undefined;
  /** What is asked in the same look. */
  beside?: React.ReactNode;
}) {
  const setup = useModel((s) => s.setup);
  const [unsure, setUnsure] = useState(0);
  const [oneByOne, setOneByOne] = useState(chosen);
  const { check, surface } = at.expectation;
  const together = oneByOne || !look.every(isOpen) ? [] : togetherFor(look, check);
  const asked = together.length > 0 ? look : [at];
  const aids = aidsFor(setup, at.expectation);
  const aid = unsure > 0 ? aids[Math.min(unsure, aids.length) - 1] : undefined;
  useKeys((event, phase) => {
    if (phase === 'up') return false;
    const pressed = event.key.length === 1 ? event.key.toLowerCase() : event.key;
    const answer = KEYS[pressed];
    const whole = together.find((t) => t.key === pressed);
    if (whole) {
      event.preventDefault();
      onAnswer(whole.answers);
    } else if (together.length === 0 && answer && optionsFor(surface).includes(answer)) {
      event.preventDefault();
      onAnswer([[at, answer]]);
    } else if (pressed === 'o' && together.length > 0) setOneByOne(true);
    else if (pressed === 'u') setUnsure((n) => n + 1);
    else if (pressed === 's' && onSkip) onSkip(asked);
    else if (pressed === 'i' && aid?.instead) onInstead(aid.instead);
    else if (pressed === 'Backspace' && onBack) onBack();
    else return pressed.startsWith('Arrow');
    return true;
  }, true);
  usePut(useMemo(() => stateOf(setup, check), [setup, check]));
  const controls = controlsFor(setup, check);
  const mode = modeOf(setup, check);
  const [before, after] = asks(check, surface, asked.length > 1);
  return (
    <section className="card" aria-labelledby="question-title" data-check={check.id}>
      <div className="flex items-baseline justify-between gap-3">
        <p className="text-soft text-sm">
          {mode ? `Unit: ${modeWords(setup.unit, mode)}` : 'Unit on'} · {AXIS_NAMES[check.axis]} ·{' '}
          <span className="text-ink">
            {[...controls.map((c) => c.label), 'everything else at rest'].join(', ')}
          </span>
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
            {before}{' '}
            {asked.map((o, i) => (
              <span key={o.expectation.surface.id}>
                {i > 0 && (i === asked.length - 1 ? ' and the ' : ', the ')}
                <strong>{o.expectation.surface.label.toLowerCase()}</strong>
              </span>
            ))}{' '}
            {after}
          </p>
        </div>
        <div className="mx-auto w-full max-w-56 @lg:max-w-none">
          <MovementDrawing check={check} surfaceIds={asked.map((o) => o.expectation.surface.id)} />
        </div>
      </div>
      <div className="pinned">
        {together.length > 0 ? (
          <TogetherButtons
            together={together}
            onAnswer={onAnswer}
            onOneByOne={() => setOneByOne(true)}
          />
        ) : (
          <AnswerRows
            look={look}
            at={at}
            onAnswer={(of, seen) => onAnswer([[of, seen]])}
            onChoose={onChoose}
          />
        )}
        <div className="mt-2 flex flex-wrap gap-2">
          <button type="button" className="btn" onClick={() => setUnsure((n) => n + 1)}>
            <CircleHelp size={18} aria-hidden />
            could not tell
          </button>
          {onSkip && (
            <button type="button" className="btn" onClick={() => onSkip(asked)}>
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
    </section>
  );
}
