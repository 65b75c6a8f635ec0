import type { Step } from '../step';
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
import { plain } from './plain';
import { plainModel } from './plain-model';
import { preflight } from './preflight';
import { program } from './program';
import { record } from './record';
import { safe } from './safe';
import { tune } from './tune';
import { unitSettings } from './unit';

/** Every step of the job, in the order a handbook would print them; a new one is a file and a line. */
export const STEPS: readonly Step[] = [
  identify,
  safe,
  program,
  entry,
  unitSettings,
  calibrate,
  mount,
  plainModel,
  plain,
  capture,
  corrections,
  level,
  panic,
  failsafe,
  preflight,
  tune,
  lock,
  record,
];
