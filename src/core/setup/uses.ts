import type { ChannelFunction } from './functions';
import { pointer } from './problem';
import type { Line } from './schema/program';
import { allReads, readsOfCondition, readsOfLine, readsOfSource, type Read } from './reads';
import type { Setup } from './schema/setup';

/** One thing a control does in a program. */
export interface Use {
  /** What it has a hand in. */
  of: 'channel' | 'call-out' | 'timer';
  channel?: number;
  carries?: ChannelFunction;
  purpose?: NonNullable<Line['purpose']>;
  /** Through a latch, a delay, an input or another channel, and not at once. */
  indirect: boolean;
  /** It only shifts a value by little. */
  trim: boolean;
  /** Where in the Setup (RFC 6901). */
  where: string;
}

const known = new WeakMap<Setup, Map<string, Use[]>>();

/**
 * What every control does, logic, inputs and other channels seen through. Worked out once: Setups
 * are immutable.
 * @returns by control id; one that does nothing is not in it
 */
export function usesOf(setup: Setup): ReadonlyMap<string, readonly Use[]> {
  const found = known.get(setup) ?? workOut(setup);
  known.set(setup, found);
  return found;
}

function workOut({ program }: Setup): Map<string, Use[]> {
  const uses = new Map<string, Use[]>();
  const add = (use: Omit<Use, 'indirect' | 'trim'>, direct: readonly Read[]): void => {
    const seen = new Set<string>();
    for (const read of allReads(program, direct)) {
      if (read.kind !== 'control' || seen.has(read.id)) continue;
      seen.add(read.id);
      const indirect = !direct.includes(read);
      const own = uses.get(read.id) ?? [];
      own.push({ ...use, indirect, trim: read.trim === true });
      uses.set(read.id, own);
    }
  };
  program.lines.forEach((line, i) => {
    const carries = program.outputs.find((o) => o.channel === line.channel)?.carries;
    add(
      {
        of: 'channel',
        channel: line.channel,
        ...(carries ? { carries } : {}),
        ...(line.purpose ? { purpose: line.purpose } : {}),
        where: pointer('program', 'lines', i),
      },
      readsOfLine(line),
    );
  });
  program.callouts.forEach((c, i) =>
    add({ of: 'call-out', where: pointer('program', 'callouts', i) }, [
      ...(c.when ? readsOfCondition(c.when) : []),
      ...(c.moved ? readsOfSource(c.moved.follows) : []),
      ...(c.reading ? readsOfSource(c.reading) : []),
    ]),
  );
  program.timers.forEach((t, i) =>
    add({ of: 'timer', where: pointer('program', 'timers', i) }, readsOfCondition(t.when)),
  );
  return uses;
}

/** The first control of one of these kinds that does nothing yet. */
export function freeControl(
  setup: Setup,
  kinds: readonly Setup['transmitter']['controls'][number]['kind'][],
): Setup['transmitter']['controls'][number] | undefined {
  const uses = usesOf(setup);
  return setup.transmitter.controls.find((c) => kinds.includes(c.kind) && !uses.has(c.id));
}
