'use client';

import type { Setup } from '@/core/setup';
import { Choice } from '../fields/Choice';
import { useModel } from '../open/modelStore';
import { Section } from '../parts/Section';

type Receiver = NonNullable<Setup['installation']['receiver']>;

const LOST_WORDS: Record<Receiver['lost'], string> = {
  presets: 'sends what was preset',
  holds: 'repeats the last values',
  'no-pulses': 'falls silent',
};
const WAYS = Object.entries(LOST_WORDS) as [Receiver['lost'], string][];

/** The receiver that a unit sits behind: what it can do when the signal is lost decides what the unit can. */
export function ReceiverInFront() {
  const setup = useModel((s) => s.setup);
  const edit = useModel((s) => s.edit);
  const { place } = setup.unit.traits;
  if (place === 'receiver') return null;
  const { receiver } = setup.installation;
  const now: Receiver = receiver ?? { lost: 'presets', tellsUnit: place === 'satellite' };
  const put = (next: Receiver, label: string) =>
    void edit([{ op: 'add', path: '/installation/receiver', value: next }], label);
  return (
    <Section title="The receiver in front of the unit" className="card flex flex-col gap-3">
      <Choice
        label="With the signal lost it"
        value={now.lost}
        options={WAYS}
        onChange={(lost) =>
          put({ ...now, lost }, `Receiver: ${WAYS.find(([k]) => k === lost)![1]}`)
        }
      />
      <Choice
        label="Does it tell the unit that the signal is lost?"
        value={now.tellsUnit ? 'yes' : 'no'}
        options={[
          ['no', 'no, the unit sees pulses only'],
          ['yes', 'yes'],
        ]}
        onChange={(v) => put({ ...now, tellsUnit: v === 'yes' }, `Receiver tells the unit: ${v}`)}
      />
      {!receiver && (
        <p className="text-soft text-sm">
          Assumed until you say: try it with the model held, and look in its leaflet.
        </p>
      )}
    </Section>
  );
}
