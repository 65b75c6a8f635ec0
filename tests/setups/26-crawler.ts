import { expect } from 'vitest';
import { TRANSMITTERS } from '@/core/catalogue';
import { isStabilized } from '@/core/directions';
import {
  airframe,
  builtWith,
  planned,
  transmitterLike,
  unitLike,
  withLeads,
  type Shape,
} from './kit';

/** A crawler: gyro on the front axle only, rear axle by a switch, a winch. */
export const crawler: Shape = {
  name: 'crawler, rear steering by a switch, a winch',
  make: () =>
    planned(
      'Wolverine',
      {
        airframe: withLeads(builtWith(airframe('car'), 'rear-steering', 'winch'), {
          'rear-steering': 'steering2',
        }),
        unit: unitLike('steering-lead', {}),
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
  drives(model) {
    const at = (st: number) => {
      model.fresh().hands({ wheel: 100, st });
      return [model.surface('wheel-left'), model.surface('rear-left')].map((d) =>
        Math.sign(Math.round(d)),
      );
    };
    expect([at(-100), at(0), at(100)].map((p) => p.map((v) => v || 0))).toEqual([
      [-1, 1],
      [-1, 0],
      [-1, -1],
    ]);
    const winch = (sc: number) => {
      model.fresh().hands({ sc });
      return model.sent('aux1');
    };
    expect([winch(-100), winch(0), winch(100)]).toEqual([-100, 0, 100]);
    // It stops where the signal is lost, and the gyro leaves the rear axle alone.
    model.world({ link: false }, 3);
    const winchAt = model.setup.airframe.servos.findIndex((s) => s.id === 'winch');
    expect(model.frame.servoDeg[winchAt]).toBeCloseTo(0, 6);
    const rear = model.setup.airframe.surfaces.find((s) => s.id === 'rear-left')!;
    expect(isStabilized(model.setup, rear)).toBe(false);
  },
};
