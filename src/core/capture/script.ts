import { gainSides, learnTravel } from '../plan';
import { scriptOf, sentences, type Named, type ScriptStep, type Sentence } from '../script';
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
import { movedSticks, movedWords } from './corner';

type Way = UnitTraits['captureGestures'][number];

/** How each way of capturing the sticks is done. */
export const HOW: Record<Way, string> = {
  menu: 'start the capture in its menu',
  button: 'start it with the button',
  'stick-corners': 'hold the sticks in the corner',
  'mode-flick': 'flick the mode switch',
  channel: 'move the capture channel off its centre and back three times within 3 s',
  'power-up': 'switch it off and on with the sticks released',
};

const SAY = sentences('capture', {
  'steer-both-ways': () =>
    `Keep the model clear of everything. Start it with the button, steer ${LEFT_FIRST}.`,
  capture: (about: {
    ground: boolean;
    held: Named;
    ways: Named[];
    corner: Named | undefined;
    thenMove: boolean;
  }) =>
    [
      `Keep the ${about.ground ? 'trims' : 'flight trims'}, ${about.held.label}: `,
      about.ways.map((w) => w.label).join(', or '),
      about.corner ? ` (${about.corner.label})` : '',
      about.thenMove
        ? `, then ${about.ground ? 'steer fully left and right' : 'move every stick through its full range'}`
        : '',
      '.',
    ].join(''),
  confirmed: () => 'the unit confirms it: count its twitches or blinks',
  release: ({ hands }: { hands: Named }) =>
    `${hands.label} released, unit on in its strongest mode, the model still.`,
  'still-with-gain': () =>
    'the steering stays still while the gain goes from its minimum to its maximum',
  'still-with-modes': () => 'no surface moves when the mode switch goes through its positions',
  'corrects-rightly': () => 'every correction goes the way it should',
  swing: ({ front }: { front: Named }) =>
    `Steering released. Swing the ${front.label} by hand with the gain on each of its two sides.`,
  // What it does there is in the words of the Setup.
  side: ({ at, does }: { at: Named; does: string }) => `${at.label}: ${does}`,
  'nothing-between': () => 'in the middle the unit does nothing',
});

/** Capturing centres and travel in the unit, and what must be seen of it. */
export function captureScript(setup: Setup): ScriptStep[] {
  const { captureGestures: ways, correctionDirection } = setup.unit.traits;
  if (ways.length === 0 || learnTravel(setup).length === 0) return [];
  const hands = handWords(setup.transmitter);
  const ground = kindOf(setup.airframe).onSurface;
  const sides = gainSides(setup);
  return scriptOf('capture', [
    [
      'teach',
      taughtByDriving(setup.unit) ? SAY['steer-both-ways']() : howToCapture(setup, ways),
      [SAY.confirmed()],
    ],
    [
      'centres',
      SAY.release({ hands: { id: hands.one, label: hands.title } }),
      [
        ground ? SAY['still-with-gain']() : SAY['still-with-modes'](),
        ...(correctionDirection === 'learned' ? [SAY['corrects-rightly']()] : []),
      ],
    ],
    ...(sides.length > 0
      ? [
          [
            'sides',
            SAY.swing({ front: frontOf(setup) }),
            [
              ...sides.map((s) =>
                SAY.side({
                  at: { id: `${s.control}=${s.value}`, label: s.hand },
                  does: s.does,
                }),
              ),
              SAY['nothing-between'](),
            ],
          ] as const,
        ]
      : []),
  ]);
}

const frontOf = ({ airframe }: Setup): Named => {
  const { front, moves } = kindOf(airframe);
  return { id: moves, label: front };
};

function howToCapture(setup: Setup, ways: readonly Way[]): Sentence {
  const hands = handWords(setup.transmitter);
  const ground = kindOf(setup.airframe).onSurface;
  const moved = ways.includes('stick-corners') ? movedSticks(setup) : [];
  return SAY.capture({
    ground,
    held: {
      id: hands.one,
      label: `${setup.airframe.motors.length > 0 ? `${hands.closed}, ` : ''}${hands.all} ${ground ? 'released' : 'centred'}`,
    },
    ways: ways.map((id) => ({
      id,
      label: withOwn(leafletWord(setup.unit, gestureKey(id)), HOW[id]),
    })),
    corner:
      moved.length > 0
        ? { id: moved.map((m) => m.stick).join('+'), label: movedWords(moved) }
        : undefined,
    thenMove: !(ways.includes('power-up') && ways.length === 1),
  });
}
