import { applyPatch, type PatchOperation } from '../patch';
import { parseSetup, type Setup } from '../setup';
import { monitorOf } from './monitor';
import type { ReadBack } from './poses';
import { wrongEntries, type WrongEntry } from './wrong';

/** What a person read off the monitor, by the id of the read-back. */
export type Readings = Readonly<Record<string, number>>;

/** A single wrong entry that would make the transmitter show what was read. */
export type Explanation = Omit<WrongEntry, 'channel'>;

export interface Mismatch {
  readBack: ReadBack;
  readPct: number;
}

/** Readings further from the prediction than monitors and knobs account for. */
export function mismatches(readBacks: readonly ReadBack[], readings: Readings): Mismatch[] {
  return readBacks.flatMap((readBack) => {
    const readPct = readings[readBack.id];
    return readPct !== undefined &&
      Math.abs(readPct - readBack.predictedPct) > readBack.tolerancePct
      ? [{ readBack, readPct }]
      : [];
  });
}

/**
 * Which single wrong entry explains every reading: each thing a finger can get wrong is tried on the
 * chain, and those that give what was read everywhere are named, the commonest first.
 */
export function explain(
  setup: Setup,
  readBacks: readonly ReadBack[],
  readings: Readings,
): Explanation[] {
  if (mismatches(readBacks, readings).length === 0) return [];
  // What differs first: most candidates fail there at once.
  const wrongIds = new Set(mismatches(readBacks, readings).map((m) => m.readBack.id));
  const asked = readBacks
    .filter((r) => readings[r.id] !== undefined)
    .toSorted((a, b) => Number(wrongIds.has(b.id)) - Number(wrongIds.has(a.id)));
  const fits = (patch: PatchOperation[]): boolean => {
    const wrong = applyPatch(setup, patch);
    const { read } = monitorOf(wrong);
    const same = asked.every(
      (r) => Math.abs(read(r.channel, r.hands).pct - readings[r.id]!) <= r.tolerancePct,
    );
    return same && parseSetup(wrong).ok;
  };
  const chained = setup.program.lines.some((l) => l.follows.kind === 'channel');
  const wrongChannels = new Set(asked.filter((r) => wrongIds.has(r.id)).map((r) => r.channel));
  const found = wrongEntries(setup)
    .filter((c) => chained || c.channel === undefined || wrongChannels.has(c.channel))
    .filter((c) => fits(c.patch))
    .map(({ step, says, patch }): Explanation => ({ step, says, patch }));
  const swapped = swaps(setup, asked, readings);
  const seen = new Set<string>();
  return [...found, ...swapped].filter((e) => !seen.has(e.says) && seen.add(e.says));
}

/** Two channels read for one another: what was entered for one sits on the other. */
function swaps(setup: Setup, asked: readonly ReadBack[], readings: Readings): Explanation[] {
  const { read } = monitorOf(setup);
  const channels = setup.program.outputs.map((o) => o.channel);
  const found: Explanation[] = [];
  for (const a of channels)
    for (const b of channels) {
      if (b <= a) continue;
      const touched = asked.filter((r) => r.channel === a || r.channel === b);
      const fits = asked.every((r) => {
        const other = r.channel === a ? b : r.channel === b ? a : r.channel;
        return Math.abs(read(other, r.hands).pct - readings[r.id]!) <= r.tolerancePct;
      });
      if (touched.length > 0 && fits)
        found.push({
          step: `output ${a}`,
          says: `Channels ${a} and ${b} are exchanged.`,
          patch: [],
        });
    }
  return found;
}
