import type { Box, Boxes } from './boxes';
import { Interner } from './intern';
import type { Ranges } from './ranges';
import type { Zones } from './zones';

/** What the program remembers: its latches and counters exactly, its clocks as a zone. */
export interface Remembered {
  bits: Int32Array;
  zone: Int32Array;
  /** How it came about: the memory before, and the box the hands were in; undefined at power-up. */
  from: { memory: number; box: Box } | undefined;
}

/** One moment of what remembers: the memory before and after, where the hands were, what was true. */
export interface Moment {
  before: number;
  memory: number;
  box: Box;
  truth: Uint8Array;
}

/** Memories that can be had at most, for each box that may be worked out. */
const MEMORIES_SHARE = 0.1;

/**
 * Everything that can be remembered, from power-up on: whatever the hands do between one moment and
 * the next, and however long they wait, until nothing new comes.
 * @param memories to be filled; its first is power-up @param controls that reach what remembers
 * @returns the moments, each kind once; undefined when there are too many
 */
export function reach(
  ranges: Ranges,
  zones: Zones,
  controls: readonly number[],
  boxes: Boxes,
  memories: Remembered[],
  limit: number,
): Moment[] | undefined {
  const moments: Moment[] = [];
  if (ranges.entries.length === 0)
    return [{ before: 0, memory: 0, box: boxes.of(ranges, controls), truth: ranges.truth.slice() }];
  const bits = new Interner();
  /** Memories by their bits; those whose clocks another allows already are not kept. */
  const alike: number[][] = [];
  const keep = (after: Int32Array, zone: Int32Array, from: Remembered['from']): number => {
    const list = (alike[bits.index(after)] ??= []);
    const known = list.find((i) => zones.holds(memories[i]!.zone, zone));
    if (known !== undefined) return known;
    memories.push({ bits: after.slice(), zone, from });
    list.push(memories.length - 1);
    return memories.length - 1;
  };
  alike[bits.index(memories[0]!.bits)] = [0];
  const kinds = new Interner();

  for (let m = 0; m < memories.length; m++) {
    ranges.before.set(memories[m]!.bits);
    const done = boxes.each(controls, ranges, () => {
      const zone = clocksAfter(ranges, zones, memories[m]!.zone);
      if (!zone) return true;
      const box = boxes.of(ranges, controls);
      const memory = keep(ranges.after, zone, { memory: m, box });
      const seen = kinds.size;
      const kind = kinds.index([bits.index(ranges.after), ...box.lo, ...box.hi, ...ranges.truth]);
      if (kind === seen) moments.push({ before: m, memory, box, truth: ranges.truth.slice() });
      return moments.length <= limit && memories.length <= limit * MEMORIES_SHARE;
    });
    if (!done) return undefined;
  }
  return moments;
}

/** What clocks can say after a moment; undefined when it cannot have been. */
function clocksAfter(ranges: Ranges, zones: Zones, before: Int32Array): Int32Array | undefined {
  const zone = before.slice();
  if (zones.size === 1) return zone;
  zones.letTimePass(zone);
  for (let i = 0; i < ranges.clocks.length; i += 3) {
    const clock = ranges.clocks[i]!;
    zones.atLeast(zone, clock, ranges.clocks[i + 1]!);
    if (ranges.clocks[i + 2]! >= 0) zones.atMost(zone, clock, ranges.clocks[i + 2]!);
  }
  if (!zones.close(zone)) return undefined;
  for (const clock of ranges.resets) zones.reset(zone, clock);
  zones.widen(zone);
  return zone;
}
