import { movedSticks } from '../../capture';
import { pointer } from '../../setup';
import { accountOf } from '../finding';
import { failuresOf } from '../proof';
import type { Rule } from '../rule';

export const stickCorner: Rule = {
  id: 'M30',
  title: 'The stick corner of a gesture is elsewhere',
  why: 'The unit looks at pulses, the leaflet at sticks. With a channel reversed, the corner the leaflet shows is another corner.',
  explains: ['gesture'],
  check: (setup, proof) =>
    failuresOf(proof, 'gesture')
      .filter((failure) => failure.about.how === 'moved')
      .map((failure) => ({
        ...accountOf(failure),
        remedies: [],
        without: [
          movedSticks(setup).map(({ output }) => ({
            op: 'replace' as const,
            path: pointer('program', 'outputs', output, 'reversed'),
            value: !setup.program.outputs[output]!.reversed,
          })),
        ],
      })),
};
