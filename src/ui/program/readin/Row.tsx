'use client';

import { useEffect, useState } from 'react';
import type { Posture, Asking, Reading } from '@/core/infer';
import type { Setup } from '@/core/setup';
import { channelWords, handWords } from '@/core/sheets';
import { useRig } from '../../live/rigStore';
import { Fold } from '../../parts/Fold';
import { Places } from '../../sheet/Places';
import { MOST_SHOWN_PCT, ReadingField, readingOf } from '../../sheet/ReadingField';

/** "9 to 15 more", and why where there are more than was said before. */
function stillToCome({ least, most, because }: Asking): string {
  const [low, high] = [least - 1, most - 1];
  const count = low === high ? `${low}` : `${low} to ${high}`;
  return `${count} more${because ? `, because ${because}` : ''}.`;
}

/** Lines of numbers as they are copied from a table: tabs or semicolons between them, or blanks. */
const pasted = (text: string) =>
  text
    .split(/\r?\n/)
    .filter((line) => line.trim() !== '')
    .map((line) => (/[\t;]/.test(line) ? line.split(/[\t;]/) : line.trim().split(/ +(?!%)/)))
    .map((cells) => cells.map(readingOf));

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
  onRead: (readings: Reading[]) => void;
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
  const readingAt = (row: Posture, values: Record<number, number | undefined>): Reading => ({
    controls: row,
    channels: Array.from(
      { length: Math.max(...outputs.map((o) => o.channel)) },
      (_, i) => values[i + 1],
    ),
  });
  const paste = (text: string, from: number) => {
    const lines = pasted(text);
    // Whole rows begin at the first channel, wherever they were pasted.
    const at = lines.length > 1 ? 0 : outputs.findIndex((o) => o.channel === from);
    if (lines.length === 0 || (lines.length === 1 && lines[0]!.length < 2)) return false;
    const noNumber = lines.findIndex((line) => line.some((v) => typeof v !== 'number'));
    const fits = (line: readonly unknown[]) =>
      lines.length > 1 ? line.length === outputs.length : line.length <= outputs.length - at;
    if (noNumber >= 0 || !lines.every(fits)) {
      setRefused(
        noNumber >= 0
          ? `line ${noNumber + 1} holds something that is no number to ±${MOST_SHOWN_PCT}`
          : `each line must hold ${outputs.length} numbers, one for each channel`,
      );
      return true;
    }
    setRefused(undefined);
    const valuesOf = (line: (typeof lines)[number]) =>
      Object.fromEntries(line.map((v, i) => [outputs[at + i]!.channel, v as number]));
    if (lines.length === 1) setTyped((t) => ({ ...t, ...valuesOf(lines[0]!) }));
    else if (lines.length > asking.rows.length)
      setRefused(
        `only ${asking.rows.length} rows are known so far, and ${lines.length} were pasted`,
      );
    else onRead(lines.map((line, i) => readingAt(asking.rows[i]!, valuesOf(line))));
    return true;
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
          onClick={() => onRead([readingAt(hands, typed)])}
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
