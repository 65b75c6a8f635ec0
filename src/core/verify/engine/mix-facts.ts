import type { Frame } from '../../chain';
import {
  armsOf,
  devicesOf,
  isRearWheel,
  mixOf,
  motorArms,
  oneWayOf,
  rearTurnsAt,
  type Device,
} from '../../model';
import type { Axis, Mix, MixId, Sense, Setup } from '../../setup';

/** A turning moment worked out of a frame, and the most it could be, both in the same unit. */
export interface Turning {
  most: number;
  by(frame: Frame): number;
}

/** What was mixed on purpose, and what moves that steers nothing: each part by its position. */
export class MixFacts {
  constructor(private readonly setup: Setup) {}

  of<I extends MixId>(id: I): Extract<Mix, { mix: I }> | undefined {
    return mixOf(this.setup, id);
  }

  /** The only way a surface may leave its rest, as the sign of its deflection. */
  oneWay(surface: number): Sense | undefined {
    return oneWayOf(this.setup, this.setup.airframe.surfaces[surface]!);
  }

  /** Whether a wheel is on the axle that a switch decides. */
  isRear(surface: number): boolean {
    return isRearWheel(this.setup.airframe, this.setup.airframe.surfaces[surface]!);
  }

  /** Where that switch must be for the wheel to turn the model. */
  rearTurnsAt(surface: number) {
    return rearTurnsAt(this.setup, this.setup.airframe.surfaces[surface]!);
  }

  /**
   * Surfaces together about an axis: all of them, or those that are asked for.
   * @param throwDeg the most each can do, degrees
   */
  surfaces(
    axis: Axis,
    throwDeg: readonly number[],
    counts: (surface: number) => boolean = () => true,
  ): Turning {
    const { airframe } = this.setup;
    const arms = airframe.surfaces.map((s, i) => (counts(i) ? armsOf(airframe, s)[axis] : 0));
    return {
      most: arms.reduce((sum, arm, i) => sum + Math.abs(arm) * throwDeg[i]!, 0),
      by: ({ surfaceDeg }) => arms.reduce((sum, arm, i) => sum + arm * surfaceDeg[i]!, 0),
    };
  }

  /** The thrust of all motors together, nose right positive. */
  thrust(): Turning {
    const { airframe } = this.setup;
    const yaws = airframe.motors.map((m) => motorArms(airframe, m).yaw);
    return {
      most: yaws.reduce((sum, y) => sum + 100 * Math.abs(y), 0),
      by: ({ motorPct }) => yaws.reduce((sum, y, i) => sum + y * motorPct[i]!, 0),
    };
  }

  /** Devices that run by themselves until told to stop, with their servos. */
  get running(): { device: Device; servo: number; channels: number[] }[] {
    const { airframe, program } = this.setup;
    return devicesOf(airframe)
      .filter(({ device }) => device.runs)
      .map(({ device, servo }) => ({
        device,
        servo: airframe.servos.indexOf(servo),
        channels: program.outputs.filter((o) => o.carries === servo.carries).map((o) => o.channel),
      }));
  }
}
