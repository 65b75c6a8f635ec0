import { TRANSMITTERS, UNITS } from '../../core/catalogue';
import type { DemoModel } from '../kit';
import { airframe, builtWith, checked, planned } from '../parts';

/** The crawler for the boulders below the dam: its rear wheels steer against the front ones. */
export function stoat(): DemoModel {
  const setup = checked({
    ...planned('Stoat, crawler', {
      airframe: builtWith(airframe('car'), 'rear-steering'),
      unit: UNITS['steering-menu']!,
      transmitter: TRANSMITTERS['surface-six']!,
    }),
    notes: 'Both axles on one Y-lead: the gyro turns both.',
  });
  return {
    versions: [{ setup, label: 'Rear axle steers', at: '2026-11-22T17:15:00.000Z' }],
    seen: [],
    log: [],
  };
}
