import { expect } from 'vitest';
import { learnTravel } from '@/core/plan';
import { airframe, checked, planned, transmitterLike, unitLike, type Shape } from './kit';

/** A rear-driven car: ends that differ, taught left first, a dial whose middle is off. */
export const iceCar: Shape = {
  name: 'rear-driven car, gain on a dial whose middle is off',
  make() {
    const setup = planned(
      'Ermine',
      {
        airframe: airframe('car'),
        unit: unitLike('steering-receiver', {}),
        transmitter: transmitterLike('surface-four'),
      },
      { wish: 'gain', value: { by: 'knob', control: 'dial', middleOff: true } },
    );
    const steering = setup.program.outputs.find((o) => o.carries === 'steering')!;
    steering.minPct = -84;
    steering.maxPct = 97;
    setup.installation.travelCapture = learnTravel(setup);
    return checked(setup);
  },
  drives(model) {
    const at = (dial: number) => model.fresh().hands({ dial });
    expect(at(0).mode).toBe('off');
    expect(at(-60).mode).toBe('rate');
    expect(at(60).mode).toBe('rate');
    expect(at(0).gain('yaw')).toBe(0);
    expect(at(60).gain('yaw')).toBeGreaterThan(50);
    // Nose swung right: the front wheels go left, whichever side the dial is on.
    for (const dial of [-60, 60])
      expect(at(dial).world({ yawRate: 60 }).surface('wheel-left')).toBeGreaterThan(1);
    expect(at(0).world({ yawRate: 60 }).surface('wheel-left')).toBeCloseTo(
      at(0).surface('wheel-left'),
      3,
    );
  },
};
