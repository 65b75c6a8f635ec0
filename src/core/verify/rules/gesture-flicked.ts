import { pointer } from '../../setup';
import { accountOf } from '../finding';
import { failuresOf } from '../proof';
import type { Rule } from '../rule';

export const gestureFlicked: Rule = {
  id: 'gesture-flicked',
  title: 'A control that is also a gesture',
  why: 'A pilot who needs help presses more than once. The unit then captures the attitude of that moment as level, and holds it from then on.',
  explains: ['gesture'],
  check: (_, proof) =>
    failuresOf(proof, 'gesture')
      .filter((failure) => failure.about.how === 'accident')
      .map((failure) => ({
        ...accountOf(failure),
        remedies: [],
        // Without the gesture nothing would be wrong; no entry in the transmitter changes that.
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
