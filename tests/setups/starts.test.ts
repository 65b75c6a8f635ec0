import { describe, expect, it } from 'vitest';
import { UNITS } from '@/core/catalogue';
import { failsafeSchools } from '@/core/plan';
import { findingsOf } from '@/core/verify';
import { share } from '../kit/share';
import { AIRFRAMES_TO_TRY, together } from '../kit/together';
import { Model, airframe, planned, transmitterLike, unitLike } from './kit';

/** Every unit, airframe and transmitter that ship and go together, as the planner leaves them. */
const ALL = together(AIRFRAMES_TO_TRY);

describe('a new model', () => {
  it('can be hundreds of combinations', () => expect(ALL.length).toBeGreaterThan(400));
  it.each(share(ALL, 6))('$name: begins without a stop', ({ setup }) => {
    const stops = findingsOf(setup).filter((f) => f.severity === 'stop');
    expect(stops.map((f) => `${f.rule}: ${f.says}`)).toEqual([]);
  });
  it.each(['menu-receiver', 'switch-receiver', 'fixed-order-receiver', 'autopilot'])(
    '%s with its levelling switched off: no failsafe is chosen that cannot hold',
    (id) => {
      const { slots } = UNITS[id]!.settings;
      const off = slots.map((m) => (m === 'level' || m === 'home' ? 'off' : m));
      const setup = planned('Quiet', {
        airframe: airframe('conventional'),
        unit: unitLike(id, {}, { slots: off }),
        transmitter: transmitterLike('line-sixteen'),
      });
      expect(findingsOf(setup).filter((f) => f.severity === 'stop')).toEqual([]);
      const glides = failsafeSchools(setup).glide === undefined;
      expect(setup.intents.program.failsafe!.school).toBe(glides ? 'glide' : 'motor-off');
      if (!glides) expect(failsafeSchools(setup).glide).toMatch(/^self-levelling is switched off/);
    },
  );
  it('with gear on the flap switch: the switch moves the gear', () => {
    const shared = ALL.filter(
      ({ setup }) =>
        setup.airframe.servos.some((s) => s.carries === 'gear') &&
        !setup.program.outputs.some((o) => o.carries === 'gear'),
    );
    expect(shared.length).toBeGreaterThan(3);
    for (const { name, setup } of shared) {
      const model = new Model(setup);
      const gear = setup.airframe.surfaces.find((s) => s.role === 'gear')!.id;
      const { control } = setup.intents.program.flaps!;
      const at = [-100, 100].map((v) =>
        model
          .fresh()
          .hands({ [control]: v })
          .surface(gear),
      );
      expect(Math.abs(at[0]! - at[1]!), name).toBeGreaterThan(5);
    }
  });
});
