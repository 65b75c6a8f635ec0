import { TRANSMITTERS, UNITS, USUAL_STEERING } from '../../core/catalogue';
import { setSteeringEnds } from '../../core/plan';
import { applyPatch } from '../../core/patch';
import type { DemoModel } from '../kit';
import { airframe, checked, planned, sized } from '../parts';

/** The drift car on polished ice: gain locked until the chassis is right, brake before reverse in the program. */
export function marten(): DemoModel {
  const car = sized(airframe('car'), { lengthMm: 470, spanMm: 195, trackMm: 175 });
  car.steering = {
    ...USUAL_STEERING,
    by: 'rack',
    armMm: 22,
    lockLeftDeg: 40,
    lockRightDeg: 38,
    knuckleDeg: 4,
    slopDeg: 0.5,
  };
  // A controller without a brake of its own.
  car.motors[0]!.reverse = 'reverses';
  const written = planned(
    'Marten, drift car',
    { airframe: car, unit: UNITS['steering-menu']!, transmitter: TRANSMITTERS['surface-six']! },
    { wish: 'lock', value: { until: 'chassis' } },
    { wish: 'reverse', value: { brakePct: 0 } },
    {
      wish: 'failsafe',
      value: { school: 'motor-off', steerPct: 0, pitchDeg: 0, rollDeg: 0 },
    },
  );
  const setup = checked({
    ...applyPatch(written, setSteeringEnds(written)),
    notes:
      'Hard tyres on the polished rink. Chassis first: the gain stays at off until it is right.',
  });
  return {
    versions: [{ setup, label: 'Chassis on the rink', at: '2026-11-14T18:00:00.000Z' }],
    seen: [],
    log: [],
  };
}
