'use client';

import { atomKey, atomsFor, conditionOf, termsOf, type Term, type Terms } from '@/core/edit';
import type { Condition, Setup, Worked } from '@/core/setup';
import { conditionWords } from '@/core/sheets';
import { PickWord } from '../../parts/PickWord';

/** What can be done with a term besides putting another in its place. */
const TURN = 'turn';
const MORE = 'more';
const OUT = 'out';
/** Stands for a condition that is nested deeper than terms go. */
const DEEP = 'deep';

const MOST_TERMS = 8;

/** A condition in a sentence: places and logic joined by "and" or "or", each straight or reversed. */
export function ConditionWord({
  setup,
  label,
  value,
  of,
  always,
  onPut,
}: {
  setup: Setup;
  label: string;
  value: Condition | undefined;
  /** What it must not come back to. */
  of?: Worked;
  /** What stands there where it always holds; left out where it must not. */
  always?: string;
  onPut: (condition: Condition | undefined) => void;
}) {
  const atoms = atomsFor(setup, of).map((atom) => ({
    of: atom,
    value: atomKey(atom),
    words: conditionWords(setup, atom),
  }));
  const atomOf = (key: string) => atoms.find((a) => a.value === key)?.of;
  const none = always === undefined ? [] : [{ value: OUT, words: always }];
  const row = termsOf(value);
  if (!row || row.terms.length === 0)
    return (
      <PickWord
        label={label}
        value={row ? OUT : DEEP}
        options={[
          ...(row ? [] : [{ value: DEEP, words: conditionWords(setup, value!) }]),
          ...none,
          ...atoms,
        ]}
        onPick={(key) => (key === DEEP ? undefined : onPut(atomOf(key)))}
      />
    );
  const put = (terms: readonly Term[], by: Terms['by'] = row.by) =>
    onPut(conditionOf({ by, terms }));
  const many = row.terms.length > 1;
  return row.terms.map((term, i) => {
    const turned = (t: Term) => conditionWords(setup, conditionOf({ by: 'all', terms: [t] })!);
    const other = { ...term, not: !term.not };
    return (
      <span key={i}>
        {i > 0 && (
          <>
            {' '}
            <PickWord
              label={`${label}: joined by`}
              value={row.by}
              options={[
                { value: 'all', words: 'and' },
                { value: 'any', words: 'or' },
              ]}
              onPick={(by) => put(row.terms, by)}
            />{' '}
          </>
        )}
        <PickWord
          label={many ? `${label}, ${i + 1}` : label}
          value={atomKey(term.of)}
          options={[
            { value: TURN, words: `instead: ${turned(other)}` },
            ...(row.terms.length < MOST_TERMS ? [{ value: MORE, words: 'and one more …' }] : []),
            ...(many ? [{ value: OUT, words: 'remove this' }] : none),
            ...atoms.map((a) =>
              a.value === atomKey(term.of) && term.not ? { ...a, words: turned(term) } : a,
            ),
          ]}
          onPick={(key) => {
            if (key === TURN) return put(row.terms.with(i, other));
            if (key === MORE) return put(row.terms.toSpliced(i + 1, 0, term));
            const atom = atomOf(key);
            return put(
              atom ? row.terms.with(i, { of: atom, not: false }) : row.terms.toSpliced(i, 1),
            );
          }}
        />
      </span>
    );
  });
}
