import type { Condition, PanicWay, ProgramWishes, Setup } from '../../setup';
import { usualRecovery } from '../usual';
import { addLine, addLogic, allOf, channelOf, held, labelOf, type Draft } from './draft';
import { cellsNow } from './modes';
import { bandOf, gainPulse, rawFor, valueInBand } from './values';
import { CANNOT } from './words';

type PanicWish = NonNullable<ProgramWishes['panic']>;

/** Which ways of panic recovery this unit and transmitter allow; a reason where they do not. */
export function panicWays(setup: Setup): Record<PanicWay, string | undefined> {
  const { traits } = setup.unit;
  const { style } = setup.transmitter;
  const own = traits.panic === 'channel' || traits.panic === 'mode-limits-delay';
  const byMode = !('bands' in traits.modeSelect)
    ? 'the mode of this unit is not chosen by a channel of its own'
    : !traits.modes.includes('level')
      ? CANNOT.level
      : undefined;
  return {
    none: undefined,
    replace:
      byMode ??
      (style === 'function'
        ? 'on this transmitter no line can replace others; use a mix for each position'
        : undefined),
    offsets:
      byMode ??
      (style === 'switch-value'
        ? 'this transmitter has no mixes; let the panic control replace the value'
        : undefined),
    channel: own ? undefined : 'the unit has no recovery channel',
    'mode-position': byMode,
  };
}

/** When the panic control acts: at once, or after it was held. */
function panicCondition(draft: Draft, control: string, holdS: number): Condition {
  const pressed = held(draft.setup, control);
  if (holdS <= 0) return pressed;
  return addLogic(draft, {
    id: 'panic-held',
    label: `${labelOf(draft.setup, control)} held ${holdS} s`,
    op: 'delay',
    of: pressed,
    onS: holdS,
    offS: 0,
  });
}

/** Panic recovery in one of its ways; the mode cells say what stands on the mode channel before. */
export function writePanic(draft: Draft, wish: PanicWish): void {
  const { setup, reasons } = draft;
  const cells = cellsNow(setup);
  if (wish.way === 'none') return;
  const refusal = panicWays(setup)[wish.way];
  if (refusal) {
    reasons.push(`Panic recovery this way is not possible: ${refusal}.`);
    return;
  }
  if (wish.way === 'mode-position') {
    const ends = [cells[0]?.mode, cells.at(-1)?.mode];
    if (!ends.includes('level'))
      reasons.push(
        'Panic by a mode position needs self-levelling at one end of the switch, where you find it without looking.',
      );
    return;
  }
  const control = wish.control!;
  const when = panicCondition(draft, control, wish.holdS);
  const name = `Panic, ${labelOf(setup, control)}`;
  if (wish.way === 'channel') writeRecovery(draft, control, wish.holdS, when);
  else {
    const slot = setup.unit.settings.slots.indexOf('level');
    const band = bandOf(setup.unit.traits.modeSelect, slot);
    if (!band) {
      reasons.push(
        'No position of the unit’s mode channel selects self-levelling: give it a position first.',
      );
      return;
    }
    if (channelOf(setup, 'mode') === undefined) {
      reasons.push('No channel carries the mode: panic has nothing to change.');
      return;
    }
    for (const [carries, fromUs, toUs, key] of [
      ['mode', band.fromUs, band.toUs, 'value'],
      ['mode2', band.secondFromUs, band.secondToUs, 'second'],
    ] as const) {
      const channel = channelOf(setup, carries);
      if (channel === undefined || fromUs === undefined || toUs === undefined) continue;
      const target = valueInBand(setup, channel, fromUs, toUs);
      if (target === undefined) {
        reasons.push(`Channel ${channel} cannot reach self-levelling.`);
        continue;
      }
      if (wish.way === 'replace')
        addLine(draft, {
          id: `panic-${carries}`,
          label: name,
          channel,
          follows: { kind: 'fixed' },
          sharePct: target,
          when,
          effect: 'takes-over',
          purpose: 'panic',
        });
      else
        cells.forEach((cell, i) => {
          const short = target - (cell[key] ?? 0);
          if (short !== 0)
            addLine(draft, {
              id: `panic-${carries}-${i + 1}`,
              label: `${name}, ${cell.words}`.slice(0, 80),
              channel,
              follows: { kind: 'fixed' },
              sharePct: short,
              when: allOf([when, cell.when]),
              effect: 'adds',
              purpose: 'panic',
            });
        });
    }
  }
  if (wish.gainPct !== undefined) writePanicGain(draft, wish.gainPct, when, name);
}

/** A recovery channel: released at one end, acting at the other. */
function writeRecovery(draft: Draft, control: string, holdS: number, when: Condition): void {
  const { setup, reasons } = draft;
  const channel = channelOf(setup, 'recovery');
  if (channel === undefined) {
    reasons.push('No channel is free for recovery.');
    return;
  }
  setup.unit.settings.recovery ??= usualRecovery(setup.unit);
  if (holdS <= 0) {
    addLine(draft, {
      id: 'panic-recovery',
      label: `Panic, ${labelOf(setup, control)}`,
      channel,
      follows: { kind: 'control', id: control },
      effect: 'adds',
      purpose: 'panic',
    });
    return;
  }
  const line = (id: string, sharePct: number, more: { when?: Condition }) =>
    addLine(draft, {
      id,
      label: sharePct < 0 ? 'Panic released' : `Panic, ${labelOf(setup, control)}`,
      channel,
      follows: { kind: 'fixed' },
      sharePct,
      effect: 'takes-over',
      purpose: 'panic',
      ...more,
    });
  line('panic-recovery-off', -100, {});
  line('panic-recovery', 100, { when });
}

/** Gain while panic acts, so that a knob turned down cannot leave it without effect. */
function writePanicGain(draft: Draft, pct: number, when: Condition, name: string): void {
  const { setup } = draft;
  const channel = channelOf(setup, 'gain');
  const law = setup.unit.traits.gainLaw;
  if (channel === undefined || law === 'fixed' || law === 'sign-selects-set') return;
  addLine(draft, {
    id: 'panic-gain',
    label: `${name}: gain ${pct} %`.slice(0, 80),
    channel,
    follows: { kind: 'fixed' },
    sharePct: Math.max(-100, Math.min(100, rawFor(setup, channel, gainPulse(law, pct)))),
    when,
    effect: 'takes-over',
    purpose: 'panic',
  });
}
