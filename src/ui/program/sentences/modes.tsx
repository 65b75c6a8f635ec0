'use client';

import { CANNOT, SWITCHES, combinations, modesOn } from '@/core/plan';
import type { Setup } from '@/core/setup';
import { PickWord } from '../../parts/PickWord';
import { modeWords } from '../../words/unit';
import { ControlWord } from '../ControlWord';
import type { Sentence, Sentenced } from '../wishing';

const chosenByBands = ({ unit }: Setup) => 'bands' in unit.traits.modeSelect;

function Says({ setup, wishes, wish }: Sentenced) {
  const { traits } = setup.unit;
  if (!chosenByBands(setup))
    return traits.modeSelect.by === 'fixed'
      ? CANNOT.modes
      : 'On this unit the side of the gain channel chooses what it does.';
  const modes = wishes.modes ?? { switches: [], table: [] };
  const [first, second] = modes.switches;
  const put = (switches: string[]) =>
    wish({ ...wishes, modes: modesOn(setup, modes.table, switches) }, 'Mode switch chosen');
  const places = first ? combinations(setup, modes.switches) : [];
  const named = setup.transmitter.controls.find((c) => c.id === first)?.label ?? '';
  return (
    <>
      <ControlWord
        label="Mode switch"
        setup={setup}
        kinds={SWITCHES}
        value={first}
        onPick={(id) => id && put([id, ...(second && second !== id ? [second] : [])])}
      />{' '}
      {first && (
        <>
          <ControlWord
            label="Second mode switch"
            setup={setup}
            kinds={SWITCHES}
            value={second}
            none="alone"
            onPick={(id) => put(id && id !== first ? [first, id] : [first])}
          />{' '}
        </>
      )}
      chooses the mode:{' '}
      {places.map(({ words }, i) => (
        <span key={words}>
          <PickWord
            label={words}
            value={modes.table[i]}
            options={traits.modes.map((m) => ({ value: m, words: modeWords(setup.unit, m) }))}
            onPick={(mode) =>
              wish(
                {
                  ...wishes,
                  modes: { ...modes, table: modes.table.map((m, j) => (j === i ? mode : m)) },
                },
                `${words}: ${modeWords(setup.unit, mode)}`,
              )
            }
          />{' '}
          {modes.switches.length === 1 ? words.slice(named.length + 1) : words}
          {i === places.length - 1 ? '.' : ', '}
        </span>
      ))}
    </>
  );
}

export const modes: Sentence = {
  applies: () => true,
  wished: () => true,
  controls: (w) => w.modes?.switches ?? [],
  Says,
  when: () =>
    'Off or damping where the switch rests: a unit that levels or flies home when you switch it on refuses its menus or the throttle. Most want off at one end, where you find it without looking.',
};
