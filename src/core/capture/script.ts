import { gainSides, learnTravel } from '../plan';
import { scriptOf, type ScriptStep } from '../script';
import {
  gestureKey,
  handWords,
  kindOf,
  leafletWord,
  LEFT_FIRST,
  taughtByDriving,
  withOwn,
  type Setup,
  type UnitTraits,
} from '../setup';
import { cornerWords, movedSticks } from './corner';

/** How each way of teaching it is done. */
export const HOW: Record<UnitTraits['captureGestures'][number], string> = {
  menu: 'start the capture in its menu',
  button: 'start it with the button',
  'stick-corners': 'hold the sticks in the corner',
  'mode-flick': 'flick the mode switch',
  channel: 'take the capture channel off and on its middle three times within 3 s',
  'power-up': 'switch it off and on with the sticks let go',
};

/** Teaching the unit centres and travel, and what must be seen of it. */
export function captureScript(setup: Setup): ScriptStep[] {
  const { captureGestures: ways, correctionDirection } = setup.unit.traits;
  if (ways.length === 0 || learnTravel(setup).length === 0) return [];
  const steering = taughtByDriving(setup.unit);
  const hands = handWords(setup.transmitter);
  const ground = kindOf(setup.airframe).onSurface;
  return scriptOf('capture', [
    [
      'teach',
      steering
        ? `Clear of the ground and of everything. Start it with the button, steer ${LEFT_FIRST}.`
        : `Trims as they ${ground ? 'were' : 'flew'}, ${hands.closed}, ${hands.all} ${ground ? 'let go' : 'centred'}: ${ways.map((w) => withOwn(leafletWord(setup.unit, gestureKey(w)), HOW[w])).join(', or ')}${ways.includes('stick-corners') && movedSticks(setup).length > 0 ? ` (${cornerWords(movedSticks(setup))})` : ''}${ways.includes('power-up') && ways.length === 1 ? '' : `, then ${ground ? 'steer from end to end' : 'move every stick through its full range'}`}.`,
      ['the unit confirms it: count its twitches or blinks'],
    ],
    [
      'centres',
      `${hands.title} let go, unit on in its strongest mode, the model still.`,
      [
        ground
          ? 'the steering stays still while the gain goes from one end to the other'
          : 'no surface moves when the mode switch goes through its positions',
        ...(correctionDirection === 'learned' ? ['every correction goes the way it should'] : []),
      ],
    ],
    ...(gainSides(setup).length > 0
      ? [
          [
            'sides',
            `Steering let go. Swing the ${kindOf(setup.airframe).front} by hand with the gain on each of its two sides.`,
            [
              ...gainSides(setup).map(({ hand, does }) => `${hand}: ${does}`),
              'in the middle nothing answers',
            ],
          ] as const,
        ]
      : []),
  ]);
}
