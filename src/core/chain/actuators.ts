import type { Setup } from '../setup';
import type { Frame } from './frame';
import { compileHorn } from './linkage';
import { CENTRE_US } from './unit';

/** Port each servo or motor is plugged into; −1 when it hangs loose. */
function portOf(setup: Setup, id: string, ports: ReadonlyMap<string, number>): number {
  const plug = setup.installation.plugs.find((p) => p.drives.includes(id));
  return plug ? ports.get(plug.port)! : -1;
}

/** Sixth and seventh links: servo rotation from the pulse, surface angle through the linkage. */
export function compileActuators(
  setup: Setup,
  ports: ReadonlyMap<string, number>,
): (frame: Frame) => void {
  const servos = setup.airframe.servos.map((servo) => ({
    port: portOf(setup, servo.id, ports),
    degPerUs: ((servo.rotation === 'reversed' ? -1 : 1) * servo.degAt500Us) / 500,
    limit: servo.limitDeg,
  }));
  const surfaces = setup.airframe.surfaces.map((surface) => ({
    servo: setup.airframe.servos.findIndex((s) => s.id === surface.servo),
    sense: surface.linkage.sense === 'same' ? 1 : -1,
    horn: compileHorn(surface.linkage),
  }));
  const motors = setup.airframe.motors.map((motor) => ({
    port: portOf(setup, motor.id, ports),
    stopUs: motor.stopUs,
    pctPerUs: 100 / (motor.fullUs - motor.stopUs),
  }));
  return (frame) => {
    for (let i = 0; i < servos.length; i++) {
      const { port, degPerUs, limit } = servos[i]!;
      const us = port < 0 ? NaN : frame.portsUs[port]!;
      // Without pulses a servo rests; on the bench it is found at its centre.
      const deg = us !== us ? 0 : (us - CENTRE_US) * degPerUs;
      frame.servoDeg[i] = deg > limit ? limit : deg < -limit ? -limit : deg;
    }
    for (let i = 0; i < surfaces.length; i++) {
      const surface = surfaces[i]!;
      frame.surfaceDeg[i] = surface.sense * surface.horn(frame.servoDeg[surface.servo]!);
    }
    for (let i = 0; i < motors.length; i++) {
      const { port, stopUs, pctPerUs } = motors[i]!;
      const us = port < 0 ? NaN : frame.portsUs[port]!;
      // A speed controller without pulses stops its motor.
      const pct = us !== us ? 0 : (us - stopUs) * pctPerUs;
      frame.motorPct[i] = pct < 0 ? 0 : pct > 100 ? 100 : pct;
    }
  };
}
