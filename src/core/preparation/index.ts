import { scriptOf, type ScriptStep } from '../script';
import type { Setup } from '../setup';

const isGround = ({ airframe }: Setup) => airframe.kind === 'car' || airframe.kind === 'boat';

/** Knowing what is on the bench before anything is set. */
export function identifyScript(setup: Setup): ScriptStep[] {
  const { installation, unit } = setup;
  return scriptOf('identify', [
    [
      'versions',
      'Read hardware version, firmware and channel count off the unit and the transmitter, and write them down under Unit and Transmitter. Update first, set afterwards: an update may wipe settings.',
      [
        `unit: ${installation.unitHardware || 'hardware not written down'}, ${installation.unitFirmware || 'firmware not written down'}`,
        `transmitter: ${installation.transmitterFirmware || 'firmware not written down'}`,
        'the leaflet is for this version',
      ],
    ],
    ...(installation.secondHand
      ? [
          [
            'reset',
            'Second-hand, or its past unknown: reset it to its factory settings.',
            ['it says it is reset; no old setting is left'],
          ] as const,
        ]
      : []),
    [
      'bound',
      'Bind with the transmitter a step or two away, about 1.5 m (common practice, no source): too close fails.',
      [
        'the link light stays on after both were off and on again',
        ...(unit.traits.captureGestures.includes('menu')
          ? [
              'its menu shows: a menu that is missing means not bound, not powered, not updated or not reset',
            ]
          : []),
      ],
    ],
  ]);
}

/** Nothing can start by itself from here on. */
export function safeScript(setup: Setup): ScriptStep[] {
  if (setup.airframe.motors.length === 0) return [];
  return scriptOf('safe', [
    [
      'off',
      isGround(setup)
        ? 'Pinion out, or the driven wheels or propeller clear of everything.'
        : 'Propeller off.',
      ['nothing that turns can touch you, the bench or the model'],
    ],
    [
      'cut',
      'Throttle cut on. Move the throttle stick through its range, then cut off, stick at its resting place.',
      [
        'cut on: the motor stays still whatever the stick does',
        'cut off, stick at rest: it stays still',
      ],
    ],
  ]);
}

/** Everything of the unit entered as the sheet has it. */
export const unitScript = (setup: Setup): ScriptStep[] =>
  scriptOf('unit', [
    [
      'entered',
      'Go through the unit’s own settings with the sheet beside you: wing type, what each output carries, mode of each position, gains, fade, limits.',
      [
        'every line of the sheet’s unit part is ticked',
        ...(setup.unit.traits.slotsSettable
          ? ['no position holds a mode that is switched off inside the unit']
          : []),
      ],
    ],
  ]);
