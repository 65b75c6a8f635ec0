'use client';

import { useEffect, useState } from 'react';
import { pastedAt, readingAt } from '@/core/asking';
import type { Posture, Asking, Reading } from '@/core/infer';
import type { Setup } from '@/core/setup';
import { channelWords, handWords } from '@/core/sheets';
import { useRig } from '../../live/rigStore';
import { Fold } from '../../parts/Fold';
import { Places } from '../../sheet/Places';
import { ReadingField } from '../../sheet/ReadingField';

/** "9 to 15 more", and why where there are more than was said before. */
function stillToCome({ least, most, because }: Asking): string {
  const [low, high] = [least - 1, most - 1];
  const count = low === high ? `${low}` : `${low} to ${high}`;
  return `${count} more${because ? `, because ${because}` : ''}.`;
}

/** One row: the controls so, and a field for each channel. */
export function Row({
  setup,
  asking,
  before,
  number,
  onRead,
}: {
  setup: Setup;
  asking: Asking;
  /** Where the controls stood in the row before. */
  before: Posture;
  number: number;
  onRead: (readings: readonly Reading[]) => void;
}) {
  const play = useRig((s) => s.play);
  const [typed, setTyped] = useState<Record<number, number | undefined>>({});
  const [refused, setRefused] = useState<string>();
  const { controls } = setup.transmitter;
  const [hands] = asking.rows as [Posture];
  useEffect(() => {
    // The rig's controls go where the person's are to go.
    play(
      controls
        .filter((c) => c.kind !== 'trim')
        .map((c) => ({ control: c.id, value: hands[c.id] ?? c.rest })),
    );
  }, [play, controls, hands]);
  const { outputs } = setup.program;
  const complete = outputs.every(({ channel }) => typed[channel] !== undefined);
  const placesOf = (row: Posture) =>
    controls.flatMap((c) => (c.id in row ? [handWords(c, row[c.id]!)] : []));
  const back = controls.flatMap((c) => (c.id in before && !(c.id in hands) ? [c.label] : []));
  const paste = (text: string, from: number): boolean => {
    const pasted = pastedAt(setup, asking, text, from);
    setRefused(pasted.as === 'refused' ? pasted.reason : undefined);
    if (pasted.as === 'values') setTyped((t) => ({ ...t, ...pasted.values }));
    if (pasted.as === 'rows') onRead(pasted.readings);
    return pasted.as !== 'text';
  };
  return (
    <div className="card" data-question={number}>
      <p className="text-lg">
        <strong>
          {number === 1
            ? 'Everything at rest, as you pick it up'
            : 'Set these, everything else at rest'}
        </strong>
      </p>
      <Places places={placesOf(hands)} />
      {back.length > 0 && (
        <p className="text-soft mt-1 text-sm">Back to rest: {back.join(', ')}.</p>
      )}
      <ul
        className="mt-2 flex flex-wrap gap-x-3 gap-y-2"
        data-column
        onPaste={(e) => {
          const field = (e.target as HTMLElement).closest<HTMLElement>('[data-channel]');
          const text = e.clipboardData.getData('text');
          if (field && paste(text, Number(field.dataset.channel))) e.preventDefault();
        }}
      >
        {outputs.map(({ channel }) => (
          <li key={channel} data-channel={channel}>
            <span className="block text-sm font-semibold">{channelWords(setup, channel)}</span>
            <ReadingField
              label={channelWords(setup, channel)}
              value={typed[channel]}
              wrong={false}
              onCommit={(value) => setTyped((t) => ({ ...t, [channel]: value }))}
            />
          </li>
        ))}
      </ul>
      {refused && (
        <p role="alert" className="text-stop mt-1">
          Not pasted: {refused}.
        </p>
      )}
      <p className="mt-3 flex flex-wrap items-center gap-3">
        <button
          type="button"
          className="btn btn-main"
          disabled={!complete}
          onClick={() => onRead([readingAt(setup, hands, typed)])}
        >
          Next row
        </button>
        <span className="text-soft text-sm" data-testid="still-to-come">
          Row {number}; {stillToCome(asking)}
        </span>
      </p>
      <p className="text-soft mt-1 text-sm">
        A row copied from a table can be pasted into its first field; several rows fill the rows
        below one after another.
      </p>
      {asking.rows.length > 1 && (
        <Fold title={`The ${asking.rows.length} rows known so far`}>
          <ol className="list-decimal pl-6 text-sm" start={number}>
            {asking.rows.map((row, i) => (
              <li key={i}>{placesOf(row).join(', ') || 'everything at rest'}</li>
            ))}
          </ol>
        </Fold>
      )}
    </div>
  );
}
