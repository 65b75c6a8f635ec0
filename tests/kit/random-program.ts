import { randomOf } from '@/core/dice';
import {
  parseSetup,
  type Condition,
  type ControlKind,
  type Shape,
  type Line,
  type Logic,
  type Setup,
  type Source,
} from '@/core/setup';
import { makeSetup } from './setups';

export { randomOf };

/** Anywhere a hand may put a control: a position of a switch, or some place between the ends. */
export function anywhere(kind: ControlKind, random: () => number): number {
  if (kind === 'switch-3') return (Math.floor(random() * 3) - 1) * 100;
  if (kind === 'switch-2' || kind === 'momentary') return random() < 0.5 ? -100 : 100;
  return random() < 0.4
    ? [-100, 0, 100][Math.floor(random() * 3)]!
    : Math.round((random() * 200 - 100) * 10) / 10;
}

/** What a random program is made with. */
export interface Recipe {
  logic: number;
  lines: number;
  /** Thresholds on channels and shaped inputs, trims, variables on levers, curves. */
  rich: boolean;
}

/**
 * A Setup whose mode, gain, throttle and steering channels are moved by a program made by dice: its
 * lines, conditions, latches, delays, counters, curves and variables.
 */
export function randomProgram(seed: number, recipe: Recipe): Setup {
  const random = randomOf(seed);
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
  const int = (from: number, to: number) => from + Math.floor(random() * (to - from + 1));
  const setup = makeSetup('conventional', 'menu-receiver', 'line-sixteen');
  const { transmitter, program } = setup;
  const switches = transmitter.controls
    .filter((c) => c.kind.startsWith('switch') || c.kind === 'momentary')
    .slice(0, 5);
  const between = transmitter.controls.filter((c) =>
    ['stick', 'knob', 'slider', ...(recipe.rich ? ['trim'] : [])].includes(c.kind),
  );
  program.lines = [];
  program.logic = [];
  if (recipe.rich) {
    for (let i = 0; i < 2; i++) {
      const points: Shape['points'] = [-100, int(-60, -10), int(0, 60), 100].map((inPct) => ({
        inPct,
        outPct: int(-100, 100),
      }));
      program.shapes.push({ id: `shape-${i}`, label: `Shape ${i}`, points });
    }
    program.variables.push({
      id: 'v',
      label: 'V',
      valuePct: int(-50, 50),
      adjust: { control: pick(between).id, rangePct: int(5, 40) },
    });
  }
  const known: string[] = [];
  const condition = (deep = 0): Condition => {
    const roll = random();
    if (roll < 0.15 && deep < 2) return { kind: 'not', of: condition(deep + 1) };
    if (roll < 0.3 && deep < 2)
      return { kind: 'all', of: [condition(deep + 1), condition(deep + 1)] };
    if (roll < 0.4 && deep < 2)
      return { kind: 'any', of: [condition(deep + 1), condition(deep + 1)] };
    if (roll < 0.7 && known.length > 0) return { kind: 'logic', id: pick(known) };
    const control = pick(switches);
    return {
      kind: 'switch',
      control: control.id,
      position: int(0, control.kind === 'switch-3' ? 2 : 1),
    };
  };
  const source = (channelsBelow: number): Source => {
    const roll = random();
    if (roll < 0.2) return { kind: 'fixed' };
    if (recipe.rich && roll < 0.3) return { kind: 'variable', id: 'v' };
    if (recipe.rich && roll < 0.45 && channelsBelow > 0)
      return { kind: 'channel', channel: int(1, channelsBelow) };
    if (roll < 0.6 && program.inputs.length > 0)
      return { kind: 'input', id: pick(program.inputs).id };
    if (roll < 0.75) return { kind: 'control', id: pick(switches).id };
    return { kind: 'control', id: pick(between).id };
  };
  for (const input of program.inputs) {
    input.rates = [{ sharePct: int(30, 120), expoPct: pick([0, 0, 30, -40, 100, -100]) }];
    if (random() < 0.4)
      input.rates.unshift({ when: condition(2), sharePct: int(30, 120), expoPct: pick([0, 30]) });
  }
  // Channel 1 has no logic in it, so that logic may look at it.
  const lineOn = (channel: number, when: boolean): Line => ({
    id: `line-${program.lines.length}`,
    channel,
    follows: channel === 1 ? { kind: 'control', id: pick(between).id } : source(channel - 1),
    sharePct: int(-120, 120),
    shiftPct: random() < 0.5 ? 0 : int(-60, 60),
    effect: pick(['adds', 'adds', 'adds', 'scales', 'takes-over'] as const),
    ...(recipe.rich && random() < 0.25 ? { shape: `shape-${int(0, 1)}` } : {}),
    ...(when && random() < 0.5 ? { when: condition() } : {}),
  });
  for (let i = 0; i < 2; i++) program.lines.push(lineOn(1, false));
  const compared = (): Source =>
    recipe.rich && random() < 0.3
      ? { kind: 'channel', channel: 1 }
      : random() < 0.5
        ? { kind: 'control', id: pick(between).id }
        : recipe.rich && program.inputs.some((i) => i.rates.length === 1) && random() < 0.5
          ? { kind: 'input', id: pick(program.inputs.filter((i) => i.rates.length === 1)).id }
          : { kind: 'control', id: pick([...between, ...switches]).id };
  for (let i = 0; i < recipe.logic; i++) {
    const id = `logic-${i}`;
    const head = { id, label: id };
    const seconds = () => pick([0, 0.2, 0.3, 0.5, 1]);
    const make: (() => Logic)[] = [
      () => ({
        ...head,
        op: 'near',
        follows: compared(),
        valuePct: int(-100, 100),
        withinPct: int(0, 50),
      }),
      () => ({ ...head, op: 'greater', follows: compared(), valuePct: int(-100, 100) }),
      () => ({ ...head, op: 'when', when: condition() }),
      () => ({ ...head, op: 'latch', set: condition(), reset: condition() }),
      () => ({ ...head, op: 'latch', set: condition(), reset: condition() }),
      () => ({ ...head, op: 'edge', of: condition() }),
      () => ({ ...head, op: 'delay', of: condition(), onS: seconds(), offS: seconds() }),
      () => ({ ...head, op: 'delay', of: condition(), onS: seconds(), offS: seconds() }),
      () => ({
        ...head,
        op: 'toggles',
        of: condition(),
        count: int(1, 3),
        withinS: pick([0.5, 1, 2]),
      }),
    ];
    program.logic.push(pick(make)());
    known.push(id);
  }
  const channels = program.outputs.map((o) => o.channel).filter((c) => c > 1);
  for (let i = 0; i < recipe.lines; i++) program.lines.push(lineOn(pick(channels), true));
  for (const output of program.outputs) {
    if (random() < 0.3) output.reversed = !output.reversed;
    if (random() < 0.3) output.subtrimPct = int(-20, 20);
    if (random() < 0.3) output.maxPct = int(50, 140);
    if (random() < 0.3) output.minPct = -int(50, 140);
  }
  const read = parseSetup(setup);
  // Rates may read logic that reads the input again: such a circle is thrown again.
  return read.ok ? read.value : randomProgram(seed + 1_000_003, recipe);
}
