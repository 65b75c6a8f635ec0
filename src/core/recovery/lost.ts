import {
  compileChain,
  describeSurface,
  motorRange,
  releaseCut,
  stickOf,
  UNIT_STEERS,
} from '../chain';
import type { Mode, Setup } from '../setup';

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
  /** The unit keeps an attitude. */
  levels: boolean;
  /** Every surface in words, or that the unit works them. */
  surfaces: string[];
}

/** Asks the chain: the transmitter switched off with the throttle a third open. */
export function afterLoss(setup: Setup): AfterLoss {
  const chain = compileChain(setup);
  const frame = chain.newFrame();
  const stimulus = chain.restStimulus();
  const memory = chain.newMemory();
  memory.armed = true;
  const at = stickOf(setup.transmitter, 'throttle');
  releaseCut(setup, stimulus.controls);
  // A third open, from wherever it rests: a trigger rests in its middle.
  const closed = setup.transmitter.controls[at]?.rest ?? -100;
  if (at >= 0) stimulus.controls[at] = closed + (100 - closed) * OPEN;
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
    levels: frame.failsafeActive || mode === 'level' || mode === 'home',
    surfaces: unitSteers
      ? [UNIT_STEERS]
      : setup.airframe.surfaces.map((s, i) => describeSurface(s, frame.surfaceDeg[i]!)),
  };
}
