'use client';

import { RATE_WHEN, SWITCHES, combinations, ratesOn, usualRates, type Rate } from '@/core/plan';
import { handWords, type RatesWish } from '@/core/setup';
import { NumberWord } from '../../fields/NumberWord';
import { PickWord } from '../../parts/PickWord';
import { ControlWord } from '../ControlWord';
import type { Sentence, Sentenced } from '../wishing';

const BY_WORDS: Record<RatesWish['by'], string> = {
  one: 'the same everywhere',
  mode: 'less with the unit off',
  switch: 'on a switch of their own',
};

const PAIR_WORDS: Record<keyof Rate, string> = { pct: 'rate', expoPct: 'expo' };

/** "100 % with 20 % expo" */
function Pair({
  words,
  value,
  onChange,
}: {
  words: string;
  value: Rate;
  onChange: (next: Rate, label: string) => void;
}) {
  const number = (key: keyof Rate) => (
    <NumberWord
      label={`${words}: ${PAIR_WORDS[key]}`}
      unit="%"
      at={`/intents/program/rates/${key}`}
      value={value[key]}
      onCommit={(v) => {
        onChange({ ...value, [key]: v }, `${words}: ${PAIR_WORDS[key]} ${v} %`);
      }}
    />
  );
  return (
    <>
      {number('pct')} with {number('expoPct')} expo
    </>
  );
}

function Says({ setup, wishes, wish }: Sentenced) {
  const { rates } = wishes;
  const put = (next: RatesWish, label: string) => wish({ ...wishes, rates: next }, label);
  return (
    <>
      The {handWords(setup.transmitter).all} ask for throws that are{' '}
      <PickWord
        label="Rates"
        value={rates.by}
        options={(Object.keys(BY_WORDS) as RatesWish['by'][]).map((by) => ({
          value: by,
          words: BY_WORDS[by],
        }))}
        onPick={(by) => {
          const next = usualRates(setup, by);
          if (next) put(next, `Rates ${BY_WORDS[by]}`);
        }}
      />
      {rates.by === 'one' && (
        <>
          :{' '}
          <Pair
            words="always"
            value={rates}
            onChange={(next, label) => put({ by: 'one', ...next }, label)}
          />
        </>
      )}
      {rates.by === 'mode' && (
        <>
          : off{' '}
          <Pair
            words="unit off"
            value={rates.off}
            onChange={(off, label) => put({ ...rates, off }, label)}
          />
          , on{' '}
          <Pair
            words="unit on"
            value={rates.on}
            onChange={(on, label) => put({ ...rates, on }, label)}
          />
        </>
      )}
      {rates.by === 'switch' && (
        <>
          ,{' '}
          <ControlWord
            label="Rate switch"
            setup={setup}
            kinds={SWITCHES}
            value={rates.control}
            onPick={(control) => control && put(ratesOn(setup, control), 'Rate switch chosen')}
          />
          :{' '}
          {combinations(setup, [rates.control]).map(({ words }, i) => (
            <span key={words}>
              {i > 0 && ', '}
              {words}{' '}
              <Pair
                words={words}
                value={rates.at[i]!}
                onChange={(next, label) =>
                  put({ ...rates, at: rates.at.map((r, j) => (j === i ? next : r)) }, label)
                }
              />
            </span>
          ))}
        </>
      )}
      .
    </>
  );
}

export const rates: Sentence = {
  applies: () => true,
  wished: () => true,
  controls: ({ rates: r }) => [r.by === 'switch' ? r.control : undefined],
  Says,
  when: () => RATE_WHEN,
};
