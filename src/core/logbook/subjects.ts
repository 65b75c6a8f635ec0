import { carriedChannels } from '../chain';
import type { Setup } from '../setup';
import { coneOf } from '../verify';
import type { Part } from './part';

/** Everything a value on the channel monitor depends on. */
export function partsOfReading(setup: Setup, channel: number, asked: unknown): Part[] {
  const { program, transmitter, installation } = setup;
  const cone = coneOf(setup, [channel]);
  const controls = cone.controls.map((at) => transmitter.controls[at]!.id);
  const { revisions } = installation;
  return [
    { key: 'asked', title: 'what is to be read', value: asked },
    {
      key: `lines:${channel}`,
      title: `the lines of channel ${channel}`,
      value: program.lines
        .filter((l) => l.channel === channel)
        .map(({ label: _, ...line }) => line),
    },
    {
      key: `logic:${channel}`,
      title: `the logic behind channel ${channel}`,
      value: cone.logic.map((i) => program.logic[i]),
    },
    {
      key: `inputs:${channel}`,
      title: `rates and expo on channel ${channel}`,
      value: program.inputs
        .filter((i) => controls.includes(i.control))
        .map(({ label: _, ...input }) => input),
    },
    {
      key: `output:${channel}`,
      title: `reverse, ends or subtrim of channel ${channel}`,
      value: program.outputs.find((o) => o.channel === channel),
    },
    {
      key: 'scale',
      title: 'the transmitter’s scale or firmware',
      value: [transmitter.pulse, installation.transmitterFirmware, revisions.transmitterFirmware],
    },
  ];
}

const strip = ({ label: _, ...line }: Setup['program']['lines'][number]) => line;

const orderInputs = ({ unit }: Setup) =>
  unit.settings.inputs.filter((i) => /^(mode|gain|recovery)/.test(i.carries));

/** The program of every channel the unit takes orders from. */
export function ordersOf(setup: Setup): unknown {
  const { program } = setup;
  const channels = orderInputs(setup).map((i) => i.channel);
  return [
    program.lines.filter((l) => channels.includes(l.channel)).map(strip),
    coneOf(setup, channels).logic.map((i) => program.logic[i]),
    program.outputs.filter((o) => channels.includes(o.channel)),
  ];
}

/** What a test of panic or failsafe with the model in hand depends on. */
export function partsOfTest(setup: Setup, test: 'panic' | 'failsafe'): Part[] {
  const { program, unit, installation, transmitter } = setup;
  const { settings, traits } = unit;
  const { revisions } = installation;
  const shared: Part[] = [
    {
      key: 'orders',
      title: 'the program of mode, gain or panic',
      value: ordersOf(setup),
    },
    {
      key: 'unit-modes',
      title: 'the modes set in the unit',
      value: [settings.slots, traits.modeSelect, orderInputs(setup)],
    },
    {
      key: 'unit-work',
      title: 'the unit (reset, firmware, moved)',
      value: [
        revisions.unitReset,
        revisions.unitFirmware,
        installation.unitFirmware,
        revisions.unitMoved,
        installation.mounting,
        settings.orientation,
      ],
    },
    {
      key: 'model-work',
      title: 'the model (servo, linkage, crash)',
      value: [revisions.servoReplaced, revisions.linkageChanged, revisions.crash],
    },
    {
      key: 'radio',
      title: 'the radio (module, firmware, link)',
      value: [
        revisions.radioModule,
        revisions.transmitterFirmware,
        installation.transmitterFirmware,
        carriedChannels({ transmitter }),
        transmitter.pulse,
      ],
    },
  ];
  if (test === 'panic')
    return [
      ...shared,
      {
        key: 'recovery',
        title: 'recovery and angle limits in the unit',
        value: [settings.recovery, settings.angleLimitsDeg, traits.panic],
      },
    ];
  const throttles = program.outputs.filter((o) => o.carries.startsWith('throttle'));
  return [
    ...shared,
    {
      key: 'failsafe',
      title: 'the failsafe',
      value: [program.failsafe, settings.failsafe, traits.failsafe],
    },
    {
      key: 'throttle',
      title: 'the throttle',
      value: [
        throttles,
        program.lines.filter((l) => throttles.some((o) => o.channel === l.channel)).map(strip),
        setup.airframe.motors.map((m) => [m.stopUs, m.fullUs]),
      ],
    },
  ];
}
