import {
  compileChain,
  controlWords,
  modeWords,
  positionsOf,
  switchValue,
  UNIT_DRIVES,
  UNIT_STEERS,
} from '../chain';
import { allExpectations, controlsFor, type Expectation } from '../directions';
import { gainKnobOf } from '../plan';
import { afterLoss } from '../recovery';
import { scriptOf, type ScriptStep } from '../script';
import { handWords, kindOf, type Mode, type Setup } from '../setup';

/** One check before every flight or run, made from the Setup. */
export type PreflightItem = ScriptStep;
/** Checks made in one go, from one place beside the model. */
export interface Round {
  title: string;
  items: PreflightItem[];
}

/** What is done, and what must be seen. */
type Line = readonly [item: string, does: string, sees: readonly string[]];

const say = ({ surface, movement }: Expectation) => `${surface.label.toLowerCase()} ${movement}`;

/** Where the gain control is planned to stand, in words. */
function gainWords(setup: Setup): string | undefined {
  const wish = setup.intents.program.gain;
  const label = (id: string) => setup.transmitter.controls.find((c) => c.id === id)?.label ?? id;
  if (!wish) {
    const knob = gainKnobOf(setup);
    return (
      knob &&
      `${knob.control.label} at half or less (common practice, no source), where you can find it by touch`
    );
  }
  switch (wish.by) {
    case 'knob':
      return `${label(wish.control)} at half or less, where you can find it by touch`;
    case 'values':
      return `${label(wish.control)}: ${wish.pct.map((p) => `${p} %`).join(', ')}; start at the lowest`;
    case 'flap':
      return `gain off on ${label(wish.off)}, then as the flaps have it: ${wish.pct.map((p) => `${p} %`).join(', ')}`;
    case 'axes':
      return `${[wish.roll, wish.pitch, wish.yaw].flatMap((c) => (c ? [label(c)] : [])).join(', ')} at half or less`;
    case 'sets':
      return `${label(wish.control)}: ${wish.pct} % to either side`;
    case 'fixed':
      return `fixed at ${wish.pct} %: nothing to set`;
  }
}

/** Every distinct position of the mode switches and the mode it gives, by the chain. */
function modesBySwitch(setup: Setup): { words: string; mode: Mode }[] {
  const chain = compileChain(setup);
  const frame = chain.newFrame();
  const { controls } = setup.transmitter;
  const modeOf = (at: number, value: number) => {
    const stimulus = chain.restStimulus();
    stimulus.controls[at] = value;
    const memory = chain.newMemory();
    memory.armed = true;
    chain.step(stimulus, memory, frame);
    return frame.mode;
  };
  return controls.flatMap((control, at) => {
    if (control.kind !== 'switch-2' && control.kind !== 'switch-3') return [];
    const found = Array.from({ length: positionsOf(control.kind) }, (_, p) => {
      const value = switchValue(control.kind, p);
      return { words: controlWords(control, value), mode: modeOf(at, value) };
    });
    return new Set(found.map((f) => f.mode)).size > 1 ? found : [];
  });
}

/** Launch help, tried with the model in hand: on, and let go again. */
function launchOf(setup: Setup): Line[] {
  const { launch } = setup.intents.program;
  if (!launch) return [];
  const control = setup.transmitter.controls.find((c) => c.id === launch.control)!;
  return [
    [
      'launch',
      `Model in hand, as for a throw. Hold ${control.label} for ${launch.holdS} s, then let it go. Afterwards move the aileron stick.`,
      [
        `the elevator goes up by ${launch.elevatorPct} % of its throw and stays there`,
        'the elevator trim does not change it',
        'with the stick moved the elevator is back where it was',
      ],
    ],
  ];
}

/** The card in rounds: surfaces, modes, gain, panic, link, range, motor; in the order they are done. */
export function preflightRounds(setup: Setup): Round[] {
  const { onSurface: ground, go, heldFor } = kindOf(setup.airframe);
  const motors = setup.airframe.motors.length > 0;
  const expected = allExpectations(setup);
  const groups = (pick: (e: Expectation) => boolean) =>
    [...new Set(expected.filter(pick).map((e) => e.check.id))].map((id) => ({
      check: expected.find((e) => e.check.id === id)!.check,
      sees: expected.filter((e) => e.check.id === id).map(say),
    }));
  const modes = modesBySwitch(setup);
  const gain = gainWords(setup);
  const { recovery } = setup.unit.settings;
  const lost = afterLoss(setup);
  const homes = lost.mode === 'home';
  const panics = setup.program.lines.some((l) => l.purpose === 'panic');
  const { title: hands } = handWords(setup.transmitter);
  const rounds: Record<string, readonly Line[]> = {
    'Before anything moves': [
      [
        'look',
        `Look it over: leads, aerials, tape of the unit, horns and rods, battery.${motors ? ` ${kindOf(setup.airframe).moves === 'wheels' ? 'Pinion in' : 'Propeller on'} and tight: throttle cut on, and the model held, until the run-up.` : ''}`,
        ['nothing loose, nothing bent, the unit where it was'],
      ],
    ],
    [hands]: groups((e) => e.check.kind === 'stick').map(({ check, sees }): Line => [
      check.id,
      `${check.instruction}.`,
      sees,
    ]),
    'Model moved by hand': groups((e) => e.check.kind === 'correction' && !e.check.again).map(
      ({ check, sees }, i, all): Line => {
        // What stands as it did for the line before is not said again.
        const controls = controlsFor(setup, check).join(', ');
        const before = all[i - 1] && controlsFor(setup, all[i - 1]!.check).join(', ');
        const set = controls === '' || controls === before ? '' : `${controls}. `;
        return [check.id, `${set}${check.instruction}.`, sees];
      },
    ),
    'Switches and knobs': [
      ...(modes.length > 0
        ? [
            [
              'modes',
              'Mode switch through its positions: look at the light, or at what the unit does.',
              modes.map((m) => `${m.words}: ${modeWords(setup.unit, m.mode)}`),
            ] as const,
          ]
        : []),
      ...(gain ? [['gain', 'Gain where it is to start.', [gain]] as const] : []),
      ...(panics || recovery
        ? [
            [
              'panic',
              'Tip it over to one side and press panic.',
              ['it works toward level, and stops when you let go'],
            ] as const,
          ]
        : []),
      ...launchOf(setup),
    ],
    'Radio link': [
      ...(homes && setup.unit.traits.arming === 'position-fix'
        ? [
            [
              'fix',
              'Wait with the model in the open until the unit has its position fix.',
              ['the unit shows that it knows where home is'],
            ] as const,
          ]
        : []),
      [
        'link',
        `${motors ? `Model held${lost.unitDrives ? ', everybody clear of the propeller' : ''}. ` : ''}Transmitter off, and on again.`,
        [
          ...(homes ? [`the unit goes into ${modeWords(setup.unit, 'home')}`] : []),
          ...(motors
            ? [
                lost.unitDrives
                  ? UNIT_DRIVES
                  : lost.motorPct < 5
                    ? 'the motor stands still'
                    : `WRONG in the program: the motor runs on at ${lost.motorPct.toFixed(0)} %`,
              ]
            : []),
          ...(lost.unitSteers ? [UNIT_STEERS] : []),
          `${ground ? 'the steering does' : 'surfaces do'} what the failsafe has ${ground ? 'it' : 'them'} do, and ${ground ? 'follows' : 'follow'} again afterwards`,
        ],
      ],
      [
        'range',
        'Range check as your transmitter has it.',
        [
          ground
            ? 'the steering does not twitch at its distance'
            : 'no surface twitches at its distance',
        ],
      ],
    ],
    Motor: motors
      ? [
          [
            'run-up',
            `${heldFor}: full throttle for five seconds, unit on.`,
            [
              `${ground ? 'the steering' : 'every surface'} stays still: twitching means vibration or weak power: do not ${go}`,
            ],
          ],
        ]
      : [],
    [ground ? 'Ready to go' : 'Ready to fly']: [
      [
        'start',
        'Switches as for the start.',
        [
          modes.find((m) => m.mode === 'off')
            ? `${modes.find((m) => m.mode === 'off')!.words}: off, found by feel`
            : 'the lowest gain, found by feel',
        ],
      ],
    ],
  };
  return Object.entries(rounds)
    .map(([title, lines]) => ({ title, items: scriptOf('preflight', lines) }))
    .filter(({ items }) => items.length > 0);
}

/** Every check of the card, one after another. */
export const preflightCard = (setup: Setup): PreflightItem[] =>
  preflightRounds(setup).flatMap((round) => round.items);
