import type { DemoModel } from './kit';
import { delta } from './models/delta';
import { floatplane } from './models/floatplane';
import { garganey } from './models/garganey';
import { gyrfalcon } from './models/gyrfalcon';
import { iceRally } from './models/ice-rally';
import { marten } from './models/marten';
import { merganser } from './models/merganser';
import { pilotBoat } from './models/pilot-boat';
import { sailplane } from './models/sailplane';
import { skiTug } from './models/ski-tug';
import { smew } from './models/smew';
import { stoat } from './models/stoat';
import { turnstone } from './models/turnstone';

/** The models of the club: seven each in another state, four that are fitted in unusual ways, and two that are built differently. */
export const LAKE_HOLLOW: readonly (() => DemoModel)[] = [
  sailplane,
  skiTug,
  floatplane,
  delta,
  iceRally,
  pilotBoat,
  marten,
  merganser,
  turnstone,
  garganey,
  gyrfalcon,
  smew,
  stoat,
];
