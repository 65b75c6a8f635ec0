import type { Setup } from '../../core/setup';
import type { DemoModel } from '../kit';
import { airframe, chosen, checked, planned, transmitterLike, unitLike } from '../parts';

export function turnstoneSetup(): Setup {
  const twin = airframe('conventional');
  const rudder = twin.surfaces.find((s) => s.role === 'rudder')!;
  Object.assign(rudder, { label: 'Left rudder', side: 'left' });
  const servo = twin.servos.find((s) => s.id === rudder.servo)!;
  twin.surfaces.push({
    ...rudder,
    id: 'rudder-2',
    label: 'Right rudder',
    side: 'right',
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
    'Turnstone, twin rudders',
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
}

/** The twin-rudder with a gyro in one lead: gain found with a slider, then put on a switch. */
export function turnstone(): DemoModel {
  const setup = {
    ...turnstoneSetup(),
    notes: 'Skids on the ice like a sledge: the heading is held on one side of the switch.',
  };
  return {
    versions: [{ setup, label: 'Chosen at the table', at: '2026-11-02T11:25:00.000Z' }],
    seen: [],
    log: [],
  };
}
