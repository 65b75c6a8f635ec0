import { drivesOf, type Airframe, type Servo } from '../setup';
import { compileDrive } from './actuators';

/** A further servo of a part, held against the part's first. */
export interface Ganged {
  /** The part, by position. */
  surface: number;
  /** Among the further servos of the part, by position. */
  at: number;
  servo: Servo;
  /**
   * How far from the part's angle this servo alone would turn it, degrees.
   * NaN where its rod cannot reach.
   */
  apartDeg(now: Record<'servoDeg' | 'surfaceDeg', ArrayLike<number>>): number;
}

/** Every servo that moves a part together with another. */
export const gangedOf = (airframe: Airframe): Ganged[] =>
  airframe.surfaces.flatMap((own, surface) =>
    drivesOf(own)
      .slice(1)
      .map((drive, at): Ganged => {
        const index = airframe.servos.findIndex((s) => s.id === drive.servo);
        const turns = compileDrive(airframe, drive);
        return {
          surface,
          at,
          servo: airframe.servos[index]!,
          apartDeg: ({ servoDeg, surfaceDeg }) => turns(servoDeg[index]!) - surfaceDeg[surface]!,
        };
      }),
  );
