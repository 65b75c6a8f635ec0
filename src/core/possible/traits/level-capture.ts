import { valuesOf, type PossibleTrait } from '../facet';

/** Ways of capturing level that can be tried on the bench: a menu is read, and a power-up is no gesture. */
const TRIED: ReadonlySet<string> = new Set(['button', 'corner', 'flick', 'channel']);

/** Whether it captures level in the way it is described with. */
export const levelCapture: PossibleTrait = {
  facets: ({ unit: { traits } }) =>
    TRIED.has(traits.levelCapture?.by ?? 'menu') && traits.axes.includes('pitch')
      ? [
          {
            id: 'level-capture',
            title: 'whether level is captured as described',
            of: ['traits', 'levelCapture'],
            now: 'as-described',
            values: valuesOf(
              [
                ['as-described', 'level is captured as described', 80],
                ['otherwise', 'level is not captured in the way described', 20],
              ] as const,
              (next, key) => {
                if (key === 'otherwise') delete next.unit.traits.levelCapture;
              },
            ),
          },
        ]
      : [],
};
