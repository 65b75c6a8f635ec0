import type { Facet } from '../possible';
import type { ChannelFunction, Setup } from '../setup';
import type { Experiment } from './experiment';
import { firstOf, type Played } from './play';
import type { Possible } from './show';

/** An experiment among those that differ only in the positions of the mode channel. */
export interface InPosition {
  /** The first of them. */
  first: number;
  /** The facts that name the modes of its positions, in the order it comes into them. */
  slots: readonly number[];
  /** Its positions are the same for every unit with the bands that are described. */
  firm: boolean;
}

const isModal = (carries: ChannelFunction): boolean => carries === 'mode' || carries === 'mode2';

/**
 * Experiments sorted by what they send beside the mode: those that send the same are played once.
 * @param unit any unit with the bands that are described
 */
export function inPositions(
  { unit: { settings, traits }, transmitter }: Setup,
  experiments: readonly Experiment[],
  facets: readonly Facet[],
  playedOf: (experiment: Experiment) => Played,
  unit: Possible,
): InPosition[] {
  const facetOf = new Map(facets.map((f, i) => [f.id, i]));
  const modal = (channel: number) => {
    const carries = settings.inputs.filter((i) => i.channel === channel).map((i) => i.carries);
    return carries.length > 0 && carries.every(isModal);
  };
  const told = Array.from({ length: transmitter.channels }, (_, i) => i).filter(
    (i) => !modal(i + 1),
  );
  // With the mode on the gain channel, the position depends on more than the bands.
  const firm =
    traits.modeSelect.by !== 'gain-sign' &&
    settings.inputs.every((i) => !isModal(i.carries) || modal(i.channel));
  const firsts = new Map<string, number>();
  return experiments.map((e, number) => {
    const { slots } = unit.look(e);
    const came = [...new Set(slots)];
    const named = came.flatMap((slot) => facetOf.get(`slot-${slot + 1}`) ?? []);
    // Between its bands it has no mode of its own.
    if (!firm || named.length < came.length) return { first: number, slots: named, firm: false };
    const { moments, looks } = playedOf(e);
    const pulses = moments
      .slice(firstOf(looks))
      .map(({ sentUs }, i) => `${came.indexOf(slots[i]!)} ${told.map((c) => sentUs[c]).join()}`);
    const key = JSON.stringify([
      e.steps,
      e.fresh,
      e.leadOut,
      pulses.filter((row, i) => i === 0 || row !== pulses[i - 1]),
    ]);
    const first = firsts.get(key) ?? number;
    firsts.set(key, first);
    return { first, slots: named, firm };
  });
}
