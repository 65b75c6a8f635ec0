import { describe, expect, it } from 'vitest';
import {
  TRANSMITTERS,
  UNITS,
  buildAirframe,
  usualAnswers,
  type AirframeAnswers,
} from '../catalogue';
import { allExpectations, predictAll } from '../directions';
import { parseSetup, type AirframeKind } from '../setup';
import { createBench } from '../standin';
import { composeSetup, planChannels, unsuited } from './index';
import { isSteeringUnit } from '../setup';

const answers = (kind: AirframeKind, more: Partial<AirframeAnswers> = {}) => ({
  ...usualAnswers(kind),
  ...more,
});

const AIRFRAMES: [string, AirframeAnswers][] = [
  ['conventional', answers('conventional')],
  ['conventional, one aileron servo', answers('conventional', { ailerons: 'one-servo' })],
  ['conventional, two aileron outputs', answers('conventional', { ailerons: 'two-outputs' })],
  ['conventional, flaperons', answers('conventional', { ailerons: 'flaperons' })],
  ['conventional, flaps and gear', answers('conventional', { flaps: true, gear: true })],
  ['conventional, shared wheel', answers('conventional', { wheel: 'shared' })],
  ['conventional, wheel of its own', answers('conventional', { wheel: 'separate' })],
  ['twin', answers('conventional', { motors: 2 })],
  ['T-tail', answers('t-tail')],
  ['V-tail', answers('v-tail')],
  ['V-tail upside down', answers('inverted-v-tail')],
  ['flying wing', answers('flying-wing')],
  ['flying wing with a rudder', answers('flying-wing', { rudder: true })],
  ['three-channel', answers('three-channel')],
  ['car', answers('car')],
  ['boat', answers('boat')],
];

const PAIRS = Object.keys(UNITS).flatMap((unit) =>
  AIRFRAMES.filter(([, a]) => unsuited(buildAirframe(a), UNITS[unit]!).length === 0).map(
    ([name, a]) => ({ unit, name, a }),
  ),
);

describe('every sensible unit and airframe', () => {
  it('are many, and every unit suits some', () => {
    expect(PAIRS.length).toBeGreaterThanOrEqual(60);
    for (const unit of Object.keys(UNITS)) {
      const least = isSteeringUnit(UNITS[unit]!) ? 2 : 3;
      expect(PAIRS.filter((p) => p.unit === unit).length).toBeGreaterThanOrEqual(least);
    }
  });

  it.each(PAIRS)(
    '$unit in $name: planned, driven, right in every direction, out and in again',
    ({ unit, a }) => {
      const surface = a.kind === 'car' || a.kind === 'boat';
      const transmitter = TRANSMITTERS[surface ? 'surface-four' : 'line-sixteen']!;
      const airframe = buildAirframe(a);
      expect(
        planChannels({ airframe, unit: UNITS[unit]!, transmitter, wishes: [], pins: [] })
          .impossible,
      ).toEqual([]);
      const setup = composeSetup('Pair', airframe, UNITS[unit]!, transmitter);

      const read = parseSetup(JSON.parse(JSON.stringify(setup)));
      expect(read).toEqual({ ok: true, value: setup });
      for (const s of [...airframe.servos, ...airframe.motors])
        expect(setup.installation.plugs.some((p) => p.drives.includes(s.id))).toBe(true);

      const predictions = predictAll(setup);
      const expectations = allExpectations(setup);
      expect(expectations.some((e) => e.check.kind === 'correction')).toBe(true);
      for (const { check, surface: s, movement } of expectations)
        expect(`${check.id} ${s.id} ${predictions.get(check.id)!.get(s.id)!.movement}`).toBe(
          `${check.id} ${s.id} ${movement}`,
        );

      const bench = createBench(setup);
      bench.tilt('yaw', 30);
      const snapshot = bench.advance(0.03);
      expect(snapshot.motorPct.every((pct) => pct === 0)).toBe(true);
      expect(snapshot.surfaceDeg.every((deg) => Number.isFinite(deg))).toBe(true);
    },
  );

  it('a boat worked by an aeroplane transmitter is steered, and seen to be, by the same stick', () => {
    const setup = composeSetup(
      'Boat',
      buildAirframe(usualAnswers('boat')),
      UNITS['steering-receiver']!,
      TRANSMITTERS['line-sixteen']!,
    );
    expect(setup.program.inputs.find((i) => i.id === 'steering')!.control).toBe('stick-aileron');
    for (const { check, surface, movement } of allExpectations(setup))
      expect(predictAll(setup).get(check.id)!.get(surface.id)!.movement).toBe(movement);
  });
});
