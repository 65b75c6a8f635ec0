import { modeWords } from '../chain';
import type { Mode, Setup, Unit } from '../setup';
import { choiceRow, inSettings } from './lens';
import type { Setting } from './setting';

/** The modes of a unit, for choosing one. */
export const modeOptions = (unit: Unit) =>
  unit.traits.modes.map((m): readonly [Mode, string] => [m, modeWords(unit, m)]);

export const modes: Setting = {
  id: 'modes',
  rows: ({ unit, unit: { traits, settings } }) =>
    traits.slotsSettable && traits.modeSelect.by !== 'fixed'
      ? settings.slots.map((mode, slot) =>
          choiceRow(
            {
              id: `modes ${slot}`,
              about: `Position ${slot + 1}`,
              name: 'mode',
              ...inSettings('slots', slot),
            },
            mode,
            modeOptions(unit),
          ),
        )
      : [],
};

/** Whether any axis has hold at all: what some settings are about. */
export const canHold = ({ unit }: Setup): boolean =>
  unit.traits.modes.includes('hold') || unit.traits.modes.includes('hover');
