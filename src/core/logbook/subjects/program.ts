import type { Setup } from '../../setup';
import { coneOf } from '../../verify';
import type { Part } from '../part';
import { bareLine } from './shared';

/** Everything a value on the channel monitor depends on. */
export function partsOfReading(setup: Setup, channel: number): Part[] {
  const { program, transmitter, installation } = setup;
  const cone = coneOf(setup, [channel]);
  const controls = cone.controls.map((at) => transmitter.controls[at]!.id);
  const { revisions } = installation;
  return [
    {
      key: `lines:${channel}`,
      title: `the lines of channel ${channel}`,
      value: program.lines.filter((l) => l.channel === channel).map(bareLine),
    },
    {
      key: `logic:${channel}`,
      title: `the logic behind channel ${channel}`,
      value: cone.logic.map((i) => program.logic[i]),
    },
    {
      key: `inputs:${channel}`,
      title: `rates and expo on channel ${channel}`,
      value: program.inputs.filter((i) => controls.includes(i.control)),
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

/** Everything that is entered and that no value on the channel monitor shows. */
export function partsOfEntry({ program, transmitter, installation }: Setup): Part[] {
  return [
    {
      key: 'unshown',
      title: 'failsafe presets, call-outs, timers or waits of the program',
      value: [
        program.failsafe,
        program.callouts,
        program.timers,
        program.logic,
        program.outputs.map((o) => [o.channel, o.slowS ?? 0]),
      ],
    },
    {
      key: 'scale',
      title: 'the transmitter’s scale or firmware',
      value: [
        transmitter.pulse,
        installation.transmitterFirmware,
        installation.revisions.transmitterFirmware,
      ],
    },
  ];
}
