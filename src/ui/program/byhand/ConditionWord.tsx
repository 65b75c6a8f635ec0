'use client';

import { Plus } from 'lucide-react';
import { atomKey, atomsFor, conditionOf, termsOf, type Term, type Terms } from '@/core/edit';
import type { Condition, Setup } from '@/core/setup';
import { conditionWords } from '@/core/sheets';
import { PickWord } from '../../parts/PickWord';

const OUT = 'out';
const DEEP = 'deep';

/** A condition in a sentence: places and logic joined by "and" or "or", each straight or turned round. */
export function ConditionWord({
  setup,
  label,
  value,
  but,
  always = false,
  onPut,
}: {
  setup: Setup;
  label: string;
  value: Condition | undefined;
  /** Logic that is being put together itself. */
  but?: string;
  /** It may hold always: then nothing is said of it. */
  always?: boolean;
  onPut: (condition: Condition | undefined) => void;
}) {
  const atoms = atomsFor(setup, but);
  const row = termsOf(value);
  const options = (last: boolean) => [
    ...atoms.map((a) => ({ value: atomKey(a), words: conditionWords(setup, a) })),
    ...(!last || always ? [{ value: OUT, words: last ? 'always' : 'take this out' }] : []),
  ];
  if (!row)
    return (
      <PickWord
        label={label}
        value={DEEP}
        options={[{ value: DEEP, words: conditionWords(setup, value!) }, ...options(true)]}
        onPick={(key) => {
          const atom = atoms.find((a) => atomKey(a) === key);
          if (atom || key === OUT) onPut(atom);
        }}
      />
    );
  const put = (terms: readonly Term[], by: Terms['by'] = row.by) =>
    onPut(conditionOf({ by, terms }));
  if (row.terms.length === 0)
    return (
      <PickWord
        label={label}
        value="always"
        options={[{ value: 'always', words: 'always' }, ...options(true).slice(0, atoms.length)]}
        onPick={(key) => {
          const of = atoms.find((a) => atomKey(a) === key);
          if (of) put([{ of, not: false }]);
        }}
      />
    );
  const many = row.terms.length > 1;
  return (
    <>
      {row.terms.map((term, i) => (
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
          <button
            type="button"
            className={`rounded px-1 ${term.not ? 'bg-ink text-card font-bold' : 'text-soft'}`}
            aria-pressed={term.not}
            aria-label={`${label}: turned round`}
            onClick={() => put(row.terms.with(i, { ...term, not: !term.not }))}
          >
            not
          </button>{' '}
          <PickWord
            label={many ? `${label}, ${i + 1}` : label}
            value={atomKey(term.of)}
            options={options(!many)}
            onPick={(key) => {
              const of = atoms.find((a) => atomKey(a) === key);
              if (of) put(row.terms.with(i, { ...term, of }));
              else put(row.terms.toSpliced(i, 1));
            }}
          />
        </span>
      ))}
      {row.terms.length < 8 && (
        <button
          type="button"
          className="text-accent inline-flex min-h-6 items-center px-1 align-middle"
          aria-label={`${label}: one more`}
          title="And, or"
          onClick={() => put([...row.terms, row.terms.at(-1)!])}
        >
          <Plus size={14} aria-hidden />
        </button>
      )}
    </>
  );
}
