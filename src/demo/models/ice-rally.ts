import { measured } from '../../core/setup';
import {
  buildAirframe,
  TRANSMITTERS,
  UNITS,
  USUAL_STEERING,
  usualAnswers,
} from '../../core/catalogue';
import { composeSetup } from '../../core/plan';
import { identified, type DemoModel } from '../kit';

/** The ice-rally car with a unit bought at the winter market: its past unknown, not reset. */
export function iceRally(): DemoModel {
  const setup = identified(
    composeSetup(
      'Lynx, ice-rally car',
      measured(buildAirframe(usualAnswers('car'))),
      UNITS['steering-receiver']!,
      TRANSMITTERS['surface-four']!,
    ),
  );
  setup.airframe.steering = { ...USUAL_STEERING, lockLeftDeg: 30, lockRightDeg: 27, slopDeg: 1.5 };
  setup.installation.secondHand = true;
  setup.notes = 'Studded tyres, rear drive. The unit came in a bag of parts.';
  return {
    versions: [{ setup, label: 'Unit fitted', at: '2026-11-20T20:30:00.000Z' }],
    seen: [],
    log: [],
  };
}
