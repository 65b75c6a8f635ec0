import { CENTRE_US, HALF_TRAVEL_US, carriedChannels, type Chain } from '../../chain';
import { isOrder, type Mode, type Setup } from '../../setup';
import type { Watch } from './ranges';
import type { Cell, Table } from './table';

/** Pressing a recovery channel longer than any unit's delay. */
export const LONG_S = 60;

/**
 * The channels that tell the unit what to do, and the pulses at which what they tell changes: edges
 * of mode bands, the middle of a gain, a recovery's threshold.
 */
export function watchOf(setup: Setup): Watch[] {
  const { traits, settings } = setup.unit;
  const select = traits.modeSelect;
  const carried = carriedChannels(setup);
  const cuts = new Map<number, Set<number>>();
  const put = (channel: number, ...us: number[]) => {
    const at = channel - 1;
    cuts.set(at, new Set([...(cuts.get(at) ?? []), ...us]));
  };
  for (const { carries, channel } of settings.inputs) {
    if (!isOrder(carries) || channel > setup.transmitter.channels || channel > carried) continue;
    if (carries === 'mode' && 'bands' in select)
      put(channel, ...select.bands.flatMap((b) => [b.fromUs, b.toUs]));
    else if (carries === 'mode2' && 'bands' in select)
      put(channel, ...select.bands.flatMap((b) => [b.secondFromUs ?? 0, b.secondToUs ?? 9999]));
    else if (carries === 'recovery') put(channel, settings.recovery?.thresholdUs ?? CENTRE_US);
    else {
      const learned = setup.installation.travelCapture?.find((t) => t.carries === carries);
      const centre = learned?.centreUs ?? CENTRE_US;
      put(channel, CENTRE_US, centre);
      if (carries === 'gain' && select.by === 'gain-sign') {
        const down = centre - (learned?.minUs ?? CENTRE_US - HALF_TRAVEL_US);
        const up = (learned?.maxUs ?? CENTRE_US + HALF_TRAVEL_US) - centre;
        put(channel, centre - (select.deadPct / 100) * down, centre + (select.deadPct / 100) * up);
      }
    }
  }
  return [...cuts]
    .toSorted(([a], [b]) => a - b)
    .map(([at, us]) => ({
      at,
      cutsUs: [...us].filter((x) => x > 0 && x < 9999).toSorted((a, b) => a - b),
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
