import { namedMode } from '../chain';
import { sentences, type Named, type Sentence } from '../script';
import { gestureKey, leafletWord, withOwn, type Setup } from '../setup';
import { holdWords, holdsOf, type Hold } from './corner';

const SAY = sentences('level-capture', {
  menu: () => 'capture level in its menu',
  button: ({ presses }: { presses: number }) => `press its button ${times(presses)}`,
  corner: ({ mode, holds, seconds }: { mode: Named | undefined; holds: Hold[]; seconds: number }) =>
    `${mode ? `in ${mode.label}, ` : ''}hold ${holdWords(holds)} for ${seconds} s`,
  flick: (how: { times: number; withinS: number }) =>
    `flick the mode switch from end to end and back ${times(how.times)} within ${how.withinS} s`,
  'power-up': () =>
    'leave the model still in that attitude while you switch it on: the unit takes level at every power-up',
  channel: (how: { times: number; withinS: number }) =>
    `move the capture channel off its centre and back ${times(how.times)} within ${how.withinS} s`,
});

const times = (n: number): string => (n === 1 ? 'once' : n === 2 ? 'twice' : `${n} times`);

/** How this unit captures level: an instruction without its full stop, beside the leaflet's own word for it. */
export function levelCaptureOf(setup: Setup): Sentence {
  const how = howTo(setup);
  return { ...how, words: withOwn(leafletWord(setup.unit, gestureKey('level')), how.words) };
}

function howTo(setup: Setup): Sentence {
  const how = setup.unit.traits.levelCapture ?? { by: 'menu' as const };
  switch (how.by) {
    case 'menu':
    case 'power-up':
      return SAY[how.by]();
    case 'button':
      return SAY.button({ presses: how.presses });
    case 'corner': {
      const mode = how.mode && namedMode(setup.unit, how.mode);
      return SAY.corner({ mode, holds: holdsOf(setup, how.holds), seconds: how.seconds });
    }
    case 'flick':
      return SAY.flick({ times: how.times, withinS: how.withinS });
    case 'channel':
      return SAY.channel({ times: how.times, withinS: how.withinS });
  }
}
