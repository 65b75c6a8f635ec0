'use client';

import type { ProgramWishes } from '@/core/setup';
import { NumberWord } from '../../fields/NumberWord';
import { PickWord } from '../../parts/PickWord';
import type { Sentence, Sentenced } from '../wishing';

type Spoken = 'modes' | 'moved' | 'both';

const SPOKEN: Record<Spoken, { words: string; voice: NonNullable<ProgramWishes['voice']> }> = {
  modes: { words: 'the mode and its gain', voice: { modes: true } },
  moved: { words: 'the gain whenever it has been moved', voice: { modes: false, gainMoved: true } },
  both: {
    words: 'the mode, and the gain whenever it has been moved',
    voice: { modes: true, gainMoved: true },
  },
};

const spokenOf = ({ voice }: ProgramWishes): Spoken =>
  voice?.gainMoved ? (voice.modes ? 'both' : 'moved') : 'modes';

export const voice: Sentence = {
  applies: () => true,
  wished: (w) => w.voice?.modes === true || w.voice?.gainMoved === true,
  offer: { words: 'voice', first: (_, w) => ({ ...w, voice: SPOKEN.modes.voice }) },
  drop: ({ voice: _, ...rest }) => rest,
  controls: () => [],
  Says: ({ wishes, wish }: Sentenced) => (
    <>
      The transmitter speaks{' '}
      <PickWord
        label="The transmitter speaks"
        value={spokenOf(wishes)}
        options={(Object.keys(SPOKEN) as Spoken[]).map((value) => ({
          value,
          words: SPOKEN[value].words,
        }))}
        onPick={(s) => wish({ ...wishes, voice: SPOKEN[s].voice }, `Speaks ${SPOKEN[s].words}`)}
      />
      .
    </>
  ),
};

export const timer: Sentence = {
  applies: (setup) => setup.airframe.motors.length > 0,
  wished: (w) => w.timer !== undefined,
  offer: { words: 'timer', first: (_, w) => ({ ...w, timer: { minutes: 8 } }) },
  drop: ({ timer: _, ...rest }) => rest,
  controls: () => [],
  Says: ({ wishes, wish }: Sentenced) => (
    <>
      A timer runs with the throttle and calls after{' '}
      <NumberWord
        label="timer"
        unit="min"
        at="/intents/program/timer/minutes"
        step={0.5}
        value={wishes.timer?.minutes ?? 8}
        onCommit={(minutes) => {
          wish({ ...wishes, timer: { minutes } }, `Timer ${minutes} min`);
        }}
      />
      .
    </>
  ),
};
