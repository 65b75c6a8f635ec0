import { pointer, roleOf } from '../../setup';
import type { Claim, Moment } from '../engine';
import type { Requirement } from './requirement';

/** A servo that runs on within this of its stop stands still, degrees. Planning figure, no source. */
const STILL_DEG = 3;

/** A winch at rest, and without a signal. */
export const devicesStop: Requirement = {
  id: 'devices-stop',
  title: 'What runs by itself stands still when nobody asks it to run',
  must: 'While no switch has been touched since power-up, and two seconds after the signal is lost, from every state, a winch stands still.',
  from: 'The airframe has one: it goes on pulling at a hand or at the model until it is stopped.',
  leavesOut: 'Where exactly its controller stops: that is seen in the failsafe test.',
  applies: ({ airframe }) => airframe.servos.some((s) => roleOf(s.carries) === 'free'),
  looksAt: (facts) => facts.everyChannel,
  claims: (facts) =>
    facts.mixes.running.flatMap(({ device, servo: at, channels }): Claim[] => {
      const still = ({ frame }: Moment) => {
        const margin = STILL_DEG - Math.abs(frame.servoDeg[at]!);
        // A controller without pulses stands still.
        return Number.isNaN(margin) ? STILL_DEG : margin;
      };
      const common = {
        asked: 'always',
        severity: 'stop',
        scope: { channels, sticks: 'released', unit: 'in-use' },
        where: pointer('airframe', 'servos', at),
      } as const;
      const name = device.label.toLowerCase();
      return [
        {
          ...common,
          key: `${device.id} rest`,
          form: 'moment',
          scope: { ...common.scope, before: 'switches-at-rest' },
          about: { how: 'rest' },
          shows: 'every switch at rest',
          holds: still,
          says: () => `With every switch at rest the ${name} runs.`,
        },
        {
          ...common,
          key: `${device.id} lost`,
          form: 'twin',
          about: { how: 'lost' },
          shows: 'this, then turn the transmitter off',
          scripts: [[{ signal: false }, { waitS: 2 }, { look: {} }]],
          holds: ([lost]) => still(lost!),
          says: () => `Signal lost with the ${name} running: it runs on.`,
        },
      ];
    }),
};
