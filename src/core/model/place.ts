import { kindOf, type Airframe, type Place, type Surface } from '../setup';

/** What of an airframe its drawing is made of. */
export type Drawn = Pick<Airframe, 'kind' | 'measures'>;

/** What of a surface says where the drawing has it. */
export type Placed = Pick<Surface, 'role' | 'side'> & { place?: Place | undefined };

const ON_WING: ReadonlySet<Surface['role']> = new Set(['aileron', 'flaperon', 'flap', 'elevon']);

/** Whether a part is a piece of the wing's trailing edge. */
export const isOnWing = ({ role }: Pick<Surface, 'role'>): boolean => ON_WING.has(role);

/** Half of a V stands this far out of level. Common practice, no source. */
const V_DEG = 38;

/** Where a part is: as it was said, or as the drawing of its kind has it. */
export const placeOf = (airframe: Drawn, surface: Placed): Place =>
  surface.place ?? usualPlace(airframe, surface);

/** A wing is swept where the model is fast: from this speed on, fully at the other. Proportions are guessed. */
const SWEPT_MPS = { from: 22, fully: 40, share: 0.5 } as const;

/** How far back a wing has come at a distance from its root, millimetres. A delta is drawn by itself. */
export function sweepMm({ measures, kind }: Drawn, outMm: number): number {
  if (kind === 'flying-wing') return 0;
  const { from, fully, share } = SWEPT_MPS;
  const fast = Math.max(0, Math.min(1, (measures.cruiseMps - from) / (fully - from)));
  return fast * share * outMm;
}

/**
 * Where the drawing of a kind has a surface, from the measures of the model. The balance point of a wing lies
 * at 0.3 of its chord; proportions are the usual ones. Common practice, no source.
 */
export function usualPlace(airframe: Drawn, { role, side }: Pick<Surface, 'role' | 'side'>): Place {
  const { measures, kind } = airframe;
  const { spanMm, lengthMm, chordMm, wheelbaseMm, trackMm, stance } = measures;
  const { moves } = kindOf(airframe);
  const way = side === 'left' ? -1 : side === 'right' ? 1 : 0;
  const place = (
    forwardMm: number,
    rightMm: number,
    downMm: number,
    tiltDeg: number,
    long: number,
  ): Place => ({
    forwardMm: Math.round(forwardMm),
    rightMm: Math.round(rightMm),
    downMm: Math.round(downMm),
    tiltDeg,
    spanMm: Math.max(5, Math.round(long)),
  });
  if (moves !== 'air' && role !== 'wheel' && role !== 'rudder')
    return place(0, way * 0.25 * spanMm, 0, 0, 0.2 * spanMm);
  if (moves === 'wheels')
    return place(0.55 * wheelbaseMm, (way * trackMm) / 2, 0.1 * lengthMm, 90, 0.17 * lengthMm);
  if (moves === 'water')
    return place(-0.52 * lengthMm, way * 0.25 * spanMm, 40, 90, 0.1 * lengthMm);

  const wing = kind === 'flying-wing';
  const tail = -0.5 * lengthMm;
  const tailHalf = 0.19 * spanMm;
  const back = (out: number) => -0.45 * chordMm - sweepMm(airframe, out * spanMm);
  switch (role) {
    case 'aileron':
      return place(back(0.36), way * 0.36 * spanMm, -0.05 * lengthMm, 0, 0.21 * spanMm);
    case 'flaperon':
      return place(back(0.26), way * 0.26 * spanMm, -0.05 * lengthMm, 0, 0.41 * spanMm);
    case 'flap':
      return place(back(0.14), way * 0.14 * spanMm, -0.05 * lengthMm, 0, 0.18 * spanMm);
    case 'elevon':
      return place(-0.45 * chordMm - 0.17 * spanMm, way * 0.31 * spanMm, 0, 0, 0.32 * spanMm);
    case 'elevator': {
      const high = kind === 't-tail' ? -0.17 * lengthMm : -0.01 * lengthMm;
      const long = side === 'centre' ? 2 * tailHalf : tailHalf;
      return place(tail, way * 0.5 * tailHalf, high, 0, long);
    }
    case 'ruddervator': {
      const up = kind === 'inverted-v-tail' ? -1 : 1;
      return place(tail, way * 0.38 * tailHalf, -up * 0.3 * tailHalf, up * V_DEG, 0.98 * tailHalf);
    }
    case 'rudder': {
      const behind = wing ? -1.0 * chordMm : tail;
      const out = wing ? 0.5 * spanMm : 0.8 * tailHalf;
      return place(behind, way * out, -0.085 * lengthMm, 90, 0.17 * lengthMm);
    }
    case 'wheel':
      return place(
        (stance === 'tail-wheel' ? -0.52 : 0.25) * lengthMm,
        0,
        0.11 * lengthMm,
        90,
        0.07 * lengthMm,
      );
    case 'gear':
    case 'brake':
      return place(0, 0, 0.11 * lengthMm, 0, 0.2 * spanMm);
  }
}

export const isSamePlace = (a: Place, b: Place): boolean =>
  (Object.keys(a) as (keyof Place)[]).every((key) => a[key] === b[key]);
