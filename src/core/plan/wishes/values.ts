import {
  CENTRE_US,
  HALF_TRAVEL_US,
  edgesWithinUs,
  gainOf,
  pulseUs,
  shapeOutput,
} from '../../chain';
import type { GainLaw, Setup, UnitTraits } from '../../setup';

/** A channel nobody has set anything for. */
const UNTOUCHED = { reversed: false, subtrimPct: 0, minPct: -100, maxPct: 100 };

/**
 * What the lines of a channel must add up to for the transmitter to send a pulse: the output stage
 * undone (subtrim, endpoint of its side, reversal), on this transmitter's scale.
 * @returns in the steps it is entered in; beyond ±100 where the endpoint is in the way
 */
export function rawFor(setup: Setup, channel: number, us: number): number {
  const { pulse } = setup.transmitter;
  const { reversed, subtrimPct, minPct, maxPct } =
    setup.program.outputs.find((o) => o.channel === channel) ?? UNTOUCHED;
  const shaped = ((us - pulse.centreUs) / pulse.usAt100) * 100 - subtrimPct;
  const share = shaped < 0 ? -minPct : maxPct;
  const value = share === 0 ? 0 : (shaped / share) * 100;
  const perPct = Math.round(1 / (setup.transmitter.stepPct ?? 1));
  return Math.round((reversed ? -value : value) * perPct) / perPct || 0;
}

/** The pulse a channel sends when its lines add up to this. */
export function pulseFor(setup: Setup, channel: number, raw: number): number {
  const output = setup.program.outputs.find((o) => o.channel === channel) ?? UNTOUCHED;
  return pulseUs(setup.transmitter.pulse, shapeOutput(output, raw));
}

/** A pulse nearer to the edge of its band than this is moved to the middle of it. */
const ROOM_US = 60;

/**
 * The value to enter so that a channel lands in a band of pulses: a plain −100, 0 or +100 where
 * that leaves room to both edges, else the middle of what the channel can reach of the band.
 * @returns undefined when the channel cannot reach the band at all
 */
export function valueInBand(
  setup: Setup,
  channel: number,
  fromUs: number,
  toUs: number,
): number | undefined {
  const within = edgesWithinUs(setup.unit);
  const room = (raw: number) => {
    const us = pulseFor(setup, channel, raw);
    return Math.min(us - fromUs, toUs - us) - within;
  };
  const [plain] = [-100, 0, 100].toSorted((a, b) => room(b) - room(a));
  if (room(plain!) >= ROOM_US || setup.transmitter.switchOnly.includes(channel))
    return room(plain!) > 0 ? plain : undefined;
  const reach = [pulseFor(setup, channel, -100), pulseFor(setup, channel, 100)];
  const low = Math.max(fromUs, Math.min(...reach));
  const high = Math.min(toUs, Math.max(...reach));
  return high > low ? rawFor(setup, channel, (low + high) / 2) : undefined;
}

/** A knob's whole turn laid over the useful part of a gain law: value = share × knob + shift. */
export function knobToGain(law: GainLaw): { sharePct: number; shiftPct: number } {
  // Only −100…+100 uses the knob as it is; the others waste or mirror its lower half.
  return law === 'full-range' ? { sharePct: 100, shiftPct: 0 } : { sharePct: 50, shiftPct: 50 };
}

/** Share of full gain to the pulse that asks for it; `side` chooses the set where the sign does. */
export function gainPulse(law: GainLaw, pct: number, side: 1 | -1 = 1): number {
  const share = pct / 100;
  const value =
    law === 'full-range' ? 2 * share - 1 : law === 'sign-selects-set' ? side * share : share;
  return CENTRE_US + HALF_TRAVEL_US * value;
}

/** Gain a pulse stands for, in percent. */
export const gainAt = (law: GainLaw, us: number): number =>
  100 * gainOf(law, (us - CENTRE_US) / HALF_TRAVEL_US);

/** The pulse bands a slot of the mode select answers to, on its first and second channel. */
export function bandOf(
  select: UnitTraits['modeSelect'],
  slot: number,
): { fromUs: number; toUs: number; secondFromUs?: number; secondToUs?: number } | undefined {
  if (select.by !== 'bands' && select.by !== 'two-channels') return undefined;
  const band = select.bands.find((b) => b.slot === slot);
  if (!band) return undefined;
  const { fromUs, toUs, secondFromUs, secondToUs } = band;
  return secondFromUs === undefined || secondToUs === undefined
    ? { fromUs, toUs }
    : { fromUs, toUs, secondFromUs, secondToUs };
}
