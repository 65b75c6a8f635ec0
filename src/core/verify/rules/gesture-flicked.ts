import { pointer } from '../../setup';
import { accountOf } from '../finding';
import { failuresOf } from '../proof';
import type { Rule } from '../rule';

export const gestureFlicked: Rule = {
  id: 'gesture-flicked',
  title: 'A control that is also a gesture',
  why: 'Who needs help in the air presses more than once. The unit then learns the attitude the model has at that moment as level, and flies it that way from then on.',
  explains: ['gesture'],
  check: (_, proof) =>
    failuresOf(proof, 'gesture')
      .filter((failure) => failure.about.how?.startsWith('accident'))
      .map((failure) => ({
        ...accountOf(failure),
        remedies: [],
        // What it is taken for is the unit's, and no entry of the person's cures it.
        without: [
          [
            {
              op: 'replace',
              path: pointer('unit', 'traits', 'levelCapture'),
              value: { by: 'menu' },
            },
          ],
        ],
      })),
};
