'use client';

import { Download, Undo2 } from 'lucide-react';
import Link from 'next/link';
import { usePathname } from 'next/navigation';
import { useEffect, useRef } from 'react';
import { StatusMark } from '../status/StatusMark';
import { useModel } from './modelStore';
import { STATIONS } from './stations';
import { useVerdict } from './verdict';

/** Name of the model and the strip of stations, in the order of the work. */
export function ModelHeader() {
  const { id, setup, evidence, past, undo, version, saving } = useModel((s) => s);
  const open = useModel((s) => s.unsaved !== undefined || s.conflict !== undefined);
  const { findings, visiting } = useVerdict();
  const here = usePathname().split('/')[3];
  const strip = useRef<HTMLOListElement>(null);
  useEffect(() => {
    // On a narrow screen the station in hand must not hide beyond the edge of the strip.
    const current = strip.current?.querySelector<HTMLElement>('[aria-current]');
    if (current) strip.current!.scrollLeft = current.offsetLeft - 24;
  }, [here]);
  return (
    <div className="mb-4 print:hidden">
      <div className="flex flex-wrap items-center justify-between gap-2 py-2">
        <h1 className="min-w-0 text-2xl font-bold wrap-anywhere">{setup.name}</h1>
        <div className="flex items-center gap-2">
          <span className="text-soft text-sm" aria-live="polite">
            {saving > 0
              ? 'Saving …'
              : open
                ? `Not saved, version ${version}`
                : `Saved, version ${version}`}
          </span>
          <button
            type="button"
            className="btn"
            onClick={undo}
            disabled={past.length === 0}
            aria-label="Undo the last change"
          >
            <Undo2 size={18} aria-hidden />
          </button>
          <a href={`/api/models/${id}/export`} className="btn" aria-label="Save as a Setup file">
            <Download size={18} aria-hidden />
          </a>
        </div>
      </div>
      <nav aria-label="Stations of the job">
        <ol ref={strip} className="relative flex gap-1 overflow-x-auto pb-1 lg:flex-wrap">
          {STATIONS.map((station) => {
            const status = station.status?.(
              setup,
              evidence,
              visiting === undefined ? findings : undefined,
            );
            const current = station.id === here;
            return (
              <li key={station.id} className="shrink-0">
                <Link
                  href={`/models/${id}/${station.id}`}
                  aria-current={current ? 'page' : undefined}
                  className={`flex min-h-11 items-center gap-2 border-b-4 px-2.5 ${
                    current ? 'border-accent bg-card font-bold' : 'border-edge'
                  }`}
                >
                  {station.title}
                  {status && <StatusMark status={status} quiet />}
                </Link>
              </li>
            );
          })}
        </ol>
      </nav>
    </div>
  );
}
