import { isUpright } from '@/core/chain';
import { isOnFrontAxle } from '@/core/linkage';
import { placeOf, spanwise, sweepMm } from '@/core/model';
import { kindOf, type Airframe, type Surface } from '@/core/setup';
import type { Point, Quad, Section } from './quad';
import { airMotors, boatMotors, type DrawnMotor } from './power';
import { standQuads } from './stand';

export type { Point, Quad, Section } from './quad';

export interface ModelShape {
  body: Section[];
  fixed: Quad[];
  moving: { surface: Surface; quad: Quad; pivot?: Point }[];
  motors: DrawnMotor[];
  /** Windows and cabins, drawn on top of the body. */
  over: Quad[];
  /** Radius that holds everything. */
  radiusMm: number;
}

/** Everything that stands still, for a drawing that hides what lies behind by itself. */
export const stillQuads = ({ fixed, over, motors }: ModelShape): Quad[] => [
  ...fixed,
  ...over,
  ...motors.flatMap((m) => m.quads),
];

const mirror = (quad: Quad): Quad =>
  quad.map(([x, y, z]) => [x, -y, z] as const) as unknown as Quad;

/** A picture of the model made from its measures: sizes are its own, proportions are guessed. */
export function shapeOf(airframe: Airframe): ModelShape {
  const { moves } = kindOf(airframe);
  if (moves === 'wheels') return carShape(airframe);
  if (moves === 'water') return boatShape(airframe);
  const { spanMm: span, lengthMm: length, chordMm: chord } = airframe.measures;
  const wing = airframe.kind === 'flying-wing';
  // What it stands on lies under everything else.
  const fixed: Quad[] = standQuads(airframe);
  const moving: ModelShape['moving'] = [];
  const half = span / 2;
  const lead = 0.3 * chord;
  const sweep = wing ? 0.55 * half : sweepMm(airframe, half);
  const dihedral = wing ? 0 : 0.04 * half;
  const tipChord = wing ? 0.55 * chord : 0.85 * chord;

  /** Point on the right wing at a share of half span and of local chord (0 leading, 1 trailing). */
  const onWing = (s: number, c: number): Point => {
    const local = chord + (tipChord - chord) * s;
    const start = lead - sweep * s - (wing ? 0 : 0.2 * (chord - local));
    return [start - c * local, s * half, -dihedral * s - (wing ? 0 : 0.05 * length)];
  };
  const strip = (from: number, to: number, front: number): Quad => [
    onWing(from, front),
    onWing(to, front),
    onWing(to, 1),
    onWing(from, 1),
  ];
  const cuts = new Map<string, readonly [number, number]>();
  for (const s of airframe.surfaces) {
    if (s.place) continue;
    if (s.role === 'aileron') cuts.set(s.id, [0.52, 0.94]);
    if (s.role === 'flaperon') cuts.set(s.id, [0.12, 0.94]);
    if (s.role === 'flap') cuts.set(s.id, [0.1, 0.46]);
    if (s.role === 'elevon') cuts.set(s.id, [0.3, 0.95]);
  }
  const board = (side: 1 | -1, quad: Quad) => (side === 1 ? quad : mirror(quad));
  for (const side of [1, -1] as const) {
    const name = side === 1 ? 'right' : 'left';
    const own = airframe.surfaces.filter((s) => s.side === name && cuts.has(s.id));
    fixed.push(board(side, [onWing(0, 0), onWing(1, 0), onWing(1, 0.76), onWing(0, 0.76)]));
    // The fixed trailing strips between the moving ones.
    let from = 0;
    for (const s of [...own].sort((a, b) => cuts.get(a.id)![0] - cuts.get(b.id)![0])) {
      const [start, end] = cuts.get(s.id)!;
      if (start > from) fixed.push(board(side, strip(from, start, 0.76)));
      moving.push({ surface: s, quad: board(side, strip(start, end, 0.78)) });
      from = end;
    }
    if (from < 1) fixed.push(board(side, strip(from, 1, 0.76)));
  }

  const tailX = -0.62 * length;
  const tailChord = 0.62 * chord;
  const tailHalf = 0.19 * span;
  const finTop = -0.17 * length;
  const tailZ = airframe.kind === 't-tail' ? finTop : -0.01 * length;
  const find = (role: Surface['role'], side: Surface['side'] = 'centre') =>
    airframe.surfaces.find((s) => s.role === role && s.side === side && !s.place);

  const elevator = find('elevator');
  if (elevator) {
    const x0 = tailX + tailChord;
    fixed.push([
      [x0, -tailHalf, tailZ],
      [x0, tailHalf, tailZ],
      [x0 - 0.55 * tailChord, tailHalf, tailZ],
      [x0 - 0.55 * tailChord, -tailHalf, tailZ],
    ]);
    moving.push({
      surface: elevator,
      quad: [
        [x0 - 0.6 * tailChord, -tailHalf, tailZ],
        [x0 - 0.6 * tailChord, tailHalf, tailZ],
        [tailX, tailHalf, tailZ],
        [tailX, -tailHalf, tailZ],
      ],
    });
  }
  const rudder = find('rudder');
  const twin = airframe.surfaces.some((s) => s.role === 'rudder' && s.side !== 'centre');
  if (rudder || (!wing && !twin && airframe.surfaces.some((s) => s.role === 'elevator'))) {
    const finX = wing ? lead - 0.9 * chord : tailX + tailChord;
    const height = wing ? -0.3 * length : finTop;
    const root = tailChord * 1.05;
    fixed.push([
      [finX, 0, 0],
      [finX - 0.35 * root, 0, height],
      [finX - 0.62 * root, 0, height],
      [finX - 0.6 * root, 0, 0],
    ]);
    if (rudder)
      moving.push({
        surface: rudder,
        quad: [
          [finX - 0.64 * root, 0, 0],
          [finX - 0.64 * root, 0, height],
          [finX - 1.02 * root, 0, height],
          [finX - 1.02 * root, 0, 0],
        ],
      });
  }
  for (const side of ['right', 'left'] as const) {
    const panel = find('ruddervator', side);
    if (!panel) continue;
    const sign = side === 'right' ? 1 : -1;
    const up = airframe.kind === 'inverted-v-tail' ? 1 : -1;
    const reach = 0.75 * tailHalf;
    const rise = up * 0.65 * tailHalf;
    const base = up > 0 ? -0.13 * length : -0.02 * length;
    const x0 = tailX + tailChord;
    const point = (c: number, out: number): Point => [
      x0 - c * tailChord - 0.2 * tailChord * out,
      sign * reach * out,
      base + rise * out,
    ];
    fixed.push([point(0, 0), point(0, 1), point(0.58, 1), point(0.58, 0)]);
    moving.push({
      surface: panel,
      quad: [point(0.62, 0), point(0.62, 1), point(1, 1), point(1, 0)],
    });
  }
  const wheel = find('wheel');
  if (wheel) {
    const nose = airframe.measures.stance === 'nose-wheel';
    const x = nose ? 0.25 * length : tailX + 0.1 * length;
    const size = 0.035 * length;
    const z = 0.11 * length;
    moving.push({
      surface: wheel,
      quad: [
        [x + size, 0, z - size],
        [x + size, 0, z + size],
        [x - size, 0, z + size],
        [x - size, 0, z - size],
      ],
    });
  }
  // Everything that is not where such a model usually has it, or not in the middle, stands at its own place.
  for (const surface of airframe.surfaces) {
    const { role } = surface;
    if (moving.some((m) => m.surface === surface) || role === 'gear' || role === 'brake') continue;
    const { plate, quad } = platesOf(airframe, surface);
    if (role !== 'wheel') fixed.push(plate);
    moving.push({ surface, quad });
  }
  const wide = wing ? 0.1 * length : 0.055 * length;
  // A body reaches to what it carries ahead of the wing.
  const nose = airframe.surfaces.reduce(
    (x, s) => (s.role === 'elevator' && s.place ? Math.max(x, s.place.forwardMm) : x),
    0.37 * length,
  );
  const body: Section[] = wing
    ? [
        { x: lead + 0.12 * length, half: 4, top: -6, bottom: 6 },
        { x: lead - 0.1 * length, half: wide * 0.7, top: -wide * 0.6, bottom: wide * 0.35 },
        { x: lead - 0.9 * chord, half: wide * 0.5, top: -wide * 0.3, bottom: wide * 0.2 },
      ]
    : [
        { x: nose, half: 0.4 * wide, top: -0.25 * wide, bottom: 0.45 * wide },
        { x: 0.3 * length, half: 0.8 * wide, top: -0.7 * wide, bottom: 0.8 * wide },
        { x: 0.06 * length, half: wide, top: -0.95 * wide, bottom: wide },
        { x: -0.18 * length, half: 0.8 * wide, top: -0.8 * wide, bottom: 0.7 * wide },
        { x: tailX, half: 0.18 * wide, top: -0.25 * wide, bottom: 0.12 * wide },
      ];
  return {
    body,
    fixed,
    moving,
    over: wing
      ? []
      : [
          [
            [0.17 * length, -0.5 * wide, -0.95 * wide],
            [0.17 * length, 0.5 * wide, -0.95 * wide],
            [0.05 * length, 0.62 * wide, -1.05 * wide],
            [0.05 * length, -0.62 * wide, -1.05 * wide],
          ],
        ],
    motors: airMotors(airframe, { front: 0.37 * length, back: body.at(-1)!.x, half: wide }),
    radiusMm: Math.max(half, 0.7 * length),
  };
}

/** A part at its place, its hinge in front, and what carries it. */
function platesOf(airframe: Airframe, surface: Surface): { plate: Quad; quad: Quad } {
  const place = placeOf(airframe, surface);
  const [, across, down] = spanwise(place, surface.side);
  const point = (along: number, back: number): Point => [
    place.forwardMm - back,
    place.rightMm + along * across,
    place.downMm + along * down,
  ];
  const half = place.spanMm / 2;
  const chord = surface.chordMm;
  const strip = (from: number, to: number): Quad => [
    point(-half, from),
    point(half, from),
    point(half, to),
    point(-half, to),
  ];
  return { plate: strip(-1.4 * chord, -0.05 * chord), quad: strip(0, chord) };
}

function carShape(airframe: Airframe): ModelShape {
  const { lengthMm: length, spanMm: width, wheelbaseMm: base, trackMm: track } = airframe.measures;
  const size = 0.17 * length;
  const wide = size * 0.42;
  /** A wheel as the faces of a block: both sides, the tread in front, on top and behind. */
  const wheel = (x: number, y: number): Quad[] => {
    const [front, back, top, bottom] = [x + size / 2, x - size / 2, size * 0.05, size * 1.05];
    const [left, right] = [y - wide / 2, y + wide / 2];
    const upright = (side: number): Quad => [
      [front, side, top],
      [front, side, bottom],
      [back, side, bottom],
      [back, side, top],
    ];
    const across = (at: number): Quad => [
      [at, left, top],
      [at, right, top],
      [at, right, bottom],
      [at, left, bottom],
    ];
    return [
      upright(left),
      upright(right),
      across(front),
      across(back),
      [
        [front, left, top],
        [front, right, top],
        [back, right, top],
        [back, left, top],
      ],
    ];
  };
  type Edge = readonly [x: number, half: number];
  const carWindow = ([x0, half0]: Edge, [x1, half1]: Edge): Quad => [
    [x0 * length, -half0 * width, -74],
    [x0 * length, half0 * width, -74],
    [x1 * length, half1 * width, -74],
    [x1 * length, -half1 * width, -74],
  ];
  const wheels = airframe.surfaces.filter((s) => s.role === 'wheel');
  const rear = wheels.filter((s) => !isOnFrontAxle(s));
  return {
    body: [
      { x: 0.53 * length, half: width * 0.27, top: 2, bottom: 25 },
      { x: 0.49 * length, half: width * 0.35, top: -12, bottom: 28 },
      { x: 0.2 * length, half: width * 0.33, top: -26, bottom: 28 },
      { x: 0.06 * length, half: width * 0.36, top: -70, bottom: 28 },
      { x: -0.24 * length, half: width * 0.36, top: -70, bottom: 28 },
      { x: -0.4 * length, half: width * 0.34, top: -34, bottom: 26 },
      { x: -0.44 * length, half: width * 0.28, top: -20, bottom: 22 },
    ],
    over: [
      carWindow([0.18, 0.25], [0.07, 0.3]),
      carWindow([-0.22, 0.3], [-0.31, 0.26]),
      [
        [-0.4 * length, -0.34 * width, -52],
        [-0.4 * length, 0.34 * width, -52],
        [-0.44 * length, 0.34 * width, -52],
        [-0.44 * length, -0.34 * width, -52],
      ],
    ],
    fixed:
      rear.length > 0 ? [] : [1, -1].flatMap((side) => wheel(-base * 0.45, (side * track) / 2)),
    moving: wheels.flatMap((surface) => {
      const { forwardMm: x, rightMm: y } = placeOf(airframe, surface);
      const pivot: Point = [x, y, 0];
      return wheel(x, y).map((quad) => ({ surface, quad, pivot }));
    }),
    motors: [],
    radiusMm: length * 0.75,
  };
}

function boatShape(airframe: Airframe): ModelShape {
  const { lengthMm: length, spanMm: width } = airframe.measures;
  const half = width / 2;
  const size = 0.07 * length;
  const rudders = airframe.surfaces.filter((s) => s.role === 'rudder');
  return {
    body: [
      { x: 0.5 * length, half: 4, top: -70, bottom: -30 },
      { x: 0.3 * length, half: half * 0.7, top: -55, bottom: 30 },
      { x: 0, half, top: -45, bottom: 45 },
      { x: -0.5 * length, half: half * 0.85, top: -45, bottom: 40 },
    ],
    fixed: [],
    over: [
      [
        [0.12 * length, -half * 0.5, -110],
        [0.12 * length, half * 0.5, -110],
        [-0.2 * length, half * 0.55, -110],
        [-0.2 * length, -half * 0.55, -110],
      ],
      [
        [0.08 * length, -half * 0.42, -112],
        [0.08 * length, half * 0.42, -112],
        [0.02 * length, half * 0.45, -112],
        [0.02 * length, -half * 0.45, -112],
      ],
    ],
    moving: rudders.map((surface) => {
      const { forwardMm: x, rightMm: y } = placeOf(airframe, surface);
      return {
        surface,
        quad: [
          [x, y, 20],
          [x, y, 20 + 1.6 * size],
          [x - size, y, 20 + 1.6 * size],
          [x - size, y, 20],
        ],
      };
    }),
    motors: boatMotors(airframe),
    radiusMm: length * 0.6,
  };
}

/**
 * Turns a moving part about its hinge, which is its leading edge (a wheel's upright axis).
 * @param deg positive moves the trailing edge down, or left on upright parts; a wheel's front left
 */
export function deflect({ surface, quad, pivot }: ModelShape['moving'][number], deg: number): Quad {
  if (!deg) return quad;
  // z points down: a positive turn about it goes to the right.
  if (pivot)
    return quad.map((p) => turn(p, pivot, [0, 0, 1], (-deg * Math.PI) / 180)) as unknown as Quad;
  const [rootLead, tipLead] = quad;
  const along = unit(minus(tipLead, rootLead));
  const chord = minus(quad[3], rootLead);
  const lift = cross(along, chord);
  // Which way round the hinge carries the trailing edge down (or left).
  const towards = isUpright(surface) ? -lift[1] : lift[2];
  const angle = ((towards >= 0 ? 1 : -1) * deg * Math.PI) / 180;
  return quad.map((p) => turn(p, rootLead, along, angle)) as unknown as Quad;
}

const minus = (a: Point, b: Point): Point => [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
const cross = (a: Point, b: Point): Point => [
  a[1] * b[2] - a[2] * b[1],
  a[2] * b[0] - a[0] * b[2],
  a[0] * b[1] - a[1] * b[0],
];
const unit = (a: Point): Point => {
  const n = Math.hypot(...a) || 1;
  return [a[0] / n, a[1] / n, a[2] / n];
};

/** Rodrigues' rotation of a point about an axis through `origin`. */
function turn(p: Point, origin: Point, axis: Point, angle: number): Point {
  const v = minus(p, origin);
  const k = cross(axis, v);
  const dot = axis[0] * v[0] + axis[1] * v[1] + axis[2] * v[2];
  const c = Math.cos(angle);
  const s = Math.sin(angle);
  return [0, 1, 2].map(
    (i) => origin[i]! + v[i]! * c + k[i]! * s + axis[i]! * dot * (1 - c),
  ) as unknown as Point;
}
