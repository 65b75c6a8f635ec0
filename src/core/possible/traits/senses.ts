import { AXES, type Axis, type Setup } from '../../setup';
import type { PossibleTrait } from '../facet';

const TURNS: Readonly<Record<Axis, string>> = { roll: 'roll', pitch: 'pitch', yaw: 'yaw' };

/** Which way it corrects about each axis, as long as nobody reverses it. */
export const senses: PossibleTrait = {
  facets: ({ unit }) =>
    AXES.filter((axis) => unit.traits.axes.includes(axis)).map((axis) => {
      const now = unit.traits.nominalSense[axis];
      return {
        id: `sense-${axis}`,
        title: `which way it corrects ${TURNS[axis]}`,
        of: ['traits', 'nominalSense'],
        now: now === 1 ? 'with' : 'against',
        values: ([1, -1] as const).map((sense) => ({
          key: sense === 1 ? 'with' : 'against',
          words:
            sense === now
              ? `it corrects ${TURNS[axis]} as described`
              : `it corrects ${TURNS[axis]} the other way`,
          usual: 50,
          change(next: Setup) {
            next.unit.traits.nominalSense[axis] = sense;
          },
        })),
      };
    }),
};
