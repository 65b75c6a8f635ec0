import { calibrationScript } from '../../../calibration';
import { captureScript } from '../../../capture';
import { levelScript } from '../../../level';
import { mountingScript } from '../../../mounting';
import { preflightCard } from '../../../preflight';
import {
  identifyScript,
  plainScript,
  safeScript,
  steeringScript,
  unitScript,
} from '../../../preparation';
import { failsafeScript, panicScript } from '../../../recovery';
import type { ScriptStep, TestName } from '../../../script';
import type { Setup } from '../../../setup';
import { entryScript } from '../../../sheets';
import { chassisScript, lockScript, recordScript, tuneScript } from '../../../tuning';
import type { Dependency } from '../part';
import {
  partsOfCalibration,
  partsOfCapture,
  partsOfEntry,
  partsOfFlight,
  partsOfIdentity,
  partsOfLevel,
  partsOfMounting,
  partsOfPlainModel,
  partsOfPlainStep,
  partsOfSafety,
  partsOfUnit,
  partsOfTest,
  partsOfTuning,
} from './parts';

/** A test with the model in hand: its steps, and what of the Setup its outcome depends on. */
interface Test {
  script(setup: Setup): ScriptStep[];
  parts(setup: Setup, item: string): Dependency[];
  /** Its items depend on things of their own, not all on the same. */
  apart?: true;
  /** Things read through and looked at together: one answer may stand for all of them. */
  atOnce?: true;
}

/** Every test there is; a new one is a script in its own room and a line here. */
export const TESTS = {
  identify: { script: identifyScript, parts: partsOfIdentity, atOnce: true },
  safe: { script: safeScript, parts: partsOfSafety },
  entry: { script: entryScript, parts: partsOfEntry },
  unit: { script: unitScript, parts: partsOfUnit, atOnce: true },
  'plain-model': { script: plainScript, parts: partsOfPlainStep, apart: true, atOnce: true },
  calibration: { script: calibrationScript, parts: partsOfCalibration },
  mounting: { script: mountingScript, parts: partsOfMounting, atOnce: true },
  steering: { script: steeringScript, parts: partsOfPlainModel },
  capture: { script: captureScript, parts: partsOfCapture },
  level: { script: levelScript, parts: partsOfLevel },
  panic: { script: panicScript, parts: (setup) => partsOfTest(setup, 'panic') },
  failsafe: { script: failsafeScript, parts: (setup) => partsOfTest(setup, 'failsafe') },
  preflight: { script: preflightCard, parts: partsOfFlight },
  chassis: { script: chassisScript, parts: partsOfPlainModel },
  tune: { script: tuneScript, parts: partsOfTuning },
  lock: { script: lockScript, parts: partsOfTuning },
  record: { script: recordScript, parts: partsOfFlight },
} satisfies Record<TestName, Test>;

const known = new WeakMap<Setup, Map<TestName, ScriptStep[]>>();

/** The steps of a test. Setups are immutable: worked out once for each. */
export function scriptFor(setup: Setup, test: TestName): ScriptStep[] {
  const own = known.get(setup) ?? new Map<TestName, ScriptStep[]>();
  known.set(setup, own);
  const script = own.get(test) ?? TESTS[test].script(setup);
  own.set(test, script);
  return script;
}

/** Whether all of a test may be answered in one go. */
export const isAtOnce = (test: TestName): boolean => 'atOnce' in TESTS[test];

/** Whether there is a test of this name. */
export const isTest = (name: string): name is TestName => Object.hasOwn(TESTS, name);
