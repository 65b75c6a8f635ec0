import type { GainWish, ProgramWishes, Setup } from '../../setup';
import { positionsOfSwitches } from '../wishes/modes';
import { GAIN_CHOICES } from '../wishes/words';
import { TURNABLE } from './kinds';

/** Gains to begin with, position by position. Common practice, no source. */
const BY_POSITION = { two: [0, 40], three: [0, 35, 55], flaps: [40, 50, 60], fixed: 40, sets: 50 };

const firstOf = (
  { transmitter }: Setup,
  kinds: readonly string[],
  not: readonly (string | undefined)[] = [],
): string =>
  transmitter.controls.find((c) => kinds.includes(c.kind) && !not.includes(c.id))?.id ?? '';

/** The ways this unit's traits allow to set the gain. */
export function gainWays({ unit }: Pick<Setup, 'unit'>): GainWish['by'][] {
  const { gainLaw, axisGains } = unit.traits;
  if (gainLaw === 'fixed') return [];
  return (Object.keys(GAIN_CHOICES) as GainWish['by'][]).filter(
    (by) => (by !== 'sets' || gainLaw === 'sign-selects-set') && (by !== 'axes' || axisGains),
  );
}

/** Values on a switch to begin with, one for each of its positions. */
export function gainsOn(setup: Setup, control: string): number[] {
  const { two, three } = BY_POSITION;
  return positionsOfSwitches(setup, [control]) === 3 ? [...three] : [...two];
}

/** Existing gains, fitted to the positions of another switch. */
export const gainsFor = (setup: Setup, control: string, pct: readonly number[]): number[] =>
  Array.from(
    { length: positionsOfSwitches(setup, [control]) },
    (_, i) => pct[i] ?? pct.at(-1) ?? BY_POSITION.fixed,
  );

/** A first answer for each way, from the controls that nothing else uses. */
export function usualGain(setup: Setup, by: GainWish['by'], wishes: ProgramWishes): GainWish {
  const used = [
    ...(wishes.modes?.switches ?? []),
    wishes.cut?.control,
    wishes.panic?.control,
    wishes.launch?.control,
  ];
  const free = firstOf(setup, ['switch-3'], used) || firstOf(setup, ['switch-2'], used);
  const turned = firstOf(setup, TURNABLE);
  switch (by) {
    case 'knob':
      return { by, control: turned };
    case 'values':
      return { by, control: free, pct: free ? gainsOn(setup, free) : [...BY_POSITION.three] };
    case 'flap': {
      const off = firstOf(setup, ['switch-2'], [...used, free]);
      const count = free ? positionsOfSwitches(setup, [free]) : 3;
      return {
        by,
        control: free,
        pct: BY_POSITION.flaps.slice(0, count),
        off,
        offPositions: [1],
      };
    }
    case 'axes':
      return { by, roll: turned };
    case 'sets':
      return { by, control: free, knob: turned, pct: BY_POSITION.sets };
    case 'fixed':
      return { by, pct: BY_POSITION.fixed };
  }
}
