'use client';

import type { PreflightItem } from '@/core/preflight';
import { CHANGED_MEANWHILE, keepFor } from '../words';

/** How a check ended, before it is kept. */
export function RunResult({
  wrong,
  early,
  version,
  changed,
  busy,
  where,
  onKeep,
  onForget,
}: {
  wrong: readonly PreflightItem[];
  /** Something was not checked. */
  early: boolean;
  /** The version it was begun on. */
  version: number;
  /** What was changed elsewhere meanwhile. */
  changed: readonly string[] | undefined;
  busy: boolean;
  /** Place, wind and battery, to be filled in still. */
  where: React.ReactNode;
  onKeep: (anyway: boolean) => void;
  onForget: () => void;
}) {
  return (
    <section className="card mx-auto max-w-2xl" aria-labelledby="result-title">
      <h2 id="result-title" className="text-2xl font-bold">
        {wrong.length > 0
          ? `Stopped: ${wrong.length} wrong. The model stays on the ground`
          : early
            ? 'Stopped early'
            : 'Everything is correct'}
      </h2>
      <ul className="text-stop mt-2 list-disc pl-6">
        {wrong.map((f) => (
          <li key={f.item}>{f.does}</li>
        ))}
      </ul>
      <div className="mt-3 grid gap-2 @lg:grid-cols-3">{where}</div>
      <div className="mt-4 flex gap-2">
        <button
          type="button"
          className="btn btn-main"
          disabled={busy}
          onClick={() => onKeep(false)}
        >
          Keep it
        </button>
        <button type="button" className="btn" disabled={busy} onClick={onForget}>
          Discard it
        </button>
      </div>
      {changed && (
        <div role="alert" className="border-stop mt-4 border-l-4 pl-3">
          <p>
            <strong>{CHANGED_MEANWHILE}</strong> the check was begun on version {version}; since
            then {changed.join(', ')} changed elsewhere.
          </p>
          <div className="mt-2 flex flex-wrap gap-2">
            <button type="button" className="btn btn-main" onClick={onForget}>
              Check again
            </button>
            <button type="button" className="btn" disabled={busy} onClick={() => onKeep(true)}>
              {keepFor(version)}
            </button>
          </div>
        </div>
      )}
    </section>
  );
}
