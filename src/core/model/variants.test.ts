import { describe, expect, it } from 'vitest';
import { turnstoneSetup } from '../../demo/models/turnstone';
import { fitted, mattering, sticks, transmitterFor } from '../../../tests/kit/fitted';
import { makeSetup } from '../../../tests/kit/setups';
import { share } from '../../../tests/kit/share';
import { answersOf, buildAirframe, rebuildAirframe, UNITS, usualAnswers } from '../catalogue';
import { refit, unsuited } from '../plan';
import { AIRFRAME_KINDS, kindOf, roleOf } from '../setup';
import { monitorOf, sheetFor } from '../sheets';
import { deviceOf, doesWords, movedPart, placeOf, VARIANTS } from './index';

/** A model of each kind with a unit that suits it, and one thing built differently. */
const CASES = AIRFRAME_KINDS.flatMap((kind) => {
  const airframe = buildAirframe({
    ...usualAnswers(kind),
    flaps: !kindOf({ kind }).onSurface,
    rudder: true,
  });
  const suited = Object.keys(UNITS).filter((u) => unsuited(airframe, UNITS[u]!).length === 0);
  return VARIANTS.filter((v) => v.fits(airframe)).flatMap((variant) =>
    suited.map((unit) => ({ kind, id: variant.id, unit, variant, airframe })),
  );
});

describe('what a model may have besides', () => {
  it('is there for every kind that can have it', () => {
    const of = (kind: string) => [
      ...new Set(CASES.filter((c) => c.kind === kind).map((c) => c.id)),
    ];
    expect(of('conventional')).toEqual([
      'two-elevators',
      'two-rudders',
      'canard',
      'flap-servos',
      'winch',
      'lights',
      'hook',
    ]);
    expect(of('flying-wing')).toEqual(['two-rudders', 'flap-servos', 'winch', 'lights', 'hook']);
    expect(of('car')).toEqual(['second-motor', 'rear-steering', 'winch', 'lights']);
    expect(of('boat')).toEqual(['two-rudders', 'second-motor', 'winch', 'lights']);
  });
  it('two rudders are not halved again', () => {
    const { airframe } = turnstoneSetup();
    expect(VARIANTS.filter((v) => v.fits(airframe)).map((v) => v.id)).toEqual([
      'two-elevators',
      'canard',
      'winch',
      'lights',
      'hook',
    ]);
  });
  it.each(share(CASES, 20))(
    '$kind with $unit: $id is planned, proved, printed, and goes again',
    (c) => {
      const airframe = { ...makeSetup(c.kind).airframe, ...c.airframe };
      const before = fitted(makeSetup(c.kind, c.unit, transmitterFor(c.kind)), airframe);
      const wanted = refit(before, { airframe: c.variant.add(airframe) });
      // A device that would cost the mode or the gain channel is refused in words.
      if (!wanted.ok) {
        expect(wanted.reasons.join(' ')).toMatch(
          /^There is no channel left for it\. Possible only|need more than the unit receives/,
        );
        return expect(deviceOf(c.id)).toBeDefined();
      }
      const after = fitted(before, c.variant.add(airframe));
      expect(c.variant.has(after.airframe)).toBe(true);
      expect(mattering(after)).toEqual(mattering(before));
      expect(sheetFor(after).sections.length).toBeGreaterThan(0);
      // Other answers about the model leave it as it is.
      const answers = answersOf(after.airframe);
      expect(
        c.variant.has(rebuildAirframe(after.airframe, { ...answers, gear: !answers.gear })),
      ).toBe(true);
      expect(fitted(after, c.variant.remove(after.airframe)).airframe).toEqual(before.airframe);
    },
  );

  it.each(AIRFRAME_KINDS)('%s: any two together, in either order, taken off in either', (kind) => {
    const unit = kindOf({ kind }).onSurface ? 'steering-lead' : 'menu-receiver';
    const start = CASES.find((c) => c.kind === kind)?.airframe;
    const before = fitted(makeSetup(kind, unit, transmitterFor(kind)), {
      ...makeSetup(kind).airframe,
      ...start,
    });
    const fitting = VARIANTS.filter((v) => v.fits(before.airframe));
    const pairs = fitting.flatMap((one) =>
      fitting.filter((other) => other !== one).map((other) => [one, other] as const),
    );
    for (const [one, other] of share(pairs, 4)) {
      const both = fitted(before, other.add(one.add(before.airframe)));
      const name = `${one.id}, then ${other.id}`;
      expect([one.has(both.airframe), other.has(both.airframe)], name).toEqual([true, true]);
      expect(mattering(both), name).toEqual(mattering(before));
      for (const [first, last] of [
        [one, other],
        [other, one],
      ] as const)
        expect(last.remove(first.remove(both.airframe)), `${name}, ${first.id} off first`).toEqual(
          before.airframe,
        );
    }
  });

  it.each([
    [
      'conventional',
      'canard',
      [
        'roll: Left aileron down',
        'roll: Right aileron up',
        'pitch: Elevator down',
        'yaw: Rudder right',
      ],
    ],
    [
      't-tail',
      'two-elevators',
      [
        'roll: Left aileron down',
        'roll: Right aileron up',
        'pitch: Left elevator up',
        'pitch: Right elevator up',
        'yaw: Rudder right',
      ],
    ],
    ['boat', 'two-rudders', ['yaw: Left rudder right', 'yaw: Right rudder right']],
    [
      'car',
      'rear-steering',
      [
        'yaw: Left front wheel right',
        'yaw: Right front wheel right',
        'yaw: Left rear wheel left',
        'yaw: Right rear wheel left',
      ],
    ],
  ] as const)('%s with %s: the sticks do this', (kind, id, does) => {
    const ground = kindOf({ kind }).onSurface;
    const unit = ground ? 'steering-menu' : 'menu-receiver';
    const setup = makeSetup(kind, unit, transmitterFor(kind));
    const variant = VARIANTS.find((v) => v.id === id)!;
    expect(sticks(fitted(setup, variant.add(setup.airframe)))).toEqual(does);
  });

  it('a second rudder on a channel of its own is planned and proved, and stays on it', () => {
    const setup = makeSetup();
    const twin = VARIANTS.find((v) => v.id === 'two-rudders')!.add(setup.airframe);
    const servos = twin.servos.map((s) =>
      s.id === 'rudder-second' ? { ...s, carries: 'rudder2' as const } : s,
    );
    const after = fitted(setup, { ...twin, servos });
    expect(after.program.outputs.map((o) => o.carries)).toContain('rudder2');
    expect(mattering(after)).toEqual(mattering(setup));
    const changed = rebuildAirframe(after.airframe, { ...answersOf(after.airframe), flaps: true });
    expect(changed.servos.find((s) => s.id === 'rudder-second')!.carries).toBe('rudder2');
    // What an answer decides follows the answer.
    const apart = rebuildAirframe(changed, { ...answersOf(changed), ailerons: 'two-outputs' });
    expect(apart.servos.find((s) => s.id === 'aileron-right')!.carries).toBe('aileron2');
    const joined = rebuildAirframe(apart, { ...answersOf(apart), ailerons: 'y-lead' });
    expect(joined.servos.find((s) => s.id === 'aileron-right')!.carries).toBe('aileron');
  });
});

describe('a second motor on a throttle of its own', () => {
  const withTwo = (kind: 'conventional' | 'boat', unit: string) => {
    const setup = makeSetup(kind, unit, transmitterFor(kind));
    const [motor] = setup.airframe.motors;
    const second = {
      ...motor!,
      id: 'second',
      label: 'Second motor',
      carries: 'throttle2' as const,
    };
    return { setup, airframe: { ...setup.airframe, motors: [motor!, second] } };
  };
  it('runs as the first does, and stands still with the cut on', () => {
    const { setup, airframe } = withTwo('conventional', 'menu-receiver');
    const after = fitted(setup, airframe);
    expect(mattering(after)).toEqual(mattering(setup));
    const channels = after.program.outputs.filter((o) => roleOf(o.carries) === 'motor');
    expect(channels.map((o) => o.carries)).toEqual(['throttle', 'throttle2']);
    const monitor = monitorOf(after);
    const { control } = after.intents.program.cut!;
    const read = (hands: Record<string, number>) =>
      channels.map((c) => Math.round(monitor.read(c.channel, hands).pct));
    expect(read({})).toEqual([-100, -100]);
    expect(read({ 'stick-throttle': 100, [control]: 100 })).toEqual([100, 100]);
    expect(read({ 'stick-throttle': 100, [control]: -100 })).toEqual([-100, -100]);
  });
  it('is refused in words where the unit has no channel for it', () => {
    const { setup, airframe } = withTwo('boat', 'steering-menu');
    expect(refit(setup, { airframe })).toMatchObject({
      ok: false,
      reasons: [expect.stringContaining('more than the unit receives: 4 channels')],
    });
  });
});

describe('a part that is moved', () => {
  const { airframe } = makeSetup('conventional');
  const labelled = (id: string, a = airframe) => a.surfaces.find((s) => s.id === id)!;
  it('takes the one across with it', () => {
    const moved = movedPart(airframe, 'aileron-left', { rightMm: -480, forwardMm: -120 });
    if (!moved.ok) throw new Error(moved.reason);
    expect(labelled('aileron-left', moved.airframe).place).toMatchObject({ rightMm: -480 });
    expect(labelled('aileron-right', moved.airframe).place).toMatchObject({
      rightMm: 480,
      forwardMm: -120,
    });
  });
  it('does something else ahead of the wing, which its rods do not know: found', () => {
    const setup = makeSetup();
    const moved = movedPart(setup.airframe, 'elevator', { forwardMm: 400 });
    if (!moved.ok) throw new Error(moved.reason);
    expect(doesWords(airframe, labelled('elevator'))).toBe('down: lowers the nose');
    expect(doesWords(moved.airframe, labelled('elevator', moved.airframe))).toBe(
      'down: lifts the nose',
    );
    expect(mattering({ ...setup, airframe: moved.airframe }).join()).toMatch(
      /^stop M5: .*the elevator goes up; it must go down/,
    );
  });
  it('cannot be where it turns nothing', () => {
    expect(movedPart(airframe, 'elevator', { forwardMm: 0 })).toEqual({
      ok: false,
      reason: 'elevator would turn nothing there: it needs a lever about the balance point',
    });
    expect(() => movedPart(airframe, 'nothing', {})).toThrow('there is no part "nothing"');
  });
  it('cannot be past the tip of the wing it is on', () => {
    const { spanMm } = airframe.measures;
    const own = placeOf(airframe, labelled('aileron-right'));
    const out = spanMm / 2 + own.spanMm / 2;
    expect(movedPart(airframe, 'aileron-right', { rightMm: out - 1 }).ok).toBe(true);
    expect(movedPart(airframe, 'aileron-right', { rightMm: out })).toEqual({
      ok: false,
      reason: `right aileron would be past the wing tip, ${(spanMm / 2).toFixed(0)} mm from the middle: is the span measured?`,
    });
    // What is not on the wing may be as far out as it is.
    expect(movedPart(airframe, 'rudder', { rightMm: spanMm }).ok).toBe(true);
  });
});
