import { AXES, type Setup } from '../../setup';
import { RESTS_ON, type Frame, type Memory } from '../frame';
import { pulseUs } from '../outputs';
import { compileReading, readFunction } from './decode';
import { CENTRE_US, HALF_TRAVEL_US, gainOf } from './laws';

/**
 * The pulse the unit takes for its gain: what arrives, or with the lead out (or nothing sent) the last it
 * saw, where it keeps that; NaN where it has none. Mode and gain are both read from this one.
 */
export function compileGainPulse(setup: Setup): (memory: Memory, frame: Frame) => number {
  const gain = setup.unit.settings.inputs.find((i) => i.carries === 'gain');
  const connected =
    setup.installation.gainLead && gain !== undefined && gain.channel <= setup.transmitter.channels;
  const at = connected ? gain.channel - 1 : -1;
  const keeps = setup.unit.traits.gainLeadMissing === 'keeps-last';
  const pulled = setup.installation.gainLeadLastPct;
  const pulledUs =
    at < 0 && pulled !== undefined ? pulseUs(setup.transmitter.pulse, pulled) : undefined;
  return (memory, frame) => {
    const us = at < 0 ? NaN : frame.receivedUs[at]!;
    if (!Number.isNaN(us)) {
      memory.lastGainUs = us;
      return us;
    }
    frame.restsOn |= RESTS_ON.gainLead;
    return keeps ? (pulledUs ?? memory.lastGainUs) : us;
  };
}

/**
 * Gain of each axis in percent: master × axis share × sensitivity class. The share can be another one in
 * some modes; where each output keeps gains of its own the axes take no part.
 */
export function compileGain(setup: Setup): (memory: Memory, frame: Frame) => void {
  const { traits, settings } = setup.unit;
  const law = traits.gainLaw;
  const missing = traits.gainLeadMissing;
  const readings = AXES.map((axis) => compileReading(setup, `gain-${axis}`));
  const byOutput = traits.gainKept === 'output-and-set';
  const pulse = compileGainPulse(setup);
  const shareOf = (pct: number) => (byOutput ? 1 : pct / 100) * settings.sensitivity;
  const shares = AXES.map((axis) => ({
    first: shareOf(settings.axes[axis].gainPct),
    second: shareOf(settings.axes[axis].secondGainPct),
    byMode:
      traits.gainKept === 'axis-and-mode'
        ? Object.fromEntries(
            Object.entries(settings.axes[axis].gainByMode ?? {}).map(([m, pct]) => [
              m,
              shareOf(pct),
            ]),
          )
        : {},
    present: traits.axes.includes(axis),
  }));
  const modal = shares.some(({ byMode }) => Object.keys(byMode).length > 0);
  const tuned = readings.some((r) => r !== undefined);
  return (memory, frame) => {
    let value = 1;
    if (law !== 'fixed') {
      const seen = pulse(memory, frame);
      value = Number.isNaN(seen)
        ? missing === 'full'
          ? 1
          : NaN
        : (seen - CENTRE_US) / HALF_TRAVEL_US;
    }
    const master = Number.isNaN(value) ? 0 : gainOf(law, value);
    const secondSet = law === 'sign-selects-set' && value < 0;
    frame.belowMiddle = secondSet;
    const { gainPct } = frame;
    for (let i = 0; i < 3; i++) {
      const share = shares[i]!;
      if (!share.present) {
        gainPct[i] = 0;
        continue;
      }
      let scale = master;
      const reading = tuned ? readings[i] : undefined;
      if (reading !== undefined) {
        const own = readFunction(reading, frame.receivedUs);
        if (own === own) scale = gainOf(law, own);
      }
      const usual = secondSet ? share.second : share.first;
      gainPct[i] = 100 * scale * (modal ? (share.byMode[frame.mode] ?? usual) : usual);
    }
  };
}
