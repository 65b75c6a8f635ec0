import { describe, expect, it } from 'vitest';
import { ORDER_FAULTS, type Fault } from '../../../tests/kit/order-faults';
import { TRANSMITTERS, UNITS, USUAL_STEERING, buildAirframe, usualAnswers } from '../catalogue';
import { applyPatch } from '../patch';
import { composeSetup, setSteeringEnds, unsuited } from '../plan';
import { AIRFRAME_KINDS, parseSetup, type AirframeKind, type Setup } from '../setup';
import { createBench } from '../standin';
import { findingsOf, RULES, verify } from './index';

function make(
  kind: AirframeKind = 'conventional',
  unit = 'menu-receiver',
  transmitter = 'line-sixteen',
  more = {},
): Setup {
  return composeSetup(
    'T',
    buildAirframe({ ...usualAnswers(kind), ...more }),
    UNITS[unit]!,
    TRANSMITTERS[transmitter]!,
  );
}

/** A car whose steering is measured, its ends at the stops. */
function measuredCar(): Setup {
  const setup = make('car', 'steering-receiver', 'surface-four');
  setup.airframe.steering = { ...USUAL_STEERING };
  return applyPatch(setup, setSteeringEnds(setup)) as Setup;
}

/** For every rule, ways to be wrong. Each spoils a clean Setup. */
const FAULTS: Fault[] = [
  ...ORDER_FAULTS,
  [
    'M3',
    'roll reversed in the unit',
    make,
    (s) => {
      s.unit.settings.axes.roll.reversed = true;
    },
  ],
  [
    'M3',
    'yaw reversed in the unit',
    make,
    (s) => {
      s.unit.settings.axes.yaw.reversed = true;
    },
  ],
  [
    'M3',
    'elevator output corrected backwards',
    make,
    (s) => {
      s.unit.settings.outputs[1]!.correctionReversed = true;
    },
  ],
  [
    'M4',
    'elevator channel reversed',
    make,
    (s) => {
      s.program.outputs[1]!.reversed = true;
    },
  ],
  [
    'M4',
    'rudder channel reversed on a V-tail',
    () => make('v-tail'),
    (s) => {
      s.program.outputs.find((o) => o.carries === 'rudder')!.reversed = true;
    },
  ],
  [
    'M4',
    'aileron line negative',
    make,
    (s) => {
      s.program.lines.find((l) => l.channel === 1)!.sharePct = -100;
    },
  ],
  [
    'M5',
    'elevator servo reversed',
    make,
    (s) => {
      s.airframe.servos[2]!.rotation = 'reversed';
    },
  ],
  [
    'M5',
    'rudder rod on the other side',
    make,
    (s) => {
      s.airframe.surfaces[3]!.linkage.sense = 'same';
    },
  ],
  [
    'M5',
    'port reversed',
    make,
    (s) => {
      s.unit.settings.outputs[0]!.reversed = true;
    },
  ],
  [
    'M6',
    'delta mixed nowhere',
    () => make('flying-wing'),
    (s) => {
      s.unit.settings.wingType = 'normal';
    },
  ],
  [
    'M6',
    'plain model, V-tail set',
    make,
    (s) => {
      s.unit.settings.wingType = 'v-tail';
    },
  ],
  [
    'M6',
    'delta mixed twice',
    () => make('flying-wing'),
    (s) => {
      s.program.lines.push({
        ...s.program.lines[0]!,
        id: 'again',
        follows: { kind: 'input', id: 'elevator' },
      });
    },
  ],
  [
    'M7',
    'unit looks for the rudder elsewhere',
    make,
    (s) => {
      s.unit.settings.inputs.find((i) => i.carries === 'rudder')!.channel = 5;
    },
  ],
  [
    'M7',
    'fixed order not kept',
    () => make('conventional', 'fixed-order-receiver'),
    (s) => {
      const [a, e] = s.unit.settings.inputs;
      a!.channel = 2;
      e!.channel = 1;
      s.program.outputs[0]!.carries = 'elevator';
      s.program.outputs[1]!.carries = 'aileron';
    },
  ],
  [
    'M7',
    'rudder servo in the elevator plug',
    make,
    (s) => {
      const plugs = s.installation.plugs;
      [plugs[1]!.drives, plugs[2]!.drives] = [plugs[2]!.drives, plugs[1]!.drives];
    },
  ],
  [
    'M14',
    'flaps stabilized',
    () => make('conventional', 'menu-receiver', 'line-sixteen', { flaps: true }),
    (s) => {
      s.unit.settings.outputs.find((o) => o.carries === 'flap')!.stabilized = true;
    },
  ],
  [
    'M14',
    'gear stabilized',
    () => make('conventional', 'menu-receiver', 'line-sixteen', { gear: true }),
    (s) => {
      s.unit.settings.outputs.find((o) => o.carries === 'gear')!.stabilized = true;
    },
  ],
  [
    'M14',
    'throttle stabilized',
    make,
    (s) => {
      s.unit.settings.outputs.find((o) => o.carries === 'throttle')!.stabilized = true;
    },
  ],
  [
    'M19',
    'on its side in a flat-only unit',
    () => make('conventional', 'switch-receiver'),
    (s) => {
      s.installation.mounting = 'nose-left';
    },
  ],
  [
    'M19',
    'turned round and not told',
    make,
    (s) => {
      s.installation.mounting = 'tail-up';
    },
  ],
  [
    'M19',
    'told otherwise',
    make,
    (s) => {
      s.unit.settings.orientation = 'left-up';
    },
  ],
  [
    'M24',
    'three modes on two positions',
    make,
    (s) => {
      s.program.lines.find((l) => l.purpose === 'mode')!.follows = { kind: 'control', id: 'sh' };
    },
  ],
  [
    'M24',
    'mode channel halved',
    make,
    (s) => {
      s.program.lines.find((l) => l.purpose === 'mode')!.sharePct = 20;
    },
  ],
  [
    'M24',
    'mode channel pushed up',
    make,
    (s) => {
      s.program.lines.find((l) => l.purpose === 'mode')!.shiftPct = 60;
    },
  ],
  [
    'M25',
    'no mode channel',
    make,
    (s) => {
      s.program.outputs = s.program.outputs.filter((o) => o.carries !== 'mode');
    },
  ],
  [
    'M25',
    'no rudder channel',
    make,
    (s) => {
      s.program.outputs = s.program.outputs.filter((o) => o.carries !== 'rudder');
    },
  ],
  [
    'M25',
    'no gain channel',
    make,
    (s) => {
      s.program.outputs = s.program.outputs.filter((o) => o.carries !== 'gain');
    },
  ],
  [
    'M26',
    'eight-channel link, gain on nine',
    make,
    (s) => {
      s.transmitter.link = 'short';
      s.program.outputs[5]!.channel = 9;
    },
  ],
  [
    'M26',
    'mode on twelve',
    make,
    (s) => {
      s.transmitter.link = 'short';
      s.program.outputs[4]!.channel = 12;
    },
  ],
  [
    'M26',
    'automatic link',
    () => make('conventional', 'menu-receiver', 'function-eight'),
    (s) => {
      s.transmitter.link = 'auto';
      s.program.outputs[5]!.channel = 8;
    },
  ],
  [
    'M35',
    'ends beyond the stops of a measured steering',
    measuredCar,
    (s) => {
      s.airframe.steering!.lockLeftDeg = 20;
    },
  ],
  [
    'M35',
    'a longer servo arm',
    measuredCar,
    (s) => {
      s.airframe.steering!.armMm = 22;
    },
  ],
  [
    'M35',
    'one end short of its stop',
    measuredCar,
    (s) => {
      s.program.outputs.find((o) => o.carries === 'steering')!.maxPct = 40;
    },
  ],
  [
    'M29',
    'throttle channel reversed',
    make,
    (s) => {
      s.program.outputs[2]!.reversed = true;
    },
  ],
  [
    'M29',
    'throttle subtrim',
    make,
    (s) => {
      s.program.outputs[2]!.subtrimPct = 20;
    },
  ],
  [
    'M29',
    'reversed inside as well',
    make,
    (s) => {
      s.transmitter.throttleReversedInside = true;
    },
  ],
  [
    'M42',
    'no cut',
    make,
    (s) => {
      s.program.lines = s.program.lines.filter((l) => l.purpose !== 'throttle-cut');
    },
  ],
  [
    'M42',
    'cut off at rest',
    make,
    (s) => {
      s.transmitter.controls.find((c) => c.id === 'sg')!.rest = 100;
    },
  ],
  [
    'M42',
    'cut too high',
    make,
    (s) => {
      s.program.lines.find((l) => l.purpose === 'throttle-cut')!.sharePct = -60;
    },
  ],
  [
    'M46',
    'mode and throttle cut on one switch',
    make,
    (s) => {
      s.program.lines.find((l) => l.purpose === 'throttle-cut')!.when = {
        kind: 'switch',
        control: 'sa',
        position: 0,
      };
    },
  ],
  [
    'M46',
    'one channel for two',
    make,
    (s) => {
      s.unit.settings.inputs.find((i) => i.carries === 'gain')!.channel = 6;
    },
  ],
  [
    'M46',
    'flap and mode on one switch',
    () => make('conventional', 'menu-receiver', 'line-sixteen', { flaps: true }),
    (s) => {
      s.program.lines.find((l) => l.purpose === 'other')!.follows = { kind: 'control', id: 'sa' };
    },
  ],
  [
    'M47',
    'lead out, keeps last',
    make,
    (s) => {
      s.installation.gainLead = false;
    },
  ],
  [
    'M47',
    'lead out, full',
    () => make('conventional', 'single-axis-gyro'),
    (s) => {
      s.installation.gainLead = false;
    },
  ],
  [
    'M47',
    'lead out, no off mode',
    make,
    (s) => {
      s.installation.gainLead = false;
      s.unit.settings.slots = ['rate', 'rate', 'level'];
    },
  ],
];

describe('seeded faults', () => {
  it.each(FAULTS)('%s catches: %s', (rule, _, start, spoil) => {
    // What is found must come from the fault, not have been there before.
    expect(findingsOf(start()).filter((f) => f.rule === rule)).toEqual([]);
    const setup = structuredClone(start());
    spoil(setup);
    expect(parseSetup(setup)).toMatchObject({ ok: true });
    const found = verify(setup).filter((f) => f.rule === rule);
    expect(found.length).toBeGreaterThan(0);
    // A remedy that is offered removes what it was offered for.
    for (const remedy of found[0]!.remedies) {
      const mended = applyPatch(setup, remedy.patch);
      expect(parseSetup(mended)).toMatchObject({ ok: true });
      expect(
        findingsOf(mended).filter((f) => f.rule === rule && f.says === found[0]!.says),
      ).toEqual([]);
    }
  });
  it('show themselves: the witness, put on the chain, has the fault in it', () => {
    const setup = make();
    setup.program.outputs[2]!.reversed = true;
    const { witness } = verify(setup).find((f) => f.rule === 'M29')!;
    const bench = createBench(setup);
    for (const [id, value] of Object.entries(witness!.controls)) bench.setControl(id, value);
    expect(bench.advance(0.03).motorPct[0]).toBeGreaterThan(5);
    const roll = make();
    roll.unit.settings.axes.roll.reversed = true;
    const found = verify(roll).find((f) => f.rule === 'M3')!;
    const other = createBench(roll);
    for (const [id, value] of Object.entries(found.witness!.controls)) other.setControl(id, value);
    other.tilt('roll', 20);
    expect(other.advance(0.03).answers[0]).toMatchObject({ movement: 'down' });
    expect(found.remedies[0]!.label).toBe('Reverse the roll correction in the unit’s menu');
  });
  it('has three ways to be wrong for every rule', () => {
    for (const rule of RULES)
      expect(FAULTS.filter(([id]) => id === rule.id).length, rule.id).toBeGreaterThanOrEqual(3);
  });
});

const CLEAN = Object.entries(UNITS).flatMap(([unit]) =>
  AIRFRAME_KINDS.filter(
    (kind) => unsuited(buildAirframe(usualAnswers(kind)), UNITS[unit]!).length === 0,
  ).map((kind) => ({
    unit,
    kind,
    transmitter: kind === 'car' || kind === 'boat' ? 'surface-four' : 'line-sixteen',
  })),
);

describe('clean Setups raise no stop', () => {
  it('are at least thirty', () => expect(CLEAN.length).toBeGreaterThanOrEqual(30));
  it.each(CLEAN)('$unit, $kind', ({ unit, kind, transmitter }) => {
    const stops = findingsOf(make(kind, unit, transmitter)).filter((f) => f.severity === 'stop');
    expect(stops.map((f) => `${f.rule} ${f.says}`)).toEqual([]);
  });
});
