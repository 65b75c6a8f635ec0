import { stickOf } from '../chain';
import type { StickHolds, Transmitter, Unit } from '../setup';
import type { Experiment } from './experiment';

/** A stick this far out counts as held at its end. */
const AT_END_PCT = 90;

type Doing = Pick<Experiment, 'controls' | 'act'>;

/**
 * Whether doing it would also be a gesture that teaches the unit something: sticks in a corner, as its description
 * has it, or two sticks at their ends where nobody knows which corner.
 */
export function wouldTeach(
  unit: Unit,
  transmitter: Transmitter,
  { controls, act }: Doing,
): boolean {
  const held = new Map(Object.entries(controls));
  if (act.kind === 'stab') held.set(act.stick, 100);
  if (act.kind === 'lost') held.set(act.stick, act.pct);
  const out = transmitter.controls.filter(
    (c) => c.kind === 'stick' && Math.abs(held.get(c.id) ?? c.rest) >= AT_END_PCT && held.has(c.id),
  );
  if (out.length > 1 && unit.traits.captureGestures.includes('stick-corners')) return true;
  const isHeld = (holds: StickHolds) =>
    holds.every(({ stick, at }) => {
      const control = transmitter.controls[stickOf(transmitter, stick)];
      const value = control && (held.get(control.id) ?? control.rest);
      return value !== undefined && value * at >= AT_END_PCT * 100;
    });
  const level = unit.traits.levelCapture;
  return (
    (level?.by === 'corner' && isHeld(level.holds)) ||
    (unit.traits.gestures ?? []).some((g) => isHeld(g.holds))
  );
}
