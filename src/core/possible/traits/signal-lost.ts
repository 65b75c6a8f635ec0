import { knowsLinkLost, RESTS_ON } from '../../chain';
import { valuesOf, type PossibleTrait } from '../facet';

const VALUES = [
  ['presets', 'the failsafe that was entered is what happens', 75],
  ['holds', 'the last pulses are held when the signal is lost', 15],
  ['no-pulses', 'the pulses stop when the signal is lost', 10],
] as const;

/** What is left when the signal is lost, whatever was entered for it. */
export const signalLost: PossibleTrait = {
  facets: (setup) => {
    const tellsUnit = knowsLinkLost(setup);
    return [
      {
        id: 'signal-lost',
        title: 'when the signal is lost',
        of: ['traits', 'failsafe'],
        restsOn: RESTS_ON.signalLost,
        now: setup.installation.receiver?.lost ?? 'presets',
        values: valuesOf(VALUES, ({ installation: next }, key) => {
          next.receiver = { tellsUnit: next.receiver?.tellsUnit ?? tellsUnit, lost: key };
        }),
      },
    ];
  },
};
