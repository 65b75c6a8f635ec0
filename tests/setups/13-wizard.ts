import { expect } from 'vitest';
import { airframe, checked, planned, transmitterLike, unitLike, type Shape } from './kit';

/** Roll and pitch tuned on two sliders; levelling that rolls through at full stick. */
export const wizard: Shape = {
  name: 'wizard receiver, two tuning sliders, levelling that rolls through',
  make() {
    const setup = planned(
      'Godwit',
      {
        airframe: airframe('conventional'),
        unit: unitLike('wizard-receiver', {}),
        transmitter: transmitterLike('line-sixteen'),
      },
      { wish: 'gain', value: { by: 'axes', roll: 'l1', pitch: 'l2' } },
    );
    setup.unit.settings.levelKind = 'rolls-through';
    setup.unit.settings.axes.roll.fadePct = 180;
    return checked(setup);
  },
  drives(model) {
    const at = (l1: number, l2: number) => model.fresh().hands({ l1, l2, sa: 100 });
    expect(at(-100, 100).gain('roll')).toBe(0);
    expect(at(-100, 100).gain('pitch')).toBeGreaterThan(95);
    // Tipped over with the stick released it levels; with full stick it rolls on.
    at(100, 100).world({ rollDeg: 50 });
    const levelling = model.surface('aileron-left');
    expect(Math.abs(levelling)).toBeGreaterThan(3);
    model.fresh().hands({ l1: 100, l2: 100, sa: 100, 'stick-aileron': 100 });
    const flat = model.surface('aileron-left');
    model.world({ rollDeg: 60 });
    expect(model.surface('aileron-left')).toBeCloseTo(flat, 3);
  },
};
