import { TRANSMITTERS, UNITS } from '../../core/catalogue';
import type { DemoModel } from '../kit';
import { airframe, builtWith, checked, planned, sized, transmitterLike, withLeads } from '../parts';

/** The crawler for the boulders below the dam: gyro on the front axle, the rear one by a switch, a winch. */
export function stoat(): DemoModel {
  const setup = checked({
    ...planned(
      'Stoat, crawler',
      {
        airframe: withLeads(
          builtWith(
            sized(airframe('car'), { lengthMm: 400, spanMm: 190, wheelbaseMm: 310, trackMm: 200 }),
            'rear-steering',
            'winch',
          ),
          { 'rear-steering': 'steering2' },
        ),
        unit: UNITS['steering-lead']!,
        transmitter: transmitterLike('surface-six', {
          controls: [
            ...TRANSMITTERS['surface-six']!.controls,
            { id: 'sc', label: 'Side switch', kind: 'switch-3', rest: 0 },
          ],
        }),
      },
      {
        wish: 'mixes',
        value: [{ mix: 'rear-axle', control: 'st', at: ['against', 'straight', 'with'] }],
      },
      { wish: 'devices', value: [{ device: 'winch', control: 'sc', atPct: [-100, 0, 100] }] },
    ),
    notes: 'The gyro turns the front axle only.',
  });
  return {
    versions: [{ setup, label: 'Rear axle and winch', at: '2026-11-22T17:15:00.000Z' }],
    seen: [],
    log: [],
  };
}
