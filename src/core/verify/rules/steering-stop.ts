import { accountOf } from '../finding';
import { setSteeringEnds } from '../../plan';
import { failuresOf } from '../proof';
import type { Rule } from '../rule';

export const steeringStop: Rule = {
  id: 'M35',
  title: 'Steering reaches its stop before or after your control',
  why: 'A servo held against a stop draws full current for as long as you hold full steering, and the unit learns a wrong endpoint.',
  explains: ['steering-stop'],
  check: (setup, proof) =>
    failuresOf(proof, 'steering-stop').map((failure) => {
      const patch = failure.about.how?.endsWith('-never') ? [] : setSteeringEnds(setup);
      return {
        ...accountOf(failure),
        remedies:
          patch.length > 0
            ? [
                {
                  label:
                    'Set both endpoints so that your control and the stop are reached together',
                  patch,
                },
              ]
            : [],
      };
    }),
};
