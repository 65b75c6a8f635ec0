export { steeringScript } from './steering';
import { lightWords, modeWords, movementOf, throwsOf } from '../chain';
import { scriptOf, type ScriptStep } from '../script';
import { meansOf, settingGroups, type Means, type Row } from '../settings';
import { handWords, isDevice, kindOf, type Setup } from '../setup';
import { gainLeadWords, leadsOf, leadWords } from '../wiring';

/** Knowing what is on the bench before anything is set. */
export function identifyScript(setup: Setup): ScriptStep[] {
  const { installation, unit } = setup;
  return scriptOf('identify', [
    [
      'versions',
      'Read hardware version, firmware and channel count off the unit and the transmitter, and write them down. Update first, set afterwards: an update may wipe settings.',
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
      `${kindOf(setup.airframe).safe}.`,
      ['nothing that turns can touch you, the bench or the model'],
    ],
  ]);
}

/** How a hand makes sure of what it has entered. */
const CONFIRMED: Record<Means, string> = {
  menu: 'enter it, leave the menu, go in again and read it back',
  switches: 'set it, then look at the switches again',
  button: 'set it, then count the blinks it answers with',
  dials: 'turn it with a small screwdriver, then look again',
  taught: 'teach it, and see that it confirms',
};

/** Every line of the unit's settings, entered and confirmed. */
export function unitScript(setup: Setup): ScriptStep[] {
  const how = CONFIRMED[meansOf(setup.unit)];
  return scriptOf('unit', [
    ...settingGroups(setup).map(
      (group) =>
        [group.id, `${group.title}: ${how}.`, group.rows.map((row) => rowWords(row))] as const,
    ),
    ...(signsOf(setup.unit).length > 0
      ? [
          [
            'signs',
            'Switch it off and on with the model lying still, then go through its modes.',
            signsOf(setup.unit),
          ] as const,
        ]
      : []),
    ...(setup.unit.traits.slotsSettable
      ? [
          [
            'enabled',
            'Go through the unit’s modes once more.',
            ['no position holds a mode that is switched off inside the unit'],
          ] as const,
        ]
      : []),
  ]);
}

/** What it shows of itself as it is switched on, and in each of its modes. */
function signsOf(unit: Setup['unit']): string[] {
  const { traits, settings } = unit;
  const { twitchesAtPowerUp: twitches, lights } = traits;
  const shown = lights.filter((l) => settings.slots.includes(l.mode) && l.colour !== 'none');
  return [
    ...(twitches > 0
      ? [`the surfaces twitch ${twitches === 1 ? 'once' : `${twitches} times`}`]
      : []),
    ...shown.map((l) => `${modeWords(unit, l.mode)}: ${lightWords(unit, l)}`),
  ];
}

const rowWords = ({ about, name, words, how }: Row): string =>
  `${about ? `${name} ` : ''}${words}${how ? ` (${how})` : ''}`;

/** The model as it must be with the unit off, before anything is built on it. */
export function plainScript(setup: Setup): ScriptStep[] {
  const { surfaces } = setup.airframe;
  const gainLead = gainLeadWords(setup);
  const { onSurface: ground, edge } = kindOf(setup.airframe);
  const hands = handWords(setup.transmitter);
  const extras = surfaces.filter((s) => isDevice(setup.airframe, s));
  const motor = setup.airframe.motors.length > 0;
  const cut = setup.intents.program.cut;
  return scriptOf('plain-model', [
    [
      'plugs',
      'Battery out. Follow every lead from its plug to its end.',
      [...leadsOf(setup).map(leadWords), ...(gainLead ? [gainLead] : [])],
    ],
    ...(motor
      ? [
          [
            'cut',
            cut
              ? 'Switch the throttle cut on and move the throttle through its full range. Then close the throttle and release the cut.'
              : 'Leave the throttle closed and switch everything on.',
            [
              ...(cut ? ['cut on: the motor stays still whatever the throttle does'] : []),
              `${cut ? 'cut released, ' : ''}throttle closed: it stays still`,
            ],
          ] as const,
        ]
      : []),
    [
      'centres',
      `Unit off, trims in the middle, ${hands.all} let go.`,
      [
        ground
          ? 'the steering in line: by its rod first, by subtrim only for the rest'
          : 'every surface in line: by its rod first, by subtrim only for the rest',
      ],
    ],
    // What steers on wheels or water has a station of its own for these.
    ...(ground
      ? []
      : ([
          [
            'throws',
            `Unit off. Move every stick from end to end and measure at the ${edge}.`,
            throwsOf(setup).map(({ surface, low, high }) =>
              throwWords(setup, surface, [low, high]),
            ),
          ],
          [
            'ends',
            'Hold every stick at each of its ends and listen.',
            ['no servo hums, no rod bends, nothing touches'],
          ],
        ] as const)),
    ...(extras.length > 0
      ? [
          [
            'flaps',
            'Work flaps, gear and brake through their positions.',
            extras.map(
              (s) => `${s.label.toLowerCase()} moves with its own switch, and with nothing else`,
            ),
          ] as const,
        ]
      : []),
  ]);
}

function throwWords(
  { airframe }: Setup,
  id: string,
  ends: readonly { surfaceDeg: number; edgeMm: number }[],
): string {
  const surface = airframe.surfaces.find((s) => s.id === id)!;
  const words = ends.map(
    ({ surfaceDeg, edgeMm }) =>
      `${Math.abs(edgeMm).toFixed(0)} mm (${Math.abs(surfaceDeg).toFixed(0)}°) ${movementOf(surface, surfaceDeg)}`,
  );
  return `${surface.label.toLowerCase()}: ${words.join(', ')}`;
}
