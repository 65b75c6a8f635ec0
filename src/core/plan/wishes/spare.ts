import { switchPosition } from '../../chain';
import { devicesOf, type Device } from '../../model';
import type { DeviceWish, ProgramWishes, Setup } from '../../setup';
import { flapPlaces } from './devices';
import { addLine, kindOf, labelOf, type Draft } from './draft';
import { combinations } from './modes';

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
    const line = { channel: output.channel, effect: 'adds', purpose: 'other' } as const;
    const [low, high] = [atPct[0]!, atPct.at(-1)!];
    if (atPct.length < 3 || atPct[1] === (low + high) / 2) {
      addLine(draft, {
        ...line,
        id: `device-${device}`,
        label: `${servo.label} by ${labelOf(setup, control)}`.slice(0, 80),
        follows: { kind: 'control', id: control },
        sharePct: (high - low) / 2,
        shiftPct: (high + low) / 2,
      });
      continue;
    }
    combinations(setup, [control]).forEach(({ when, words }, i) =>
      addLine(draft, {
        ...line,
        id: `device-${device}-${i + 1}`,
        label: `${servo.label}: ${words}`.slice(0, 80),
        follows: { kind: 'fixed' },
        sharePct: atPct[i]!,
        when,
      }),
    );
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
  const { rest } = setup.transmitter.controls.find((c) => c.id === control)!;
  const kind = kindOf(setup, control);
  const restsAt =
    kind.startsWith('switch') || kind === 'momentary' ? switchPosition(kind, rest) : 0;
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
