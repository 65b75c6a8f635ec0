import { accountOf } from '../finding';
import { setSteeringEnds } from '../../plan';
import { failuresOf } from '../proof';
import type { Rule } from '../rule';

export const steeringStop: Rule = {
  id: 'M35',
  title: 'Steering reaches its stop before or after the hand',
  why: 'A servo held against a stop draws its full current for as long as the hand is over, and the unit learns an end that is none.',
  explains: ['steering-stop'],
  check: (setup, proof) =>
    failuresOf(proof, 'steering-stop').map((failure) => {
      const patch = failure.about.how?.endsWith('-never') ? [] : setSteeringEnds(setup);
      return {
        ...accountOf(failure),
        remedies:
          patch.length > 0
            ? [{ label: 'Set both ends so that the hand and the stop are reached together', patch }]
            : [],
      };
    }),
};
