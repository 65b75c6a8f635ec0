import { difference } from '../patch';
import { applyPlan, planFor, writeWishes } from '../plan';
import type { ProgramWishes, Setup } from '../setup';
import type { Remedy } from './finding';

/** A repair that writes the program again with the choices changed; none where that cannot be done. */
export function rewritten(
  setup: Setup,
  label: string,
  change: (wishes: ProgramWishes) => ProgramWishes,
): Remedy[] {
  const next = writeWishes(setup, change(setup.intents.program));
  if (!next.ok) return [];
  const patch = difference(setup, next.setup);
  return patch.length === 0 ? [] : [{ label, patch }];
}

/** A repair that plans the channels again with the choices and pins there are; none where that cannot be done. */
export function replanned(setup: Setup, label: string): Remedy[] {
  const { wishes, pins } = setup.intents;
  const plan = planFor(setup);
  if (plan.impossible.length > 0) return [];
  const patch = difference(setup, applyPlan(setup, plan, wishes, pins));
  return patch.length === 0 ? [] : [{ label, patch }];
}
