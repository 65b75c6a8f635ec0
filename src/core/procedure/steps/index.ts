import { STEP_IDS, type Step, type StepId } from '../step';
import { ask } from './ask';
import { calibrate } from './calibration';
import { capture } from './capture';
import { corrections } from './corrections';
import { entry } from './entry';
import { failsafe } from './failsafe';
import { identify } from './identify';
import { level } from './level';
import { lock } from './lock';
import { mount } from './mounting';
import { panic } from './panic';
import { model } from './model';
import { plainModel } from './plain-model';
import { preflight } from './preflight';
import { program } from './program';
import { record } from './record';
import { safe } from './safe';
import { chassis } from './chassis';
import { steering } from './steering';
import { sticks } from './sticks';
import { throws } from './throws';
import { tune } from './tune';
import { unitSettings } from './unit';

/** A new step is a file, its id and a line here; one left out does not compile. */
const REGISTRY: Record<StepId, Step> = {
  model,
  identify,
  ask,
  safe,
  program,
  entry,
  unit: unitSettings,
  calibration: calibrate,
  mounting: mount,
  'plain-model': plainModel,
  sticks,
  steering,
  capture,
  throws,
  corrections,
  level,
  panic,
  failsafe,
  preflight,
  chassis,
  tune,
  lock,
  record,
};

/** Every step of the job, in the order a handbook would print them. */
export const STEPS: readonly Step[] = STEP_IDS.map((id) => REGISTRY[id]);
