import { TRANSMITTERS, UNITS } from '../../core/catalogue';
import type { DemoModel } from '../kit';
import { airframe, builtWith, checked, planned } from '../parts';

/** The canard of balsa and foam: its elevator in front, a rudder on each wing, a channel for each aileron. */
export function smew(): DemoModel {
  const plain = airframe('conventional', { ailerons: 'two-outputs' });
  const canard = builtWith(plain, 'canard', 'two-rudders');
  const setup = checked({
    ...planned('Smew, canard', {
      airframe: {
        ...canard,
        motors: canard.motors.map((m) => ({
          ...m,
          place: { forwardMm: -600, rightMm: 0, downMm: -20, upDeg: 0, rightDeg: 0 },
        })),
        measures: {
          ...canard.measures,
          spanMm: 1240,
          lengthMm: 1080,
          chordMm: 250,
          massG: 1150,
          stance: 'nose-wheel',
          standingPitchDeg: 1,
        },
      },
      unit: UNITS['menu-receiver']!,
      transmitter: TRANSMITTERS['line-sixteen']!,
    }),
    notes:
      'Elevator in front: down lifts the nose. Propeller behind, kept short for the grass strip.',
  });
  return {
    versions: [{ setup, label: 'Built over the autumn', at: '2026-11-18T19:40:00.000Z' }],
    seen: [],
    log: [],
  };
}
