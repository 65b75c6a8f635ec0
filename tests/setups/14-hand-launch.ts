import { expect } from 'vitest';
import { airframe, checked, chosen, planned, transmitterLike, unitLike, type Shape } from './kit';

/** Thrown by hand: a button held arms levelling and some up elevator; any stick lets it go. */
export const handLaunch: Shape = {
  name: 'hand launch with a reversed elevator servo',
  make() {
    let setup = planned('Whimbrel', {
      airframe: airframe('conventional'),
      unit: unitLike('menu-receiver', { panic: 'mode-band' }),
      transmitter: transmitterLike('line-sixteen'),
    });
    const elevator = setup.airframe.servos.find((s) => s.carries === 'elevator')!;
    elevator.rotation = 'reversed';
    setup.program.outputs.find((o) => o.carries === 'elevator')!.reversed = true;
    setup.unit.settings.axes.pitch.reversed = true;
    setup = chosen(setup, {
      wish: 'launch',
      value: {
        control: 'sm',
        holdS: 1,
        elevatorPct: 22,
        releasePct: 10,
        adjust: 'trim-rudder',
      },
    });
    return checked(chosen(setup, { wish: 'voice', value: { modes: true } }));
  },
  drives(model) {
    const still = model.fresh().surface('elevator');
    model.hands({ sm: 100 }, 0.5);
    expect(model.mode).not.toBe('level');
    model.hands({ sm: 100 }, 0.7).hands({ sm: -100 }, 1);
    expect(model.mode).toBe('level');
    const up = model.surface('elevator');
    expect(up).toBeLessThan(still - 1);
    // The elevator trim is none of its business; its own lever is.
    expect(model.hands({ 'trim-elevator': 40 }).mode).toBe('level');
    model.hands({ 'trim-elevator': 0 });
    expect(model.hands({ 'trim-rudder': 100 }).surface('elevator')).toBeLessThan(up - 0.5);
    model.hands({ 'trim-rudder': 0, 'stick-aileron': 20 }, 0.1).hands({ 'stick-aileron': 0 }, 0.1);
    expect(model.mode).not.toBe('level');
    expect(model.surface('elevator')).toBeCloseTo(still, 1);
    const said = model.setup.program.callouts.map((c) => c.say).join('; ');
    expect(said).toMatch(/launch help on.*launch help off/i);
  },
  cautions: { M30: 'the elevator is reversed on purpose; a stick corner moves with it' },
};
