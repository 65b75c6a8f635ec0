import { WISHES, type Setup, type WishId } from '../../setup';
import { writeCut } from './cut';
import { writeBrake, writeCapture, writeFlaps, writeGear } from './devices';
import { draftOf, type Draft } from './draft';
import { writeFailsafe } from './failsafe';
import { writeGain } from './gain';
import { withWhatIsRead, type Hanging } from './hanging';
import { writeMixes } from '../mixes';
import { writeLock } from './lock';
import { writeLaunch } from './launch';
import { writeModes } from './modes';
import { writePanic } from './panic';
import { placed } from './place';
import { writeReverse } from './reverse';
import { writeRates } from './rates';
import { writeDevices } from './spare';
import { writeSticks } from './sticks';
import { writeTimer, writeVoice } from './voice';

/** What is written for a choice that was chosen; nothing for one that was not. */
type Writers = {
  [W in Exclude<WishId, 'sticks'>]: (
    draft: Draft,
    wish: NonNullable<Setup['intents']['program'][W]>,
  ) => void;
};

/** Every choice; a new one is a file and a line here. */
const WRITERS: Writers = {
  flaps: writeFlaps,
  gear: writeGear,
  brake: writeBrake,
  mixes: writeMixes,
  devices: writeDevices,
  capture: writeCapture,
  modes: writeModes,
  gain: writeGain,
  lock: writeLock,
  reverse: writeReverse,
  rates: writeRates,
  launch: writeLaunch,
  panic: writePanic,
  cut: writeCut,
  voice: writeVoice,
  timer: writeTimer,
  failsafe: writeFailsafe,
};

export interface Rewritten {
  setup: Setup;
  reasons: string[];
  notes: string[];
  /** Entries of the person's that stand where the choice would have written. */
  kept: string[];
  /** What it writes no more and others read: it stays, and somebody must say what becomes of it. */
  hanging: Hanging;
}

/**
 * Writes one choice as it stands in the Setup, and nothing else: its entries of the program, and the
 * settings of the unit that belong to it. Written again unchanged, it changes no byte.
 * @param over takes the place of entries that the person has changed by hand
 */
export function rewrite(setup: Setup, wish: WishId, over = false): Rewritten {
  const draft = draftOf(setup, wish);
  if (wish === 'sticks') writeSticks(draft);
  else writeOne(draft, wish);
  const { reasons, notes } = draft;
  const base = {
    ...setup.program,
    // Rates stand within inputs that another choice owns.
    ...(wish === 'rates' ? { inputs: draft.setup.program.inputs } : {}),
    // How slowly a device moves belongs to its channel.
    ...(wish === 'flaps' || wish === 'gear' || wish === 'devices'
      ? { outputs: draft.setup.program.outputs }
      : {}),
  };
  const { program: fresh, kept } = placed(base, wish, unshared(draft.own), over);
  const { program, hanging } = withWhatIsRead(setup.program, fresh, wish);
  return { setup: { ...setup, program, unit: draft.setup.unit }, reasons, notes, kept, hanging };
}

/** No two entries share a part: changing one must not change another. */
const unshared = (own: Draft['own']): Draft['own'] =>
  JSON.parse(JSON.stringify(own)) as Draft['own'];

function writeOne<W extends keyof Writers>(draft: Draft, wish: W): void {
  const wished = draft.setup.intents.program[wish];
  if (wished !== undefined)
    WRITERS[wish](draft, wished as NonNullable<Setup['intents']['program'][W]>);
}

/** Every choice written, in the order in which they have their say. */
export function rewriteAll(setup: Setup, over = false): Omit<Rewritten, 'kept' | 'hanging'> {
  const reasons: string[] = [];
  const notes: string[] = [];
  let next = setup;
  for (const wish of WISHES) {
    const written = rewrite(next, wish, over);
    next = written.setup;
    reasons.push(...written.reasons);
    notes.push(...written.notes);
  }
  return { setup: next, reasons, notes };
}
