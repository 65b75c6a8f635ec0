'use client';

import { answersOf, rebuildAirframe, type AirframeAnswers } from '@/core/catalogue';
import { VARIANTS } from '@/core/model';
import { mixerOf, type Mixer } from '@/core/plan';
import { AIRFRAME_KINDS, kindEntry, kindOf } from '@/core/setup';
import { Choice } from '../fields/Choice';
import { useModel } from '../open/modelStore';
import { AILERON_WORDS, MOTOR_WORDS, WHEEL_WORDS } from '../newmodel/words';
import { Select } from '../parts/Select';
import { Section } from '../parts/Section';
import { Refusals, useRefit } from '../open/useRefit';

/** What the model is and has; a change is planned through to channels and plugs at once. */
export function AirframeQuestions() {
  const setup = useModel((s) => s.setup);
  const { take, refused } = useRefit();
  const answers = answersOf(setup.airframe);
  const flies = !kindOf(answers).onSurface;
  const variants = VARIANTS.filter((v) => v.fits(setup.airframe));
  const hasRudder =
    !kindOf(answers).pairedTail && (!kindOf(answers).rudderOptional || answers.rudder);

  const answer = (change: Partial<AirframeAnswers>, label: string) =>
    take({ airframe: rebuildAirframe(setup.airframe, { ...answers, ...change }) }, label);
  const select = <K extends keyof AirframeAnswers>(
    field: K,
    asks: string,
    words: Readonly<Record<string, string>>,
    read: (text: string) => AirframeAnswers[K],
  ) => (
    <label className="flex flex-col gap-1 text-sm font-semibold">
      {asks}
      <Select
        value={String(answers[field])}
        onChange={(e) =>
          answer(
            { [field]: read(e.target.value) } as Partial<AirframeAnswers>,
            `${asks} ${words[e.target.value]}`.slice(0, 80),
          )
        }
      >
        {Object.entries(words).map(([id, text]) => (
          <option key={id} value={id}>
            {text}
          </option>
        ))}
      </Select>
    </label>
  );
  const kinds = Object.fromEntries(
    AIRFRAME_KINDS.filter((k) => (kindEntry(k).moves !== 'air') !== flies).map((k) => [
      k,
      kindEntry(k).title,
    ]),
  );
  return (
    <Section title="What it has" className="card flex flex-col gap-3">
      {select('kind', 'It is', kinds, (t) => t as AirframeAnswers['kind'])}
      {flies && answers.kind !== 'flying-wing' && answers.kind !== 'three-channel' && (
        <>
          {select('ailerons', 'Ailerons', AILERON_WORDS, (t) => t as AirframeAnswers['ailerons'])}
        </>
      )}
      {flies && select('motors', 'Motors', MOTOR_WORDS, (t) => Number(t) as 0 | 1 | 2)}
      {flies &&
        hasRudder &&
        select('wheel', 'A wheel that steers?', WHEEL_WORDS, (t) => t as AirframeAnswers['wheel'])}
      {flies && (
        <div className="flex flex-wrap gap-x-6">
          {(
            [
              { field: 'flaps', words: 'flaps' },
              { field: 'gear', words: 'retracts' },
              { field: 'brake', words: 'a wheel brake' },
              ...(answers.kind === 'flying-wing'
                ? ([{ field: 'rudder', words: 'a rudder' }] as const)
                : []),
            ] as const
          ).map(({ field, words }) => (
            <label key={field} className="flex min-h-11 items-center gap-2">
              <input
                type="checkbox"
                className="h-5 w-5 accent-(--accent)"
                checked={answers[field]}
                onChange={(e) =>
                  answer(
                    { [field]: e.target.checked },
                    e.target.checked ? `With ${words}` : `Without ${words}`,
                  )
                }
              />
              {words}
            </label>
          ))}
        </div>
      )}
      {variants.length > 0 && (
        <fieldset className="flex flex-col">
          <legend className="text-sm font-semibold">Built differently</legend>
          {variants.map((v) => {
            const has = v.has(setup.airframe);
            return (
              <label key={v.id} className="flex min-h-11 items-center gap-2">
                <input
                  type="checkbox"
                  className="h-5 w-5 accent-(--accent)"
                  checked={has}
                  onChange={() =>
                    take(
                      { airframe: (has ? v.remove : v.add)(setup.airframe) },
                      `${has ? 'Without' : 'With'} ${v.words}`,
                    )
                  }
                />
                {v.words}
              </label>
            );
          })}
        </fieldset>
      )}
      {setup.unit.traits.mixer === 'either' && (
        <Choice
          label="Who mixes a delta, a V-tail or flaperons?"
          value={mixerOf(setup.unit, setup.intents.mixer)}
          options={[
            ['unit', 'the unit'],
            ['transmitter', 'the transmitter'],
          ]}
          onChange={(mixer: Mixer) => take({ mixer }, `The ${mixer} mixes`)}
        />
      )}
      <Refusals reasons={refused} />
    </Section>
  );
}
