import { AXES, type Setup } from '../../setup';
import type { Frame, Memory } from '../frame';
import { compileReading, readFunction } from './decode';
import { CENTRE_US, HALF_TRAVEL_US, gainOf } from './laws';

/** Gain of each axis in percent: master × axis share × sensitivity class. */
export function compileGain(setup: Setup): (memory: Memory, frame: Frame) => void {
  const { traits, settings } = setup.unit;
  const law = traits.gainLaw;
  const gain = settings.inputs.find((i) => i.carries === 'gain');
  const connected =
    setup.installation.gainLead && gain !== undefined && gain.channel <= setup.transmitter.channels;
  const at = connected ? gain.channel - 1 : -1;
  const missing = traits.gainLeadMissing;
  const readings = AXES.map((axis) => compileReading(setup, `gain-${axis}`));
  const shares = AXES.map((axis) => ({
    first: (settings.axes[axis].gainPct / 100) * settings.sensitivity,
    second: (settings.axes[axis].secondGainPct / 100) * settings.sensitivity,
    present: traits.axes.includes(axis),
  }));
  const tuned = readings.some((r) => r !== undefined);
  return (memory, frame) => {
    let value = 1;
    if (law !== 'fixed') {
      const us = at < 0 ? NaN : frame.receivedUs[at]!;
      if (!Number.isNaN(us)) memory.lastGainUs = us;
      const seen = Number.isNaN(us) && missing === 'keeps-last' ? memory.lastGainUs : us;
      value = Number.isNaN(seen)
        ? missing === 'full'
          ? 1
          : NaN
        : (seen - CENTRE_US) / HALF_TRAVEL_US;
    }
    const master = Number.isNaN(value) ? 0 : gainOf(law, value);
    const secondSet = law === 'sign-selects-set' && value < 0;
    for (let i = 0; i < 3; i++) {
      const share = shares[i]!;
      const reading = tuned ? readings[i] : undefined;
      const own = reading === undefined ? NaN : readFunction(reading, frame.receivedUs);
      const scale = Number.isNaN(own) ? master : gainOf(law, own);
      frame.gainPct[i] = share.present ? 100 * scale * (secondSet ? share.second : share.first) : 0;
    }
  };
}
