import { carriedChannels, orderEdgesUs, type Chain } from '../../chain';
import { isOrder, type Mode, type Setup } from '../../setup';
import type { Watch } from './ranges';
import type { Cell, Table } from './table';

/** Pressing a recovery channel longer than any unit's delay. */
export const LONG_S = 60;

/** The channels that tell the unit what to do, with the pulses at which what they tell changes. */
export function watchOf(setup: Setup): Watch[] {
  const { inputs } = setup.unit.settings;
  const carried = Math.min(carriedChannels(setup), setup.transmitter.channels);
  const orders = inputs.filter((i) => isOrder(i.carries) && i.channel <= carried);
  return [...new Set(orders.map((i) => i.channel))]
    .toSorted((a, b) => a - b)
    .map((channel) => ({
      at: channel - 1,
      cutsUs: orders.flatMap((i) => (i.channel === channel ? orderEdgesUs(setup, i.carries) : [])),
    }));
}

/** What the unit makes of its orders anywhere in a cell. */
export interface Orders {
  mode: Mode;
  slot: number;
  recovering: boolean;
  /** Least and most gain of roll, pitch and yaw, percent. */
  gainLo: readonly number[];
  gainHi: readonly number[];
}

/** Asks the chain, from the link on, what the unit makes of a cell's pulses. */
export function ordersReader(
  chain: Chain,
  table: Pick<Table, 'watch'>,
): (cell: Pick<Cell, 'us'>) => Orders {
  const frame = chain.newFrame();
  const stimulus = chain.restStimulus();
  const memory = chain.newMemory();
  const rest = (() => {
    chain.step(stimulus, memory, frame);
    return frame.receivedUs.slice();
  })();
  const ask = (us: Float64Array, end: 0 | 1) => {
    frame.receivedUs.set(rest);
    table.watch.forEach(({ at }, i) => {
      frame.receivedUs[at] = us[2 * i + end]!;
    });
    memory.armed = true;
    memory.recoveryHeldS = LONG_S;
    memory.lastGainUs = NaN;
    memory.lastPortsUs.fill(NaN);
    memory.holdErrorDeg.fill(0);
    chain.fromLink(stimulus, memory, frame);
  };
  return ({ us }) => {
    // Just inside the ends, where neighbours with another meaning touch.
    const inner = us.slice();
    for (let i = 0; i < inner.length; i += 2) {
      const room = Math.min(0.001, (inner[i + 1]! - inner[i]!) / 4);
      inner[i]! += room;
      inner[i + 1]! -= room;
    }
    ask(inner, 0);
    const { mode, slot, recovering } = frame;
    const low = [...frame.gainPct];
    ask(inner, 1);
    return {
      mode,
      slot,
      recovering,
      gainLo: low.map((g, i) => Math.min(g, frame.gainPct[i]!)),
      gainHi: low.map((g, i) => Math.max(g, frame.gainPct[i]!)),
    };
  };
}
