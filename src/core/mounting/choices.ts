import { MOUNTINGS, type Mounting, type UnitTraits } from '../setup';
import { mountingMatrix, type Matrix3 } from '../space';

/** One of the 24 ways a unit can be fixed square, and whether this one may be. */
export interface MountingChoice {
  mounting: Mounting;
  arrow: string;
  label: string;
  /** Why this unit cannot be told that it is fixed so; undefined when it can. */
  refused: string | undefined;
}

/** All 24, arrow by arrow, with the reason where a trait forbids one. */
export function mountingChoices({
  orientations,
}: Pick<UnitTraits, 'orientations'>): MountingChoice[] {
  const arrows = [...new Set(orientations.map((m) => m.split('-')[0]!))];
  return MOUNTINGS.map((mounting) => {
    const [arrow, label] = mounting.split('-') as [string, string];
    const refused = orientations.includes(mounting)
      ? undefined
      : !arrows.includes(arrow)
        ? `its arrow may point only to the ${arrows.join(' or ')}`
        : `with its arrow to the ${arrow} its label may face only ${orientations
            .filter((m) => m.startsWith(`${arrow}-`))
            .map((m) => m.split('-')[1])
            .join(' or ')}`;
    return { mounting, arrow, label, refused };
  });
}

/**
 * The mounting a free rotation is nearest to: the greatest trace of RᵀM, which is the smallest angle
 * between the two (angle of a rotation: cos φ = (trace − 1)/2).
 * @param rotation from the unit's axes to the body's, as `mountingMatrix` gives
 */
export function nearestMounting(rotation: Matrix3): { mounting: Mounting; offDeg: number } {
  let best: { mounting: Mounting; trace: number } = { mounting: 'nose-up', trace: -Infinity };
  for (const mounting of MOUNTINGS) {
    const trace = mountingMatrix(mounting).reduce((sum, v, i) => sum + v * rotation[i]!, 0);
    if (trace > best.trace) best = { mounting, trace };
  }
  const cos = Math.max(-1, Math.min(1, (best.trace - 1) / 2));
  return { mounting: best.mounting, offDeg: (Math.acos(cos) * 180) / Math.PI };
}
