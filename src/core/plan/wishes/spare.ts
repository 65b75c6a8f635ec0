import { devicesOf, type Device } from '../../model';
import type { DeviceWish, ProgramWishes, Setup } from '../../setup';
import { flapPlaces } from './devices';
import { TURNABLE } from '../offers/kinds';
import { byPosition } from './by-position';
import { kindOf, labelOf, restOf, restPosition, type Draft } from './draft';

/**
 * Winch, lights, hook: what each does in each position of its control, on the channel of its lead.
 */
export function writeDevices(draft: Draft, wishes: NonNullable<ProgramWishes['devices']>): void {
  const { setup, reasons } = draft;
  for (const { device, control, atPct, seconds } of wishes) {
    const servo = setup.airframe.servos.find((s) => s.id === device)!;
    const output = setup.program.outputs.find((o) => o.carries === servo.carries);
    if (!output) {
      reasons.push(`No channel is free for the ${servo.label.toLowerCase()}.`);
      continue;
    }
    if (seconds) output.slowS = seconds;
    else delete output.slowS;
    byPosition(draft, control, atPct, {
      id: `device-${device}`,
      channel: output.channel,
      purpose: 'other',
      follows: `${servo.label} by ${labelOf(setup, control)}`,
      at: (words) => `${servo.label}: ${words}`,
    });
  }
}

/**
 * A device on a control: where the control rests nothing happens, its other states come in the order of the
 * positions.
 */
export function deviceOn(
  setup: Setup,
  { id, states, safePct }: Device,
  control: string,
): DeviceWish {
  const places = flapPlaces(setup, control);
  // Anything that rests between its ends is safe in the middle of what it does.
  if (TURNABLE.includes(kindOf(setup, control)) && restOf(setup, control) === 0)
    return { device: id, control, atPct: [states[0]!.pct, states.at(-1)!.pct] };
  const restsAt = restPosition(setup, control);
  const others = states.filter((s) => s.pct !== safePct).map((s) => s.pct);
  if (places < states.length) others.reverse();
  const atPct = Array.from({ length: places }, (_, i) =>
    i === restsAt ? safePct : (others.shift() ?? safePct),
  );
  return { device: id, control, atPct };
}

/** Devices the model has, each with what it was chosen to do, or nothing. */
export const devicesWished = ({ airframe }: Setup, { devices = [] }: ProgramWishes) =>
  devicesOf(airframe).map((d) => ({
    ...d,
    wished: devices.find((w) => w.device === d.device.id),
  }));
