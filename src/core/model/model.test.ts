import { describe, expect, it } from 'vitest';
import { buildAirframe, usualAnswers } from '../catalogue';
import {
  AIRFRAME_KINDS,
  type Airframe,
  type AirframeKind,
  type Motor,
  type MotorPlace,
  type Place,
  type Surface,
} from '../setup';
import {
  armsOf,
  authority,
  motorArms,
  motorPlaceOf,
  movedMotor,
  placeOf,
  thrustWords,
  usualPlace,
  type Authority,
} from './index';

/** Everything a kind can have. */
const full = (kind: AirframeKind): Airframe =>
  buildAirframe({
    ...usualAnswers(kind),
    flaps: true,
    gear: true,
    brake: true,
    wheel: 'separate',
    rudder: true,
  });

/** What was written down by hand before parts had places. */
function byTable(kind: AirframeKind, stance: string, { role, side }: Surface): Authority {
  const left = side === 'left';
  switch (role) {
    case 'aileron':
    case 'flaperon':
      return { roll: left ? 1 : -1 };
    case 'elevator':
      return { pitch: -1 };
    case 'rudder':
      return { yaw: -1 };
    case 'wheel':
      return { yaw: stance === 'tail-wheel' && kind !== 'car' ? 1 : -1 };
    case 'elevon':
      return { roll: left ? 1 : -1, pitch: -1 };
    case 'ruddervator':
      return { pitch: -1, yaw: left === (kind === 'inverted-v-tail') ? 1 : -1 };
    default:
      return {};
  }
}

describe('what a part does follows from where it is', () => {
  it.each(AIRFRAME_KINDS)('%s: as it was written down before', (kind) => {
    for (const stance of ['nose-wheel', 'tail-wheel', 'skis'] as const)
      for (const ailerons of ['two-outputs', 'flaperons'] as const) {
        const made = buildAirframe({
          ...usualAnswers(kind),
          ...(usualAnswers(kind).ailerons === 'none' ? {} : { ailerons }),
          flaps: true,
          gear: true,
          brake: true,
          wheel: 'separate',
          rudder: true,
        });
        const airframe = { ...made, measures: { ...made.measures, stance } };
        const of = (read: (s: Surface) => Authority) =>
          Object.fromEntries(airframe.surfaces.map((s) => [s.id, read(s)]));
        expect(of((s) => authority(airframe, s))).toEqual(of((s) => byTable(kind, stance, s)));
      }
  });

  const { kind, measures } = full('conventional');
  const at = (place: Partial<Place>): Place => ({
    forwardMm: -500,
    rightMm: 0,
    downMm: 0,
    tiltDeg: 0,
    spanMm: 300,
    ...place,
  });
  // Worked by hand from r × F in ISO 1151-1 axes.
  it.each<[string, Pick<Surface, 'role' | 'side'>, Partial<Place>, Authority]>([
    ['canard', { role: 'elevator', side: 'centre' }, { forwardMm: 400 }, { pitch: 1 }],
    [
      'rudder in the bow',
      { role: 'rudder', side: 'centre' },
      { forwardMm: 300, tiltDeg: 90 },
      { yaw: 1 },
    ],
    [
      'rear wheel that steers',
      { role: 'wheel', side: 'left' },
      { forwardMm: -150, tiltDeg: 90 },
      { yaw: 1 },
    ],
    ['tail wheel', { role: 'wheel', side: 'centre' }, { forwardMm: -480, tiltDeg: 90 }, { yaw: 1 }],
    [
      'left half of a V upside down',
      { role: 'ruddervator', side: 'left' },
      { rightMm: -60, tiltDeg: -35 },
      { pitch: -1, yaw: 1 },
    ],
    [
      'right half of a V',
      { role: 'ruddervator', side: 'right' },
      { rightMm: 60, tiltDeg: 35 },
      { pitch: -1, yaw: 1 },
    ],
    [
      'right fin leaning out',
      { role: 'rudder', side: 'right' },
      { rightMm: 120, tiltDeg: 70 },
      { yaw: -1 },
    ],
    [
      'left fin leaning out',
      { role: 'rudder', side: 'left' },
      { rightMm: -120, tiltDeg: 70 },
      { yaw: -1 },
    ],
    [
      'right winglet below 45°',
      { role: 'rudder', side: 'right' },
      { rightMm: 500, tiltDeg: 40 },
      { yaw: -1 },
    ],
    [
      'left rudder of a boat',
      { role: 'rudder', side: 'left' },
      { rightMm: -60, downMm: 40, tiltDeg: 90 },
      { yaw: -1 },
    ],
    ['elevator at the balance point', { role: 'elevator', side: 'centre' }, { forwardMm: 0 }, {}],
  ])('%s', (_, surface, place, does) => {
    expect(authority({ kind, measures }, { ...surface, place: at(place) })).toEqual(does);
  });

  it('a rudder above the balance point rolls as well, which is not what it is there for', () => {
    const arms = armsOf(
      { kind, measures },
      { role: 'rudder', side: 'centre', place: at({ tiltDeg: 90, downMm: -100 }) },
    );
    // Its edge goes left, the force to the right: 100 mm above, and 500 mm behind.
    expect(arms.roll).toBeCloseTo(100, 9);
    expect(arms.yaw).toBeCloseTo(-500, 9);
  });

  it.each(AIRFRAME_KINDS)(
    '%s: what is mirrored rolls and yaws the other way, and pitches alike',
    (name) => {
      const airframe = full(name);
      const other = { left: 'right', right: 'left', centre: 'centre' } as const;
      for (const surface of airframe.surfaces) {
        const place = placeOf(airframe, surface);
        const is = armsOf(airframe, { ...surface, place });
        const mirrored = armsOf(airframe, {
          ...surface,
          side: other[surface.side],
          place: { ...place, rightMm: -place.rightMm },
        });
        // Upright parts count as positive to the same side, and so turn the model alike when mirrored.
        const upright = surface.role === 'rudder' || surface.role === 'wheel';
        expect(mirrored.pitch).toBeCloseTo(upright ? -is.pitch : is.pitch, 6);
        expect(mirrored.roll).toBeCloseTo(upright ? is.roll : -is.roll, 6);
        expect(mirrored.yaw).toBeCloseTo(upright ? is.yaw : -is.yaw, 6);
      }
    },
  );

  it('the drawing has a place for everything, with its measures in it', () => {
    for (const name of AIRFRAME_KINDS) {
      const airframe = full(name);
      for (const s of airframe.surfaces) {
        const { forwardMm, rightMm } = usualPlace(airframe, s);
        expect(Math.abs(forwardMm)).toBeLessThan(airframe.measures.lengthMm);
        expect(Math.sign(rightMm)).toBe(s.side === 'left' ? -1 : s.side === 'right' ? 1 : 0);
      }
    }
  });
});

describe('what a motor does follows from where it pulls', () => {
  const twin = buildAirframe({ ...usualAnswers('conventional'), motors: 2 });
  const [left, right] = twin.motors as [Motor, Motor];
  const at = (place: Partial<MotorPlace>): Motor => ({
    ...left,
    place: { forwardMm: 0, rightMm: 0, downMm: 0, upDeg: 0, rightDeg: 0, ...place },
  });
  // Worked by hand from r × F in ISO 1151-1 axes, for one unit of thrust.
  it.each<[string, Partial<MotorPlace>, Partial<Record<'roll' | 'pitch' | 'yaw', number>>]>([
    ['in the nose, straight ahead', { forwardMm: 400 }, {}],
    ['on the left', { rightMm: -300 }, { yaw: 300 }],
    ['on the right', { rightMm: 300 }, { yaw: -300 }],
    ['on a pylon above', { downMm: -200 }, { pitch: -200 }],
    ['below', { downMm: 150 }, { pitch: 150 }],
    ['thrust line up, ahead', { forwardMm: 400, upDeg: 30 }, { pitch: 200 }],
    ['steered to the right in the bow', { forwardMm: 400, rightDeg: 30 }, { yaw: 200 }],
    ['steered to the right in the stern', { forwardMm: -400, rightDeg: 30 }, { yaw: -200 }],
    ['straight up, out on the left', { rightMm: -300, upDeg: 90 }, { roll: 300 }],
  ])('%s', (_, place, arms) => {
    const found = motorArms(twin, at(place));
    for (const axis of ['roll', 'pitch', 'yaw'] as const)
      expect(found[axis], axis).toBeCloseTo(arms[axis] ?? 0, 6);
  });
  it('two stand side by side, and one that is moved takes the other with it', () => {
    expect(motorPlaceOf(twin, left).rightMm).toBe(-motorPlaceOf(twin, right).rightMm);
    expect(thrustWords(twin, left)).toBe('more of it: turns the nose right');
    const moved = movedMotor(twin, left.id, { rightMm: -420, rightDeg: 2 });
    expect(moved.motors.map((m) => [m.place?.rightMm, m.place?.rightDeg])).toEqual([
      [-420, 2],
      [420, -2],
    ]);
    expect(() => movedMotor(twin, 'nothing', {})).toThrow('there is no motor "nothing"');
  });
});
