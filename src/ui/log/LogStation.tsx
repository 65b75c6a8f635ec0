'use client';

import { Download } from 'lucide-react';
import dynamic from 'next/dynamic';
import { format } from 'date-fns';
import { useCallback, useEffect, useState } from 'react';
import type { EntryKind } from '@/core/logbook';
import type { LogView } from '@/server/log';
import { useModel } from '../open/modelStore';
import { reasonsOf, send } from '../open/send';
import { Fold } from '../parts/Fold';
import { CompareVersions } from './CompareVersions';
import { CsvIn } from './CsvIn';
import { NewEntry } from './NewEntry';
import { TimeStrip } from './TimeStrip';
import { timeline } from './timeline';
import { Select } from '../parts/Select';
import { kindOf } from '@/core/setup';
import { Section } from '../parts/Section';

const OtherModel = dynamic(() => import('./other/OtherModel'), { ssr: false });

/** Lines fetched at once. */
const PAGE = 100;

const kindWords = (outing: string): Record<EntryKind, string> => ({
  flight: outing === 'run' ? 'Run' : 'Flight',
  preflight: 'Preflight',
  maintenance: 'Work',
  event: 'Event',
  note: 'Note',
});

/** Versions, checks, flights and events on one line of time; any two versions compared in words. */
export function LogStation() {
  const id = useModel((s) => s.id);
  const version = useModel((s) => s.version);
  const outing = useModel((s) => kindOf(s.setup.airframe).outing);
  const [view, setView] = useState<LogView>();
  const [kind, setKind] = useState<EntryKind | ''>('');
  const [text, setText] = useState('');
  const [asked, setAsked] = useState(0);
  const [problem, setProblem] = useState<string>();
  const [loading, setLoading] = useState(false);
  const [chosen, setChosen] = useState<string>();
  const load = useCallback(() => setAsked((n) => n + 1), []);
  const page = useCallback(
    (before?: string) => {
      const query = new URLSearchParams({
        most: String(PAGE),
        ...(kind ? { kind } : {}),
        ...(text.trim() ? { text: text.trim() } : {}),
        ...(before ? { before } : {}),
      });
      return send<LogView>('GET', `/api/models/${id}/log?${query}`, undefined);
    },
    [id, kind, text],
  );
  useEffect(() => {
    let gone = false;
    void page().then((reply) => {
      if (gone) return;
      setProblem(reply.ok ? undefined : reasonsOf(reply.problems));
      if (reply.ok) setView(reply.value);
    });
    return () => {
      gone = true;
    };
  }, [page, version, asked]);
  const older = async () => {
    if (!view || loading) return;
    setLoading(true);
    const reply = await page(view.entries.at(-1)?.uid);
    setLoading(false);
    setProblem(reply.ok ? undefined : reasonsOf(reply.problems));
    if (reply.ok) setView({ ...reply.value, entries: [...view.entries, ...reply.value.entries] });
  };
  const words = kindWords(outing);
  const filtered = kind !== '' || text.trim() !== '';
  const lines = timeline(view, filtered, words);
  return (
    <div className="grid gap-4 @4xl:grid-cols-[1fr_26rem]">
      <section className="card min-w-0" aria-labelledby="time-title">
        <div className="flex flex-wrap items-end justify-between gap-2">
          <h2 id="time-title" className="text-xl font-bold">
            What happened
          </h2>
          <div className="flex flex-wrap items-end gap-2">
            <label className="text-sm font-semibold">
              Kind
              <Select value={kind} onChange={(e) => setKind(e.target.value as EntryKind | '')}>
                <option value="">all</option>
                {Object.entries(words).map(([k, said]) => (
                  <option key={k} value={k}>
                    {said}
                  </option>
                ))}
              </Select>
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
        {problem !== undefined && (
          <div role="alert" className="mt-3 flex flex-wrap items-center gap-3">
            <p className="text-stop">The logbook could not be read: {problem}.</p>
            <button type="button" className="btn" onClick={load}>
              Try again
            </button>
          </div>
        )}
        {!view && problem === undefined && <p className="mt-3">Opening the log …</p>}
        {view && lines.length === 0 && (
          <p className="mt-3">{filtered ? 'Nothing in the logbook matches.' : 'Nothing yet.'}</p>
        )}
        {lines.length > 0 && (
          <TimeStrip lines={lines} outing={outing} chosen={chosen} onChoose={setChosen} />
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
                <p className="font-semibold wrap-break-word">
                  <span className="text-soft font-normal">{line.kind} · </span>
                  {line.title}
                </p>
                {line.details.map((d) => (
                  <p key={d} className="wrap-break-word">
                    {d}
                  </p>
                ))}
              </div>
            </li>
          ))}
        </ol>
        {view?.more && (
          <button
            type="button"
            className="btn mt-2"
            disabled={loading}
            onClick={() => void older()}
          >
            Show older ones
          </button>
        )}
      </section>
      <aside className="flex flex-col gap-4">
        <NewEntry onKept={load} />
        {view && <CompareVersions versions={view.versions} />}
        <Section title="As a table">
          <div className="mt-2 flex flex-wrap gap-2">
            <a className="btn" href={`/api/models/${id}/log?as=csv`}>
              <Download size={18} aria-hidden /> Export CSV
            </a>
            <CsvIn onTaken={load} />
          </div>
          <p className="text-soft mt-2 text-sm">
            A header line with at least <code>at</code> and <code>title</code>. Lines that are
            already here are not added again.
          </p>
        </Section>
      </aside>
      <Fold className="card @4xl:col-span-full" title="Beside another model: take parts over">
        <OtherModel />
      </Fold>
    </div>
  );
}
