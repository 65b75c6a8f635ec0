import type { Mode, Setup } from '../../setup';
import type { Frame, Memory } from '../frame';
import { compileReading, shareOf } from './decode';
import { compileGainPulse } from './gain';
import { CENTRE_US } from './laws';

/** Slot for pulses that fall between the bands: the unit is taken to be a plain receiver there. */
export const NO_SLOT = -1;

/**
 * Which slot the transmitter has selected, and the mode it stands for.
 * @param slots the modes of the slots; read again in each moment
 */
export function compileModeSelect(
  setup: Setup,
  slots: readonly Mode[],
): (frame: Frame, memory: Memory) => void {
  const { traits, settings } = setup.unit;
  const select = traits.modeSelect;
  const channelOf = (carries: 'mode' | 'mode2' | 'gain') => {
    const input = settings.inputs.find((i) => i.carries === carries);
    return input && input.channel <= setup.transmitter.channels ? input.channel - 1 : -1;
  };
  const set = (frame: Frame, slot: number) => {
    frame.slot = slot;
    frame.mode = slots[slot] ?? 'off';
  };
  switch (select.by) {
    case 'fixed':
      return (frame) => set(frame, 0);
    case 'gain-sign': {
      const reading = compileReading(setup, 'gain');
      const dead = select.deadPct / 100;
      const pulse = compileGainPulse(setup);
      return (frame, memory) => {
        const us = pulse(memory, frame);
        // What never came at all stands for the middle.
        const value = reading && !Number.isNaN(us) ? shareOf(reading, us) : 0;
        set(frame, value < -dead ? 0 : value > dead ? 2 : 1);
      };
    }
    default: {
      const first = channelOf('mode');
      const second = channelOf('mode2');
      const { bands } = select;
      const two = select.by === 'two-channels';
      return (frame) => {
        const us = first < 0 ? NaN : frame.receivedUs[first]!;
        const us2 = second < 0 ? NaN : frame.receivedUs[second]!;
        // A channel that never arrives reads as centre.
        const a = Number.isNaN(us) ? CENTRE_US : us;
        const b = Number.isNaN(us2) ? CENTRE_US : us2;
        for (let i = 0; i < bands.length; i++) {
          const band = bands[i]!;
          if (a < band.fromUs || a >= band.toUs) continue;
          if (two && (b < (band.secondFromUs ?? 0) || b >= (band.secondToUs ?? 9999))) continue;
          return set(frame, band.slot);
        }
        set(frame, NO_SLOT);
      };
    }
  }
}
