import { leverArm, skewLeak, turnRateDegPerS } from '../level';
import { kindOf, type Setup } from '../setup';

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

/**
 * Self-levelling error from ω²·r in a roll, a pull-up and a steady turn, and the leak of a skew.
 */
export function seatReport({ installation, airframe, unit }: Setup): SeatReport {
  const { positionMm: p, skewDeg } = installation;
  const turnRate = turnRateDegPerS(airframe.measures.cruiseMps, TURN_BANK_DEG);
  const figures: SeatFigure[] = [
    { when: 'rolling at 180°/s', ...leverArm(180, Math.hypot(p.y, p.z)), lasting: false },
    { when: 'pitching at 60°/s', ...leverArm(60, Math.hypot(p.x, p.z)), lasting: false },
    {
      when: `turning steadily at ${TURN_BANK_DEG}° of bank, ${turnRate.toFixed(0)}°/s`,
      ...leverArm(turnRate, Math.hypot(p.x, p.y)),
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
      ? `Nearer to the balance point: ${worst.when} it takes itself for tilted by ${worst.errorDeg.toFixed(1)}°.`
      : `Where it sits costs ${worst.errorDeg.toFixed(1)}° at the most, ${worst.lasting ? 'for as long as the turn lasts' : 'and only while it turns'}: leave it there.`;
  return { figures, leak, verdict, matters };
}

/** One question practitioners answer differently, and what the numbers of this model say. */
export interface School {
  question: string;
  schools: readonly string[];
  says: string;
}

/** Where to mount, and whether tilt matters. */
export function mountingSchools(setup: Setup): School[] {
  const { verdict } = seatReport(setup);
  const { pitch, roll } = setup.installation.skewDeg;
  const tilt = Math.hypot(pitch, roll);
  return [
    {
      question: 'Where?',
      schools: ['at the centre of gravity', 'anywhere on the centre line', 'any square position'],
      says: verdict,
    },
    {
      question: 'Tilted up or down?',
      schools: ['does not matter', 'level it carefully'],
      says:
        tilt === 0
          ? 'Written down as level: nothing leaks. A degree of tilt would leak 1.7 % of roll into yaw.'
          : `${tilt.toFixed(1)}° of tilt leaks ${(skewLeak(tilt) * 100).toFixed(1)} % of roll into yaw; the level capture takes the tilt itself out of self-levelling.`,
    },
  ];
}

/** How to fix it, for this unit and this model. */
export function mountingAdvice({ airframe, unit }: Setup): string[] {
  const ground = kindOf(airframe).onSurface;
  return [
    'Square to the model and along its centre line, on foam tape, firm at all four corners.',
    'Leads with slack: a tight lead shakes the unit and pulls it askew.',
    ...(airframe.motors.length > 0
      ? ['Clear of the motor, its controller and the battery leads; the further the quieter.']
      : []),
    ...(unit.traits.place === 'receiver'
      ? [
          `Aerials at right angles to each other, tips clear of ${ground ? 'chassis plates and carbon' : 'carbon and battery'}.`,
        ]
      : []),
    ...(ground
      ? ['Insulated from the chassis: stones and chatter of the drive are movement to it.']
      : []),
  ];
}
