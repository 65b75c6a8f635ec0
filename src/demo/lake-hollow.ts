import type { DemoModel } from './kit';
import { delta } from './models/delta';
import { floatplane } from './models/floatplane';
import { iceRally } from './models/ice-rally';
import { pilotBoat } from './models/pilot-boat';
import { sailplane } from './models/sailplane';
import { skiTug } from './models/ski-tug';

/** The six models of the club, each in another state. */
export const LAKE_HOLLOW: readonly (() => DemoModel)[] = [
  sailplane,
  skiTug,
  floatplane,
  delta,
  iceRally,
  pilotBoat,
];
