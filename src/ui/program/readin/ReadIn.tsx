'use client';

import { useEffect, useMemo, useState } from 'react';
import { asks, infer, takenIn, type Asked, type Reading } from '@/core/infer';
import type { Setup } from '@/core/setup';
import { channelWords, handWords } from '@/core/sheets';
import { useDraft } from '../../frame/useDraft';
import { useModel } from '../../frame/modelStore';
import { useRig } from '../../rig/rigStore';
import { Places } from '../../sheet/Places';
import { ReadingField } from '../../sheet/ReadingField';
import { Found } from './Found';

/** A transmitter that is already programmed: what its monitor shows, question by question, until the program is told. */
export default function ReadIn() {
  const setup = useModel((s) => s.setup);
  const id = useModel((s) => s.id);
  const edit = useModel((s) => s.edit);
  const [readings, setReadings, forget] = useDraft<readonly Reading[]>(`read-in ${id}`, []);
  const [enough, setEnough] = useState(false);
  const [refused, setRefused] = useState<string>();
  const next = useMemo(() => asks(setup.transmitter, readings), [setup.transmitter, readings]);
  const done = enough || next.length === 0;
  const found = useMemo(
    () => (done ? infer(setup.transmitter, readings) : undefined),
    [done, setup.transmitter, readings],
  );
  return (
    <div className="flex flex-col gap-3">
      <p className="text-soft text-sm">
        Put the hands on your transmitter as it says, and type what its channel monitor shows. What
        only comes with time (something held, something that stays on) shows in no reading: add it
        by hand afterwards.
      </p>
      {!done && (
        <Question
          key={readings.length}
          setup={setup}
          hands={next[0]!}
          number={readings.length + 1}
          more={next.length - 1}
          rest={readings[0]}
          onRead={(channels) => setReadings([...readings, { controls: next[0]!, channels }])}
        />
      )}
      <p className="flex flex-wrap gap-2">
        {readings.length > 0 && (
          <button
            type="button"
            className="btn px-3 text-sm"
            onClick={() => {
              setEnough(false);
              setReadings(readings.slice(0, -1));
            }}
          >
            Take the last reading back
          </button>
        )}
        {readings.length > 0 && !done && (
          <button type="button" className="btn px-3 text-sm" onClick={() => setEnough(true)}>
            Enough readings: show the program
          </button>
        )}
        {enough && next.length > 0 && (
          <button type="button" className="btn px-3 text-sm" onClick={() => setEnough(false)}>
            Read on
          </button>
        )}
      </p>
      {found && (
        <Found
          setup={setup}
          found={found}
          onTake={() => {
            const [problem] = edit(takenIn(setup, found.channels), 'Read off the transmitter');
            setRefused(problem?.reason);
            if (problem) return;
            forget();
            setEnough(false);
          }}
        />
      )}
      {refused && (
        <p role="alert" className="text-stop font-semibold">
          Not taken in: {refused}
        </p>
      )}
    </div>
  );
}

/** One reading: the hands so, and a field for each channel; empty where it shows what it showed at rest. */
function Question({
  setup,
  hands,
  number,
  more,
  rest,
  onRead,
}: {
  setup: Setup;
  hands: Asked;
  number: number;
  more: number;
  /** The first reading, with everything at rest. */
  rest: Reading | undefined;
  onRead: (channels: (number | undefined)[]) => void;
}) {
  const play = useRig((s) => s.play);
  const [typed, setTyped] = useState<Record<number, number | undefined>>({});
  const { controls } = setup.transmitter;
  useEffect(() => {
    // The rig's hands go where the person's are to go.
    play(
      controls
        .filter((c) => c.kind !== 'trim')
        .map((c) => ({ control: c.id, value: hands[c.id] ?? c.rest })),
    );
  }, [play, controls, hands]);
  const { outputs } = setup.program;
  const shown = (channel: number) => typed[channel] ?? rest?.channels[channel - 1];
  const complete = outputs.every(({ channel }) => shown(channel) !== undefined);
  const places = controls.flatMap((c) => (c.id in hands ? [handWords(c, hands[c.id]!)] : []));
  const keep = () => {
    const last = Math.max(...outputs.map((o) => o.channel));
    onRead(Array.from({ length: last }, (_, i) => shown(i + 1)));
  };
  return (
    <div className="card" data-question={number}>
      <p className="text-lg">
        <strong>
          {number === 1
            ? 'Hands off: every switch far, sticks and knobs as they rest'
            : 'Set these, everything else at rest'}
        </strong>
      </p>
      <Places places={places} />
      <ul className="mt-2 grid gap-2 @lg:grid-cols-2" data-column>
        {outputs.map(({ channel }) => {
          const at = rest?.channels[channel - 1];
          return (
            <li key={channel} className="flex flex-wrap items-center justify-between gap-2">
              <span>{channelWords(setup, channel)}</span>
              <span className="flex items-center gap-2">
                {at !== undefined && typed[channel] === undefined && (
                  <span className="text-soft num text-sm">as at rest: {at} %</span>
                )}
                <ReadingField
                  label={channelWords(setup, channel)}
                  value={typed[channel]}
                  wrong={false}
                  onCommit={(value) => setTyped((t) => ({ ...t, [channel]: value }))}
                />
              </span>
            </li>
          );
        })}
      </ul>
      <p className="mt-3 flex flex-wrap items-center gap-3">
        <button type="button" className="btn btn-main" disabled={!complete} onClick={keep}>
          {number === 1 ? 'That is what it shows' : 'All other channels as at rest'}
        </button>
        <span className="text-soft text-sm">
          Reading {number}; {more === 0 ? 'none' : `about ${more}`} more to come.
        </span>
      </p>
    </div>
  );
}
