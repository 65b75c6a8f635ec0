'use client';

import { FAILSAFE_CHOICES, failsafeSchools } from '@/core/plan';
import { FAILSAFE_SCHOOLS, kindOf, type FailsafeSchool, type ProgramWishes } from '@/core/setup';
import { NumberWord } from '../../fields/NumberWord';
import { PickWord } from '../../parts/PickWord';
import type { Sentence, Sentenced } from '../wishing';
import { LINK_LOST } from '../../words';

const SCHOOL_WORDS: Record<FailsafeSchool, string> = {
  'motor-off': 'the motor stops and the surfaces stay as they are',
  brake: 'the motor stops and the brake goes on',
  glide: 'the motor stops and it glides level',
  circle: 'the motor stops and it circles',
  home: 'the autopilot flies it home',
};

/** Where the steering goes, of a car or a boat. */
const STEERING = {
  kept: 'the steering stays as it is',
  centred: 'the steering goes to its middle',
  turned: 'it circles',
} as const;

/** Enough to come round in a small space, not enough to tip. */
const CIRCLE_PCT = 40;

type Lost = NonNullable<ProgramWishes['failsafe']>;

const steeringOf = ({ steerPct }: Lost): keyof typeof STEERING =>
  steerPct === undefined ? 'kept' : steerPct === 0 ? 'centred' : 'turned';

/** The same for what steers on wheels or on water. */
function SaysOnSurface({ setup, wishes, wish }: Sentenced) {
  const schools = failsafeSchools(setup);
  const lost: Lost = wishes.failsafe ?? { school: 'motor-off', pitchDeg: 0, rollDeg: 0 };
  const put = (next: Lost, label: string) => wish({ ...wishes, failsafe: next }, label);
  const { steerPct, ...rest } = lost;
  const now = steeringOf(lost);
  return (
    <>
      {LINK_LOST},{' '}
      <PickWord
        label={LINK_LOST}
        value={wishes.failsafe?.school}
        none="nothing is chosen yet"
        options={(['motor-off', 'brake'] as const).map((school) => ({
          value: school,
          words: school === 'brake' ? SCHOOL_WORDS.brake : 'the motor stops',
          more: school === 'brake' ? FAILSAFE_CHOICES.brake.when : undefined,
          refused: schools[school],
        }))}
        onPick={(school) => put({ ...lost, school }, `Failsafe: ${school}`)}
      />{' '}
      and{' '}
      <PickWord
        label="Steering when the signal is lost"
        value={now}
        options={(Object.keys(STEERING) as (keyof typeof STEERING)[]).map((value) => ({
          value,
          words: STEERING[value],
        }))}
        onPick={(to) =>
          put(
            to === 'kept'
              ? rest
              : { ...rest, steerPct: to === 'centred' ? 0 : (steerPct ?? 0) || CIRCLE_PCT },
            `Failsafe: ${STEERING[to]}`,
          )
        }
      />
      {now === 'turned' && (
        <>
          , steering{' '}
          <NumberWord
            label="steering when the signal is lost"
            unit="%"
            at="/intents/program/failsafe/steerPct"
            value={steerPct!}
            onCommit={(pct) => {
              put({ ...rest, steerPct: pct }, `Failsafe steering ${pct} %`);
            }}
          />
        </>
      )}
      .
    </>
  );
}

function Says({ setup, wishes, wish }: Sentenced) {
  const schools = failsafeSchools(setup);
  const { failsafe: lost } = wishes;
  const put = (next: NonNullable<ProgramWishes['failsafe']>, label: string) =>
    wish({ ...wishes, failsafe: next }, label);
  const flies = lost?.school === 'glide' || lost?.school === 'circle';
  return (
    <>
      {LINK_LOST},{' '}
      <PickWord
        label={LINK_LOST}
        value={lost?.school}
        none="nothing is chosen yet"
        options={FAILSAFE_SCHOOLS.filter((school) => school !== 'brake').map((school) => ({
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
            label="nose up when the signal is lost"
            unit="°"
            at="/intents/program/failsafe/pitchDeg"
            step={0.5}
            value={lost.pitchDeg}
            onCommit={(pitchDeg) => {
              put({ ...lost, pitchDeg }, `Failsafe pitch ${pitchDeg}°`);
            }}
          />{' '}
          up
        </>
      )}
      {lost?.school === 'circle' && (
        <>
          , banked{' '}
          <NumberWord
            label="bank when the signal is lost"
            unit="°"
            at="/intents/program/failsafe/rollDeg"
            value={lost.rollDeg}
            onCommit={(rollDeg) => {
              put({ ...lost, rollDeg }, `Failsafe bank ${rollDeg}°`);
            }}
          />
        </>
      )}
      .
    </>
  );
}

export const failsafe: Sentence = {
  applies: () => true,
  wished: () => true,
  controls: () => [],
  Says: (props) =>
    kindOf(props.setup.airframe).onSurface ? <SaysOnSurface {...props} /> : <Says {...props} />,
  when: (w) =>
    w.failsafe && w.failsafe.steerPct === undefined
      ? FAILSAFE_CHOICES[w.failsafe.school].when
      : undefined,
};
