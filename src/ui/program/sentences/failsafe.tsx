'use client';

import { FAILSAFE_CHOICES, failsafeSchools } from '@/core/plan';
import { FAILSAFE_SCHOOLS, type FailsafeSchool, type ProgramWishes } from '@/core/setup';
import { NumberWord } from '../../fields/NumberWord';
import { PickWord } from '../../parts/PickWord';
import type { Sentence, Sentenced } from '../wishing';

const SCHOOL_WORDS: Record<FailsafeSchool, string> = {
  'motor-off': 'the motor stops and the surfaces stay as they are',
  glide: 'the motor stops and it glides level',
  circle: 'the motor stops and it circles',
  home: 'the autopilot flies it home',
};

function Says({ setup, wishes, wish }: Sentenced) {
  const schools = failsafeSchools(setup);
  const { failsafe: lost } = wishes;
  const put = (next: NonNullable<ProgramWishes['failsafe']>, label: string) =>
    wish({ ...wishes, failsafe: next }, label);
  const flies = lost?.school === 'glide' || lost?.school === 'circle';
  return (
    <>
      When the link is lost,{' '}
      <PickWord
        label="When the link is lost"
        value={lost?.school}
        none="nothing is chosen yet"
        options={FAILSAFE_SCHOOLS.map((school) => ({
          value: school,
          words: SCHOOL_WORDS[school],
          more: FAILSAFE_CHOICES[school].when,
          refused: schools[school],
        }))}
        onPick={(school) =>
          put(
            {
              school,
              pitchDeg: school === 'glide' || school === 'circle' ? 3 : 0,
              rollDeg: school === 'circle' ? 12 : 0,
            },
            `Failsafe: ${FAILSAFE_CHOICES[school].title}`,
          )
        }
      />
      {lost && flies && (
        <>
          , nose{' '}
          <NumberWord
            label="nose up when the link is lost"
            unit="°"
            at="/intents/program/failsafe/pitchDeg"
            step={0.5}
            value={lost.pitchDeg}
            onCommit={(pitchDeg) => {
              put({ ...lost, pitchDeg }, `Failsafe pitch ${pitchDeg}°`);
              return undefined;
            }}
          />{' '}
          up
        </>
      )}
      {lost?.school === 'circle' && (
        <>
          , banked{' '}
          <NumberWord
            label="bank when the link is lost"
            unit="°"
            at="/intents/program/failsafe/rollDeg"
            value={lost.rollDeg}
            onCommit={(rollDeg) => {
              put({ ...lost, rollDeg }, `Failsafe bank ${rollDeg}°`);
              return undefined;
            }}
          />
        </>
      )}
      .
    </>
  );
}

export const failsafe: Sentence = {
  id: 'failsafe',
  applies: () => true,
  wished: () => true,
  controls: () => [],
  Says,
  when: (w) => w.failsafe && FAILSAFE_CHOICES[w.failsafe.school].when,
};
