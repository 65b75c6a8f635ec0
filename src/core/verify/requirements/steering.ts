import type { Claim, Moment } from '../engine';
import type { Requirement } from './requirement';

/** The steering of a car: at its lock when the hand is at its end, and no further. */
export const steeringStops: Requirement = {
  id: 'steering-stop',
  title: 'The steering reaches its stop at full control',
  must: 'In every state, unit still, the servo is never sent more than 1° past the place where the steering meets its stop, and somewhere it gets there to within 3°.',
  from: 'The steering as measured: arm, link, crank or rack, knuckles and stops.',
  leavesOut: 'Flex in the linkage; the correction on top.',
  applies: (setup) => setup.airframe.steering !== undefined,
  looksAt: (facts) => facts.steering,
  claims(facts) {
    const stop = facts.surfaces.steeringStop;
    if (!stop) return [];
    return (['left', 'right'] as const).flatMap((side): Claim[] => {
      const way = side === 'left' ? 1 : -1;
      const lock = stop.lock[side];
      if (lock === undefined)
        return [
          {
            form: 'setup',
            key: `${side} never`,
            failure: {
              severity: 'caution',
              says: `Full ${side} the servo ends before the steering is at its stop: a longer arm, or a shorter one on the crank, gives the rest.`,
              where: '/airframe/steering/armMm',
              about: { surface: stop.wheel.id, how: `${side}-never` },
            },
          },
        ];
      const beyond = ({ frame }: Moment) => way * (stop.sense * frame.servoDeg[stop.servo]! - lock);
      const common = {
        form: 'moment',
        scope: {
          channels: facts.surfaces.channels[stop.surface]!,
          sticks: 'anywhere',
          unit: 'in-use',
        },
        where: '/airframe/steering',
        about: { surface: stop.wheel.id, how: side },
        shows: `steered full ${side}`,
      } as const;
      return [
        {
          ...common,
          key: `${side} past`,
          asked: 'always',
          severity: 'stop',
          holds: (now: Moment) => stop.heldDeg - beyond(now),
          says: ({ now }) => ({
            says: `Full ${side} the servo is held ${beyond(now).toFixed(0)}° past the place where the steering meets its stop: it stalls there and burns.`,
            about: { figure: beyond(now) },
          }),
        },
        {
          ...common,
          key: `${side} short`,
          asked: 'somewhere',
          severity: 'caution',
          holds: (now: Moment) => beyond(now) + stop.shortDeg,
          says: ({ now }) => ({
            says: `Full ${side} the steering stands ${(-beyond(now)).toFixed(0)}° of servo short of its stop: the circle is wider than the car can turn.`,
            about: { figure: beyond(now) },
          }),
        },
      ];
    });
  },
};
