import { kindOf, type Airframe, type Axis, type Sense, type Surface } from '../setup';

/** The turning moment a surface makes when its trailing edge goes down (or left): ISO 1151-1 signs. */
export type Authority = Partial<Record<Axis, Sense>>;

/**
 * The aerodynamics of each surface, the one place it is written down. Both what a stick should do
 * and what a correction should do follow from it: a stick asks for a moment, a correction opposes
 * a rotation. A left-side surface going down rolls the model right, and so on.
 */
export function authority(
  airframe: Pick<Airframe, 'kind' | 'measures'>,
  surface: Pick<Surface, 'role' | 'side'>,
): Authority {
  const { kind, measures } = airframe;
  const left = surface.side === 'left';
  switch (surface.role) {
    case 'aileron':
    case 'flaperon':
      return { roll: left ? 1 : -1 };
    case 'elevator':
      return { pitch: -1 };
    case 'rudder':
      return { yaw: -1 };
    case 'wheel':
      // Its front tells where it points. Behind the centre of gravity it swings the tail that way,
      // and the nose the other.
      return { yaw: measures.stance === 'tail-wheel' && !kindOf(airframe).onSurface ? 1 : -1 };
    case 'elevon':
      return { roll: left ? 1 : -1, pitch: -1 };
    case 'ruddervator': {
      // Upright V: the right panel going down also pushes the tail left, the nose right.
      const upright: Sense = left ? -1 : 1;
      return { pitch: -1, yaw: kind === 'inverted-v-tail' ? (-upright as Sense) : upright };
    }
    case 'flap':
    case 'gear':
    case 'brake':
      return {};
  }
}
