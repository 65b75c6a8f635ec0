import { expect } from 'vitest';
import { airframe, checked, planned, transmitterLike, unitLike, type Shape } from './kit';

/** Eight channels in a forced order with second ailerons; level nose-up, damping and levelling apart. */
export const secondAilerons: Shape = {
  name: 'eight-channel receiver with second ailerons and two banks',
  make() {
    const unit = unitLike('menu-receiver', {
      inputChannels: 8,
      inputOrder: {
        kind: 'fixed',
        order: ['aileron', 'elevator', 'throttle', 'rudder', 'aileron2', 'flap', 'mode', 'gain'],
      },
      modes: ['off', 'rate', 'level', 'hover'],
      gainLaw: 'zero-to-full',
      gainKept: 'axis-and-mode',
      stabilizedOutputs: 'two-banks',
      ports: Array.from({ length: 8 }, (_, i) => ({
        id: `${i + 1}`,
        label: `Port ${i + 1}`,
        canStabilize: true,
        bank: i < 5 ? 1 : 2,
      })),
      panic: 'mode-band',
    });
    const setup = planned('Osprey', {
      airframe: airframe('conventional', { ailerons: 'two-outputs', flaps: true }),
      unit,
      transmitter: transmitterLike('line-eight'),
    });
    const { settings } = setup.unit;
    for (const axis of ['roll', 'pitch', 'yaw'] as const)
      settings.axes[axis].gainByMode = { rate: 45, level: 80 };
    settings.levelOffsetDeg = { roll: 1.5, pitch: 3 };
    return checked(setup);
  },
  drives(model) {
    expect(model.setup.unit.settings.banks).toEqual([1]);
    const knob = model.setup.intents.program.gain!;
    const control = knob.by === 'knob' ? knob.control : '';
    const [mode] = model.setup.intents.program.modes!.switches;
    // The whole turn of the knob is the whole of the gain.
    const at = (v: number, k: number) => model.fresh().hands({ [mode!]: v, [control]: k });
    expect(at(0, -100).gain()).toBe(0);
    expect(at(0, 100).gain()).toBe(46);
    expect(at(100, 100).gain()).toBe(82);
    // Flaps are in the bank that is passed through.
    const flap = model.setup.unit.settings.outputs.find((o) => o.carries === 'flap')!;
    expect(model.setup.unit.traits.ports.find((p) => p.id === flap.port)!.bank).toBe(2);
  },
};
