import { expect } from 'vitest';
import { airframe, chosen, checked, planned, transmitterLike, unitLike, type Shape } from './kit';

/** A gyro in one lead with two servos behind it; gain found with a slider, then on a switch. */
export const singleAxis: Shape = {
  name: 'single-axis gyro, two servos',
  make() {
    const twin = airframe('conventional');
    const rudder = twin.surfaces.find((s) => s.role === 'rudder')!;
    const servo = twin.servos.find((s) => s.id === rudder.servo)!;
    twin.surfaces.push({
      ...rudder,
      id: 'rudder-2',
      label: 'Second rudder',
      servo: 'servo-rudder-2',
    });
    twin.servos.push({ ...servo, id: 'servo-rudder-2', label: 'Second rudder servo' });
    const unit = unitLike(
      'single-axis-gyro',
      {
        ports: [
          { id: 'g1', label: 'Gyro out 1', labelledFor: 'rudder', canStabilize: true },
          { id: 'g2', label: 'Gyro out 2', labelledFor: 'rudder', canStabilize: true },
          ...Array.from({ length: 7 }, (_, i) => ({
            id: `rx${i + 1}`,
            label: `Receiver ${i + 1}`,
            canStabilize: false,
            on: 'receiver' as const,
          })),
        ],
        modes: ['off', 'rate', 'hold'],
        modeSelect: { by: 'gain-sign', deadPct: 3 },
        gainLaw: 'sign-selects-set',
        gainLeadMissing: 'keeps-last',
        gainKept: 'output-and-set',
        outputTravel: true,
        portReverse: true,
        extras: ['sensitivity-class', 'frame-rate'],
        lights: [],
      },
      { slots: ['rate', 'off', 'hold'], sensitivity: 4, servoFrameMs: 11 },
    );
    const setup = planned(
      'Turnstone',
      { airframe: twin, unit, transmitter: transmitterLike('line-sixteen', { stepPct: 0.5 }) },
      { wish: 'gain', value: { by: 'knob', control: 'l1', middleOff: true } },
    );
    setup.transmitter.controls.find((c) => c.id === 'l1')!.rest = 0;
    const found = chosen(setup, {
      wish: 'gain',
      value: { by: 'values', control: 'sb', pct: [-40, 0, 62.5] },
    });
    found.unit.settings.axes.yaw.holdAllowed = true;
    const outputs = found.unit.settings.outputs.filter((o) => o.carries === 'rudder');
    outputs.forEach((o, i) => {
      o.sets = {
        below: { gainPct: 100, maxGainPct: 80 - 10 * i, holdAllowed: false },
        above: { gainPct: 100, maxGainPct: 60, holdAllowed: i === 0 },
      };
      o.travel = { centrePct: 4 * i, minPct: -90, maxPct: 85 + 5 * i };
    });
    outputs[1]!.reversed = false;
    return checked(found);
  },
  cautions: {
    M33: 'a model that skids: the heading is held on purpose, on one side of the switch',
  },
  drives(model) {
    const at = (sb: number) => model.fresh().hands({ sb });
    expect([-100, 0, 100].map((sb) => at(sb).mode)).toEqual(['rate', 'off', 'hold']);
    expect(at(0).gain('yaw')).toBe(0);
    expect(Math.abs(at(-100).gain('yaw') - 160)).toBeLessThanOrEqual(2);
    expect(Math.abs(at(100).gain('yaw') - 250)).toBeLessThanOrEqual(2);
    // Each output answers by its own maximum, and the second has its own centre.
    const still = at(-100).surface('rudder-2');
    at(-100).world({ yawRate: 20 });
    expect(Math.abs(model.surface('rudder'))).toBeGreaterThan(1);
    expect(Math.abs(model.surface('rudder'))).not.toBeCloseTo(
      Math.abs(model.surface('rudder-2') - still),
      1,
    );
    // Held only where that output and side allow it.
    at(100).world({ yawRate: 20 }, 0.5).world({ yawRate: 0 }, 0.02);
    expect(Math.abs(model.surface('rudder'))).toBeGreaterThan(1);
  },
};
