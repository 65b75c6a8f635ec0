import { controlWords } from '../chain';
import { difference } from '../patch';
import { usualWishes, writeWishes } from '../plan';
import type { ProgramWishes, Setup } from '../setup';
import { remembers, type Move } from './explore';
import type { Remedy, Witness, WitnessStep } from './finding';
import type { Proof, ProofRow } from './proof';

/** A row of the proof in words: its switches, and what is remembered. */
export function rowWords(setup: Setup, proof: Proof, row: ProofRow): string {
  const controls = proof.controls.flatMap((id, i) => {
    const control = setup.transmitter.controls.find((c) => c.id === id)!;
    const value = row.values[i]!;
    // Sticks let go, knobs that may stand anywhere and buttons not pressed go without saying.
    const idle =
      (control.kind === 'stick' || control.kind === 'momentary' || control.kind === 'trim') &&
      value === control.rest;
    const anywhere = row.hi[i]! - row.lo[i]! >= 199;
    return idle || anywhere ? [] : [controlWords(control, Math.round(value))];
  });
  return [...controls, ...row.remembered].join(', ') || 'everything at rest';
}

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

/** A repair that writes the program anew with the wishes changed; none where that cannot be done. */
export function rewritten(
  setup: Setup,
  label: string,
  change: (wishes: ProgramWishes) => ProgramWishes,
): Remedy[] {
  const wishes = setup.intents.program ?? usualWishes(setup);
  const next = writeWishes(setup, change(wishes));
  if (!next.ok) return [];
  const patch = difference(setup, next.setup);
  return patch.length === 0 ? [] : [{ label, patch }];
}
