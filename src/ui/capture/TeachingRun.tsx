'use client';

import { useMemo, useState } from 'react';
import { RIGHT_WAY, taught, type Teaching } from '@/core/capture';
import { kindOf } from '@/core/setup';
import { Choice } from '../fields/Choice';
import { useModel } from '../open/modelStore';
import { StatusMark } from '../status/StatusMark';
import { Section } from '../parts/Section';

/** Teaching tried here first: what is seen at each moment, and what comes of another order. */
export function TeachingRun() {
  const setup = useModel((s) => s.setup);
  const [how, setHow] = useState<Teaching>(RIGHT_WAY);
  const outcome = useMemo(() => taught(setup, how), [setup, how]);
  const { front } = kindOf(setup.airframe);
  return (
    <Section title="Try it here first" className="card flex flex-col gap-2">
      <div className="flex flex-wrap gap-x-6 gap-y-2">
        <Choice
          label="First to the"
          value={how.first}
          options={[
            ['left', 'left'],
            ['right', 'right'],
          ]}
          onChange={(first) => setHow({ ...how, first })}
        />
        <Choice
          label="Ends set"
          value={how.ends}
          options={[
            ['before', 'before'],
            ['after', 'afterwards'],
          ]}
          onChange={(ends) => setHow({ ...how, ends })}
        />
        <Choice
          label="Steering reversed"
          value={how.reversedAfter ? 'yes' : 'no'}
          options={[
            ['no', 'no'],
            ['yes', 'afterwards'],
          ]}
          onChange={(v) => setHow({ ...how, reversedAfter: v === 'yes' })}
        />
      </div>
      <ol className="flex flex-col divide-y divide-(--card-edge)">
        {outcome.moments.map(({ does, seen }) => (
          <li key={does} className="grid gap-x-4 py-1.5 @lg:grid-cols-2">
            <span>{does}</span>
            <span className="text-soft">{seen}</span>
          </li>
        ))}
      </ol>
      <div role="status">
        <StatusMark
          status={outcome.wrong.length > 0 ? 'stop' : 'proven'}
          words={
            outcome.correction === 'none'
              ? 'Swung to one side, nothing answers.'
              : `The ${front} swung right: it steers ${outcome.correction === 'against' ? 'left, against it' : 'right, with it'}.`
          }
        />
        {outcome.wrong.map((w) => (
          <p key={w} className="text-stop">
            {w}
          </p>
        ))}
      </div>
    </Section>
  );
}
