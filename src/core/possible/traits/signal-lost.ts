import type { Setup } from '../../setup';
import { knowsLinkLost } from '../../chain';
import type { PossibleTrait } from '../facet';

const VALUES = [
  ['presets', 'the failsafe that was entered is what happens', 75],
  ['holds', 'the last pulses are held when the signal is lost', 15],
  ['no-pulses', 'the pulses stop when the signal is lost', 10],
] as const;

/** What is left when the signal is lost, whatever was entered for it. */
export const signalLost: PossibleTrait = {
  facets: ({ installation }) => [
    {
      id: 'signal-lost',
      title: 'when the signal is lost',
      of: ['traits', 'failsafe'],
      now: installation.receiver?.lost ?? 'presets',
      values: VALUES.map(([key, words, usual]) => ({
        key,
        words,
        usual,
        change(next: Setup) {
          const tellsUnit = next.installation.receiver?.tellsUnit ?? knowsLinkLost(next);
          next.installation.receiver = { tellsUnit, lost: key };
        },
      })),
    },
  ],
};
