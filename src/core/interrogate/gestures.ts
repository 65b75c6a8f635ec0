import { stickOf } from '../chain';
import type { StickHolds, Transmitter, Unit } from '../setup';
import type { Experiment } from './experiment';

/** A stick this far out counts as held at its end. */
const AT_END_PCT = 90;

type Doing = Pick<Experiment, 'controls' | 'steps'>;

/**
 * Whether doing it would also be a gesture that teaches the unit something: sticks in a corner, as its description
 * has it, or two sticks at their ends where nobody knows which corner.
 */
export function wouldTeach(
  unit: Unit,
  transmitter: Transmitter,
  { controls, steps }: Doing,
): boolean {
  const held = new Map(Object.entries(controls));
  for (const { act } of steps) {
    if (act.kind === 'stab') held.set(act.stick, 100);
    if (act.kind === 'lost') held.set(act.stick, act.pct);
  }
  const out = new Set(
    transmitter.controls.flatMap((c) =>
      c.kind === 'stick' && Math.abs(held.get(c.id) ?? 0) >= AT_END_PCT ? [c.id] : [],
    ),
  );
  if (out.size > 1 && unit.traits.captureGestures.includes('stick-corners')) return true;
  // To either end: a channel that is reversed moves the corner to the other.
  const isHeld = (holds: StickHolds) =>
    holds.every(({ stick }) => {
      const control = transmitter.controls[stickOf(transmitter, stick)];
      return control !== undefined && (out.has(control.id) || Math.abs(control.rest) >= AT_END_PCT);
    });
  const level = unit.traits.levelCapture;
  return (
    (level?.by === 'corner' && isHeld(level.holds)) ||
    (unit.traits.gestures ?? []).some((g) => isHeld(g.holds))
  );
}
