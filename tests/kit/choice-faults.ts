import type { Line, ProgramWishes, Setup } from '@/core/setup';
import { wished, type Fault } from './order-faults';

const flapped = () => wished({}, 'menu-receiver', 'line-sixteen', { flaps: true, gear: true });
const panicky = () => wished({ panic: { way: 'replace', control: 'sm', holdS: 0.3, gainPct: 60 } });
const gained = (gain: ProgramWishes['gain']) => () => wished({ gain });

/** Lines of a choice. */
const linesOf = (s: Setup, owner: Line['owner']) =>
  s.program.lines.filter((l) => l.owner === owner);
const lineOf = (s: Setup, owner: Line['owner']) => linesOf(s, owner)[0]!;
const follow = (line: Line, id: string) => (line.follows = { kind: 'control', id });
const turned = (line: Line) =>
  Object.assign(line, { sharePct: 0 - line.sharePct, shiftPct: 0 - line.shiftPct });

/** The program does otherwise than was chosen: by hand, or as an older file had it. */
export const CHOICE_FAULTS: Fault[] = [
  ['flaps turned round', flapped, (s: Setup) => void turned(lineOf(s, 'flaps'))],
  [
    'flap channel reversed',
    flapped,
    (s: Setup) => {
      const { channel } = lineOf(s, 'flaps');
      s.program.outputs.find((o) => o.channel === channel)!.reversed = true;
    },
  ],
  ['gear turned round', flapped, (s: Setup) => void turned(lineOf(s, 'gear'))],
  ['gear on another switch', flapped, (s: Setup) => void follow(lineOf(s, 'gear'), 'sf')],
  [
    'two gains changed over',
    gained({ by: 'values', control: 'sb', pct: [0, 40, 50] }),
    (s: Setup) => {
      const [, a, b] = linesOf(s, 'gain');
      [a!.sharePct, b!.sharePct] = [b!.sharePct, a!.sharePct];
    },
  ],
  [
    '45 entered as 90',
    gained({ by: 'fixed', pct: 45 }),
    (s: Setup) => (lineOf(s, 'gain').sharePct = 80),
  ],
  [
    'one step beside',
    gained({ by: 'fixed', pct: 45 }),
    (s: Setup) => (lineOf(s, 'gain').sharePct += 2),
  ],
  [
    'knob 2 for knob 1',
    gained({ by: 'knob', control: 'k1' }),
    (s: Setup) => void follow(lineOf(s, 'gain'), 'k2'),
  ],
  [
    'panic gain 20 for 60',
    panicky,
    (s: Setup) => (s.program.lines.find((l) => l.id === 'panic-gain')!.sharePct = -60),
  ],
  [
    'launch by another momentary',
    () => wished({ launch: { control: 'sh', holdS: 1, elevatorPct: 25, releasePct: 10 } }),
    (s: Setup) => {
      const held = s.program.logic.find((l) => l.op === 'delay')!;
      if (held.op === 'delay') held.of = { kind: 'switch', control: 'sm', position: 1 };
    },
  ],
  ['another glide', wished, (s: Setup) => (s.unit.settings.failsafe!.pitchDeg = 12)],
  [
    'another time',
    () => wished({ timer: { minutes: 6 } }),
    (s: Setup) => (s.program.timers[0]!.seconds = 60),
  ],
].map(([words, start, spoil]) => ['as-chosen', words, start, spoil] as Fault);

/** Lines that say what they are for, and no choice of it. */
export const UNCHOSEN_FAULTS: Fault[] = [
  ['panic', panicky, (s: Setup) => delete s.intents.program.panic],
  ['the cut', wished, (s: Setup) => delete s.intents.program.cut],
  [
    'launch help',
    () => wished({ launch: { control: 'sh', holdS: 1, elevatorPct: 25, releasePct: 10 } }),
    (s: Setup) => delete s.intents.program.launch,
  ],
].map(([words, start, spoil]) => ['looks-like', words, start, spoil] as Fault);
