import { buildAirframe, TRANSMITTERS, UNITS, usualAnswers } from '@/core/catalogue';
import { withLeads, withServo } from '@/core/model';
import { composeSetup } from '@/core/plan';
import type { Setup, Surface } from '@/core/setup';
import { addLine, outputOf } from './add-entries';
import type { Mutation } from './mutations';
import type { Fault } from './order-faults';

/**
 * A clean model whose elevator two servos move.
 * @param own the second on a channel and an output of its own, else on a Y-lead with the first
 */
export function twoOnElevator(own = false): Setup {
  const two = withServo(buildAirframe(usualAnswers('conventional')), 'elevator');
  if (!two.ok) throw new Error(two.reason);
  const second = two.airframe.servos.at(-1)!.id;
  return composeSetup(
    'Two servos on the elevator',
    own ? withLeads(two.airframe, { [second]: 'elevator2' }) : two.airframe,
    UNITS['menu-receiver']!,
    TRANSMITTERS['line-sixteen']!,
  );
}

const onOwn = () => twoOnElevator(true);
const secondRod = (s: Setup): NonNullable<Surface['ganged']>[number]['linkage'] =>
  s.airframe.surfaces.find((p) => p.ganged)!.ganged![0]!.linkage;
const secondOutput = (s: Setup) => s.unit.settings.outputs.find((o) => o.carries === 'elevator2')!;

/** Ways for two servos on one part to work against each other, or not quite together. */
const FAULTS: readonly [
  words: string,
  spoil: (s: Setup) => void,
  start: () => Setup,
  severity?: 'caution',
][] = [
  [
    'its rod on the other side of its arm',
    (s) => {
      const rod = secondRod(s);
      rod.sense = rod.sense === 'same' ? 'opposite' : 'same';
    },
    twoOnElevator,
  ],
  ['a longer arm', (s) => void (secondRod(s).armMm *= 1.15), twoOnElevator, 'caution'],
  ['a longer horn', (s) => void (secondRod(s).hornMm *= 1.2), twoOnElevator, 'caution'],
  [
    'it turns further',
    (s) => void (s.airframe.servos.at(-1)!.degAt500Us *= 1.2),
    twoOnElevator,
    'caution',
  ],
  [
    'the second servo runs the other way',
    (s) => void (s.airframe.servos.at(-1)!.rotation = 'reversed'),
    twoOnElevator,
  ],
  ['its output does not correct', (s) => void (secondOutput(s).stabilized = false), onOwn],
  [
    'the ends of its channel nearer',
    (s) => void Object.assign(outputOf(s, 'elevator2'), { minPct: -85, maxPct: 85 }),
    onOwn,
    'caution',
  ],
  [
    'its channel reversed',
    (s) => void (outputOf(s, 'elevator2').reversed = !outputOf(s, 'elevator2').reversed),
    onOwn,
  ],
  [
    'a knob in the channel of one alone',
    (s) => addLine(s, 'elevator2', { follows: { kind: 'control', id: 'k2' }, sharePct: 40 }),
    onOwn,
  ],
  [
    'its failsafe is another',
    (s) => {
      const { channel } = outputOf(s, 'elevator2');
      s.program.failsafe = [
        ...s.program.failsafe.filter((f) => f.channel !== channel),
        { channel, kind: 'preset', valuePct: 60 },
      ];
    },
    onOwn,
  ],
];

export const GANG_MUTATIONS: readonly Mutation[] = FAULTS.map(
  ([words, spoil, start, severity]) => ({
    requirement: 'ganged',
    words,
    start,
    spoil,
    ...(severity ? { severity } : {}),
  }),
);

export const GANG_FAULTS: readonly Fault[] = FAULTS.map(([words, spoil, start]) => [
  'ganged',
  words,
  start,
  spoil,
]);
