import { cornerWords, movedSticks } from '../../capture';
import { pointer } from '../../setup';
import type { Found } from '../finding';
import type { Rule } from '../rule';

export const stickCorner: Rule = {
  id: 'M30',
  title: 'The stick corner of a gesture is elsewhere',
  why: 'The unit looks at pulses, the leaflet at sticks. With a channel reversed, the corner the leaflet shows is another corner.',
  check(setup): Found[] {
    if (!setup.unit.traits.captureGestures.includes('stick-corners')) return [];
    const moved = movedSticks(setup);
    const [first] = moved;
    if (!first) return [];
    return [
      {
        severity: 'caution',
        says: `For a stick-corner capture: ${lower(cornerWords(setup))} ${moved.length > 1 ? 'These channels are' : 'This channel is'} reversed on the way to the unit.`,
        where: pointer('program', 'outputs', first.output, 'reversed'),
        remedies: [],
      },
    ];
  },
};

const lower = (words: string) => words[0]!.toLowerCase() + words.slice(1);
