'use client';

import { LAUNCH_WHEN, PRESSABLE, launchControl, launchOn } from '@/core/plan';
import { kindOf, type ProgramWishes } from '@/core/setup';
import { NumberWord } from '../../fields/NumberWord';
import { ControlWord } from '../ControlWord';
import type { Sentence, Sentenced } from '../wishing';

function Says({ setup, wishes, wish }: Sentenced) {
  const { launch: l } = wishes;
  if (!l) return null;
  const put = (next: NonNullable<ProgramWishes['launch']>, label: string) =>
    wish({ ...wishes, launch: next }, label);
  const number = (
    key: 'holdS' | 'elevatorPct' | 'releasePct',
    label: string,
    unit: string,
    step = 1,
  ) => (
    <NumberWord
      label={label}
      unit={unit}
      at={`/intents/program/launch/${key}`}
      step={step}
      value={l[key]}
      onCommit={(v) => {
        put({ ...l, [key]: v }, `${label} ${v} ${unit}`);
      }}
    />
  );
  return (
    <>
      Hold{' '}
      <ControlWord
        label="Launch help by holding"
        setup={setup}
        kinds={PRESSABLE}
        value={l.control}
        onPick={(id) => id && put(launchOn(wishes, id), 'Launch help')}
      />{' '}
      for {number('holdS', 'held before a launch', 's', 0.1)} to launch by hand: it levels itself
      with {number('elevatorPct', 'up elevator of a launch', '%')} up elevator, shifted by{' '}
      <ControlWord
        label="Trim that shifts the launch elevator"
        setup={setup}
        kinds={['trim']}
        value={l.adjust}
        none="no trim"
        onPick={(adjust) => {
          const { adjust: _, ...rest } = l;
          put(adjust ? { ...rest, adjust } : rest, 'Trim of the launch elevator');
        }}
      />
      , until a stick moves more than {number('releasePct', 'stick that ends a launch', '%')}.
    </>
  );
}

export const launch: Sentence = {
  applies: (setup) => !kindOf(setup.airframe).onSurface,
  wished: (w) => w.launch !== undefined,
  offer: {
    words: 'launch help',
    first: (setup, wishes) => {
      const control = launchControl(setup, wishes);
      return control ? { ...wishes, launch: launchOn(wishes, control) } : wishes;
    },
  },
  drop: ({ launch: _, ...rest }) => rest,
  controls: (w) => [w.launch?.control, w.launch?.adjust],
  Says,
  when: () => LAUNCH_WHEN,
};
