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
import { isUpright } from '@/core/chain';
import { aidsFor, controlsFor, type Expectation } from '@/core/directions';
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
  n: 'centre',
};

/** One movement, one surface, one answer; and help for those who could not see it. */
export function Question({
  observed,
  left,
  total,
  onAnswer,
  onSkip,
  onInstead,
  onBack,
  beside,
}: {
  observed: Observed;
  left: number;
  total: number;
  onAnswer: (seen: keyof typeof ANSWERS) => void;
  onSkip: (() => void) | undefined;
  onInstead: (other: Expectation) => void;
  onBack: (() => void) | undefined;
  /** What is asked in the same look. */
  beside?: React.ReactNode;
}) {
  const setup = useModel((s) => s.setup);
  const [unsure, setUnsure] = useState(0);
  const { check, surface } = observed.expectation;
  const options: (keyof typeof ANSWERS)[] = isUpright(surface)
    ? ['left', 'right', 'centre']
    : ['up', 'down', 'centre'];
  const aids = aidsFor(setup, observed.expectation);
  const aid = unsure > 0 ? aids[Math.min(unsure, aids.length) - 1] : undefined;
  useKeys((event, phase) => {
    if (phase === 'up') return;
    const pressed = event.key.length === 1 ? event.key.toLowerCase() : event.key;
    const answer = KEYS[pressed];
    if (answer && options.includes(answer)) {
      event.preventDefault();
      onAnswer(answer);
    } else if (pressed === 'u') setUnsure((n) => n + 1);
    else if (pressed === 's') onSkip?.();
    else if (pressed === 'i' && aid?.instead) onInstead(aid.instead);
    else if (pressed === 'Backspace') onBack?.();
  });
  const part =
    surface.role === 'wheel'
      ? 'Where did the front of the'
      : check.way === 'held'
        ? 'While you keep it there: which way is the trailing edge of the'
        : 'Which way did the trailing edge of the';
  const verb = surface.role === 'wheel' ? 'point?' : check.way === 'held' ? 'over?' : 'go?';
  const controls = controlsFor(setup, check);
  return (
    <section className="card" aria-labelledby="question-title" data-check={check.id}>
      <div className="flex items-baseline justify-between gap-3">
        <p className="text-soft text-sm">
          {check.kind === 'stick' ? 'Sticks' : `Corrections, ${check.mode ?? 'unit on'}`} ·{' '}
          {check.axis}
          {controls.length > 0 && <span className="text-ink"> · {controls.join(', ')}</span>}
        </p>
        <p className="text-soft shrink-0 text-sm" aria-live="polite">
          {left} of {total} to look at
        </p>
      </div>
      <div className="mt-2 grid items-center gap-4 sm:grid-cols-[1fr_14rem]">
        <div>
          <h2 id="question-title" className="text-2xl font-bold">
            {check.instruction}.
          </h2>
          <p className="mt-2 text-lg">
            {part} <strong>{surface.label.toLowerCase()}</strong> {verb}
          </p>
        </div>
        <MovementDrawing check={check} surfaceId={surface.id} />
      </div>
      <div className="mt-4 grid grid-cols-2 gap-2 sm:grid-cols-3">
        {options.map((id) => {
          const { words, icon: Icon } = ANSWERS[id];
          return (
            <button
              key={id}
              type="button"
              className={`btn min-h-16 text-xl ${id === 'centre' ? 'max-sm:col-span-2' : ''}`}
              onClick={() => onAnswer(id)}
            >
              <Icon size={24} aria-hidden />
              {id === 'centre' && check.way === 'held' ? 'back at centre' : words}
            </button>
          );
        })}
      </div>
      <div className="mt-2 flex flex-wrap gap-2">
        <button type="button" className="btn" onClick={() => setUnsure((n) => n + 1)}>
          <CircleHelp size={18} aria-hidden />
          could not tell
        </button>
        {onSkip && (
          <button type="button" className="btn" onClick={onSkip}>
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
              Look at it in {aid.instead.check.mode} instead
            </button>
          )}
        </div>
      )}
      <p className="text-soft mt-3 text-sm">
        {observed.evidence && observed.evidence.seen !== 'unseen'
          ? `Seen before: ${observed.evidence.seen === 'centre' ? 'did not move' : observed.evidence.seen}.`
          : 'Keys: arrows for the way it went, N did not move, U could not tell, S later.'}
      </p>
    </section>
  );
}
