import { isOrder, type ChannelFunction, type Setup, type Unit } from '../../setup';
import { compileReading } from './decode';
import { CENTRE_US } from './laws';

/**
 * Pulses at which what a channel tells the unit changes: edges of mode bands, the threshold of a
 * recovery, the middle of a gain and the edges of its dead zone. None for functions that give no
 * orders. In microseconds, rising.
 */
export function orderEdgesUs(setup: Setup, carries: ChannelFunction): number[] {
  const { traits, settings } = setup.unit;
  const select = traits.modeSelect;
  if (!isOrder(carries)) return [];
  if (carries === 'mode' || carries === 'mode2') {
    const bands = 'bands' in select ? select.bands : [];
    return rising(
      bands.flatMap((b) =>
        carries === 'mode' ? [b.fromUs, b.toUs] : [b.secondFromUs, b.secondToUs],
      ),
    );
  }
  if (carries === 'recovery') return rising([settings.recovery?.thresholdUs ?? CENTRE_US]);
  const reading = compileReading(setup, carries);
  const centreUs = reading?.centreUs ?? CENTRE_US;
  const dead =
    carries === 'gain' && select.by === 'gain-sign' && reading
      ? [
          centreUs - select.deadPct / 100 / reading.downPerUs,
          centreUs + select.deadPct / 100 / reading.upPerUs,
        ]
      : [];
  return rising([CENTRE_US, centreUs, ...dead]);
}

/** How far off the edges of a unit's mode bands may be, in microseconds: 0 where they are exact. */
export const edgesWithinUs = ({ traits: { modeSelect } }: Pick<Unit, 'traits'>): number =>
  modeSelect.by === 'bands' ? (modeSelect.withinUs ?? 0) : 0;

const rising = (us: readonly (number | undefined)[]): number[] =>
  [...new Set(us.filter((x) => x !== undefined))].toSorted((a, b) => a - b);
