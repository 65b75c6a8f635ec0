import type { Condition, Line, Setup } from '../setup';

/** One summand of a channel: a share of what it follows, shifted, while every condition holds. */
export interface Mix {
  /** Lines it comes from; a mix that takes another out carries both. */
  from: string[];
  follows: Line['follows'];
  shape: string | undefined;
  sharePct: number;
  shiftPct: number;
  when: Condition[];
}

/**
 * A channel's lines as a sum, for transmitters that only add. A line that takes over becomes itself
 * plus, for everything before it, the same with the sign reversed under its condition: the value
 * is the same in every state.
 * @returns undefined where a line scales, which no sum can do
 */
export function asMixes(setup: Setup, channel: number): Mix[] | undefined {
  let mixes: Mix[] = [];
  for (const line of setup.program.lines) {
    if (line.channel !== channel) continue;
    if (line.effect === 'scales') return undefined;
    const own: Mix = {
      from: [line.id],
      follows: line.follows,
      shape: line.shape,
      sharePct: line.sharePct,
      shiftPct: line.shiftPct,
      when: line.when ? [line.when] : [],
    };
    if (line.effect === 'takes-over' && !line.when) mixes = [];
    else if (line.effect === 'takes-over') {
      const taken = mixes
        .filter((m) => !excluded(m.when, line.when!))
        .map((m) => ({
          ...m,
          from: [...m.from, line.id],
          sharePct: -m.sharePct,
          shiftPct: -m.shiftPct,
          when: [...m.when, line.when!],
        }));
      mixes = [...mixes, ...taken];
    }
    mixes.push(own);
  }
  return mixes;
}

/** Two positions of one switch never hold together. */
function excluded(all: readonly Condition[], other: Condition): boolean {
  const places = (c: Condition): Condition[] => (c.kind === 'all' ? c.of.flatMap(places) : [c]);
  const theirs = places(other);
  return all
    .flatMap(places)
    .some((a) =>
      theirs.some(
        (b) =>
          a.kind === 'switch' &&
          b.kind === 'switch' &&
          a.control === b.control &&
          a.position !== b.position,
      ),
    );
}
