import { kindOf, type Setup } from '../setup';
import { panicControlOf, type Witness } from '../verify';
import { scenario, type Scenario, type ScenarioInput } from './scenario';

/** A usual situation a state is put into, so that what is wrong with it can be seen to happen. */
interface Situation {
  /** As a heading: "On its back at 60 m". */
  words: string;
  make(setup: Setup): ScenarioInput;
  /** When something happens in it: hands of a witness that move surfaces move then. */
  atS: number;
}

const SIDE_GUST = { atS: 1, lastsS: 0.8, northMps: 0, eastMps: 4, upMps: 2 };
/** A hand throws about so fast, from about so high. Common practice, no source. */
const THROWN = { mps: 8, heightM: 1.9 } as const;

/** Every situation; a new one is an entry here. */
export const SITUATIONS = {
  pass: {
    words: 'Level pass at 40 m, a gust from the left',
    atS: 1,
    make: () => ({ start: { heightM: 40 }, wind: { gust: SIDE_GUST }, seconds: 12 }),
  },
  stick: {
    words: 'Level pass at 60 m, the stick moved after 1 s',
    atS: 1,
    make: () => ({ start: { heightM: 60 }, seconds: 6 }),
  },
  'hands-off': {
    words: 'Level pass at 40 m, sticks released',
    atS: 1,
    make: () => ({ start: { heightM: 40 }, seconds: 30 }),
  },
  inverted: {
    words: 'On its back at 60 m, panic after 1 s',
    atS: 1,
    make: (setup) => {
      const panic = panicControlOf(setup);
      return {
        start: { heightM: 60, rollDeg: 178, pitchDeg: 0 },
        hands: panic ? [{ atS: 1, controls: { [panic.id]: panic.value } }] : [],
        seconds: 12,
      };
    },
  },
  lost: {
    words: 'Signal lost at 50 m, wind of 4 m/s',
    atS: 1,
    make: () => ({
      start: { heightM: 50 },
      wind: { eastMps: 4, turbulenceMps: 0.4 },
      signal: [{ atS: 1, up: false }],
      seconds: 120,
    }),
  },
  launch: {
    words: 'Thrown by hand at 8 m/s',
    atS: 0.3,
    make: (setup) => {
      const { launch } = setup.intents.program;
      const throttle = setup.transmitter.controls.find((c) => c.hand === 'throttle');
      return {
        start: {
          heightM: THROWN.heightM,
          speedMps: THROWN.mps,
          pitchDeg: 8,
          controls: {
            ...(setup.airframe.motors.length > 0 && throttle ? { [throttle.id]: 100 } : {}),
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

/** A moved control waits so long for the next, so that what is in order stays in order. */
const BETWEEN_S = 0.3;

/**
 * A situation with the hands of a state in it: switches and knobs stand so from the start (or are moved in order, where
 * the order matters), sticks are moved when something happens.
 */
export function situationOf(setup: Setup, id: SituationId, witness?: Witness): Scenario {
  const { make, atS } = SITUATIONS[id] as Situation;
  const made = scenario(make(setup));
  if (!witness) return made;
  const { controls } = setup.transmitter;
  const panic = panicControlOf(setup);
  const kind = (control: string) => controls.find((c) => c.id === control)?.kind;
  const moves = (control: string) =>
    kind(control) === 'stick' && controls.find((c) => c.id === control)?.hand !== 'throttle';
  const steps = witness.steps ?? [];
  const ordered = steps.length > 0;
  let at = 0;
  const before = steps.flatMap((s) => {
    if ('waitS' in s) {
      at += s.waitS;
      return [];
    }
    at += BETWEEN_S;
    return [{ atS: at, controls: { [s.control]: s.value } }];
  });
  const standing = Object.entries(witness.controls).filter(
    ([control]) => !moves(control) && !(id === 'inverted' && control === panic?.id),
  );
  const moving = Object.entries(witness.controls).filter(([control]) => moves(control));
  const late = ordered ? at : 0;
  return scenario({
    ...made,
    start: {
      ...made.start,
      controls: ordered
        ? made.start.controls
        : { ...made.start.controls, ...Object.fromEntries(standing) },
    },
    hands: [
      ...before,
      ...made.hands.map((h) => ({ ...h, atS: h.atS + late })),
      ...(id === 'stick' && moving.length > 0
        ? [{ atS: atS + late, controls: Object.fromEntries(moving) }]
        : []),
    ],
    signal: made.signal.map((s) => ({ ...s, atS: s.atS + late })),
    wind: made.wind.gust
      ? { ...made.wind, gust: { ...made.wind.gust, atS: made.wind.gust.atS + late } }
      : made.wind,
    seconds: made.seconds + late,
  });
}
