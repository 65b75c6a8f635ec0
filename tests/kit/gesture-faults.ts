import type { ChannelFunction, Setup } from '@/core/setup';
import { outputOf } from './add-entries';
import type { Mutation } from './mutations';
import { wished, type Fault } from './order-faults';
import { makeSetup } from './setups';

const gestured = () => wished({}, 'gesture-stabilizer');
const panicky = () => wished({ panic: { way: 'replace', control: 'sm', holdS: 0.2, gainPct: 60 } });

const endpoints =
  (carries: ChannelFunction, pct: number) =>
  (s: Setup): void =>
    void Object.assign(outputOf(s, carries), { minPct: -pct, maxPct: pct });

/** A stick that no channel carries any more. */
const unsent =
  (carries: ChannelFunction) =>
  ({ program, unit: { settings } }: Setup): void => {
    const { channel } = program.outputs.find((o) => o.carries === carries)!;
    program.outputs = program.outputs.filter((o) => o.channel !== channel);
    program.lines = program.lines.filter((l) => l.channel !== channel);
    program.failsafe = program.failsafe.filter((f) => f.channel !== channel);
    settings.inputs = settings.inputs.filter((i) => i.channel !== channel);
  };

const flicked =
  (times: number) =>
  (s: Setup): void =>
    void (s.unit.traits.levelCapture = { by: 'flick', times, withinS: 3 });

const FAULTS: readonly [
  rule: 'gesture-unheard' | 'gesture-flicked',
  words: string,
  spoil: (s: Setup) => void,
  start: () => Setup,
][] = [
  [
    'gesture-unheard',
    'elevator endpoint too short for its corner',
    endpoints('elevator', 55),
    gestured,
  ],
  [
    'gesture-unheard',
    'aileron endpoint too short for its corner',
    endpoints('aileron', 60),
    gestured,
  ],
  [
    'gesture-unheard',
    'rudder endpoint too short for its corner',
    endpoints('rudder', 40),
    gestured,
  ],
  [
    'gesture-unheard',
    'no channel for the rudder stick of its corner',
    unsent('rudder'),
    () => makeSetup('flying-wing', 'gesture-stabilizer'),
  ],
  [
    'gesture-unheard',
    'no channel for the aileron stick of its corner',
    unsent('aileron'),
    () => makeSetup('three-channel', 'gesture-stabilizer'),
  ],
  ['gesture-flicked', 'panic pressed once is its flick for level', flicked(1), panicky],
  ['gesture-flicked', 'panic pressed twice is its flick for level', flicked(2), panicky],
  ['gesture-flicked', 'panic pressed three times is its flick for level', flicked(3), panicky],
];

export const GESTURE_FAULTS: readonly Fault[] = FAULTS.map(([rule, words, spoil, start]) => [
  rule,
  words,
  start,
  spoil,
]);

/** The corner counts in one mode only, and there the stick has half its travel. */
function halfInItsMode(s: Setup): void {
  const { levelCapture } = s.unit.traits;
  if (levelCapture?.by !== 'corner') throw new Error('no corner');
  levelCapture.mode = 'level';
  const { rates } = s.program.inputs.find((i) => i.id === 'elevator')!;
  rates.unshift({
    sharePct: 50,
    expoPct: 0,
    owner: 'rates',
    when: { kind: 'switch', control: 'sa', position: 2 },
  });
}

export const GESTURE_MUTATIONS: readonly Mutation[] = [
  ...FAULTS.map(([, words, spoil, start]) => ({ words, spoil, start })),
  { words: 'half the elevator in the mode of its corner', spoil: halfInItsMode, start: gestured },
].map((fault) => ({ ...fault, requirement: 'gesture', severity: 'caution' }));
