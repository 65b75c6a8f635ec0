import type { Airframe, Sense, Servo, Setup, Surface } from '../setup';
import type { Frame } from './frame';
import { compileTravel, steersBy } from '../linkage';
import { CENTRE_US, PORT_MAX_US } from './unit';

/** Port each servo or motor is plugged into; −1 when it hangs loose. */
function portOf(setup: Setup, id: string, ports: ReadonlyMap<string, number>): number {
  const plug = setup.installation.plugs.find((p) => p.drives.includes(id));
  return plug ? ports.get(plug.port)! : -1;
}

/** How far a servo can be sent each way: to its own limit, or as far as the unit’s pulses go. */
export const servoReachDeg = ({ limitDeg, degAt500Us }: Servo): number =>
  Math.min(limitDeg, (degAt500Us * (PORT_MAX_US - CENTRE_US)) / 500);

const signOf = ({ rotation }: Servo): Sense => (rotation === 'reversed' ? -1 : 1);
const senseOf = ({ linkage }: Surface): Sense => (linkage.sense === 'same' ? 1 : -1);

/** Angle of a part for an angle of the servo of one of its drives, degrees; NaN where the rod cannot reach. */
export function compileDrive(airframe: Airframe, drive: Surface): (servoDeg: number) => number {
  const sense = senseOf(drive);
  const travel = compileTravel(airframe, drive);
  return (servoDeg) => sense * travel(servoDeg);
}

/** Which way a longer pulse turns a part by one of its drives: 1 is down, or left of what stands upright. */
export const longerPulseTurns = ({ servos }: Airframe, drive: Surface): Sense =>
  (signOf(servos.find((s) => s.id === drive.servo)!) * senseOf(drive)) as Sense;

/** Sixth and seventh links, cut where a servo takes its time. */
export interface Actuators {
  /** `frame.servoDeg` where the pulses of `frame.portsUs` send each servo, and `frame.motorPct`. */
  servos(frame: Frame): void;
  /** `frame.surfaceDeg` through the linkages, for servos where `frame.servoDeg` has them. */
  surfaces(frame: Frame): void;
}

/** Sixth and seventh links: servo rotation from the pulse, surface angle through the linkage. */
export function compileActuators(setup: Setup, ports: ReadonlyMap<string, number>): Actuators {
  const servos = setup.airframe.servos.map((servo) => ({
    port: portOf(setup, servo.id, ports),
    degPerUs: (signOf(servo) * servo.degAt500Us) / 500,
    limit: servo.limitDeg,
  }));
  const drive = setup.airframe.surfaces.map((surface) => {
    const { servo: id, linkage } = surface;
    const { id: _, label: __, ...servo } = setup.airframe.servos.find((s) => s.id === id)!;
    const { sense: ___, ...rod } = linkage;
    return JSON.stringify([
      portOf(setup, id, ports),
      { ...servo, carries: '' },
      // The two wheels of one steering are no mirror images of each other.
      steersBy(setup.airframe, surface) ? [surface.side, linkage.sense] : rod,
    ]);
  });
  const surfaces = setup.airframe.surfaces.map((surface, i) => ({
    servo: setup.airframe.servos.findIndex((s) => s.id === surface.servo),
    sense: senseOf(surface),
    turns: compileDrive(setup.airframe, surface),
    /** An earlier surface with the same signal, servo and rod; −1 when there is none. */
    twin: drive.indexOf(drive[i]!) < i ? drive.indexOf(drive[i]!) : -1,
  }));
  const motors = setup.airframe.motors.map((motor) => ({
    port: portOf(setup, motor.id, ports),
    stopUs: motor.stopUs,
    pctPerUs: 100 / (motor.fullUs - motor.stopUs),
  }));
  return {
    servos({ portsUs, servoDeg, motorPct }) {
      for (let i = 0; i < servos.length; i++) {
        const { port, degPerUs, limit } = servos[i]!;
        const us = port < 0 ? NaN : portsUs[port]!;
        // Without pulses a servo rests; on the bench it is found at its centre.
        const deg = us !== us ? 0 : (us - CENTRE_US) * degPerUs;
        servoDeg[i] = deg > limit ? limit : deg < -limit ? -limit : deg;
      }
      for (let i = 0; i < motors.length; i++) {
        const { port, stopUs, pctPerUs } = motors[i]!;
        const us = port < 0 ? NaN : portsUs[port]!;
        // A speed controller without pulses stops its motor.
        const pct = us !== us ? 0 : (us - stopUs) * pctPerUs;
        motorPct[i] = pct < 0 ? 0 : pct > 100 ? 100 : pct;
      }
    },
    surfaces({ servoDeg, surfaceDeg }) {
      for (let i = 0; i < surfaces.length; i++) {
        const { sense, turns, servo, twin } = surfaces[i]!;
        // A second surface moved the same way by the same signal is its mirror image.
        surfaceDeg[i] =
          twin < 0 ? turns(servoDeg[servo]!) : sense * surfaces[twin]!.sense * surfaceDeg[twin]!;
      }
    },
  };
}
