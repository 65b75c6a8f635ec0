'use client';

import { handWords, kindOf } from '@/core/setup';
import { NumberWord } from '../../fields/NumberWord';
import type { Sentence } from '../wishing';

export const reverse: Sentence = {
  // A controller that brakes by itself before it reverses needs no help.
  applies: ({ airframe, intents }) =>
    kindOf(airframe).onSurface &&
    (intents.program.reverse !== undefined ||
      airframe.motors.some((m) => m.reverse === 'reverses')),
  wished: (w) => w.reverse !== undefined,
  controls: () => [],
  offer: {
    words: 'brake before reverse',
    first: (_, w) => ({ ...w, reverse: { brakePct: 0 } }),
  },
  drop: ({ reverse: _, ...w }) => w,
  Says: ({ setup, wishes, wish }) => (
    <>
      The {handWords(setup.transmitter).throttle} pushed away brakes with{' '}
      <NumberWord
        label="Brake before reverse"
        unit="%"
        at="/intents/program/reverse/brakePct"
        value={wishes.reverse?.brakePct ?? 0}
        onCommit={(brakePct) => {
          wish({ ...wishes, reverse: { brakePct } }, `Brake before reverse ${brakePct} %`);
        }}
      />{' '}
      of reverse; released and pushed again, it reverses.
    </>
  ),
};
