import {
  capital,
  servedBy,
  SIDE_NAMES,
  type Airframe,
  type ChannelFunction,
  type Motor,
} from '../setup';
import { withServo } from './ganged';
import { motorPlaceOf } from './motors';
import type { Changed } from './moved';
import { MOST_MOTORS } from './new-parts';
import { isSamePlace, placeOf } from './place';
import { freeId, freeLabel, named, put } from './put';

const ACROSS = { left: 'right', right: 'left' } as const;

/** What a lead carries on the other side, where the two sides carry something different. */
const OTHER_SIDE: Partial<Record<ChannelFunction, ChannelFunction>> = {
  'elevon-left': 'elevon-right',
  'elevon-right': 'elevon-left',
  'vtail-left': 'vtail-right',
  'vtail-right': 'vtail-left',
  'flaperon-left': 'flaperon-right',
  'flaperon-right': 'flaperon-left',
};

/** The model with the mirror image of one part on its other side, on a servo of its own. */
export function mirroredPart(airframe: Airframe, id: string): Changed {
  const motor = airframe.motors.find((m) => m.id === id);
  if (motor) return mirroredMotor(airframe, motor);
  const own = airframe.surfaces.find((s) => s.id === id);
  if (!own) throw new RangeError(`there is no part "${id}"`);
  const place = placeOf(airframe, own);
  if (place.rightMm === 0)
    return {
      ok: false,
      reason: `${own.label.toLowerCase()} is in the middle: move it to one side first`,
    };
  const across = { ...place, rightMm: -place.rightMm };
  if (
    airframe.surfaces.some((s) => s.role === own.role && isSamePlace(placeOf(airframe, s), across))
  )
    return { ok: false, reason: `${own.label.toLowerCase()} has its mirror image already` };
  const side = place.rightMm < 0 ? 'left' : 'right';
  const servo = airframe.servos.find((s) => s.id === own.servo)!;
  // One in the middle that was moved aside is now one of two.
  const sided: Airframe = {
    ...airframe,
    surfaces: airframe.surfaces.map((s) =>
      s !== own || s.side !== 'centre'
        ? s
        : { ...s, side, label: freeLabel(airframe.surfaces, named(s.role, side)), place },
    ),
  };
  const carries = servedBy(servo.carries);
  const two = put(sided, own.role, ACROSS[side], across, OTHER_SIDE[carries] ?? carries, {
    surface: own,
    servo,
  });
  // As many servos as there are on the part it is an image of.
  return (own.ganged ?? []).reduce(
    (built: Changed) => (built.ok ? withServo(built.airframe, two.surfaces.at(-1)!.id) : built),
    { ok: true, airframe: two },
  );
}

function mirroredMotor(airframe: Airframe, motor: Motor): Changed {
  const place = motorPlaceOf(airframe, motor);
  if (place.rightMm === 0)
    return {
      ok: false,
      reason: `${motor.label.toLowerCase()} is in the middle: move it to one side first`,
    };
  const across = {
    ...place,
    rightMm: -place.rightMm,
    rightDeg: place.rightDeg === 0 ? 0 : -place.rightDeg,
  };
  const there = airframe.motors.map((m): Motor => ({ ...m, place: motorPlaceOf(airframe, m) }));
  if (
    there.some(
      (m) => m.place!.rightMm === across.rightMm && m.place!.forwardMm === across.forwardMm,
    )
  )
    return { ok: false, reason: `${motor.label.toLowerCase()} has its mirror image already` };
  if (there.length >= MOST_MOTORS)
    return { ok: false, reason: `a model can have ${MOST_MOTORS} motors at most` };
  const side = across.rightMm < 0 ? 'left' : 'right';
  return {
    ok: true,
    airframe: {
      ...airframe,
      motors: [
        ...there,
        {
          ...motor,
          id: freeId(there, `motor-${side}`),
          label: freeLabel(there, `${capital(SIDE_NAMES[side])} motor`),
          place: across,
        },
      ],
    },
  };
}
