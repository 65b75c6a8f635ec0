'use client';

import { combinations, positionsOfSwitches } from '@/core/plan';
import type { Mode } from '@/core/setup';
import { MODE_WORDS } from '../unit/words';
import { ControlSelect, SWITCHES } from './ControlSelect';
import type { Wishing } from './useWishes';
import { Select } from '../parts/Select';

/** Which mode each position of the mode switch stands for. */
export function ModeWishes({ setup, wishes, wish }: Wishing) {
  const { traits } = setup.unit;
  if (!('bands' in traits.modeSelect))
    return (
      <p className="text-soft">
        {traits.modeSelect.by === 'fixed'
          ? 'This unit has one mode and nothing to choose.'
          : 'On this unit the side of the gain channel chooses what it does: see Gain.'}
      </p>
    );
  const modes = wishes.modes ?? { switches: [], table: [] };
  const put = (switches: string[]) => {
    const count = positionsOfSwitches(setup, switches);
    const table = Array.from(
      { length: count },
      (_, i): Mode => modes.table[i] ?? modes.table.at(-1) ?? traits.modes[0]!,
    );
    wish({ ...wishes, modes: { switches, table } }, 'Mode switch chosen');
  };
  const [first, second] = modes.switches;
  return (
    <div className="flex flex-col gap-3">
      <div className="grid gap-2 @lg:grid-cols-2">
        <ControlSelect
          label="Mode switch"
          setup={setup}
          kinds={SWITCHES}
          value={first}
          onChange={(id) => put([id, ...(second && second !== id ? [second] : [])])}
        />
        {first && (
          <ControlSelect
            label="together with"
            setup={setup}
            kinds={SWITCHES}
            value={second}
            none="no other switch"
            onChange={(id) => put(id ? [first, id] : [first])}
          />
        )}
      </div>
      <ul className="grid gap-2 @lg:grid-cols-3">
        {(first ? combinations(setup, modes.switches) : []).map(({ words }, i) => (
          <li key={words}>
            <label className="text-sm font-semibold">
              {words}
              <Select
                value={modes.table[i]}
                onChange={(e) =>
                  wish(
                    {
                      ...wishes,
                      modes: {
                        ...modes,
                        table: modes.table.map((m, j) => (j === i ? (e.target.value as Mode) : m)),
                      },
                    },
                    `${words}: ${MODE_WORDS[e.target.value as Mode]}`,
                  )
                }
              >
                {traits.modes.map((m) => (
                  <option key={m} value={m}>
                    {MODE_WORDS[m]}
                  </option>
                ))}
              </Select>
            </label>
          </li>
        ))}
      </ul>
      <p className="text-soft text-sm">
        Off or damping where the switch rests: a unit that levels or flies home as it is switched on
        refuses its menus or the throttle. Most want off at one end, where a hand finds it blind.
      </p>
    </div>
  );
}
