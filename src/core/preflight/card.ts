import {
  compileChain,
  heldIn,
  namedMode,
  namedPosition,
  openThrottle,
  positionsOf,
  switchValue,
} from '../chain';
import { allExpectations, controlsFor, handsOf, stateOf, type Check } from '../directions';
import { gainKnobOf } from '../plan';
import { afterLoss, motorMust } from '../recovery';
import {
  scriptOf,
  type BenchState,
  type Line,
  type Named,
  type ScriptStep,
  type Sentence,
} from '../script';
import { handWords, kindOf, type Mode, type Setup } from '../setup';
import { DO, GAIN, SEE } from './sentences';

/** One check before every flight or run, made from the Setup. */
export type PreflightItem = ScriptStep;
/** Checks made in one go, from one place beside the model. */
export interface Round {
  title: string;
  items: PreflightItem[];
}

/** Where the gain control is planned to stand. */
function gainOf(setup: Setup): Sentence | undefined {
  const wish = setup.intents.program.gain;
  const named = (id: string): Named => ({
    id,
    label: setup.transmitter.controls.find((c) => c.id === id)?.label ?? id,
  });
  if (!wish) {
    const knob = gainKnobOf(setup);
    return knob && GAIN['knob-by-practice']({ knob: named(knob.control.id) });
  }
  switch (wish.by) {
    case 'knob':
      return GAIN.knob({ knobs: [named(wish.control)] });
    case 'values':
      return GAIN.values({ control: named(wish.control), pct: wish.pct });
    case 'flap':
      return GAIN.flap({ off: named(wish.off), pct: wish.pct });
    case 'axes':
      return GAIN.knob({
        knobs: [wish.roll, wish.pitch, wish.yaw].flatMap((c) => (c ? [named(c)] : [])),
      });
    case 'sets':
      return GAIN.sets({ control: named(wish.control), pct: wish.pct });
    case 'fixed':
      return GAIN.fixed({ pct: wish.pct });
  }
}

/** Every distinct position of the mode switches and the mode it gives, by the chain. */
function modesBySwitch(setup: Setup): { at: Named; mode: Mode }[] {
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
      return {
        at: namedPosition(control, value),
        mode: modeOf(at, value),
      };
    });
    return new Set(found.map((f) => f.mode)).size > 1 ? found : [];
  });
}

/** Launch help, tried with the model in hand: on, and off again. */
function launchOf(setup: Setup): Line[] {
  const { launch } = setup.intents.program;
  if (!launch) return [];
  const { id, label } = setup.transmitter.controls.find((c) => c.id === launch.control)!;
  return [
    [
      'launch',
      DO['try-launch']({ control: { id, label }, holdS: launch.holdS }),
      [
        SEE['launch-elevator']({ pct: launch.elevatorPct }),
        SEE['launch-no-trim'](),
        SEE['launch-ends'](),
      ],
      { controls: { [id]: 100 } },
    ],
  ];
}

/** Nothing touched. */
const REST: BenchState = { controls: {} };

/** Far enough over that levelling cannot be mistaken for damping. */
const TIP_DEG = 50;

/** Panic pressed with the model tipped; nothing where no control was chosen for it. */
function panicState({ intents, transmitter }: Setup): BenchState | undefined {
  const { panic } = intents.program;
  const control =
    panic && panic.way !== 'none' && transmitter.controls.find((c) => c.id === panic.control);
  if (!control) return undefined;
  return { controls: { [control.id]: 100 }, attitudeDeg: { roll: TIP_DEG } };
}

/** Full throttle, the cut released and the unit on. */
function fullThrottle(setup: Setup): BenchState {
  const controls =
    handsOf(setup).corrections[0]?.controls.slice() ??
    Float64Array.from(setup.transmitter.controls, (c) => c.rest);
  openThrottle(setup, controls, 1);
  return { controls: heldIn(setup, controls) };
}

/** What is moved in a check of directions, and how. */
const moveOf = ({ kind, axis, sense, way, instruction }: Check): Named => ({
  id: `${kind} ${axis} ${sense} ${way}`,
  label: instruction,
});

/** The card in rounds: surfaces, modes, gain, panic, link, range, motor; in the order they are done. */
export function preflightRounds(setup: Setup): Round[] {
  const { onSurface: ground, go, heldFor, moves } = kindOf(setup.airframe);
  const motors = setup.airframe.motors.length > 0;
  const expected = allExpectations(setup);
  const checksOf = (kind: Check['kind']) =>
    [...new Map(expected.map((e) => [e.check.id, e.check])).values()]
      .filter((c) => c.kind === kind && !c.again)
      .map((check) => ({
        check,
        sees: expected
          .filter((e) => e.check.id === check.id)
          .map(({ surface, movement }) => SEE.goes({ surface, to: movement })),
      }));
  const modes = modesBySwitch(setup);
  const gain = gainOf(setup);
  const { recovery } = setup.unit.settings;
  const lost = afterLoss(setup);
  const homes = lost.mode === 'home';
  const panics = setup.program.lines.some((l) => l.purpose === 'panic');
  const off = modes.find((m) => m.mode === 'off');
  const { title: hands } = handWords(setup.transmitter);
  const rounds: readonly { title: string; lines: readonly Line[] }[] = [
    {
      title: 'Before anything moves',
      lines: [
        [
          'look',
          DO['look-over']({ fitted: motors ? moves : undefined }),
          [SEE['nothing-loose']()],
          REST,
        ],
      ],
    },
    {
      title: hands,
      lines: checksOf('stick').map(({ check, sees }): Line => [
        check.id,
        DO.move({ move: moveOf(check) }),
        sees,
        stateOf(setup, check),
      ]),
    },
    {
      title: 'Model moved by hand',
      lines: checksOf('correction').map(({ check, sees }, i, all): Line => {
        // What stands as it did for the line before is not said again.
        const controls = controlsFor(setup, check);
        const before = all[i - 1] && controlsFor(setup, all[i - 1]!.check);
        const same = controls.map((c) => c.id).join() === before?.map((c) => c.id).join();
        return [
          check.id,
          [
            ...(controls.length === 0 || same ? [] : [DO['set-controls']({ controls })]),
            DO.move({ move: moveOf(check) }),
          ],
          sees,
          stateOf(setup, check),
        ];
      }),
    },
    {
      title: 'Switches and knobs',
      lines: [
        ...(modes.length > 0
          ? [
              [
                'modes',
                DO['through-modes'](),
                modes.map(({ at, mode }) => SEE.mode({ at, mode: namedMode(setup.unit, mode) })),
                REST,
              ] as const,
            ]
          : []),
        ...(gain ? [['gain', DO['set-gain'](), [SEE.gain({ gain })], REST] as const] : []),
        ...(panics || recovery
          ? [
              [
                'panic',
                DO['try-panic'](),
                [SEE['works-toward-level']()],
                panicState(setup),
              ] as const,
            ]
          : []),
        ...launchOf(setup),
      ],
    },
    {
      title: 'Radio link',
      lines: [
        ...(homes && setup.unit.traits.arming === 'position-fix'
          ? [['fix', DO['wait-for-fix'](), [SEE['has-fix']()], REST] as const]
          : []),
        [
          'link',
          DO['link-off-and-on']({ held: motors, clear: motors && lost.unitDrives }),
          [
            ...(homes ? [SEE['goes-home']({ mode: namedMode(setup.unit, 'home') })] : []),
            ...(motors ? [motorMust(lost, SEE['motor-still']())] : []),
            ...(lost.unitSteers ? lost.surfaces : []),
            lost.unitSteers ? SEE['follows-again']() : SEE['failsafe-then-follows']({ ground }),
          ],
          { controls: {}, linkUp: false },
        ],
        ['range', DO.range(), [SEE['no-twitch']({ ground })], REST],
      ],
    },
    {
      title: 'Motor',
      lines: motors
        ? [
            [
              'run-up',
              DO['run-up']({ held: { id: moves, label: heldFor } }),
              [SEE['stays-still']({ ground, go: { id: ground ? 'run' : 'fly', label: go } })],
              fullThrottle(setup),
            ],
          ]
        : [],
    },
    {
      title: ground ? 'Ready to go' : 'Ready to fly',
      lines: [
        [
          'start',
          DO['set-switches'](),
          [off ? SEE['off-by-feel']({ at: off.at }) : SEE['lowest-by-feel']()],
          REST,
        ],
      ],
    },
  ];
  return rounds
    .map(({ title, lines }) => ({ title, items: scriptOf('preflight', lines) }))
    .filter(({ items }) => items.length > 0);
}

/** Every check of the card, one after another. */
export const preflightCard = (setup: Setup): PreflightItem[] =>
  preflightRounds(setup).flatMap((round) => round.items);
