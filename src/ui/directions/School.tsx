'use client';

import { handWords } from '@/core/setup';
import { Choice } from '../fields/Choice';
import { useModel } from '../open/modelStore';

/** Which of the two is corrected first; a unit that learns from the sticks leaves no choice. */
export function School() {
  const setup = useModel((s) => s.setup);
  const hands = handWords(setup.transmitter);
  const edit = useModel((s) => s.edit);
  const learns = setup.unit.traits.correctionDirection === 'learned';
  if (learns)
    return (
      <p className="card">
        <strong>{hands.title} first.</strong> This unit learns its directions from the {hands.all}:
        they must be right before anything else.
      </p>
    );
  return (
    <section className="card">
      <Choice
        label="What to fix first"
        value={setup.intents.school}
        options={[
          ['sticks-first', 'Sticks first'],
          ['unit-first', 'Unit first'],
        ]}
        onChange={(school) =>
          edit(
            [{ op: 'replace', path: '/intents/school', value: school }],
            school === 'sticks-first' ? 'Sticks first' : 'Unit first',
          )
        }
      />
      <p className="text-soft mt-1 text-sm">
        Both are common practice. What to change is worked out from both together.
      </p>
    </section>
  );
}
