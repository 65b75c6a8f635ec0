import { gangedOf, hornDeg, movementOf, servoReachDeg } from '../../chain';
import type { Chain, Ganged, Movement } from '../../chain';
import { isStabilized } from '../../directions';
import { authority, type Authority } from '../../model';
import { compileTravel, freeTravelDeg, lockServoDeg } from '../../linkage';
import { HELD_DEG, SHORT_DEG, steeringOf } from '../../plan';
import type { Setup, Surface } from '../../setup';
import { channelsOfSurfaces } from './influence';

/** The surfaces of a model, each by its position: what turns it, what drives it, how far it goes. */
export class SurfaceFacts {
  /** Turning moment of each surface. */
  readonly authority: readonly Authority[];
  readonly stabilized: readonly boolean[];
  /** Angle of each surface at its servo's full travel, degrees. */
  readonly throwDeg: readonly number[];
  /** Angle of each with every control at rest and the unit armed, degrees. */
  readonly restDeg: Float64Array;
  /** Servos that move a surface together with its first. */
  readonly ganged: readonly Ganged[];

  constructor(
    private readonly setup: Setup,
    chain: Chain,
  ) {
    const { airframe } = setup;
    this.authority = airframe.surfaces.map((s) => authority(airframe, s));
    this.stabilized = airframe.surfaces.map((s) => isStabilized(setup, s));
    this.throwDeg = airframe.surfaces.map(({ servo, linkage }) => {
      const own = airframe.servos.find((s) => s.id === servo)!;
      return Math.abs(hornDeg(linkage, Math.min(own.degAt500Us, own.limitDeg)));
    });
    const memory = chain.newMemory();
    memory.armed = true;
    const frame = chain.newFrame();
    chain.step(chain.restStimulus(), memory, frame);
    this.restDeg = frame.surfaceDeg;
    this.ganged = gangedOf(airframe);
  }

  /** Channels (1-based) that move each surface. */
  get channels(): readonly (readonly number[])[] {
    return channelsOfSurfaces(this.setup);
  }

  /**
   * How far a servo can turn each way before the rod of a surface locks or turns back, degrees.
   * @param drive the surface as that servo moves it
   */
  freeDeg(drive: Surface, backDeg: number): readonly [number, number] {
    const { airframe } = this.setup;
    const servo = airframe.servos.find((s) => s.id === drive.servo)!;
    return freeTravelDeg(compileTravel(airframe, drive), servoReachDeg(servo), backDeg);
  }

  /** The measured steering: its servo, its sense, and the servo angle at each stop. */
  get steeringStop() {
    const found = steeringOf(this.setup);
    if (!found) return undefined;
    const { airframe } = this.setup;
    const reach = servoReachDeg(airframe.servos[found.servo]!);
    return {
      heldDeg: HELD_DEG,
      shortDeg: SHORT_DEG,
      servo: found.servo,
      sense: found.sense,
      surface: airframe.surfaces.indexOf(found.wheel),
      wheel: found.wheel,
      lock: {
        left: lockServoDeg(found.steering, reach, 1),
        right: lockServoDeg(found.steering, reach, -1),
      },
    };
  }

  /** Pairs of which the unit corrects only one side, though it could correct both. */
  get halves(): { alone: number; corrected: number }[] {
    const { airframe, installation, unit } = this.setup;
    const { surfaces } = airframe;
    const could = (servo: string) => {
      const plug = installation.plugs.find((p) => p.drives.includes(servo));
      return unit.traits.ports.find((p) => p.id === plug?.port)?.canStabilize === true;
    };
    return surfaces.flatMap((own, alone) => {
      if (own.side === 'centre' || this.stabilized[alone] || !could(own.servo)) return [];
      if (!unit.traits.axes.some((a) => this.authority[alone]![a])) return [];
      const corrected = surfaces.findIndex(
        (s, i) => s.role === own.role && s.side !== own.side && this.stabilized[i],
      );
      return corrected < 0 ? [] : [{ alone, corrected }];
    });
  }

  /** Which way a surface goes: "up", "centre". */
  goes(surface: number, deg: number): Movement {
    return movementOf(this.setup.airframe.surfaces[surface]!, deg);
  }
}
