import { compileChain, stickOf } from '../../chain';
import type { Condition, ProgramWishes, Setup } from '../../setup';
import {
  addLine,
  addLogic,
  addVariable,
  allOf,
  anyOf,
  channelOf,
  held,
  labelOf,
  type Draft,
} from './draft';
import type { ModeCell } from './modes';
import { bandOf, valueInBand } from './values';

const RATED = ['aileron', 'elevator', 'rudder', 'steering'];

/** Rates and expo by mode: one pair where the unit is off, another everywhere else. */
export function writeRates(
  { setup }: Draft,
  wish: NonNullable<ProgramWishes['rates']>,
  cells: readonly ModeCell[],
): void {
  const off = cells.filter((c) => c.mode === 'off').map((c) => c.when);
  for (const input of setup.program.inputs) {
    if (!RATED.includes(input.id)) continue;
    input.rates = [
      ...(off.length > 0
        ? [{ when: anyOf(off), weightPct: wish.offPct, expoPct: wish.offExpoPct }]
        : []),
      { weightPct: wish.onPct, expoPct: wish.onExpoPct },
    ];
  }
}

/** A switch that holds the motor off, after every other line of the throttle. */
export function writeCut(draft: Draft, wish: NonNullable<ProgramWishes['cut']>): void {
  const { setup } = draft;
  const stick = setup.transmitter.controls[stickOf(setup.transmitter, 'throttle')];
  for (const { carries, channel } of setup.program.outputs) {
    if (carries !== 'throttle' && carries !== 'throttle2') continue;
    addLine(draft, {
      id: `cut-${channel}`,
      label: `Throttle cut, ${labelOf(setup, wish.control)}`,
      channel,
      source: { kind: 'constant' },
      weightPct: stick?.rest ?? -100,
      when: { kind: 'switch', control: wish.control, position: wish.position },
      op: 'replace',
      purpose: 'throttle-cut',
    });
  }
}

/**
 * How the lines of each channel answer the elevator stick pulled back: +1 or −1 where they do. Asked
 * of the chain, so that a mix made in the transmitter is seen through.
 */
function upSenses(setup: Setup): { channel: number; sense: 1 | -1 }[] {
  const chain = compileChain(setup);
  const at = stickOf(setup.transmitter, 'elevator');
  if (at < 0) return [];
  const frame = chain.newFrame();
  const read = (value: number) => {
    const stimulus = chain.restStimulus();
    stimulus.controls[at] = value;
    chain.step(stimulus, chain.newMemory(), frame);
    return frame.channelsPct.slice();
  };
  const back = read(-100);
  const middle = read(0);
  return setup.program.outputs.flatMap(({ channel }) => {
    const moved = back[channel - 1]! - middle[channel - 1]!;
    return Math.abs(moved) < 1
      ? []
      : [{ channel, sense: moved > 0 ? (1 as const) : (-1 as const) }];
  });
}

/**
 * Hand-launch help: a control held arms it, it stays on by itself with the unit levelling and some
 * up elevator, and any stick movement lets it go.
 */
export function writeLaunch(draft: Draft, wish: NonNullable<ProgramWishes['launch']>): void {
  const { setup, reasons } = draft;
  const sticks = (['aileron', 'elevator'] as const)
    .map((f) => setup.transmitter.controls[stickOf(setup.transmitter, f)])
    .filter((c) => c !== undefined);
  const senses = upSenses(setup);
  if (sticks.length === 0 || senses.length === 0) {
    reasons.push('Launch help wants an elevator stick that reaches a channel.');
    return;
  }
  const armed = addLogic(draft, {
    id: 'launch-held',
    label: `${labelOf(setup, wish.control)} held ${wish.holdS} s`,
    op: 'delay',
    of: held(setup, wish.control),
    onS: wish.holdS,
    offS: 0,
  });
  const still: Condition[] = sticks.map((stick) =>
    addLogic(draft, {
      id: `launch-${stick.hand}-still`,
      label: `${stick.label} within ${wish.releasePct} % of the middle`,
      op: 'near',
      // The stick itself, not its input: a trim must not let the help go.
      source: { kind: 'control', id: stick.id },
      valuePct: 0,
      withinPct: wish.releasePct,
    }),
  );
  const on = addLogic(draft, {
    id: 'launch-on',
    label: 'Launch help on',
    op: 'latch',
    set: armed,
    reset: { kind: 'not', of: allOf(still) },
  });
  addVariable(draft, {
    id: 'launch-elevator',
    label: 'Up elevator at launch',
    valuePct: wish.elevatorPct,
    ...(wish.adjust ? { adjust: { control: wish.adjust, rangePct: 20 } } : {}),
  });
  for (const { channel, sense } of senses)
    addLine(draft, {
      id: `launch-${channel}`,
      label: 'Launch help: up elevator',
      channel,
      source: { kind: 'variable', id: 'launch-elevator' },
      weightPct: 100 * sense,
      when: on,
      op: 'add',
      purpose: 'launch',
    });
  const band = bandOf(setup.unit.traits.modeSelect, setup.unit.settings.slots.indexOf('level'));
  const channel = channelOf(setup, 'mode');
  if (!band || channel === undefined) {
    draft.notes.push(
      'The unit has no self-levelling to launch in: the help is the elevator alone.',
    );
    return;
  }
  const level = valueInBand(setup, channel, band.fromUs, band.toUs);
  if (level !== undefined)
    addLine(draft, {
      id: 'launch-mode',
      label: 'Launch help: self-levelling',
      channel,
      source: { kind: 'constant' },
      weightPct: level,
      when: on,
      op: 'replace',
      purpose: 'launch',
    });
}
