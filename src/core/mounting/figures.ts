import { leverArm, skewLeak, steadyTurn, turnRateDegPerS } from '../level';
import { kindOf, type Intents, type SEAT_PLACES, type SEAT_TILTS, type Setup } from '../setup';

/** Beyond this a wrong idea of level is seen in the air. Common practice, no source. */
const FELT_DEG = 3;

/** One manoeuvre, what the accelerometer feels for being off the centre of gravity, and for how long. */
export interface SeatFigure {
  when: string;
  accelerationMps2: number;
  errorDeg: number;
  lasting: boolean;
}

/** What the place of the unit and its skew cost, in numbers. */
export interface SeatReport {
  figures: SeatFigure[];
  /** Share of a movement taken for one on another axis, by axis of the skew. */
  leak: { axis: 'roll' | 'pitch' | 'yaw'; deg: number; share: number }[];
  /** Whether any of it matters on this model, and why. */
  verdict: string;
  matters: boolean;
}

/** Bank of the steady turn reckoned with, degrees. */
const TURN_BANK_DEG = 45;
/** How quickly a roll is begun. Model figure, no source. */
const START_S = 0.3;

/**
 * Self-levelling error from the lever arm in a roll, its start, a pull-up and a steady turn, and the
 * leak of a skew.
 */
export function seatReport({ installation, airframe, unit }: Setup): SeatReport {
  const { positionMm: p, skewDeg } = installation;
  const turnRate = turnRateDegPerS(airframe.measures.cruiseMps, TURN_BANK_DEG);
  const offset = [p.x, p.y, p.z] as const;
  const moving = (
    ratesDegPerS: readonly [number, number, number],
    changeDegPerS2: readonly [number, number, number],
  ) => leverArm({ ratesDegPerS, changeDegPerS2, loadG: 1 }, offset);
  const figures: SeatFigure[] = [
    { when: 'rolling at 180°/s', ...moving([180, 0, 0], [0, 0, 0]), lasting: false },
    {
      when: `starting to roll, to 180°/s in ${START_S} s`,
      ...moving([0, 0, 0], [180 / START_S, 0, 0]),
      lasting: false,
    },
    { when: 'pitching at 60°/s', ...moving([0, 60, 0], [0, 0, 0]), lasting: false },
    {
      when: `turning steadily at ${TURN_BANK_DEG}° of bank, ${turnRate.toFixed(0)}°/s`,
      ...leverArm(steadyTurn(turnRate, TURN_BANK_DEG), offset),
      lasting: true,
    },
  ];
  const leak = (['roll', 'pitch', 'yaw'] as const)
    .filter((axis) => skewDeg[axis] !== 0)
    .map((axis) => ({ axis, deg: skewDeg[axis], share: skewLeak(skewDeg[axis]) }));
  const levels = unit.traits.modes.includes('level') || unit.traits.modes.includes('home');
  const worst = figures.reduce((a, b) => (b.errorDeg > a.errorDeg ? b : a));
  const matters = levels && worst.errorDeg > FELT_DEG;
  const verdict = !levels
    ? 'This unit only damps: every part of a rigid model turns at the same rate, so it may sit anywhere on it.'
    : matters
      ? `Move it nearer to the balance point: ${worst.when} it reads a tilt of ${worst.errorDeg.toFixed(1)}°.`
      : `Where it sits costs ${worst.errorDeg.toFixed(1)}° at the most, ${worst.lasting ? 'for as long as the turn lasts' : 'and only while it turns'}: leave it there.`;
  return { figures, leak, verdict, matters };
}

/** One question practitioners answer differently, and what the numbers of this model say. */
export interface School {
  id: keyof NonNullable<Intents['seat']>;
  question: string;
  schools: readonly (readonly [id: string, words: string])[];
  says: string;
}

/** Where to mount, and whether tilt matters. */
export function mountingSchools(setup: Setup): School[] {
  const { verdict } = seatReport(setup);
  const { pitch, roll } = setup.installation.skewDeg;
  return [
    {
      id: 'place',
      question: 'Where?',
      schools: [
        ['balance-point', 'at the balance point'],
        ['centre-line', 'anywhere on the centre line'],
        ['anywhere', 'any square position'],
      ] satisfies (readonly [(typeof SEAT_PLACES)[number], string])[],
      says: verdict,
    },
    {
      id: 'tilt',
      question: 'Tilted up or down?',
      schools: [
        ['any', 'does not matter'],
        ['level', 'level it carefully'],
      ] satisfies (readonly [(typeof SEAT_TILTS)[number], string])[],
      says:
        pitch === 0 && roll === 0
          ? 'Recorded as level: nothing leaks. One degree of tilt fore and aft would leak 1.7 % of roll into yaw; one degree to the side, the same of pitch into yaw.'
          : `${[
              ...(pitch === 0
                ? []
                : [
                    `${Math.abs(pitch).toFixed(1)}° ${kindOf(setup.airframe).front} ${pitch > 0 ? 'up' : 'down'} leaks ${(skewLeak(pitch) * 100).toFixed(1)} % of roll into yaw`,
                  ]),
              ...(roll === 0
                ? []
                : [
                    `${Math.abs(roll).toFixed(1)}° to the ${roll > 0 ? 'right' : 'left'} leaks ${(skewLeak(roll) * 100).toFixed(1)} % of pitch into yaw`,
                  ]),
            ].join(
              ', ',
            )}${kindOf(setup.airframe).onSurface ? '.' : '; level capture removes the tilt itself from self-levelling.'}`,
    },
  ];
}

const PLACE_ADVICE: Record<(typeof SEAT_PLACES)[number], string> = {
  'balance-point': 'at the balance point, ',
  'centre-line': 'exactly on its centre line, ',
  anywhere: '',
};

/** How to mount it, for this unit and this model. */
export function mountingAdvice({ airframe, unit, intents }: Setup): string[] {
  const ground = kindOf(airframe).onSurface;
  return [
    `Square to the model, ${PLACE_ADVICE[intents.seat?.place ?? 'anywhere']}on foam tape, firm at all four corners.`,
    ...(intents.seat?.tilt === 'level' ? ['Level it in the model with a small spirit level.'] : []),
    'Leave slack in the leads: a tight lead transmits vibration and can tilt the unit.',
    ...(airframe.motors.length > 0
      ? [
          'Keep it clear of the motor, its controller and the battery leads: the further, the quieter.',
        ]
      : []),
    ...(unit.traits.place === 'receiver'
      ? [
          `Aerials at right angles to each other, tips clear of ${ground ? 'chassis plates and carbon' : 'carbon and battery'}.`,
        ]
      : []),
    ...(ground
      ? ['Insulate it from the chassis: it reads stones and drive chatter as movement.']
      : []),
  ];
}
