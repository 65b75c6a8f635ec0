import { TRIM_SHARE, compileChain, stickOf } from '../../chain';
import type { ChannelFunction, Condition, ProgramWishes, Setup } from '../../setup';
import {
  addLine,
  addLogic,
  addVariable,
  allOf,
  channelOf,
  held,
  labelOf,
  type Draft,
} from './draft';
import { bandOf, valueInBand } from './values';

/**
 * How the lines of each channel answer the elevator stick pulled back: +1 or −1 where they do. Asked
 * of the chain, so that a mix made in the transmitter is seen through.
 */
function upSenses(setup: Setup): { channel: number; carries: ChannelFunction; sense: 1 | -1 }[] {
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
  return setup.program.outputs.flatMap(({ channel, carries }) => {
    const moved = back[channel - 1]! - middle[channel - 1]!;
    return Math.abs(moved) < 1
      ? []
      : [{ channel, carries, sense: moved > 0 ? (1 as const) : (-1 as const) }];
  });
}

/** The elevator trim has no part in it: what it adds to the elevator channels is taken off again. */
function takeTrimOut(draft: Draft, on: Condition): void {
  const { program } = draft.setup;
  const input = program.inputs.find((i) => i.id === 'elevator');
  if (!input?.trim) return;
  const follows = { kind: 'control', id: input.trim } as const;
  for (const line of program.lines) {
    if (line.follows.kind !== 'input' || line.follows.id !== input.id) continue;
    addLine(draft, {
      id: `launch-trim-${line.id}`.slice(0, 40),
      label: 'Launch help: without the trim',
      channel: line.channel,
      follows,
      sharePct: -TRIM_SHARE * line.sharePct,
      when: on,
      effect: 'adds',
      purpose: 'launch',
    });
  }
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
  // Asked of what is there: what others look at of this choice must not be missing meanwhile.
  const senses = upSenses(draft.before);
  if (sticks.length === 0 || senses.length === 0) {
    reasons.push('Launch help needs an elevator stick with a channel.');
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
      follows: { kind: 'control', id: stick.id },
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
  takeTrimOut(draft, on);
  for (const { channel, carries, sense } of senses)
    addLine(draft, {
      id: `launch-${carries}`,
      label: 'Launch help: up elevator',
      channel,
      follows: { kind: 'variable', id: 'launch-elevator' },
      sharePct: 100 * sense,
      when: on,
      effect: 'adds',
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
      follows: { kind: 'fixed' },
      sharePct: level,
      when: on,
      effect: 'takes-over',
      purpose: 'launch',
    });
}
