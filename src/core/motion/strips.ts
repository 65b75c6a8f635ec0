import { hingeOf, isOnWing, placeOf, pushOf, type Placed, type Vector } from '../model';
import { type Airframe, type Surface } from '../setup';
import { FINITE, finiteShare, flapOf, SECTION_SLOPE, type Draw } from './estimates';
import { RAD } from './state';

/** A piece of a lifting part: where it is, which way its chord and its lift point, how large it is, what moves on it. */
export interface Strip {
  /** Its quarter chord from the balance point, metres, body axes. */
  at: Vector;
  /** Forward along the chord, and where its lift goes when the wind comes from below it. Unit vectors. */
  chord: Vector;
  normal: Vector;
  chordM: number;
  areaM2: number;
  /** The surface that moves its trailing edge, as its index in the airframe; −1 for none. */
  surface: number;
  /** Angle of attack a radian of it is worth, and its moment; see `flapOf`. */
  tau: number;
  moment: number;
  /** The strip across from it on the other side; itself in the middle. */
  across: number;
  /** What it keeps of its angle where both sides are loaded alike, and against each other. */
  alike: number;
  against: number;
  /** Lift slope of its section, per radian. */
  slope: number;
  /** Aspect ratio of the part it belongs to. */
  aspect: number;
  /** Behind the wing, in its downwash and in slower air. */
  behind: boolean;
  /** It belongs to the wing, whose lift makes the downwash. */
  wing: boolean;
}

const WING_STRIPS = 8;
const TAIL_STRIPS = 3;
/** Share of a tail's chord that moves. As drawn. */
const TAIL_FLAP = 0.38;
/** A fin on a body counts as longer than it is. Common practice, no source. */
const FIN_ENDPLATE = 1.55;

/** Dihedral by what must turn a model into its bank, degrees. Common practice, no source. */
const dihedralDeg = ({ kind }: Airframe): number =>
  kind === 'three-channel' ? 6 : kind === 'flying-wing' ? 0.5 : kind === 'v-tail' ? 4 : 3.5;

/**
 * The wing in strips, its quarter chord so far ahead of the balance point.
 * @param aheadM where the wing stands: found from the static margin
 */
function wingStrips(airframe: Airframe, draw: Draw, aheadM: number): Strip[] {
  const { spanMm, chordMm, lengthMm } = airframe.measures;
  const [span, chord] = [spanMm / 1000, chordMm / 1000];
  const aspect = span / chord;
  const wide = span / 2 / WING_STRIPS;
  const tilt = dihedralDeg(airframe) * RAD;
  const downM = airframe.kind === 'flying-wing' ? 0 : (-0.05 * lengthMm) / 1000;
  const swept = airframe.kind === 'flying-wing' ? 0.35 : 0;
  const moving = airframe.surfaces
    .map((surface, at) => ({ surface, at, place: placeOf(airframe, surface) }))
    .filter(({ surface }) => isOnWing(surface));
  const strips: Strip[] = [];
  const flapAt = ({ surface }: (typeof moving)[number]) =>
    flapOf(Math.min(0.5, surface.chordMm / chordMm), draw.flap);
  for (const side of [-1, 1] as const)
    for (let i = 0; i < WING_STRIPS; i++) {
      const out = (i + 0.5) * wide;
      const y = side * out;
      const own = moving.find(
        ({ place, surface }) =>
          Math.abs(y - place.rightMm / 1000) <= place.spanMm / 2000 &&
          (surface.side === 'centre' || (surface.side === 'left') === side < 0),
      );
      const flap = own ? flapAt(own) : undefined;
      const normal: Vector = [0, -side * Math.sin(tilt), -Math.cos(tilt)];
      strips.push({
        at: [aheadM - swept * (out - span / 4), y, downM - out * Math.sin(tilt)],
        chord: [1, 0, 0],
        normal,
        chordM: chord,
        areaM2: chord * wide,
        surface: own?.at ?? -1,
        tau: flap?.tau ?? 0,
        moment: flap?.moment ?? 0,
        across: side < 0 ? WING_STRIPS + i : i,
        alike: finiteShare(aspect, FINITE.alike),
        against: finiteShare(aspect, FINITE.against),
        slope: SECTION_SLOPE * draw.lift,
        aspect,
        behind: false,
        wing: true,
      });
    }
  // One that is shorter than a strip reaches no middle of one, and another may lie over it: it counts on the strip it
  // covers most of, unless that is all the other has.
  for (const short of moving.filter(({ at }) => !strips.some((s) => s.surface === at))) {
    const [from, to] = [-0.5, 0.5].map(
      (half) => (short.place.rightMm + half * short.place.spanMm) / 1000,
    ) as [number, number];
    const covers = ({ at: [, y] }: Strip) =>
      (Math.min(to, y + wide / 2) - Math.max(from, y - wide / 2)) / wide;
    const free = strips.filter(
      ({ surface }) => surface < 0 || strips.filter((s) => s.surface === surface).length > 1,
    );
    const most = free.reduce((a, b) => (covers(b) > covers(a) ? b : a), free[0]!);
    if (!most || covers(most) <= 0.01) continue;
    const { tau, moment } = flapAt(short);
    most.surface = short.at;
    most.tau = tau * Math.min(1, covers(most));
    most.moment = moment * Math.min(1, covers(most));
  }
  return strips;
}

/** Parts of the wing's trailing edge that are nowhere on it: past its tips, or where another part is. */
export const offTheWing = (airframe: Airframe, strips: readonly Strip[]): Surface[] =>
  airframe.surfaces.filter(
    (surface, at) => isOnWing(surface) && !strips.some((s) => s.surface === at),
  );

/** A tail part in strips: the fixed area with the surface on it. */
function tailStrips(
  airframe: Airframe,
  draw: Draw,
  surface: Placed & { chordMm: number },
  at: number,
  moves: boolean,
): Strip[] {
  const place = placeOf(airframe, surface);
  const chord = surface.chordMm / TAIL_FLAP / 1000;
  const long = place.spanMm / 1000;
  const hinge = hingeOf(place, surface);
  const normal = pushOf(place, surface);
  const upright = Math.abs(place.tiltDeg) > 60;
  const aspect = Math.max(0.8, (long / chord) * (upright ? FIN_ENDPLATE : 1));
  const whole = upright || surface.side === 'centre' ? aspect : 2 * aspect;
  const flap = moves ? flapOf(TAIL_FLAP, draw.flap) : undefined;
  const wide = long / TAIL_STRIPS;
  return Array.from({ length: TAIL_STRIPS }, (_, i): Strip => {
    const along = (i - (TAIL_STRIPS - 1) / 2) * wide;
    return {
      // The place is that of the hinge; the quarter chord lies ahead of it.
      at: [
        place.forwardMm / 1000 + (0.75 - TAIL_FLAP) * chord,
        place.rightMm / 1000 + along * hinge[1],
        place.downMm / 1000 + along * hinge[2],
      ],
      chord: [1, 0, 0],
      normal,
      chordM: chord,
      areaM2: chord * wide,
      surface: moves ? at : -1,
      tau: flap?.tau ?? 0,
      moment: flap?.moment ?? 0,
      across: -1,
      alike: finiteShare(whole, FINITE.alike),
      against: finiteShare(whole, FINITE.against),
      slope: SECTION_SLOPE * draw.lift * draw.tail,
      aspect: whole,
      behind: place.forwardMm < 0,
      wing: false,
    };
  });
}

/** Fins a model has although no surface is on them: a wing's tips, a tail whose rudder is fixed. */
function fixedFins(airframe: Airframe): (Placed & { chordMm: number })[] {
  const { surfaces, measures, kind } = airframe;
  if (surfaces.some((s) => s.role === 'rudder' || s.role === 'ruddervator')) return [];
  if (kind === 'flying-wing')
    return ([-1, 1] as const).map((side) => ({
      role: 'rudder',
      side: side < 0 ? 'left' : 'right',
      chordMm: 0.22 * measures.chordMm,
      place: {
        forwardMm: Math.round(-0.9 * measures.chordMm),
        rightMm: Math.round((side * measures.spanMm) / 2),
        downMm: Math.round(-0.05 * measures.spanMm),
        tiltDeg: 90,
        spanMm: Math.round(0.1 * measures.spanMm),
      },
    }));
  return [{ role: 'rudder', side: 'centre', chordMm: 0.22 * measures.chordMm }];
}

/** Everything that lifts. @param aheadM where the wing's quarter chord stands ahead of the balance point */
export function stripsOf(airframe: Airframe, draw: Draw, aheadM: number): Strip[] {
  const strips = wingStrips(airframe, draw, aheadM);
  const tails: { surface: Placed & { chordMm: number }; at: number; moves: boolean }[] = [
    ...airframe.surfaces.flatMap((surface, at) =>
      surface.role === 'elevator' || surface.role === 'rudder' || surface.role === 'ruddervator'
        ? [{ surface, at, moves: true }]
        : [],
    ),
    ...fixedFins(airframe).map((surface) => ({ surface, at: -1, moves: false })),
  ];
  for (const { surface, at, moves } of tails)
    strips.push(...tailStrips(airframe, draw, surface, at, moves));
  return strips.map((strip, i) => ({
    ...strip,
    across: strip.across >= 0 ? strip.across : acrossFrom(strips, i),
  }));
}

/** The mirror image of a strip, or itself. */
function acrossFrom(strips: readonly Strip[], i: number): number {
  const { at, wing } = strips[i]!;
  const found = strips.findIndex(
    (s) =>
      !s.wing &&
      !wing &&
      Math.abs(s.at[0] - at[0]) < 1e-6 &&
      Math.abs(s.at[1] + at[1]) < 1e-6 &&
      Math.abs(s.at[2] - at[2]) < 1e-6,
  );
  return found < 0 ? i : found;
}
