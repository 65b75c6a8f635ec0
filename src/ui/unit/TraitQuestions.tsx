'use client';

import { useState } from 'react';
import type { PatchOperation } from '@/core/patch';
import {
  AXES,
  MODES,
  MOUNTINGS,
  pointer,
  isSteeringUnit,
  type Problem,
  type Unit,
  type UnitTraits,
} from '@/core/setup';
import { NumberField } from '../fields/NumberField';
import { AXIS_WORDS, MODE_WORDS } from '../words/unit';
import { Select } from '../parts/Select';

interface Question {
  trait: keyof UnitTraits;
  asks: string;
  answers: readonly (readonly [unknown, string])[];
  /** Asked of units for models that fly only. */
  flies?: true;
  /** Asked only when earlier answers make it matter. */
  when?: (traits: UnitTraits) => boolean;
}

const yesNo = [
  [true, 'yes'],
  [false, 'no'],
] as const;
/** Answers that stand for something only a model that flies has. */
const FLYING: ReadonlySet<unknown> = new Set([
  'roll',
  'pitch',
  'level',
  'trainer',
  'home',
  'hover',
  'stick-corners',
  'autopilot',
  'pitch-with-throttle',
  'roll-through',
]);
const FLAT = ['nose-up', 'nose-down'] as const;
const FLAT_BOTH = ['nose-up', 'nose-down', 'tail-up', 'tail-down'] as const;

const QUESTIONS: readonly Question[] = [
  {
    trait: 'place',
    asks: 'Where is the gyro?',
    answers: [
      ['receiver', 'inside the receiver'],
      ['between', 'between receiver and servos'],
      ['satellite', 'plugged into a receiver as a satellite'],
      ['single-axis', 'in one servo lead'],
    ],
  },
  {
    trait: 'mixer',
    flies: true,
    asks: 'Who mixes a delta or a V-tail?',
    answers: [
      ['unit', 'the unit: send it plain sticks'],
      ['transmitter', 'the transmitter: the unit learns the mix'],
      ['either', 'either'],
    ],
    when: (t) => t.axes.length > 1,
  },
  {
    trait: 'slotsSettable',
    asks: 'Can you choose the mode of each switch position?',
    answers: yesNo,
    when: (t) => t.modeSelect.by !== 'fixed',
  },
  {
    trait: 'gainLaw',
    asks: 'How does it read its gain channel?',
    answers: [
      ['fixed', 'it has none'],
      ['zero-to-full', '0 to +100 is gain, below 0 is nothing'],
      ['magnitude', 'the size counts, not the sign'],
      ['full-range', '−100 is nothing, +100 is full'],
      ['sign-selects-set', 'the sign chooses a set, the size is gain'],
    ],
  },
  {
    trait: 'gainLeadMissing',
    asks: 'Without its gain lead it …',
    answers: [
      ['keeps-last', 'keeps the last value it saw'],
      ['zero', 'does nothing'],
      ['full', 'gives full gain'],
    ],
    when: (t) => t.gainLaw !== 'fixed',
  },
  {
    trait: 'dials',
    asks: 'Dials on the unit?',
    answers: [
      ['none', 'none'],
      ['one-turn', 'one turn from minimum to maximum'],
      ['centre-zero', 'no correction at its centre, the side is the direction'],
    ],
  },
  {
    trait: 'correctionDirection',
    asks: 'How is a correction reversed?',
    answers: [
      ['menu', 'in a menu'],
      ['switches', 'with small switches'],
      ['button', 'with a button, by presses'],
      ['gestures', 'with stick gestures'],
      ['dial-side', 'by the side of its dial'],
      ['learned', 'it learns it during the capture'],
      ['none', 'it cannot: the orientation must be right'],
    ],
  },
  {
    trait: 'orientations',
    asks: 'Which ways can it be mounted?',
    answers: [
      [MOUNTINGS, 'all 24'],
      [FLAT_BOTH, 'flat, arrow forward or back'],
      [FLAT, 'flat, arrow forward'],
      [['nose-up'], 'one way only'],
    ],
  },
  {
    trait: 'orientationLearned',
    flies: true,
    asks: 'Does it learn which way it is mounted?',
    answers: [
      [undefined, 'no'],
      ['gravity', 'yes: level, then nose down'],
      ['turning', 'yes: lift the tail, then turn right'],
    ],
  },
  {
    trait: 'stabilizedOutputs',
    asks: 'Which outputs does it stabilize?',
    answers: [
      ['all', 'all of them'],
      ['two-banks', 'two banks, each on or off'],
      ['chosen', 'the ones you choose'],
    ],
  },
  { trait: 'portReverse', asks: 'Can it reverse a servo at its port?', answers: yesNo },
  {
    trait: 'axisGains',
    asks: 'Does each axis have its own gain?',
    answers: yesNo,
    when: (t) => t.axes.length > 1,
  },
  {
    trait: 'gainKept',
    asks: 'A gain is kept for …',
    answers: [
      [undefined, 'each axis'],
      ['axis-and-mode', 'each axis and mode'],
      ['output-and-set', 'each output and side of the gain channel'],
    ],
    when: (t) => t.gainLaw !== 'fixed' || t.axisGains,
  },
  {
    trait: 'outputTravel',
    asks: 'Does each output have its own centre and endpoints?',
    answers: yesNo,
  },
  {
    trait: 'refusesThrottle',
    asks: 'Does it hold the throttle off until it knows its position?',
    answers: yesNo,
    when: (t) => t.arming === 'position-fix',
  },
  {
    trait: 'levelCapture',
    asks: 'How is level captured?',
    answers: [
      [undefined, 'as any other capture'],
      [{ by: 'menu' }, 'in its menu'],
      [{ by: 'button', presses: 1 }, 'with its button'],
      [
        {
          by: 'corner',
          mode: 'level',
          holds: [
            { stick: 'elevator', at: -100 },
            { stick: 'aileron', at: 100 },
          ],
          seconds: 3,
        },
        'sticks in a corner, in level mode',
      ],
      [{ by: 'flick', times: 1, withinS: 3 }, 'mode switch from end to end and back'],
      [{ by: 'power-up' }, 'at every power-up, lying still'],
      [{ by: 'channel', times: 3, withinS: 3 }, 'a channel moved off centre three times'],
    ],
    when: (t) => t.modes.includes('level') || t.modes.includes('home'),
  },
  { trait: 'maxGainLimit', asks: 'Does each output have a maximum gain?', answers: yesNo },
  {
    trait: 'stickFade',
    asks: 'Can the stick fade be changed?',
    answers: [
      ['fixed', 'no'],
      ['adjustable', 'yes, for each axis'],
    ],
  },
  {
    trait: 'arming',
    flies: true,
    asks: 'When does it start to work?',
    answers: [
      ['always', 'at once'],
      ['after-throttle', 'when the throttle has passed a point'],
      ['position-fix', 'levelling and home after a position fix'],
    ],
  },
  {
    trait: 'panic',
    flies: true,
    asks: 'Panic recovery?',
    answers: [
      ['none', 'none'],
      ['channel', 'a channel of its own'],
      ['mode-band', 'a part of the mode channel'],
      ['mode-limits-delay', 'a channel, with limits and a delay'],
    ],
  },
];

/** Questions with more than one answer. */
const MANY: readonly {
  trait: keyof UnitTraits;
  asks: string;
  answers: readonly (readonly [string, string])[];
  when?: (traits: UnitTraits) => boolean;
}[] = [
  { trait: 'axes', asks: 'Axes it stabilizes', answers: AXES.map((a) => [a, AXIS_WORDS[a]]) },
  { trait: 'modes', asks: 'Modes it has', answers: MODES.map((m) => [m, MODE_WORDS[m]]) },
  {
    trait: 'captureGestures',
    asks: 'How is a capture started?',
    answers: [
      ['menu', 'menu'],
      ['button', 'button'],
      ['stick-corners', 'stick corners'],
      ['mode-flick', 'mode switch flicked'],
      ['power-up', 'at power-up'],
      ['channel', 'a channel of its own'],
    ],
  },
  {
    trait: 'failsafe',
    asks: 'What can happen when the signal is lost?',
    answers: [
      ['preset', 'a preset value'],
      ['hold', 'hold the last'],
      ['no-pulses', 'no pulses'],
      ['unit-mode', 'a mode of the unit'],
      ['autopilot', 'the autopilot takes over'],
    ],
  },
  {
    trait: 'extras',
    asks: 'What else can it do?',
    answers: [
      ['pitch-with-throttle', 'pitch follows the throttle'],
      ['speed-gain', 'gain follows speed'],
      ['frame-rate', 'servo frame rate'],
      ['output-matching', 'two servos matched'],
      ['vibration-readout', 'vibration readout'],
      ['sensitivity-class', 'sensitivity classes'],
      ['six-face-calibration', 'six-face calibration'],
      ['response', 'response in steps'],
      ['roll-through', 'levelling that rolls through'],
    ],
  },
];

/** What was answered, as the name of a version. */
const labelOf = (trait: string): string =>
  `Unit: “${[...QUESTIONS, ...MANY].find((q) => q.trait === trait)?.asks ?? 'a figure'}” answered otherwise`.slice(
    0,
    80,
  );

/** Changes something in the unit at hand; paths start at the unit. */
export type ChangeUnit = (patch: readonly PatchOperation[], label: string) => Problem[];

/** What kind of unit it is, asked in plain words; only what matters after the answers before. */
export function TraitQuestions({ unit, change }: { unit: Unit; change: ChangeUnit }) {
  const { traits } = unit;
  const steering = isSteeringUnit(unit);
  /** Answers that make sense for what does not fly. */
  const sensible = ([value]: readonly [unknown, string]) =>
    !steering || !FLYING.has(value as string);
  const [refused, setRefused] = useState<{ trait: string; reason: string }>();
  const set = (trait: string, value: unknown) => {
    const path = pointer('traits', trait);
    const had = traits[trait as keyof UnitTraits] !== undefined;
    if (value === undefined && !had) return undefined;
    const patch =
      value === undefined ? { op: 'remove' as const, path } : { op: 'add' as const, path, value };
    const problem = change([patch], labelOf(trait))[0];
    setRefused(problem && { trait, reason: problem.reason });
    return problem?.reason;
  };
  const complaint = (trait: string) =>
    refused?.trait === trait && (
      <span role="alert" className="text-stop text-sm">
        Not changed: {refused.reason}.
      </span>
    );

  return (
    <div className="grid gap-3 @lg:grid-cols-2">
      {QUESTIONS.filter((q) => (!q.flies || !steering) && (!q.when || q.when(traits))).map(
        ({ trait, asks, answers }) => {
          const now = JSON.stringify(traits[trait] ?? null);
          const keyOf = (value: unknown) => JSON.stringify(value ?? null);
          // Not said is as good as no.
          const known = answers.some(
            ([value]) => keyOf(value) === now || (now === 'null' && value === false),
          );
          return (
            <label key={trait} className="flex flex-col gap-1">
              <span className="font-semibold">{asks}</span>
              <Select
                value={now === 'null' && answers.some(([v]) => v === false) ? 'false' : now}
                onChange={(e) =>
                  void set(trait, (JSON.parse(e.target.value) as unknown) ?? undefined)
                }
              >
                {!known && <option value={now}>as described</option>}
                {answers.filter(sensible).map(([value, words]) => (
                  <option key={words} value={keyOf(value)}>
                    {words}
                  </option>
                ))}
              </Select>
              {complaint(trait)}
            </label>
          );
        },
      )}
      {traits.arming === 'after-throttle' && (
        <NumberField
          label="throttle point"
          unit="%"
          at="/unit/traits/armThrottlePct"
          value={traits.armThrottlePct}
          onCommit={(v) => set('armThrottlePct', v)}
        />
      )}
      <NumberField
        label="channels it receives"
        unit=""
        min={1}
        max={32}
        value={traits.inputChannels}
        onCommit={(v) => set('inputChannels', v)}
      />
      {MANY.filter((q) => !q.when || q.when(traits)).map(({ trait, asks, answers }) => {
        const chosen = traits[trait] as readonly string[];
        return (
          <fieldset key={trait}>
            <legend className="font-semibold">{asks}</legend>
            <div className="flex flex-wrap gap-x-4">
              {answers.filter(sensible).map(([id, words]) => (
                <label key={id} className="flex min-h-11 items-center gap-2">
                  <input
                    type="checkbox"
                    className="h-5 w-5 accent-(--accent)"
                    checked={chosen.includes(id)}
                    onChange={(e) =>
                      void set(
                        trait,
                        answers
                          .map(([a]) => a)
                          .filter((a) => (a === id ? e.target.checked : chosen.includes(a))),
                      )
                    }
                  />
                  {words}
                </label>
              ))}
            </div>
            {complaint(trait)}
          </fieldset>
        );
      })}
    </div>
  );
}
