import { openFacets } from '../../possible';
import type { Step } from '../step';

export const ask: Step = {
  id: 'ask',
  title: 'Ask the unit',
  does: 'Find out on the bench what nobody has told you about the unit.',
  station: 'ask',
  session: 'prop-off',
  // Until it is known how it reads its channels, any stick may be the throttle, and a cut may cut nothing.
  cautions: ['prop-off', 'motor-dead'],
  applies: (setup) => openFacets(setup).length > 0,
  proofs: ({ setup }) =>
    openFacets(setup).map(({ title }) => ({
      what: `what it does is known: ${title}`,
      status: 'todo',
      reasons: [],
    })),
  after: () => ['identify'],
};
