'use client';

import { useMemo } from 'react';
import { disturbed, takenIn, type Inferred } from '@/core/infer';
import { applyPatch } from '@/core/patch';
import type { Setup } from '@/core/setup';
import { channelWords, lineWords } from '@/core/sheets';
import { Section } from '../../parts/Section';

/** Places named before the rest is only counted. */
const MOST_SAID = 6;

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
    <Section title="What it makes" level={3} className="card flex flex-col gap-2">
      {(found.contradictions.length > 0 || found.unexplained.length > 0) && (
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
      {(found.unread.length > 0 || found.unsettled.length > 0) && (
        <div className="text-caution">
          <p className="font-semibold">Still open: these stay as they are here.</p>
          <ul className="list-disc pl-5 text-sm">
            {found.unsettled.map((u) => (
              <li key={u.channel}>{u.says}</li>
            ))}
            {found.unread.length > 0 && (
              <li>
                Nothing was read with {found.unread.slice(0, MOST_SAID).join('; ')}
                {found.unread.length > MOST_SAID && ` and ${found.unread.length - MOST_SAID} more`}.
              </li>
            )}
          </ul>
        </div>
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
          else: read it in as well, or correct it by hand.
        </p>
      ))}
      {found.channels.length > 0 && found.unread.length > 0 && (
        <p>Read on: nothing is written before every control has been in each of its places once.</p>
      )}
      {found.channels.length > 0 && found.unread.length === 0 && (
        <p>
          <button type="button" className="btn btn-main" onClick={onTake}>
            {found.ok ? 'Use it as my program' : 'Use what is settled'}
          </button>{' '}
          <span className="text-soft text-sm">
            Your present entries are switched off and kept; earlier readings are replaced. You can
            undo this.
          </span>
        </p>
      )}
    </Section>
  );
}
