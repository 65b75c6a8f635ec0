import { describe, expect, it } from 'vitest';
import { fitted, mattering, sticks, transmitterFor } from '../../../tests/kit/fitted';
import { makeSetup } from '../../../tests/kit/setups';
import { share } from '../../../tests/kit/share';
import { answersOf, buildAirframe, rebuildAirframe, UNITS, usualAnswers } from '../catalogue';
import { refit, unsuited } from '../plan';
import { AIRFRAME_KINDS, type Airframe } from '../setup';
import { sheetFor } from '../sheets';
import {
  mirroredPart,
  motorOutWords,
  movedPart,
  newPartsFor,
  withoutPart,
  withPart,
  type Changed,
} from './index';

const made = (changed: Changed): Airframe => {
  if (!changed.ok) throw new Error(changed.reason);
  return changed.airframe;
};

const refusal = (changed: Changed) => (changed.ok ? 'taken' : changed.reason);

const labels = ({ surfaces, motors }: Airframe) => [...surfaces, ...motors].map((p) => p.label);

/** Every part that may be added to a model of every kind, with every unit that suits it. */
const CASES = AIRFRAME_KINDS.flatMap((kind) => {
  const airframe = buildAirframe(usualAnswers(kind));
  return newPartsFor(airframe).flatMap(({ id }) =>
    Object.keys(UNITS)
      .filter((unit) => unsuited(airframe, UNITS[unit]!).length === 0)
      .map((unit) => ({ kind, id, unit })),
  );
});

describe('a part that is added', () => {
  it.each([
    ['conventional', ['ailerons', 'elevator', 'rudder', 'flaps', 'wheel', 'motor']],
    ['flying-wing', ['rudder', 'flaps', 'elevons', 'wheel', 'motor']],
    ['v-tail', ['ailerons', 'flaps', 'wheel', 'motor']],
    ['car', ['wheels', 'motor']],
    ['boat', ['boat-rudder', 'motor']],
    ['inverted-v-tail', ['ailerons', 'flaps', 'motor']],
  ] as const)('%s: what it may have more of', (kind, ids) => {
    expect(newPartsFor(makeSetup(kind).airframe).map((p) => p.id)).toEqual(ids);
  });
  it.each(share(CASES, 6))('$kind with $unit: $id is planned, proved, printed, goes again', (c) => {
    const before = makeSetup(c.kind, c.unit, transmitterFor(c.kind));
    const airframe = made(withPart(before.airframe, c.id));
    expect(new Set(labels(airframe)).size).toBe(labels(airframe).length);
    const wanted = refit(before, { airframe });
    if (!wanted.ok)
      return expect(wanted.reasons.join(' ')).toMatch(
        /^There is no channel left for it\. Possible only|more than the unit receives|does not stabilize|no output/,
      );
    const after = fitted(before, airframe);
    expect(mattering(after)).toEqual(mattering(before));
    expect(sheetFor(after).sections.length).toBeGreaterThan(0);
    const known = new Set(labels(before.airframe));
    let bare = after.airframe;
    for (const part of [...bare.surfaces, ...bare.motors])
      if (
        !known.has(part.label) &&
        [...bare.surfaces, ...bare.motors].some((p) => p.id === part.id)
      )
        bare = made(withoutPart(bare, part.id));
    const without = fitted(after, bare).airframe;
    expect(without.surfaces).toEqual(before.airframe.surfaces);
    expect(without.servos).toEqual(before.airframe.servos);
  });
  it.each([
    ['conventional', 'elevator', ['pitch: Elevator up', 'pitch: Second elevator down']],
    ['three-channel', 'ailerons', ['roll: Left aileron down', 'roll: Right aileron up']],
    ['conventional', 'rudder', ['yaw: Rudder right', 'yaw: Second rudder right']],
    [
      'flying-wing',
      'elevons',
      [
        'roll: Left elevon down',
        'roll: Right elevon up',
        'roll: Second left elevon down',
        'roll: Second right elevon up',
      ],
    ],
    [
      'car',
      'wheels',
      [
        'yaw: Left front wheel right',
        'yaw: Right front wheel right',
        'yaw: Left wheel left',
        'yaw: Right wheel left',
      ],
    ],
  ] as const)('%s with %s more: its stick moves it the right way', (kind, id, does) => {
    const setup = makeSetup(
      kind,
      kind === 'car' ? 'steering-menu' : 'menu-receiver',
      transmitterFor(kind),
    );
    const axis = does[0].split(':')[0]!;
    expect(
      sticks(fitted(setup, made(withPart(setup.airframe, id)))).filter((s) => s.startsWith(axis)),
    ).toEqual(does);
  });
  it('is refused where it cannot be, or where there is no room', () => {
    const { airframe } = makeSetup('car');
    expect(refusal(withPart(airframe, 'ailerons'))).toBe('this model can have no more of them');
    expect(refusal(withPart(airframe, 'propeller'))).toBe('this model can have no more of them');
    const two = made(withPart(makeSetup().airframe, 'rudder'));
    expect(refusal(withPart(two, 'rudder'))).toBe(
      'there is no usual place left for a rudder; move one that is there first',
    );
  });
  it('stays when other answers about the model change, and goes with its role', () => {
    const setup = makeSetup();
    const airframe = made(withPart(made(withPart(setup.airframe, 'ailerons')), 'elevator'));
    const answers = answersOf(airframe);
    const changed = rebuildAirframe(airframe, { ...answers, gear: true, flaps: true });
    expect(labels(changed)).toEqual([
      'Left aileron',
      'Right aileron',
      'Elevator',
      'Rudder',
      'Left flap',
      'Right flap',
      'Retracts',
      'Second left aileron',
      'Second right aileron',
      'Second elevator',
      'Motor',
    ]);
    expect(labels(rebuildAirframe(airframe, { ...answers, ailerons: 'none' }))).toEqual([
      'Elevator',
      'Rudder',
      'Second elevator',
      'Motor',
    ]);
    expect(rebuildAirframe(changed, { ...answersOf(changed), gear: false, flaps: false })).toEqual({
      ...airframe,
      assumed: [],
    });
  });
});

describe('a part taken off', () => {
  it('takes its servo along, unless that moves another part', () => {
    const { airframe } = makeSetup('conventional');
    const without = made(withoutPart(airframe, 'aileron-left'));
    expect(without.servos.map((s) => s.id)).not.toContain('aileron-left');
    const oneServo = buildAirframe({ ...usualAnswers('conventional'), ailerons: 'one-servo' });
    expect(made(withoutPart(oneServo, 'aileron-left')).servos).toEqual(oneServo.servos);
  });
  it('leaves its lead to the second of a pair', () => {
    const apart = buildAirframe({ ...usualAnswers('conventional'), ailerons: 'two-outputs' });
    const half = made(withoutPart(apart, 'aileron-left'));
    expect(half.servos.find((s) => s.id === 'aileron-right')!.carries).toBe('aileron');
  });
  it('stays off when other answers change', () => {
    const { airframe } = makeSetup('conventional');
    const without = made(withoutPart(airframe, 'rudder'));
    const changed = rebuildAirframe(without, { ...answersOf(without), flaps: true });
    expect(labels(changed)).toEqual([
      'Left aileron',
      'Right aileron',
      'Elevator',
      'Left flap',
      'Right flap',
      'Motor',
    ]);
  });
  it.each([
    ['conventional', 'elevator', 'without elevator nothing could lift or lower its nose'],
    ['v-tail', 'panel-left', 'without left v-tail panel nothing could lift or lower its nose'],
    ['three-channel', 'rudder', 'without rudder nothing could turn it'],
    ['boat', 'rudder', 'without rudder nothing could turn it'],
  ] as const)('%s: not the last that does it: %s', (kind, id, reason) => {
    expect(refusal(withoutPart(makeSetup(kind).airframe, id))).toBe(reason);
  });
  it('takes its other half along where one alone is of no use', () => {
    const wing = made(withPart(makeSetup('flying-wing').airframe, 'elevons'));
    expect(labels(made(withoutPart(wing, 'elevon-left')))).toEqual([
      'Second left elevon',
      'Second right elevon',
      'Motor',
    ]);
  });
  it('a model without its rudder is planned and proved', () => {
    const setup = makeSetup();
    const after = fitted(setup, made(withoutPart(setup.airframe, 'rudder')));
    expect(mattering(after)).toEqual([]);
    expect(after.program.outputs.map((o) => o.carries)).not.toContain('rudder');
  });
});

describe('a part mirrored', () => {
  it('a rudder moved to a fin becomes two, which do the same', () => {
    const setup = makeSetup();
    expect(refusal(mirroredPart(setup.airframe, 'rudder'))).toBe(
      'rudder is in the middle: move it to one side first',
    );
    const moved = made(movedPart(setup.airframe, 'rudder', { rightMm: -200 }));
    const twin = made(mirroredPart(moved, 'rudder'));
    expect(labels(twin)).toEqual([
      'Left aileron',
      'Right aileron',
      'Elevator',
      'Left rudder',
      'Right rudder',
      'Motor',
    ]);
    expect(sticks(fitted(setup, twin)).filter((s) => s.startsWith('yaw'))).toEqual([
      'yaw: Left rudder right',
      'yaw: Right rudder right',
    ]);
    expect(refusal(mirroredPart(twin, 'rudder'))).toBe('left rudder has its mirror image already');
  });
  it('an aileron taken off comes back as the image of the other', () => {
    const setup = makeSetup();
    const half = made(withoutPart(setup.airframe, 'aileron-left'));
    const whole = fitted(setup, made(mirroredPart(half, 'aileron-right')));
    expect(sticks(whole).filter((s) => s.startsWith('roll'))).toEqual([
      'roll: Right aileron up',
      'roll: Left aileron down',
    ]);
    expect(mattering(whole)).toEqual(mattering(setup));
  });
  it('a motor moved aside gets one across; four are the most', () => {
    const { airframe } = makeSetup();
    expect(refusal(mirroredPart(airframe, 'motor'))).toBe(
      'motor is in the middle: move it to one side first',
    );
    const twin = made(
      mirroredPart(
        {
          ...airframe,
          motors: airframe.motors.map((m) => ({
            ...m,
            place: { forwardMm: 100, rightMm: -200, downMm: 0, upDeg: 0, rightDeg: 0 },
          })),
        },
        'motor',
      ),
    );
    expect(twin.motors.map((m) => m.place!.rightMm)).toEqual([-200, 200]);
    const four = made(withPart(made(withPart(twin, 'motor')), 'motor'));
    expect(four.motors).toHaveLength(4);
    expect(refusal(withPart(four, 'motor'))).toBe('this model can have no more of them');
    expect(new Set(four.motors.map((m) => m.place!.rightMm)).size).toBe(4);
  });
});

describe('one motor out', () => {
  const words = (airframe: Airframe) => airframe.motors.map((m) => motorOutWords(airframe, m));
  it('turns the nose to its own side, and the way out is said', () => {
    const twin = buildAirframe({ ...usualAnswers('conventional'), motors: 2 });
    expect(words(twin)).toEqual([
      'If it stops alone, the nose turns left. Close the throttle, then steer right; a correction may not be enough at low speed.',
      'If it stops alone, the nose turns right. Close the throttle, then steer left; a correction may not be enough at low speed.',
    ]);
  });
  it('one motor, or two in line, turn nothing', () => {
    const { airframe } = makeSetup();
    expect(words(airframe)).toEqual([undefined]);
    const place = { forwardMm: 100, rightMm: 0, downMm: 0, upDeg: 0, rightDeg: 0 };
    const inLine = ['one', 'two'].map((id) => ({ ...airframe.motors[0]!, id, place }));
    expect(words({ ...airframe, motors: inLine })).toEqual([undefined, undefined]);
  });
});
