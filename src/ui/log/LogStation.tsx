'use client';

import { Download } from 'lucide-react';
import { format } from 'date-fns';
import { useCallback, useEffect, useState } from 'react';
import { toast } from 'sonner';
import type { EntryKind, LogEntry } from '@/core/logbook';
import type { LogView } from '@/server/log';
import { FileButton } from '../fields/FileButton';
import { useModel } from '../frame/modelStore';
import { send } from '../frame/send';
import { CompareVersions } from './CompareVersions';
import { NewEntry } from './NewEntry';

const KIND_WORDS: Record<EntryKind, string> = {
  flight: 'Out',
  preflight: 'Preflight',
  maintenance: 'Work',
  event: 'Event',
  note: 'Note',
};

/** Versions, checks, flights and events on one line of time; any two versions compared in words. */
export function LogStation() {
  const { id, version } = useModel((s) => s);
  const [view, setView] = useState<LogView>();
  const [kind, setKind] = useState<EntryKind | ''>('');
  const [text, setText] = useState('');
  const [most, setMost] = useState(60);
  const [asked, setAsked] = useState(0);
  const load = useCallback(() => setAsked((n) => n + 1), []);
  useEffect(() => {
    let gone = false;
    const query = new URLSearchParams({
      most: String(most),
      ...(kind ? { kind } : {}),
      ...(text.trim() ? { text: text.trim() } : {}),
    });
    void send<LogView>('GET', `/api/models/${id}/log?${query}`, undefined).then((reply) => {
      if (gone) return;
      if (reply.ok) setView(reply.value);
      else toast.error(reply.problems.map((p) => p.reason).join('; '));
    });
    return () => {
      gone = true;
    };
  }, [id, kind, text, most, version, asked]);
  const filtered = kind !== '' || text.trim() !== '';
  const lines = timeline(view, filtered);
  return (
    <div className="grid gap-4 lg:grid-cols-[1fr_26rem]">
      <section className="card min-w-0" aria-labelledby="time-title">
        <div className="flex flex-wrap items-end justify-between gap-2">
          <h2 id="time-title" className="text-xl font-bold">
            What was
          </h2>
          <div className="flex flex-wrap items-end gap-2">
            <label className="text-sm font-semibold">
              Kind
              <select
                className="field font-normal"
                value={kind}
                onChange={(e) => setKind(e.target.value as EntryKind | '')}
              >
                <option value="">all</option>
                {Object.entries(KIND_WORDS).map(([k, words]) => (
                  <option key={k} value={k}>
                    {words}
                  </option>
                ))}
              </select>
            </label>
            <label className="text-sm font-semibold">
              Find
              <input
                className="field font-normal"
                type="search"
                value={text}
                onChange={(e) => setText(e.target.value)}
              />
            </label>
          </div>
        </div>
        {!view && <p className="mt-3">Opening the log …</p>}
        {view && lines.length === 0 && (
          <p className="mt-3">{filtered ? 'Nothing in the log says that.' : 'Nothing yet.'}</p>
        )}
        <ol className="mt-3">
          {lines.map((line) => (
            <li
              key={line.key}
              className="grid grid-cols-[6.5rem_1fr] gap-3 border-t border-(--card-edge) py-2"
            >
              <time className="num text-soft text-sm" dateTime={line.at}>
                {format(line.at, 'd MMM yyyy')}
                <br />
                {format(line.at, 'HH:mm')}
              </time>
              <div className="min-w-0">
                <p className="font-semibold wrap-anywhere">
                  <span className="text-soft font-normal">{line.kind} · </span>
                  {line.title}
                </p>
                {line.details.map((d) => (
                  <p key={d} className="wrap-anywhere">
                    {d}
                  </p>
                ))}
              </div>
            </li>
          ))}
        </ol>
        {view?.more && (
          <button type="button" className="btn mt-2" onClick={() => setMost(most + 200)}>
            Show older ones
          </button>
        )}
      </section>
      <aside className="flex flex-col gap-4">
        <NewEntry onKept={load} />
        {view && <CompareVersions versions={view.versions} />}
        <section className="card" aria-labelledby="csv-title">
          <h2 id="csv-title" className="text-lg font-bold">
            As a table
          </h2>
          <div className="mt-2 flex flex-wrap gap-2">
            <a className="btn" href={`/api/models/${id}/log?as=csv`}>
              <Download size={18} aria-hidden /> CSV out
            </a>
            <FileButton
              words="CSV in"
              label="Log as CSV"
              accept="text/csv,.csv"
              onFile={async (file) => {
                if (await takeCsv(id, await file.text())) load();
              }}
            />
          </div>
          <p className="text-soft mt-2 text-sm">
            A header line with at least <code>at</code> and <code>title</code>. A line that is here
            already is not taken twice.
          </p>
        </section>
      </aside>
    </div>
  );
}

/** Looks at a CSV first, asks, and takes it in. */
async function takeCsv(id: string, text: string): Promise<boolean> {
  const path = `/api/models/${id}/log/import`;
  const look = await send<{
    add: LogEntry[];
    known: number;
    problems: { line: number; reason: string }[];
  }>('POST', path, text);
  if (!look.ok) {
    toast.error(look.problems.map((p) => p.reason).join('; '));
    return false;
  }
  const { add, known, problems } = look.value;
  if (problems.length > 0) {
    toast.error(
      `Not taken in: ${problems
        .slice(0, 4)
        .map((p) => `line ${p.line}: ${p.reason}`)
        .join('; ')}`,
    );
    return false;
  }
  if (add.length === 0) {
    toast.info(`All ${known} lines are here already.`);
    return false;
  }
  if (!window.confirm(`Add ${add.length} lines to the log? ${known} are here already.`))
    return false;
  const done = await send<{ added: number }>('POST', `${path}?confirm=yes`, text);
  if (done.ok) toast.success(`${done.value.added} lines added.`);
  else toast.error(done.problems.map((p) => `${p.path} ${p.reason}`).join('; '));
  return done.ok;
}

interface TimeLine {
  key: string;
  at: string;
  kind: string;
  title: string;
  details: string[];
}

/** Entries and versions in one line of time, newest first; versions only where nothing is searched. */
function timeline(view: LogView | undefined, filtered: boolean): TimeLine[] {
  if (!view) return [];
  const entries = view.entries.map((e): TimeLine => ({
    key: e.uid,
    at: e.at,
    kind: KIND_WORDS[e.kind],
    title: e.title,
    details: [
      [e.place, e.wind && `wind ${e.wind}`, e.battery && `battery ${e.battery}`]
        .filter(Boolean)
        .join(' · '),
      [
        e.minutes !== undefined && `${e.minutes} min`,
        e.mode,
        e.gainReading && `gain read ${e.gainReading}`,
        e.trims && `trims ${e.trims}`,
      ]
        .filter(Boolean)
        .join(' · '),
      e.seen ?? '',
    ].filter((d) => d !== ''),
  }));
  const oldest = view.more ? (view.entries.at(-1)?.at ?? '') : '';
  const versions = filtered
    ? []
    : view.versions
        .filter((v) => v.at >= oldest)
        .map((v): TimeLine => ({
          key: `v${v.version}`,
          at: v.at,
          kind: `Version ${v.version}`,
          title: v.label,
          details: [],
        }));
  return [...entries, ...versions].toSorted((a, b) => b.at.localeCompare(a.at));
}
