'use client';

import { PANIC_CHOICES, PANIC_GAIN_PCT, PRESSABLE, panicBy, panicWays } from '@/core/plan';
import { PANIC_WAYS, kindOf, type PanicWay, type ProgramWishes } from '@/core/setup';
import { NumberWord } from '../../fields/NumberWord';
import { PickWord } from '../../parts/PickWord';
import { ControlWord } from '../ControlWord';
import type { Sentence, Sentenced } from '../wishing';

const WAY_WORDS: Record<PanicWay, string> = {
  none: 'no panic control',
  replace: 'taking the mode channel over',
  offsets: 'a mix for each mode position',
  channel: 'the recovery channel',
  'mode-position': 'a position of the mode switch',
};

function Says({ setup, wishes, wish }: Sentenced) {
  const ways = panicWays(setup);
  const panic = wishes.panic ?? { way: 'none' as const, holdS: 0 };
  const put = (next: NonNullable<ProgramWishes['panic']>, label: string) =>
    wish({ ...wishes, panic: next }, label);
  const way = (
    <PickWord
      label="Panic recovery by"
      value={panic.way}
      options={PANIC_WAYS.map((w) => ({
        value: w,
        words: WAY_WORDS[w],
        more: PANIC_CHOICES[w].when,
        refused: ways[w],
      }))}
      onPick={(w) => put(panicBy(setup, wishes, w), `Panic: ${PANIC_CHOICES[w].title}`)}
    />
  );
  if (panic.way === 'none') return <>There is {way}.</>;
  if (panic.way === 'mode-position') return <>In panic, {way} brings the model level.</>;
  return (
    <>
      Hold{' '}
      <ControlWord
        label="Panic control"
        setup={setup}
        kinds={PRESSABLE}
        value={wishes.panic?.control}
        onPick={(control) => control && put({ ...panic, control }, 'Panic control')}
      />{' '}
      for{' '}
      <NumberWord
        label="held before panic acts"
        unit="s"
        at="/intents/program/panic/holdS"
        step={0.1}
        value={panic.holdS}
        onCommit={(holdS) => {
          put({ ...panic, holdS }, `Panic after ${holdS} s`);
        }}
      />{' '}
      to bring it level from anywhere, by {way}, with{' '}
      <NumberWord
        label="gain while panic acts"
        unit="%"
        at="/intents/program/panic/gainPct"
        value={wishes.panic?.gainPct ?? PANIC_GAIN_PCT}
        onCommit={(gainPct) => {
          put({ ...panic, gainPct }, `Panic with gain ${gainPct} %`);
        }}
      />{' '}
      gain.
    </>
  );
}

export const panic: Sentence = {
  applies: (setup) => !kindOf(setup.airframe).onSurface,
  wished: () => true,
  controls: (w) => [w.panic?.control],
  Says,
  when: (w) => PANIC_CHOICES[w.panic?.way ?? 'none'].when,
};
