import { AXES, kindOf, type Mode } from '../../setup';
import type { Claim, Moment } from '../engine';
import { orderScope, type Requirement } from './requirement';

/** Further off than this it is not flown away with a trim. Common practice, no source. */
const OFF_DEG = 6;
const LEVELS: ReadonlySet<Mode> = new Set(['level', 'trainer']);

export const levelIsLevel: Requirement = {
  id: 'level',
  title: 'What the unit takes for level is level',
  must: `In every state in which it levels, with the model as it flies, the unit sees no more than ${OFF_DEG}° of bank or pitch.`,
  from: 'Self-levelling flies the captured attitude plus the offset set in the unit.',
  leavesOut: 'A bubble of its own that drifts; the attitude at another speed.',
  applies: (setup) => !kindOf(setup.airframe).onSurface && setup.airframe.surfaces.length > 0,
  looksAt: (facts) => facts.orderChannels,
  claims: (facts) =>
    (['roll', 'pitch'] as const).flatMap((axis): Claim[] => {
      if (!facts.setup.unit.traits.axes.includes(axis)) return [];
      if (!facts.surfaces.authority.some((a) => a[axis])) return [];
      const off = ({ frame }: Moment) =>
        axis === 'roll' ? frame.believedRollDeg : frame.believedPitchDeg;
      const side = (deg: number) =>
        axis === 'roll' ? (deg > 0 ? 'left' : 'right') : deg > 0 ? 'nose down' : 'nose up';
      return [
        {
          key: axis,
          form: 'moment',
          asked: 'always',
          scope: orderScope(facts),
          severity: 'stop',
          where: `/unit/settings/levelOffsetDeg/${axis}`,
          about: { axis, how: 'offset' },
          shows: 'levelling, sticks released',
          // With no gain nothing is flown anywhere.
          when: ({ frame }) => LEVELS.has(frame.mode) && frame.gainPct[AXES.indexOf(axis)]! > 0.5,
          holds: (now) => OFF_DEG - Math.abs(off(now)),
          says: ({ now }) => ({
            says: `In ${facts.mode(now.frame.mode)}, sticks released, the unit takes the model in level flight to be ${Math.abs(off(now)).toFixed(0)}° off, and flies it ${side(off(now))} by as much.`,
            about: { figure: off(now), mode: now.frame.mode },
          }),
        },
      ];
    }),
};
