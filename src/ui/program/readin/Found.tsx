'use client';

import { useMemo } from 'react';
import { disturbed, takenIn, type Inferred } from '@/core/infer';
import { applyPatch } from '@/core/patch';
import type { Setup } from '@/core/setup';
import { channelWords, lineWords } from '@/core/sheets';

/** What the readings make, channel by channel; what contradicts, what stays open; and the way to take it. */
export function Found({
  setup,
  found,
  onTake,
}: {
  setup: Setup;
  found: Inferred;
  onTake: () => void;
}) {
  const after = useMemo(() => applyPatch(setup, takenIn(setup, found.channels)), [setup, found]);
  const shifted = useMemo(() => disturbed(setup, after, found.channels), [setup, after, found]);
  return (
    <section className="card flex flex-col gap-2" aria-labelledby="found-title">
      <h3 id="found-title" className="font-bold">
        What it makes
      </h3>
      {!found.ok && (
        <ul className="text-stop list-disc pl-5" role="alert">
          {found.contradictions.map((c) => (
            <li key={c.channel}>{c.says}</li>
          ))}
          {found.unexplained.map((channel) => (
            <li key={channel}>
              {channelWords(setup, channel)}: no simple program shows this. It stays as it is here;
              put it together by hand.
            </li>
          ))}
        </ul>
      )}
      <ul className="flex flex-col gap-2">
        {found.channels.map(({ channel, open }) => (
          <li key={channel}>
            <strong>{channelWords(setup, channel)}</strong>
            <ul className="list-disc pl-5 text-sm">
              {after.program.lines
                .filter((l) => l.channel === channel)
                .map((l, i) => (
                  <li key={l.id}>{lineWords(after, l, i > 0)}</li>
                ))}
              {open.map((words) => (
                <li key={words} className="text-caution">
                  {words}
                </li>
              ))}
            </ul>
          </li>
        ))}
      </ul>
      {shifted.map((channel) => (
        <p key={channel} role="alert" className="text-caution">
          {channelWords(setup, channel)} follows a channel that is read in, and would send something
          else: read it in as well, or put it right by hand.
        </p>
      ))}
      {found.channels.length > 0 && (
        <p>
          <button type="button" className="btn btn-main" onClick={onTake}>
            Take it in as my program
          </button>{' '}
          <span className="text-soft text-sm">
            What stands there now is switched off and kept, what was read before gives way; it can
            be undone.
          </span>
        </p>
      )}
    </section>
  );
}
