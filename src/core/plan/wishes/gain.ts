import type { Condition, GainWish, Line, Setup } from '../../setup';
import { addLine, anyOf, channelOf, labelOf, type Draft } from './draft';
import { combinations } from './modes';
import { gainAt, gainPulse, knobToGain, pulseFor, rawFor } from './values';
import { CANNOT } from './words';

/** Less than this of the gain chosen is worth a word. */
const SHORT_PCT = 3;

/** The lines of the gain channel, worked out for the unit's own reading of it. */
export function writeGain(draft: Draft, wish: GainWish): void {
  const { setup, reasons } = draft;
  const law = setup.unit.traits.gainLaw;
  if (law === 'fixed') {
    reasons.push(CANNOT.gain);
    return;
  }
  if (law !== 'sign-selects-set' && wish.by === 'values' && wish.pct.some((p) => p < 0)) {
    reasons.push('A gain below 0 selects the second set; this unit has only one.');
    return;
  }
  if (law !== 'sign-selects-set' && wish.by === 'knob' && wish.middleOff) {
    reasons.push('Off in the middle of a knob needs a unit whose gain channel has two sides.');
    return;
  }
  if (wish.by === 'axes') return writeAxes(draft, wish);
  const channel = channelOf(setup, 'gain');
  if (channel === undefined) {
    reasons.push('No channel carries the gain.');
    return;
  }
  const line = (more: Pick<Line, 'id' | 'follows' | 'effect'> & Partial<Line>) =>
    addLine(draft, { channel, purpose: 'gain', ...more });
  /** A fixed share of full gain, under a condition. */
  const share = (id: string, pct: number, words: string, when?: Condition, side: 1 | -1 = 1) => {
    const value = snapZeroGain(
      setup,
      channel,
      rawFor(setup, channel, gainPulse(law, pct, side)),
      pct,
    );
    const got = gainAt(law, pulseFor(setup, channel, value));
    if (Math.abs(got - pct) > SHORT_PCT)
      draft.notes.push(
        `${words}: ${pct} % was chosen, channel ${channel} reaches ${got.toFixed(0)} %. Its endpoints or its scale are too short.`,
      );
    line({
      id,
      label: `${words}: gain ${pct} %`.slice(0, 80),
      follows: { kind: 'fixed' },
      sharePct: Math.max(-200, Math.min(200, value)),
      effect: 'takes-over',
      ...(when ? { when } : {}),
    });
  };

  switch (wish.by) {
    case 'knob':
      line({
        id: 'gain-knob',
        label: `Gain by ${labelOf(setup, wish.control)}`,
        follows: { kind: 'control', id: wish.control },
        effect: 'adds',
        ...(wish.middleOff ? { sharePct: 100, shiftPct: 0 } : knobToGain(law)),
      });
      return;
    case 'fixed':
      share('gain-fixed', wish.pct, 'Always');
      return;
    case 'values':
      combinations(setup, [wish.control]).forEach(({ when, words }, i) =>
        share(`gain-${i + 1}`, Math.abs(wish.pct[i]!), words, when, wish.pct[i]! < 0 ? -1 : 1),
      );
      return;
    case 'flap':
      combinations(setup, [wish.control]).forEach(({ when, words }, i) =>
        share(`gain-${i + 1}`, wish.pct[i]!, words, when),
      );
      // Last of all lines, so that off wins whatever the flaps say.
      share(
        'gain-off',
        0,
        `${labelOf(setup, wish.off)} off`,
        anyOf(
          wish.offPositions.map((position) => ({ kind: 'switch', control: wish.off, position })),
        ),
      );
      return;
    case 'sets': {
      const places = combinations(setup, [wish.control]);
      // Far is one set, near the other, the middle neither; of two positions the far one is off.
      const sides = places.length === 3 ? ([-1, 0, 1] as const) : ([0, 1] as const);
      places.forEach(({ when, words }, i) => {
        const side = sides[i]!;
        if (side !== 0 && wish.knob) {
          const raw = (pct: number) => rawFor(setup, channel, gainPulse(law, pct, side));
          line({
            id: `gain-${i + 1}`,
            label: `${words}: gain by ${labelOf(setup, wish.knob)}`.slice(0, 80),
            follows: { kind: 'control', id: wish.knob },
            sharePct: (raw(100) - raw(0)) / 2,
            shiftPct: (raw(100) + raw(0)) / 2,
            when,
            effect: 'takes-over',
          });
        } else share(`gain-${i + 1}`, side === 0 ? 0 : wish.pct, words, when, side === -1 ? -1 : 1);
      });
      return;
    }
  }
}

/** No gain at all must not be a little by rounding: a step further where it would be. */
export function snapZeroGain(setup: Setup, channel: number, value: number, pct: number): number {
  const law = setup.unit.traits.gainLaw;
  const step = setup.transmitter.stepPct ?? 1;
  if (pct !== 0) return value;
  const candidates = [value, value - step, value + step];
  return (
    candidates.find((v) => Math.abs(v) <= 200 && gainAt(law, pulseFor(setup, channel, v)) === 0) ??
    value
  );
}

/** A knob for each axis; an axis without one goes by the master gain. */
function writeAxes(draft: Draft, wish: Extract<GainWish, { by: 'axes' }>): void {
  const { setup, reasons } = draft;
  const law = setup.unit.traits.gainLaw;
  for (const axis of ['roll', 'pitch', 'yaw'] as const) {
    const control = wish[axis];
    if (!control) continue;
    const channel = channelOf(setup, `gain-${axis}`);
    if (channel === undefined) {
      reasons.push(`No channel is free for the gain of ${axis}.`);
      continue;
    }
    addLine(draft, {
      id: `gain-${axis}`,
      label: `Gain of ${axis} by ${labelOf(setup, control)}`,
      channel,
      follows: { kind: 'control', id: control },
      effect: 'adds',
      purpose: 'gain',
      ...knobToGain(law),
    });
  }
  const master = channelOf(setup, 'gain');
  if (master !== undefined)
    addLine(draft, {
      id: 'gain-master',
      label: 'Master gain: full, the axes have knobs of their own',
      channel: master,
      follows: { kind: 'fixed' },
      sharePct: Math.max(-100, Math.min(100, rawFor(setup, master, gainPulse(law, 100)))),
      effect: 'takes-over',
      purpose: 'gain',
    });
}
