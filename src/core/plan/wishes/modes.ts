import {
  MODE_WORDS,
  modeWords,
  compileChain,
  positionWord,
  positionsOf,
  switchValue,
  type Chain,
} from '../../chain';
import type { Condition, Line, Mode, ModeWish, Setup } from '../../setup';
import { addLine, allOf, channelOf, kindOf, labelOf, type Draft } from './draft';
import { bandOf, valueInBand } from './values';
import { CANNOT } from './words';

/** One combination of mode switch positions, the mode it stands for, and what it must send. */
export interface ModeCell {
  when: Condition;
  words: string;
  mode: Mode;
  slot: number;
  /** Values the lines must add up to, on the mode channel and the second one. */
  value: number;
  second: number | undefined;
  positions: number[];
}

/** Every combination of positions of the mode switches, in the order of the table. */
export function combinations(
  setup: Setup,
  switches: readonly string[],
): { when: Condition; words: string; positions: number[] }[] {
  let list: { positions: number[]; words: string[] }[] = [{ positions: [], words: [] }];
  for (const id of switches) {
    const kind = kindOf(setup, id);
    list = list.flatMap((c) =>
      Array.from({ length: positionsOf(kind) }, (_, p) => ({
        positions: [...c.positions, p],
        words: [...c.words, `${labelOf(setup, id)} ${positionWord(kind, p)}`],
      })),
    );
  }
  return list.map(({ positions, words }) => ({
    positions,
    words: words.join(', '),
    when: allOf(
      positions.map((position, i) => ({ kind: 'switch', control: switches[i]!, position })),
    ),
  }));
}

/**
 * What each position of the mode switches must send, as the unit's slots stand.
 * @param reasons gets why a mode cannot be sent
 */
export function cellsOf(setup: Setup, wish: ModeWish, reasons: string[] = []): ModeCell[] {
  const { traits, settings } = setup.unit;
  const select = traits.modeSelect;
  const channel = channelOf(setup, 'mode');
  const secondChannel = channelOf(setup, 'mode2');
  if (!('bands' in select)) {
    reasons.push(
      select.by === 'fixed'
        ? CANNOT.modes
        : 'On this unit the gain channel chooses the mode: choose two gain sets instead.',
    );
    return [];
  }
  if (channel === undefined) {
    reasons.push('No channel carries the mode.');
    return [];
  }
  return combinations(setup, wish.switches).flatMap(({ when, words, positions }, i) => {
    const mode = wish.table[i]!;
    const slot = inMenuOrder(setup, wish) ? i : settings.slots.indexOf(mode);
    const band = bandOf(select, slot);
    if (!band) {
      reasons.push(
        `No position of the unit’s mode channel selects ${modeWords(setup.unit, mode)}.`,
      );
      return [];
    }
    const value = valueInBand(setup, channel, band.fromUs, band.toUs);
    const second =
      band.secondFromUs === undefined || secondChannel === undefined
        ? undefined
        : valueInBand(setup, secondChannel, band.secondFromUs, band.secondToUs!);
    if (value === undefined) {
      reasons.push(
        `Channel ${channel} cannot reach ${modeWords(setup.unit, mode)}: its endpoints or its scale are too short.`,
      );
      return [];
    }
    return [{ when, words, mode, slot, value, second, positions }];
  });
}

/** The mode cells of the choice that is there, if there is one. */
export const cellsNow = (setup: Setup): ModeCell[] => {
  const { modes } = setup.intents.program;
  return modes ? cellsOf(setup, modes) : [];
};

/** As many positions as bands: position by position, so that the unit's menu reads the same way. */
function inMenuOrder({ unit }: Setup, wish: ModeWish): boolean {
  const select = unit.traits.modeSelect;
  return (
    unit.traits.slotsSettable &&
    select.by === 'bands' &&
    wish.table.length === select.bands.length &&
    wish.table.every((mode, i) => unit.settings.slots[i] === mode)
  );
}

/** The slots of the unit for a choice; those that will do stay as they are. */
function slotsFor(setup: Setup, wish: ModeWish, reasons: string[]): Mode[] {
  const { traits, settings } = setup.unit;
  const select = traits.modeSelect;
  if (!traits.slotsSettable || !('bands' in select)) return settings.slots;
  const count = select.bands.length;
  const distinct = [...new Set(wish.table)];
  if (distinct.length > count) {
    reasons.push(`The unit can select ${count} modes; you chose ${distinct.length}.`);
    return settings.slots;
  }
  if (wish.table.length === count && select.by === 'bands') return [...wish.table];
  // One band may be out of this transmitter's reach: what can be sent decides.
  const reached = distinct.every((mode) => settings.slots.includes(mode));
  return reached ? settings.slots : fillSlots(settings.slots, distinct);
}

/** Keeps slots whose mode is still wanted, and gives the missing modes the ones that are not. */
function fillSlots(slots: readonly Mode[], wanted: readonly Mode[]): Mode[] {
  const next = [...slots];
  for (const mode of wanted) {
    if (next.includes(mode)) continue;
    const spare = next.findIndex((m, i) => !wanted.includes(m) || next.indexOf(m) !== i);
    if (spare >= 0) next[spare] = mode;
  }
  // A slot nobody asked for repeats a wanted mode, so that no stray pulse finds another.
  return next.map((m) => (wanted.includes(m) ? m : wanted[0]!));
}

/** The lines of the mode channel, and of the second where there is one. */
export function writeModes(draft: Draft, wish: ModeWish): void {
  const { setup, reasons } = draft;
  setup.unit.settings.slots = slotsFor(setup, wish, reasons);
  const cells = cellsOf(setup, wish, reasons);
  const first = channelOf(setup, 'mode');
  const second = channelOf(setup, 'mode2');
  if (first === undefined || reasons.length > 0) return;
  channelBySwitches(draft, wish, cells, (c) => c.value, { id: 'mode', channel: first });
  if (second !== undefined && cells.every((c) => c.second !== undefined))
    channelBySwitches(draft, wish, cells, (c) => c.second!, { id: 'mode2', channel: second });
}

/** A channel that each combination of positions gives a value: one line where one line can do it. */
function channelBySwitches(
  draft: Draft,
  wish: ModeWish,
  cells: readonly ModeCell[],
  valueOf: (cell: ModeCell) => number,
  { id, channel }: { id: string; channel: number },
): void {
  const alone = wish.switches.findIndex((_, k) =>
    cells.every((a) =>
      cells.every((b) => a.positions[k] !== b.positions[k] || valueOf(a) === valueOf(b)),
    ),
  );
  const control = wish.switches[alone];
  const values = cells
    .filter((c) => c.positions.every((p, k) => k === alone || p === 0))
    .map(valueOf);
  const [low, high] = [values[0], values.at(-1)];
  if (
    control !== undefined &&
    low !== undefined &&
    high !== undefined &&
    (values.length < 3 || values[1] === (low + high) / 2)
  ) {
    addLine(draft, {
      id,
      channel,
      follows: { kind: 'control', id: control },
      sharePct: (high - low) / 2,
      shiftPct: (high + low) / 2,
      effect: 'adds',
      purpose: 'mode',
    });
    return;
  }
  cells.forEach((cell, i) =>
    addLine(draft, {
      id: `${id}-${i + 1}`,
      label: `${cell.words}: ${MODE_WORDS[cell.mode]}`.slice(0, 80),
      channel,
      follows: { kind: 'fixed' },
      sharePct: valueOf(cell),
      when: cell.when,
      effect: 'takes-over',
      purpose: 'mode',
    }),
  );
}

/**
 * The mode each position of some switches stands for when they go straight to their channels, asked
 * of the chain: what a new model begins with.
 */
export function modesAsShipped(setup: Setup, switches: readonly string[]): Mode[] {
  const straight = (['mode', 'mode2'] as const).flatMap((carries, at): Line[] => {
    const channel = channelOf(setup, carries);
    const id = switches[at];
    return channel === undefined || id === undefined
      ? []
      : [
          {
            id: carries,
            channel,
            follows: { kind: 'control', id },
            sharePct: 100,
            shiftPct: 0,
            effect: 'adds',
          },
        ];
  });
  const tried: Setup = { ...setup, program: { ...setup.program, lines: straight } };
  return modesAt(compileChain(tried), switches).map((cell) => cell.mode);
}

/** How many modes a set of switches must be given. */
export const positionsOfSwitches = (setup: Setup, switches: readonly string[]): number =>
  switches.reduce((n, id) => n * positionsOf(kindOf(setup, id)), 1);

/** What each position of some switches really gives on an armed unit, everything else at rest. */
export function modesAt(
  chain: Chain,
  switches: readonly string[],
): { words: string; controls: Record<string, number>; mode: Mode }[] {
  const { setup } = chain;
  const frame = chain.newFrame();
  return combinations(setup, switches).map(({ positions, words }) => {
    const stimulus = chain.restStimulus();
    const controls: Record<string, number> = {};
    positions.forEach((p, i) => {
      const at = chain.layout.controls.get(switches[i]!)!;
      const value = switchValue(setup.transmitter.controls[at]!.kind, p);
      stimulus.controls[at] = value;
      controls[switches[i]!] = value;
    });
    const memory = chain.newMemory();
    memory.armed = true;
    chain.step(stimulus, memory, frame);
    return { words, controls, mode: frame.mode };
  });
}
