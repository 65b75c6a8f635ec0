import { kindOf, type Airframe, type Motor, type Place, type Surface } from '../setup';
import { motorPlaceOf } from './motors';
import type { Changed } from './moved';
import { NEW_PARTS, newPartsFor } from './new-parts';
import { placeOf, usualPlace } from './place';
import { freeId, freeLabel, put } from './put';

type Role = Surface['role'];
type Side = Surface['side'];

const ofRole = ({ surfaces }: Airframe, role: Role) => surfaces.filter((s) => s.role === role);

/** A second rudder hangs under the tail; a boat has it beside the first. */
const beside = (usual: Place, airframe: Airframe): Place => {
  const { lengthMm, spanMm } = airframe.measures;
  return kindOf(airframe).moves === 'water'
    ? { ...usual, rightMm: Math.round(0.25 * spanMm) }
    : { ...usual, downMm: Math.round(0.05 * lengthMm), spanMm: Math.round(0.06 * lengthMm) };
};

/** Where a further part begins: where its kind has it, or beside the one that is there already. */
function freePlace(airframe: Airframe, role: Role, side: Side): Place | undefined {
  const { lengthMm } = airframe.measures;
  const usual = usualPlace(airframe, { role, side });
  const inward = (share: number): Place => ({
    ...usual,
    rightMm: Math.round(usual.rightMm * share),
    spanMm: Math.max(5, Math.round(usual.spanMm * 0.5)),
  });
  const places: Place[] =
    role === 'elevator'
      ? [usual, { ...usual, forwardMm: Math.round(0.45 * lengthMm) }]
      : role === 'rudder'
        ? [usual, beside(usual, airframe)]
        : role === 'wheel'
          ? [usual, { ...usual, forwardMm: -usual.forwardMm }]
          : [usual, inward(0.55), inward(1.25)];
  const taken = ofRole(airframe, role).map((s) => placeOf(airframe, s));
  return places.find(
    (p) =>
      !taken.some(
        (t) => t.forwardMm === p.forwardMm && t.rightMm === p.rightMm && t.downMm === p.downMm,
      ),
  );
}

/** The model with one more part, or a pair, on servos of their own. */
export function withPart(airframe: Airframe, id: string): Changed {
  const part = NEW_PARTS.find((p) => p.id === id);
  if (!part || !newPartsFor(airframe).includes(part))
    return { ok: false, reason: 'this model can have no more of them' };
  const { role } = part;
  if (role === 'motor') return { ok: true, airframe: withMotor(airframe) };
  let built = airframe;
  for (const side of part.sides) {
    const place = freePlace(built, role, side);
    if (!place)
      return {
        ok: false,
        reason: `there is no usual place left for ${part.words}; move one that is there first`,
      };
    const sibling = ofRole(airframe, role).find((s) => s.side === side);
    built = put(built, role, side, place, part.carries(side), like(airframe, sibling));
  }
  return { ok: true, airframe: built };
}

function like(airframe: Airframe, surface: Surface | undefined) {
  const servo = surface && airframe.servos.find((s) => s.id === surface.servo);
  return surface && servo ? { surface, servo } : undefined;
}

/** Motors already there keep their places; the new one stands in the middle until it is moved. */
function withMotor(airframe: Airframe): Airframe {
  const placed = airframe.motors.map((m): Motor => ({ ...m, place: motorPlaceOf(airframe, m) }));
  const [first] = placed;
  const forwardMm = first!.place!.forwardMm;
  const middle = placed.some((m) => m.place!.rightMm === 0);
  const outMm = Math.round(0.35 * airframe.measures.spanMm);
  return {
    ...airframe,
    motors: [
      ...placed,
      {
        ...first!,
        id: freeId(placed, 'motor'),
        label: freeLabel(placed, 'Motor'),
        place: { forwardMm, rightMm: middle ? outMm : 0, downMm: 0, upDeg: 0, rightDeg: 0 },
      },
    ],
  };
}
