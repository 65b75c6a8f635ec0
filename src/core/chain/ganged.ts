import { compileHorn } from '../linkage';
import { drivesOf, type Airframe, type Servo } from '../setup';

/** A further servo of a part, held against the part's first. */
export interface Ganged {
  /** The part, by position. */
  surface: number;
  /** Among the further servos of the part, by position. */
  at: number;
  servo: Servo;
  /**
   * How far from the part's angle this servo alone would turn it, degrees: what one of the two gives way by.
   * NaN where its rod cannot reach.
   */
  apartDeg(now: Record<'servoDeg' | 'surfaceDeg', ArrayLike<number>>): number;
}

/** Every servo that moves a part together with another. */
export const gangedOf = ({ surfaces, servos }: Airframe): Ganged[] =>
  surfaces.flatMap((own, surface) =>
    drivesOf(own)
      .slice(1)
      .map(({ servo: id, linkage }, at): Ganged => {
        const index = servos.findIndex((s) => s.id === id);
        const horn = compileHorn(linkage);
        const sense = linkage.sense === 'same' ? 1 : -1;
        return {
          surface,
          at,
          servo: servos[index]!,
          apartDeg: ({ servoDeg, surfaceDeg }) =>
            sense * horn(servoDeg[index]!) - surfaceDeg[surface]!,
        };
      }),
  );
