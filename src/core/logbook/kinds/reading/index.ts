import type { Setup } from '../../../setup';
import { readBacksOf } from '../../../sheets';
import { coneOf } from '../../../verify';
import type { EvidenceKind } from '../kind';
import type { Dependency } from '../part';
import { bareLine } from '../shared';

/** A value off the channel monitor, the controls as in a pose. */
export const reading: EvidenceKind<'reading'> = {
  asked(setup, { pose, channel }) {
    const found = readBacksOf(setup).find((r) => r.id === pose && r.channel === channel);
    return found && [{ ...found.hands }, Math.round(found.predictedPct)];
  },
  isKnown: (setup, about) => reading.asked(setup, about) !== undefined,
  takes: (seen) => seen.endsWith('%'),
  parts: (setup, { channel }) => partsOfReading(setup, channel),
  sharing: ({ channel }) => `channel ${channel}`,
};

/** Everything a value on the channel monitor depends on. */
function partsOfReading(setup: Setup, channel: number): Dependency[] {
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
