import { servoReachDeg } from '../../chain';
import { lockServoDeg } from '../../linkage';
import { HELD_DEG, SHORT_DEG, steeringOf, stopVerdict } from '../../plan';
import { cornersOf, type Cell, type Corner } from '../explore';
import { channelsOfSurfaces, ordersAndSurfaces } from './influence';
import { Looking, type Requirement } from './requirement';

/** The steering of a car: at its lock when the hand is at its end, and no further. */
export const steeringStops: Requirement = {
  id: 'steering-stop',
  title: 'The steering reaches its stop just when the hand does',
  must: `In every state, unit still, the servo is never sent more than ${HELD_DEG}° past the place where the steering meets its stop, and with the hand at its end it gets there to within ${SHORT_DEG}°.`,
  from: 'The steering as measured: arm, link, crank or rack, knuckles and stops.',
  applies: (setup) => steeringOf(setup) !== undefined,
  looksAt: ordersAndSurfaces,
  check(asked) {
    const { setup } = asked;
    const looking = new Looking();
    const { steering, servo, sense, wheel } = steeringOf(setup)!;
    const at = setup.airframe.surfaces.indexOf(wheel);
    const table = asked.table(channelsOfSurfaces(setup)[at]!);
    if (!looking.needs(wheel.label, table)) return looking;
    const ends: Record<1 | -1, { deg: number; cell?: Cell; corner?: Corner }> = {
      1: { deg: 0 },
      [-1]: { deg: 0 },
    };
    for (const cell of table.cells)
      for (const corner of cornersOf(setup, cell, table.cone.controls, -1, () => true, 100)) {
        looking.states += 1;
        const deg = sense * asked.into(table, cell, corner).step().servoDeg[servo]!;
        for (const way of [1, -1] as const)
          if (way * deg > ends[way].deg) ends[way] = { deg: way * deg, cell, corner };
      }
    const reach = servoReachDeg(setup.airframe.servos[servo]!);
    for (const way of [1, -1] as const) {
      const side = way > 0 ? 'left' : 'right';
      const { deg, cell, corner } = ends[way];
      const witness =
        cell && corner && asked.witness(table, cell, `steered full ${side}`, { corner });
      const lock = lockServoDeg(steering, reach, way);
      const about = { surface: wheel.id, how: side };
      if (lock === undefined) {
        looking.fail({
          severity: 'caution',
          says: `Full ${side} the servo ends before the steering is at its stop: a longer arm, or a shorter one on the crank, gives the rest.`,
          where: '/airframe/steering/armMm',
          about: { ...about, how: `${side}-never` },
        });
        continue;
      }
      const beyond = deg - way * lock;
      const verdict = stopVerdict(beyond, way * lock);
      if (verdict === 'past')
        looking.fail({
          severity: 'stop',
          says: `Full ${side} the servo is held ${beyond.toFixed(0)}° past the place where the steering meets its stop: it stalls there and burns.`,
          where: '/airframe/steering',
          ...(witness ? { witness } : {}),
          about: { ...about, figure: beyond },
        });
      else if (verdict === 'short')
        looking.fail({
          severity: 'caution',
          says: `Full ${side} the steering stands ${(-beyond).toFixed(0)}° of servo short of its stop: the circle is wider than the car can turn.`,
          where: '/airframe/steering',
          ...(witness ? { witness } : {}),
          about: { ...about, figure: beyond },
        });
    }
    return looking;
  },
};
