import type { ChannelFunction, ProgramWishes, Setup, WishId } from '../../setup';
import { addLine, channelOf, held, kindOf, labelOf, type Draft } from './draft';
import { byPosition } from './by-position';
import { lowers } from './senses';
import { WISH_TITLES } from './words';

/** Share of the aileron travel that flaperons give away as flaps. Common practice, no source. */
const FLAPERON_SHARE = 0.5;

const FLAPS = ['flap', 'flap2', 'flaperon-left', 'flaperon-right'] as const;

/**
 * Flaps: so far down in each position of their control. Which side of each channel is down is asked
 * of the chain, so that rods and reversals are seen through and flaps at rest lie in the wing.
 */
export function writeFlaps(draft: Draft, wish: NonNullable<ProgramWishes['flaps']>): void {
  const { setup } = draft;
  slowed(draft, ['flap', 'flap2'], wish.seconds);
  for (const { carries, channel } of setup.program.outputs) {
    if (!FLAPS.some((f) => f === carries)) continue;
    const whole = carries.startsWith('flaperon') ? FLAPERON_SHARE : 1;
    const sense = lowers(setup, channel, ['flap', 'flaperon']) ?? 1;
    const valueOf = (pct: number) => Math.round(pct * whole * (sense || 1));
    byPosition(draft, wish.control, wish.downPct.map(valueOf), {
      id: `flaps-${carries}`,
      channel,
      purpose: carries.startsWith('flaperon') ? 'mix' : 'other',
      follows: `Flaps by ${labelOf(setup, wish.control)}`,
      at: (words, i) => `${words}: flaps ${wish.downPct[i]} % down`,
    });
  }
}

/** How long the channels of a device take from one end to the other; at once where nothing is said. */
function slowed(
  { setup }: Draft,
  devices: readonly ChannelFunction[],
  seconds: number | undefined,
): void {
  for (const output of setup.program.outputs) {
    if (!devices.includes(output.carries)) continue;
    if (seconds) output.slowS = seconds;
    else delete output.slowS;
  }
}

/** A channel that follows a control from end to end. */
function follow(draft: Draft, wish: WishId, carries: ChannelFunction, control: string): void {
  const { setup } = draft;
  for (const output of setup.program.outputs)
    if (output.carries === carries)
      addLine(draft, {
        id: wish,
        label: `${WISH_TITLES[wish]} by ${labelOf(setup, control)}`,
        channel: output.channel,
        follows: { kind: 'control', id: control },
        effect: 'adds',
        purpose: 'other',
      });
}

/** Gear: up and down by a switch. */
export function writeGear(draft: Draft, wish: NonNullable<ProgramWishes['gear']>): void {
  slowed(draft, ['gear'], wish.seconds);
  follow(draft, 'gear', 'gear', wish.control);
}

/** Wheel brake: off and on by a switch. */
export const writeBrake = (draft: Draft, wish: NonNullable<ProgramWishes['brake']>): void =>
  follow(draft, 'brake', 'brake', wish.control);

/** A capture channel rests on its middle, and is off it while its control is away from its rest. */
export function writeCapture(draft: Draft, wish: NonNullable<ProgramWishes['capture']>): void {
  const { setup } = draft;
  const channel = channelOf(setup, 'capture');
  if (channel === undefined) {
    draft.reasons.push('No channel is free for the capture.');
    return;
  }
  const on = held(setup, wish.control);
  addLine(draft, {
    id: 'capture',
    label: `Capture, ${labelOf(setup, wish.control)}`.slice(0, 80),
    channel,
    follows: { kind: 'fixed' },
    when: on,
    effect: 'adds',
    purpose: 'other',
  });
}

/** How many values a flap control needs: one for each position, of a lever one for each end. */
export const flapPlaces = (setup: Setup, control: string): number =>
  kindOf(setup, control) === 'switch-3' ? 3 : 2;
