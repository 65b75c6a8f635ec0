import { valuesOf, type PossibleTrait } from '../facet';

/** Common practice, no source. */
const USUAL = [
  [0, 35],
  [1, 25],
  [2, 20],
  [3, 20],
] as const;

const words = (count: number): string =>
  count === 0
    ? 'no servo twitches at power-up'
    : count === 1
      ? 'the servos twitch once at power-up'
      : `the servos twitch ${count} times at power-up`;

/** How often the servos twitch at power-up. */
export const twitches: PossibleTrait = {
  facets: ({ unit }) => {
    const now = unit.traits.twitchesAtPowerUp;
    const counts = USUAL.some(([count]) => count === now) ? USUAL : [...USUAL, [now, 10] as const];
    return [
      {
        id: 'twitches',
        title: 'what it shows at power-up',
        of: ['traits', 'twitchesAtPowerUp'],
        sign: true,
        now: String(now),
        values: valuesOf(
          counts.map(([count, usual]) => [String(count), words(count), usual] as const),
          ({ unit: { traits } }, key) => {
            traits.twitchesAtPowerUp = Number(key);
          },
        ),
      },
    ];
  },
};
