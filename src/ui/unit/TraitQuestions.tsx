'use client';

import { useState } from 'react';
import { isSteeringUnit, pointer, type Unit, type UnitTraits } from '@/core/setup';
import { NumberWord } from '../fields/NumberWord';
import { PickWord } from '../parts/PickWord';
import type { ChangeUnit } from './change';
import { GroundWord } from './GroundWord';
import { FLYING, keyOf, MANY, QUESTIONS, standing, type PartId } from './questions';

/** What was answered, as the name of a version. */
const labelOf = (trait: string): string =>
  `Unit: “${[...QUESTIONS, ...MANY].find((q) => q.trait === trait)?.asks ?? 'a figure'}” answered otherwise`.slice(
    0,
    80,
  );

/** One part of what kind of unit it is, in plain words that are changed where they stand. */
export function TraitQuestions({
  part,
  unit,
  change,
}: {
  part: PartId;
  unit: Unit;
  change: ChangeUnit;
}) {
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
      <span role="alert" className="text-stop block text-sm">
        Not changed: {refused.reason}.
      </span>
    );
  const asked = <T extends { part: PartId; when?: (traits: UnitTraits) => boolean }>(q: T) =>
    q.part === part && (!q.when || q.when(traits));

  return (
    <ul className="divide-y divide-(--card-edge)">
      {MANY.filter(asked).map(({ trait, asks, answers }) => {
        const chosen = traits[trait] as readonly string[];
        return (
          <li key={trait} className="py-1.5">
            <fieldset className="flex flex-wrap items-center gap-x-2 gap-y-1">
              <legend className="text-soft float-left mr-2">{asks}</legend>
              {answers.filter(sensible).map(([id, words]) => (
                <button
                  key={id}
                  type="button"
                  className="btn btn-small"
                  aria-pressed={chosen.includes(id)}
                  onClick={() =>
                    void set(
                      trait,
                      answers
                        .map(([a]) => a)
                        .filter((a) => (a === id ? !chosen.includes(a) : chosen.includes(a))),
                    )
                  }
                >
                  {words}
                </button>
              ))}
              <GroundWord unit={unit} of={['traits', trait]} about={asks} change={change} />
            </fieldset>
            {complaint(trait)}
          </li>
        );
      })}
      {QUESTIONS.filter(asked)
        .filter((q) => !q.flies || !steering)
        .map((question) => {
          const { trait, asks, answers } = question;
          const now = standing(question, traits[trait]);
          const known = answers.some(([value]) => keyOf(value) === now);
          return (
            <li key={trait} className="py-1.5">
              <span className="text-soft">{asks}</span>{' '}
              <PickWord
                label={asks}
                value={now}
                options={[
                  ...(known ? [] : [{ value: now, words: 'as described' }]),
                  ...answers
                    .filter(sensible)
                    .map(([value, words]) => ({ value: keyOf(value), words })),
                ]}
                onPick={(key) => void set(trait, (JSON.parse(key) as unknown) ?? undefined)}
              />{' '}
              <GroundWord unit={unit} of={['traits', trait]} about={asks} change={change} />
              {complaint(trait)}
            </li>
          );
        })}
      {part === 'is' && (
        <li className="py-1.5">
          <span className="text-soft">Channels it receives:</span>{' '}
          <NumberWord
            label="channels it receives"
            unit=""
            at="/unit/traits/inputChannels"
            step={1}
            value={traits.inputChannels}
            onCommit={(v) => set('inputChannels', v)}
          />
        </li>
      )}
      {part === 'wrong' && traits.arming === 'after-throttle' && (
        <li className="py-1.5">
          <span className="text-soft">The throttle must have passed</span>{' '}
          <NumberWord
            label="throttle point"
            unit="%"
            at="/unit/traits/armThrottlePct"
            step={1}
            value={traits.armThrottlePct}
            onCommit={(v) => set('armThrottlePct', v)}
          />
        </li>
      )}
    </ul>
  );
}
