import { modeWords } from '../../chain';
import { FLYING_MODES, kindOf, MODES, type Mode, type Setup } from '../../setup';
import type { PossibleTrait } from '../facet';

/** Common practice, no source. */
const USUAL: Readonly<Record<Mode, number>> = {
  off: 20,
  rate: 30,
  hold: 12,
  level: 25,
  trainer: 6,
  home: 4,
  hover: 3,
};

/** Which mode each part of the mode channel stands for. */
export const slots: PossibleTrait = {
  facets: ({ unit, airframe }) =>
    unit.traits.modeSelect.by === 'fixed'
      ? []
      : unit.settings.slots.map((now, slot) => ({
          id: `slot-${slot + 1}`,
          title: `mode of position ${slot + 1}`,
          of: ['settings', 'slots'] as const,
          now,
          values: MODES.filter((m) => !kindOf(airframe).onSurface || !FLYING_MODES.has(m)).map(
            (mode) => ({
              key: mode,
              words: `position ${slot + 1} is ${modeWords(unit, mode)}`,
              usual: USUAL[mode],
              change(next: Setup) {
                next.unit.settings.slots[slot] = mode;
                if (!next.unit.traits.modes.includes(mode)) next.unit.traits.modes.push(mode);
              },
            }),
          ),
        })),
};
