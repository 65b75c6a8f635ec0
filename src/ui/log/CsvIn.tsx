'use client';

import { useState } from 'react';
import { toast } from '../parts/toast';
import { textOf } from '@/core/formats/decode';
import type { LogPreview } from '@/server/log-csv';
import { FileButton } from '../fields/FileButton';
import { useModel } from '../open/modelStore';
import { reasonsOf, send } from '../open/send';
import { Over, OverClose } from '../parts/Over';
import { NotTaken } from '../parts/NotTaken';

interface Looked {
  text: string;
  dates: string | undefined;
  preview: LogPreview;
}

/** Looks at a CSV first, asks what cannot be told from it, and takes it in. */
export function CsvIn({ onTaken }: { onTaken: () => void }) {
  const path = `/api/models/${useModel((s) => s.id)}/log/import`;
  const [looked, setLooked] = useState<Looked>();
  const [problems, setProblems] = useState<string[]>([]);
  const [busy, setBusy] = useState(false);
  const look = async (text: string, dates?: string) => {
    setLooked(undefined);
    setProblems([]);
    const query = dates ? `?dates=${dates}` : '';
    const reply = await send<LogPreview>('POST', `${path}${query}`, text);
    if (!reply.ok) return setProblems([reasonsOf(reply.problems)]);
    const preview = reply.value;
    if (preview.problems.length > 0)
      return setProblems(preview.problems.map((p) => `line ${p.line}: ${p.reason}`));
    setLooked({ text, dates, preview });
  };
  const take = async ({ text, dates }: Looked) => {
    if (busy) return;
    setBusy(true);
    const query = dates ? `&dates=${dates}` : '';
    const reply = await send<{ added: number; known: number }>(
      'POST',
      `${path}?confirm=yes${query}`,
      text,
    );
    setBusy(false);
    setLooked(undefined);
    if (!reply.ok) return setProblems(reply.problems.map((p) => `${p.path} ${p.reason}`));
    toast.success(`${reply.value.added} lines added.`);
    onTaken();
  };
  const preview = looked?.preview;
  return (
    <>
      <FileButton
        words="Import CSV"
        label="Log as CSV"
        accept="text/csv,.csv"
        onFile={async (file) => look(textOf(new Uint8Array(await file.arrayBuffer())))}
      />
      <NotTaken problems={problems} />
      <Over
        open={looked !== undefined}
        onClose={() => setLooked(undefined)}
        title={preview?.askOrder ? 'Day or month first?' : 'Lines for the log'}
      >
        {preview?.askOrder ? (
          <>
            <p className="mt-2">
              This file has dates such as <strong className="num">{preview.askOrder}</strong>, and
              none that tells which number is the day.
            </p>
            <div className="mt-3 flex flex-wrap gap-2">
              <button
                type="button"
                className="btn btn-main"
                onClick={() => void look(looked!.text, 'day-first')}
              >
                The day comes first
              </button>
              <button
                type="button"
                className="btn"
                onClick={() => void look(looked!.text, 'month-first')}
              >
                The month comes first
              </button>
            </div>
          </>
        ) : (
          <>
            <p className="mt-2">
              {preview?.add === 0
                ? `All ${preview.known} lines are here already.`
                : `It adds ${preview?.add} lines; ${preview?.known} are here already.`}
            </p>
            <div className="mt-3 flex flex-wrap gap-2">
              {(preview?.add ?? 0) > 0 && (
                <button
                  type="button"
                  className="btn btn-main"
                  disabled={busy}
                  onClick={() => void take(looked!)}
                >
                  Add them
                </button>
              )}
              <OverClose>Cancel</OverClose>
            </div>
          </>
        )}
      </Over>
    </>
  );
}
