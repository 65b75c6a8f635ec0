import { AXES } from '../../setup';
import { valuesOf, type PossibleTrait } from '../facet';

/** Which way it corrects about each axis, as long as nobody reverses it. */
export const senses: PossibleTrait = {
  facets: ({ unit }) =>
    AXES.filter((axis) => unit.traits.axes.includes(axis)).map((axis) => {
      const now = unit.traits.nominalSense[axis] === 1 ? 'with' : 'against';
      const words = (key: string) =>
        `it corrects ${axis} ${key === now ? 'as described' : 'the other way'}`;
      return {
        id: `sense-${axis}`,
        title: `which way it corrects ${axis}`,
        of: ['traits', 'nominalSense'],
        now,
        values: valuesOf(
          [
            ['with', words('with'), 50],
            ['against', words('against'), 50],
          ] as const,
          (next, key) => {
            next.unit.traits.nominalSense[axis] = key === 'with' ? 1 : -1;
          },
        ),
      };
    }),
};
