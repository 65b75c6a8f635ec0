import { UP, faceWords, type Face, type PinsAt } from '@/core/calibration';
import {
  apply,
  cross,
  eulerMatrix,
  multiply,
  transpose,
  type Matrix3,
  type Vector3,
} from '@/core/space';

const HALF: Vector3 = [42, 27, 11];
const VIEW = eulerMatrix(0, -24, -32);

/** A box lying on one of its faces, its arrow on the label and its pins where they are. */
export function FaceDrawing({ face, pinsAt }: { face: Face; pinsAt: PinsAt }) {
  const up = UP[face];
  // A second axis of the unit to lie along the bench: the arrow, or its right side when on end.
  const along: Vector3 = Math.abs(up[0]) > 0.5 ? [0, 1, 0] : [1, 0, 0];
  const down: Vector3 = [-up[0], -up[1], -up[2]];
  const right = cross(down, along);
  const lie: Matrix3 = [...along, ...right, ...down] as unknown as Matrix3;
  const turn = multiply(transpose(VIEW), lie);
  const flat = (p: Vector3) => {
    const [x, y, z] = apply(turn, p);
    return { x: y, y: z, depth: x };
  };
  const corner = (sx: number, sy: number, sz: number): Vector3 => [
    sx * HALF[0],
    sy * HALF[1],
    sz * HALF[2],
  ];
  const quad = (points: Vector3[], fill: string, width = 1.2) => ({
    points: points.map(flat),
    fill,
    width,
  });
  const side = (axis: 0 | 1 | 2, sign: 1 | -1) => {
    const ring = [
      [1, 1],
      [1, -1],
      [-1, -1],
      [-1, 1],
    ].map(([a, b]) => {
      const s = [0, 0, 0] as [number, number, number];
      s[axis] = sign;
      s[(axis + 1) % 3] = a!;
      s[(axis + 2) % 3] = b!;
      return corner(...s);
    });
    return quad(ring, axis === 2 && sign === -1 ? 'var(--card)' : 'var(--shade)');
  };
  const label = -HALF[2] - 0.2;
  const arrow = quad(
    [
      [-24, -6, label],
      [8, -6, label],
      [8, -15, label],
      [32, 0, label],
      [8, 15, label],
      [8, 6, label],
      [-24, 6, label],
    ],
    'var(--accent)',
  );
  const pinSide: Record<PinsAt, readonly [0 | 1, 1 | -1]> = {
    'arrow-end': [0, 1],
    'far-end': [0, -1],
    left: [1, -1],
    right: [1, 1],
  };
  const [axis, sign] = pinSide[pinsAt];
  const pins = [-0.6, -0.3, 0, 0.3, 0.6].map((t) => {
    const at = (out: number, thick: number): Vector3 => {
      const p = [0, 0, 0] as [number, number, number];
      p[axis] = sign * (HALF[axis] + out);
      p[1 - axis] = t * HALF[1 - axis]! + thick;
      return p;
    };
    return quad([at(0, -1.6), at(9, -1.6), at(9, 1.6), at(0, 1.6)], 'var(--ink)');
  });
  const faces = [
    ...([0, 1, 2] as const).flatMap((a) => [side(a, 1), side(a, -1)]),
    ...pins,
  ].toSorted((a, b) => mean(b.points) - mean(a.points));
  const labelSeen = mean(arrow.points) < mean(side(2, 1).points);
  return (
    <svg
      viewBox="-75 -62 150 124"
      className="w-full"
      role="img"
      aria-label={`The unit ${faceWords(face, pinsAt)}`}
    >
      <line x1="-70" y1="52" x2="70" y2="52" stroke="var(--edge)" strokeWidth="2" />
      {[...faces, ...(labelSeen ? [arrow] : [])].map((f, i) => (
        <polygon
          key={i}
          points={f.points.map((p) => `${p.x.toFixed(1)},${p.y.toFixed(1)}`).join(' ')}
          fill={f.fill}
          stroke="var(--ink)"
          strokeWidth={f.width}
          strokeLinejoin="round"
        />
      ))}
    </svg>
  );
}

const mean = (points: readonly { depth: number }[]) =>
  points.reduce((sum, p) => sum + p.depth, 0) / points.length;
