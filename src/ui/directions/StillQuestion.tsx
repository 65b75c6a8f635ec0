'use client';

import { Check as Tick } from 'lucide-react';
import type { Observed, StillLook } from '@/core/logbook';
import { StatusMark } from '../status/StatusMark';

const settled = (status: StillLook['status']) => status === 'proven' || status === 'stop';

/** While a stick is held: does anything else move? One look at the whole model answers it. */
export function StillQuestion({
  look,
  beside = false,
  onNothing,
  onMoved,
}: {
  look: StillLook;
  /** Under a question about the same stick, whose instruction is there already. */
  beside?: boolean;
  onNothing: () => void;
  onMoved: (member: Observed) => void;
}) {
  const question = 'Does anything else on the model move with it?';
  const buttons = (
    <div className="mt-2 flex flex-wrap gap-2">
      <button type="button" className="btn" onClick={onNothing}>
        <Tick size={18} aria-hidden />
        nothing else moves
      </button>
      {look.members.map((o) => (
        <button
          key={o.expectation.surface.id}
          type="button"
          className="btn"
          onClick={() => onMoved(o)}
        >
          {o.expectation.surface.label.toLowerCase()} moves
        </button>
      ))}
    </div>
  );
  if (beside)
    return (
      <div className="mt-3 border-t border-(--card-edge) pt-3">
        <p className="flex flex-wrap items-center gap-3">
          {question}
          {settled(look.status) && <StatusMark status={look.status} />}
        </p>
        {!settled(look.status) && buttons}
      </div>
    );
  return (
    <section className="card" aria-labelledby="still-title">
      <h2 id="still-title" className="text-2xl font-bold">
        {look.check.instruction}.
      </h2>
      <p className="mt-2 text-lg">{question}</p>
      {buttons}
    </section>
  );
}
