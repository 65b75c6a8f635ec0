import { addLine, channelOf, type Draft } from './draft';
import { snapZeroGain } from './gain';
import { gainPulse, rawFor } from './values';

/** The gain at off after every other line of its channel, while chassis or hull are checked without the gyro. */
export function writeLock(draft: Draft): void {
  const { setup, reasons } = draft;
  const law = setup.unit.traits.gainLaw;
  const channel = channelOf(setup, 'gain');
  if (law === 'fixed' || channel === undefined) {
    reasons.push('No channel carries the gain: turn it down on the unit itself.');
    return;
  }
  const value = snapZeroGain(setup, channel, rawFor(setup, channel, gainPulse(law, 0)), 0);
  addLine(draft, {
    id: 'gain-locked',
    label: 'Gain locked at off: chassis first',
    channel,
    follows: { kind: 'fixed' },
    sharePct: Math.max(-200, Math.min(200, value)),
    effect: 'takes-over',
    purpose: 'gain',
  });
}
