import type { Setup } from '../../../../setup';
import type { Dependency } from '../../part';

/** Everything that is entered and that no value on the channel monitor shows. */
export function partsOfEntry({ program, transmitter, installation }: Setup): Dependency[] {
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
