import type { Step } from '../step';
import { calibrate } from './calibration';
import { capture } from './capture';
import { corrections } from './corrections';
import { entry } from './entry';
import { failsafe } from './failsafe';
import { identify } from './identify';
import { level } from './level';
import { mount } from './mounting';
import { panic } from './panic';
import { plain } from './plain';
import { preflight } from './preflight';
import { program } from './program';
import { safe } from './safe';
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
  plain,
  capture,
  corrections,
  level,
  panic,
  failsafe,
  preflight,
];
