import type { Setup } from '../setup';
import { remembers, type Move } from './explore';
import type { Witness, WitnessStep } from './finding';

/** The way to a row, with more moves after it, as a witness. */
export function witnessOf(
  setup: Setup,
  path: readonly Move[],
  words: string,
  ...more: Move[]
): Witness {
  const { controls } = setup.transmitter;
  const steps: WitnessStep[] = [...path, ...more].map((m) =>
    'waitS' in m ? m : { control: controls[m.control]!.id, value: m.value },
  );
  const last: Record<string, number> = {};
  for (const s of steps) if ('control' in s) last[s.control] = s.value;
  // One control moved twice, or a wait, or something that remembers: then the order matters.
  const once = steps.length === Object.keys(last).length;
  const ordered = !once || setup.program.logic.some((_, i) => remembers(setup, i));
  return { controls: last, words, ...(ordered && steps.length > 0 ? { steps } : {}) };
}
