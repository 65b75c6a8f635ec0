import { positionWord, positionsOf, switchValue, type Chain } from '../../chain';
import type { Condition, Mode, ModeWish, Setup } from '../../setup';
import { addLine, allOf, channelOf, kindOf, labelOf, type Draft } from './draft';
import { bandOf, valueInBand } from './values';

/** One combination of mode switch positions, the mode it stands for, and what it must send. */
export interface ModeCell {
  when: Condition;
  words: string;
  mode: Mode;
  slot: number;
  /** Values the lines must add up to, on the mode channel and the second one. */
  value: number;
  second: number | undefined;
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
 * Lays the wished modes on the bands of the unit: sets its slots where they can be set, else looks
 * for a slot that has the mode.
 */
export function layModes(draft: Draft, wish: ModeWish): ModeCell[] {
  const { setup, reasons } = draft;
  const { traits, settings } = setup.unit;
  const select = traits.modeSelect;
  if (!('bands' in select)) {
    reasons.push(
      select.by === 'fixed'
        ? 'This unit has one mode and nothing to choose.'
        : 'On this unit the gain channel chooses the mode: wish for two gain sets instead.',
    );
    return [];
  }
  const count = select.bands.length;
  const distinct = [...new Set(wish.table)];
  if (traits.slotsSettable) {
    if (distinct.length > count) {
      reasons.push(`The unit tells ${count} modes apart; ${distinct.length} were wished for.`);
      return [];
    }
    // As many positions as bands: position by position, so that the unit's menu reads the same way.
    settings.slots =
      wish.table.length === count && select.by === 'bands'
        ? [...wish.table]
        : select.by === 'two-channels'
          ? fillSlots(settings.slots, distinct)
          : Array.from({ length: count }, (_, i) => distinct[Math.min(i, distinct.length - 1)]!);
  }
  const channel = channelOf(setup, 'mode');
  const secondChannel = channelOf(setup, 'mode2');
  if (channel === undefined) {
    reasons.push('No channel carries the mode.');
    return [];
  }
  return combinations(setup, wish.switches).flatMap(({ when, words }, i) => {
    const mode = wish.table[i]!;
    const own = traits.slotsSettable && wish.table.length === count && select.by === 'bands';
    const slot = own ? i : settings.slots.indexOf(mode);
    const band = bandOf(select, slot);
    if (!band) {
      reasons.push(`No position of the unit’s mode channel stands for ${mode}.`);
      return [];
    }
    const value = valueInBand(setup, channel, band.fromUs, band.toUs);
    const second =
      band.secondFromUs === undefined || secondChannel === undefined
        ? undefined
        : valueInBand(setup, secondChannel, band.secondFromUs, band.secondToUs!);
    if (value === undefined) {
      reasons.push(`Channel ${channel} cannot reach ${mode}: its ends or its scale are too short.`);
      return [];
    }
    return [{ when, words, mode, slot, value, second }];
  });
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
export function writeModes(draft: Draft, wish: ModeWish, cells: readonly ModeCell[]): void {
  const { setup } = draft;
  const channel = channelOf(setup, 'mode');
  const second = channelOf(setup, 'mode2');
  if (channel === undefined || cells.length === 0) return;
  const straight = (values: readonly number[], on: number): boolean => {
    if (wish.switches.length !== 1) return false;
    const [low, high] = [values[0]!, values.at(-1)!];
    if (values.length === 3 && values[1] !== (low + high) / 2) return false;
    addLine(draft, {
      id: `mode-${on}`,
      channel: on,
      source: { kind: 'control', id: wish.switches[0]! },
      weightPct: (high - low) / 2,
      offsetPct: (high + low) / 2,
      op: 'add',
      purpose: 'mode',
    });
    return true;
  };
  const stepwise = (values: readonly number[], on: number) =>
    cells.forEach((cell, i) =>
      addLine(draft, {
        id: `mode-${on}-${i + 1}`,
        label: `${cell.words}: ${cell.mode}`.slice(0, 80),
        channel: on,
        source: { kind: 'constant' },
        weightPct: values[i]!,
        when: cell.when,
        op: 'replace',
        purpose: 'mode',
      }),
    );
  const write = (values: readonly number[], on: number) => {
    if (!straight(values, on)) stepwise(values, on);
  };
  write(
    cells.map((c) => c.value),
    channel,
  );
  if (second !== undefined && cells.every((c) => c.second !== undefined))
    write(
      cells.map((c) => c.second!),
      second,
    );
}

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
