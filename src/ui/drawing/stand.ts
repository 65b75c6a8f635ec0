import type { Airframe } from '@/core/setup';
import type { Point, Quad } from './quad';

/** The faces of a block that are seen: above, both sides, both ends. @param nose how far its front tapers */
export function block(
  [back, front]: readonly [number, number],
  y: number,
  half: number,
  [top, bottom]: readonly [number, number],
  nose = 0,
): Quad[] {
  const at = (x: number, side: number, z: number): Point => [x, y + side * half, z];
  const shoulder = front - nose;
  const wall = (side: 1 | -1): Quad => [
    at(shoulder, side, top),
    at(shoulder, side, bottom),
    at(back, side, bottom),
    at(back, side, top),
  ];
  const end = (x: number): Quad => [
    at(x, -1, top),
    at(x, 1, top),
    at(x, 1, bottom),
    at(x, -1, bottom),
  ];
  const tip: Point = [front, y, top];
  return [
    [at(shoulder, -1, top), at(shoulder, 1, top), at(back, 1, top), at(back, -1, top)],
    wall(1),
    wall(-1),
    end(back),
    ...(nose > 0
      ? [[at(shoulder, -1, top), tip, at(shoulder, 1, top), at(shoulder, 0, top)] as Quad]
      : [end(front)]),
  ];
}

/** What a model that flies stands on: floats, skis or main wheels, drawn from its measures; nothing under a belly. */
export function standQuads({ measures, surfaces }: Airframe): Quad[] {
  const { lengthMm: length, spanMm: span, stance, trackMm } = measures;
  const out = Math.min(0.5 * trackMm, 0.2 * span);
  const both = (quads: (y: number) => Quad[]) => [...quads(out), ...quads(-out)];
  const wheel = (x: number, y: number): Quad[] =>
    block([x - 0.04 * length, x + 0.04 * length], y, 0.013 * span, [0.1 * length, 0.18 * length]);
  const steered = surfaces.some((s) => s.role === 'wheel');
  switch (stance) {
    case 'floats':
      return both((y) =>
        block(
          [-0.32 * length, 0.42 * length],
          y,
          0.024 * span,
          [0.12 * length, 0.18 * length],
          0.14 * length,
        ),
      );
    case 'skis':
      return both((y) =>
        block(
          [-0.12 * length, 0.3 * length],
          y,
          0.013 * span,
          [0.16 * length, 0.17 * length],
          0.06 * length,
        ),
      );
    case 'nose-wheel':
      return [
        ...both((y) => wheel(-0.06 * length, y)),
        ...(steered ? [] : wheel(0.28 * length, 0)),
      ];
    case 'tail-wheel':
      return both((y) => wheel(0.16 * length, y));
    default:
      return [];
  }
}
