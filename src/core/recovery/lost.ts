import {
  compileChain,
  describeSurface,
  heldIn,
  motorRange,
  movementOf,
  openThrottle,
} from '../chain';
import { fault, type Sentence } from '../script';
import type { Mode, Setup, Surface } from '../setup';
import { FAILSAFE } from './sentences';

/** Enough to hear the motor run. */
const OPEN = 0.35;

/** What a lost signal leaves, the throttle a third open and everything else at rest. */
export interface AfterLoss {
  mode: Mode;
  /** What the motor gave before; at most afterwards, two seconds later. */
  runningPct: number;
  motorPct: number;
  /** The motor, and the surfaces, are the unit's own then. */
  unitDrives: boolean;
  unitSteers: boolean;
  /** What was held then, by id; everything else at rest. */
  controls: Record<string, number>;
  /** The unit keeps an attitude. */
  levels: boolean;
  /** Where every surface stands, or that the unit moves them. */
  surfaces: Sentence[];
}

/** Asks the chain: the transmitter switched off with the throttle a third open. */
export function afterLoss(setup: Setup): AfterLoss {
  const chain = compileChain(setup);
  const frame = chain.newFrame();
  const stimulus = chain.restStimulus();
  const memory = chain.newMemory();
  memory.armed = true;
  openThrottle(setup, stimulus.controls, OPEN);
  chain.step(stimulus, memory, frame);
  const runningPct = Math.max(0, ...frame.motorPct);
  stimulus.linkUp = false;
  for (const dtS of [0, 2]) chain.step({ ...stimulus, dtS }, memory, frame);
  const { mode, unitDrives, unitSteers } = frame;
  return {
    mode,
    runningPct,
    motorPct: Math.max(0, ...setup.airframe.motors.map((_, i) => motorRange(frame, i).hi)),
    unitDrives,
    unitSteers,
    controls: heldIn(setup, stimulus.controls),
    levels: frame.failsafeActive || mode === 'level' || mode === 'home',
    surfaces: unitSteers
      ? [FAILSAFE['unit-steers']()]
      : setup.airframe.surfaces.map((s, i) => standing(s, frame.surfaceDeg[i]!)),
  };
}

/** A motor that gives less than this stands still. */
const STOPPED_PCT = 5;

/** What the motor must do once the signal is lost. @param stops how it is said that it stands still */
export const motorMust = (
  { unitDrives, motorPct }: Pick<AfterLoss, 'unitDrives' | 'motorPct'>,
  stops: Sentence,
): Sentence =>
  unitDrives
    ? FAILSAFE['unit-drives']()
    : motorPct < STOPPED_PCT
      ? stops
      : fault(FAILSAFE['motor-runs-on']({ pct: Math.round(motorPct) }));

const standing = (surface: Surface, deg: number): Sentence =>
  FAILSAFE['stands-at']({
    surface: {
      id: `${surface.id}=${movementOf(surface, deg)} ${Math.abs(Math.round(deg))}`,
      label: describeSurface(surface, deg),
    },
  });
