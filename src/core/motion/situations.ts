import { isSteeringStick, kindOf, type Mode, type Setup } from '../setup';
import { panicControlOf, stateIn, type Proof, type Witness } from '../verify';
import { scenario, type Scenario, type ScenarioInput } from './scenario';

/** A usual situation a state is put into, so that what is wrong with it can be seen to happen. */
interface Situation {
  /** As a heading: "On its back at 60 m". */
  words: string;
  /** Mode it says something about: where nothing else is asked, it is flown in that. */
  mode?: Mode;
  /** Whether it is usual for a model nobody has found anything wrong with; it is, where nothing is said. */
  usual?(setup: Setup): boolean;
  make(setup: Setup): ScenarioInput;
}

/** When something happens: the model has flown straight till then. */
const THEN_S = 1;
/** A stick is moved so long. */
const STAB_S = 0.25;
/**
 * By which share of where it is wrong: a little, as somebody tries out in the air what it does; all the way where
 * it may be wrong at the end alone, as with a mix.
 */
const STABS: Readonly<Partial<Record<SituationId, number>>> = { stick: 0.4, 'whole-stick': 1 };
const SIDE_GUST = { atS: THEN_S, lastsS: 0.8, northMps: 0, eastMps: 4, upMps: 2 };
/** A hand throws about so fast, from about so high. Common practice, no source. */
const THROWN_MPS = 8;
export const HAND_M = 1.9;

/** The stick in a hand, by what it is named for. */
const stickFor = (setup: Setup, hand: 'aileron' | 'rudder' | 'throttle') =>
  setup.transmitter.controls.find((c) => c.kind === 'stick' && c.hand === hand)?.id;

/** Every situation; a new one is an entry here. */
export const SITUATIONS = {
  pass: {
    words: 'Level pass at 40 m, a gust from the left',
    make: () => ({ start: { heightM: 40 }, wind: { gust: SIDE_GUST }, seconds: 12 }),
  },
  stick: {
    words: 'Level pass at 60 m, the stick moved a little after 1 s, then released',
    usual: () => false,
    make: () => ({ start: { heightM: 60 }, seconds: 4 }),
  },
  'whole-stick': {
    words: 'Level pass at 60 m, the stick moved as far as it is wrong after 1 s, then released',
    usual: () => false,
    make: () => ({ start: { heightM: 60 }, seconds: 4 }),
  },
  turn: {
    words: 'Banked by the aileron stick after 1 s, then released',
    mode: 'hold',
    usual: ({ unit }) => unit.traits.axes.includes('yaw') && unit.settings.axes.yaw.holdAllowed,
    make: (setup) => {
      const stick = stickFor(setup, 'aileron') ?? stickFor(setup, 'rudder');
      return {
        start: { heightM: 60 },
        hands: stick
          ? [
              { atS: THEN_S, controls: { [stick]: 50 } },
              { atS: THEN_S + 1.2, controls: { [stick]: 0 } },
            ]
          : [],
        seconds: 8,
      };
    },
  },
  'full-stick': {
    words: 'Level pass at 80 m, the aileron stick held fully over after 1 s',
    mode: 'level',
    usual: ({ unit }) => unit.traits.axes.includes('roll'),
    make: (setup) => {
      const stick = stickFor(setup, 'aileron');
      return {
        start: { heightM: 80 },
        hands: stick ? [{ atS: THEN_S, controls: { [stick]: 100 } }] : [],
        seconds: 5,
      };
    },
  },
  power: {
    words: 'Level pass at 40 m, full throttle after 1 s, closed after 6 s',
    mode: 'level',
    usual: ({ unit, airframe }) =>
      unit.settings.pitchWithThrottle !== undefined && airframe.motors.length > 0,
    make: (setup) => {
      const stick = stickFor(setup, 'throttle');
      return {
        start: { heightM: 40 },
        hands: stick
          ? [
              { atS: THEN_S, controls: { [stick]: 100 } },
              { atS: THEN_S + 5, controls: { [stick]: -100 } },
            ]
          : [],
        seconds: 11,
      };
    },
  },
  'hands-off': {
    words: 'Level pass at 40 m, sticks released',
    make: () => ({ start: { heightM: 40 }, seconds: 30 }),
  },
  inverted: {
    words: 'On its back at 60 m, panic after 1 s',
    usual: (setup) => panicControlOf(setup) !== undefined,
    make: (setup) => {
      const panic = panicControlOf(setup);
      return {
        start: { heightM: 60, rollDeg: 178, pitchDeg: 0 },
        hands: panic ? [{ atS: THEN_S, controls: { [panic.id]: panic.value } }] : [],
        seconds: 12,
      };
    },
  },
  lost: {
    words: 'Signal lost at 50 m, wind of 4 m/s',
    make: () => ({
      start: { heightM: 50 },
      wind: { eastMps: 4, turbulenceMps: 0.4 },
      signal: [{ atS: THEN_S, up: false }],
      seconds: 120,
    }),
  },
  launch: {
    words: 'Thrown by hand at 8 m/s',
    usual: ({ intents }) => intents.program.launch !== undefined,
    make: (setup) => {
      const { launch } = setup.intents.program;
      const throttle = stickFor(setup, 'throttle');
      return {
        start: {
          heightM: HAND_M,
          speedMps: THROWN_MPS,
          pitchDeg: 8,
          controls: {
            ...(setup.airframe.motors.length > 0 && throttle ? { [throttle]: 100 } : {}),
            ...(launch ? { [launch.control]: 100 } : {}),
          },
        },
        seconds: 8,
      };
    },
  },
} as const satisfies Record<string, Situation>;

export type SituationId = keyof typeof SITUATIONS;
export const SITUATION_IDS = Object.keys(SITUATIONS) as SituationId[];

/** Whether anything can be shown of a model by flying it. */
export const flies = ({ airframe }: Pick<Setup, 'airframe'>): boolean =>
  kindOf(airframe).moves === 'air';

/**
 * A situation with the hands of a state in it: switches and knobs stand so from the start, or were moved in order where
 * the order matters; sticks are moved when something happens.
 */
export function situationOf(setup: Setup, id: SituationId, witness?: Witness): Scenario {
  const made = scenario((SITUATIONS[id] as Situation).make(setup));
  if (!witness) return made;
  const { standing, moved } = apart(setup, witness);
  const stab = STABS[id];
  // Panic is pressed when the situation has it.
  const panic = id === 'inverted' ? panicControlOf(setup)?.id : undefined;
  return {
    ...made,
    start: startedFrom(made.start, without(standing, panic)),
    hands: [
      ...made.hands,
      ...(stab !== undefined && Object.keys(moved).length > 0
        ? [
            { atS: THEN_S, controls: put(moved, stab) },
            { atS: THEN_S + STAB_S, controls: put(moved, 0) },
          ]
        : []),
    ],
  };
}

/** The usual situations of a model, each in the mode it says something about; not where no switch brings that. */
export const usualSituations = (setup: Setup, proof: Proof) =>
  SITUATION_IDS.flatMap((id) => {
    const { words, mode, usual }: Situation = SITUATIONS[id];
    if (usual && !usual(setup)) return [];
    const state = mode && stateIn(setup, proof, mode, words).witness;
    return mode && !state ? [] : [{ id, words, scenario: situationOf(setup, id, state) }];
  });

/** A state with its steering sticks released, and where it has them. */
export function apart(setup: Setup, witness: Witness): { standing: Witness; moved: Hands } {
  const sticks = setup.transmitter.controls.filter(isSteeringStick).map((c) => c.id);
  const moved = Object.entries(witness.controls).filter(([id]) => sticks.includes(id));
  return {
    standing: sticks.reduce((left, id) => without(left, id), witness),
    moved: Object.fromEntries(moved),
  };
}

type Hands = Readonly<Record<string, number>>;

/** Sticks put to a share of where they were moved. */
const put = (moved: Hands, share: number): Hands =>
  Object.fromEntries(Object.entries(moved).map(([id, value]) => [id, share * value]));

/** A state without one of its controls. */
function without({ steps, ...witness }: Witness, id: string | undefined): Witness {
  const controls = Object.entries(witness.controls).filter(([own]) => own !== id);
  return {
    ...witness,
    controls: Object.fromEntries(controls),
    ...(steps ? { steps: steps.filter((s) => 'waitS' in s || s.control !== id) } : {}),
  };
}

/** A start in a state of the program: what was moved in order was moved before. */
export const startedFrom = (
  start: Scenario['start'],
  { controls, steps }: Witness,
): Scenario['start'] =>
  steps
    ? { ...start, before: [...start.before, ...steps] }
    : { ...start, controls: { ...start.controls, ...controls } };
