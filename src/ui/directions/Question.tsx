'use client';

import { ArrowDown, ArrowLeft, ArrowRight, ArrowUp, CircleSlash, Undo2 } from 'lucide-react';
import { isUpright } from '@/core/chain';
import type { Observed } from '@/core/logbook';
import { useKeys } from '../frame/keys';
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

/** One movement, one surface, one answer. */
export function Question({
  observed,
  left,
  total,
  onAnswer,
  onBack,
}: {
  observed: Observed;
  left: number;
  total: number;
  onAnswer: (seen: keyof typeof ANSWERS) => void;
  onBack: (() => void) | undefined;
}) {
  const { check, surface } = observed.expectation;
  const options: (keyof typeof ANSWERS)[] = isUpright(surface)
    ? ['left', 'right', 'centre']
    : ['up', 'down', 'centre'];
  useKeys((event, phase) => {
    if (phase === 'up') return;
    const answer = KEYS[event.key] ?? KEYS[event.key.toLowerCase()];
    if (answer && options.includes(answer)) {
      event.preventDefault();
      onAnswer(answer);
    } else if (event.key === 'Backspace' && onBack) onBack();
  });
  const part =
    surface.role === 'wheel'
      ? 'Where did the front of the'
      : 'Which way did the trailing edge of the';
  return (
    <section className="card" aria-labelledby="question-title">
      <div className="flex items-baseline justify-between gap-3">
        <p className="text-soft text-sm">
          {check.kind === 'stick' ? 'Unit off, sticks' : 'Unit on, gain up'} · {check.axis}
        </p>
        <p className="text-soft text-sm" aria-live="polite">
          {left} of {total} to look at
        </p>
      </div>
      <div className="mt-2 grid items-center gap-4 sm:grid-cols-[1fr_14rem]">
        <div>
          <h2 id="question-title" className="text-2xl font-bold">
            {check.instruction}.
          </h2>
          <p className="mt-2 text-lg">
            {part} <strong>{surface.label.toLowerCase()}</strong>{' '}
            {surface.role === 'wheel' ? 'point?' : 'go?'}
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
              {words}
            </button>
          );
        })}
      </div>
      <div className="mt-3 flex flex-wrap items-center justify-between gap-2">
        <p className="text-soft text-sm">
          {observed.evidence && observed.evidence.seen !== 'unseen'
            ? `Seen before: ${observed.evidence.seen === 'centre' ? 'did not move' : observed.evidence.seen}.`
            : 'Keys: arrows for the way it went, N for did not move.'}
        </p>
        {onBack && (
          <button type="button" className="btn text-sm" onClick={onBack}>
            <Undo2 size={16} aria-hidden />
            take the last answer back
          </button>
        )}
      </div>
    </section>
  );
}
