import { isOrder, roleOf, type Line, type Setup } from '../../setup';
import { coneOf } from '../../verify';
import type { Dependency } from './part';

/** Nothing for a model that has none, so that what was seen of it before there was such a thing still counts. */
export const measuredSteering = ({ steering }: Setup['airframe']): readonly unknown[] =>
  steering ? [steering] : [];

/** A line by what it does: nothing refers to it by its id, and why it is there changes nothing. */
export const bareLine = ({ id: _, note: __, ...line }: Line) => line;

/** What some channels are made of: their lines, and the rates and expo of the inputs these read. */
export function makeupOf({ program }: Setup, channels: readonly number[]): unknown[] {
  const lines = program.lines.filter((l) => channels.includes(l.channel));
  const read = new Set(lines.flatMap((l) => (l.follows.kind === 'input' ? [l.follows.id] : [])));
  return [lines.map(bareLine), program.inputs.filter((i) => read.has(i.id))];
}

export const orderInputs = ({ unit }: Setup) =>
  unit.settings.inputs.filter((i) => isOrder(i.carries));

/** The program of every channel the unit takes orders from. */
export function ordersOf(setup: Setup): unknown {
  const { program } = setup;
  const channels = orderInputs(setup).map((i) => i.channel);
  return [
    program.lines.filter((l) => channels.includes(l.channel)).map(bareLine),
    coneOf(setup, channels).logic.map((i) => program.logic[i]),
    program.outputs.filter((o) => channels.includes(o.channel)),
  ];
}

/** The way from throttle stick to motor, with the cut on it. */
export function throttlePart({ program, airframe, transmitter }: Setup): Dependency {
  const throttles = program.outputs.filter((o) => roleOf(o.carries) === 'motor');
  return {
    key: 'throttle',
    title: 'the throttle',
    value: [
      throttles,
      program.lines.filter((l) => throttles.some((o) => o.channel === l.channel)).map(bareLine),
      airframe.motors.map((m) => [m.stopUs, m.fullUs]),
      transmitter.throttleReversedInside,
    ],
  };
}

export const unitWork = ({ installation }: Setup): Dependency => ({
  key: 'unit-memory',
  title: 'the unit (reset, firmware)',
  value: [
    installation.revisions.unitReset,
    installation.revisions.unitFirmware,
    installation.unitFirmware,
    installation.unitHardware,
  ],
});

export const bodyWork = ({ installation }: Setup): Dependency => ({
  key: 'body-work',
  title: 'a servo, a linkage or the model (work recorded)',
  value: [
    installation.revisions.servoReplaced,
    installation.revisions.linkageChanged,
    installation.revisions.crash,
  ],
});
