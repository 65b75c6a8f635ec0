'use client';

import { Check as Tick } from 'lucide-react';
import { isOpen, type Observed, type StillLook } from '@/core/logbook';
import { useKeys } from '../open/keys';
import { StatusMark } from '../status/StatusMark';
import { AXIS_STICK } from './words';

const LIST = new Intl.ListFormat('en-GB');

/** While a stick is held: does anything else move? One look at the whole model answers it for all sticks. */
export function StillQuestion({
  looks,
  beside = false,
  onNothing,
  onMoved,
}: {
  looks: readonly StillLook[];
  /** Under a question about the same stick, whose instruction is there already. */
  beside?: boolean;
  onNothing: () => void;
  onMoved: (member: Observed) => void;
}) {
  const open = looks.filter(isOpen);
  useKeys((event, phase) => {
    if (phase === 'up' || beside || event.key !== 'y') return false;
    onNothing();
    return true;
  }, !beside);
  const several = looks.length > 1;
  const moved = ({ check, members }: StillLook) =>
    members.map((o) => (
      <button
        key={o.expectation.surface.id}
        type="button"
        className="btn"
        onClick={() => onMoved(o)}
      >
        {o.expectation.surface.label.toLowerCase()} moves
        {several && <span className="sr-only"> with the {AXIS_STICK[check.axis]}</span>}
      </button>
    ));
  const nothing = (
    <button type="button" className={`btn ${beside ? '' : 'btn-main'}`} onClick={onNothing}>
      <Tick size={18} aria-hidden />
      nothing else moves
    </button>
  );
  if (beside)
    return (
      <div className="mt-3 border-t border-(--card-edge) pt-3">
        <p className="flex flex-wrap items-center gap-3">
          Does anything else on the model move with it?
          {open.length === 0 && <StatusMark status={looks[0]!.status} />}
        </p>
        {open.length > 0 && (
          <div className="mt-2 flex flex-wrap gap-2">
            {nothing}
            {looks.map(moved)}
          </div>
        )}
      </div>
    );
  return (
    <section className="card" aria-labelledby="still-title">
      <h2 id="still-title" className="text-2xl font-bold">
        {several
          ? `Move ${LIST.format(looks.map((l) => `the ${AXIS_STICK[l.check.axis]}`))} again, one after the other.`
          : `${looks[0]!.check.instruction}.`}
      </h2>
      <p className="mt-2 text-lg">
        {several
          ? 'Does anything else on the model move with one of them?'
          : 'Does anything else on the model move with it?'}
      </p>
      <div className="mt-2">{nothing}</div>
      <ul className="mt-3 flex flex-col gap-2">
        {looks.map((look) => (
          <li key={look.check.id} className="flex flex-wrap items-center gap-2">
            {several && <span className="w-32">{AXIS_STICK[look.check.axis]}:</span>}
            {moved(look)}
          </li>
        ))}
      </ul>
      <p className="text-soft mt-3 text-sm pointer-coarse:hidden">Key: y nothing else moves.</p>
    </section>
  );
}
