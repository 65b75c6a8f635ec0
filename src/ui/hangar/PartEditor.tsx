'use client';

import { Copy } from 'lucide-react';
import { Link } from '../parts/Link';
import { useRouter } from 'next/navigation';
import { useEffect, useMemo, useState } from 'react';
import { applyPatch, difference, type PatchOperation } from '@/core/patch';
import { kindEntry, parsePart, type Part, type Problem } from '@/core/setup';
import type { HangarPart } from '@/server/hangar';
import { send } from '../open/send';
import { RigBench } from '../rig/RigBench';
import { RigProvider } from '../live/rigStore';
import { TransmitterEditor } from '../transmitter/TransmitterEditor';
import { UnitEditor } from '../unit/UnitEditor';
import { UnitGuideCard } from '../unit/UnitGuideCard';
import { AskOnTable } from './AskOnTable';
import { Differences } from './Differences';
import { partSaver, type SaveState } from './partSaver';
import { previewFor } from './preview';
import { Select } from '../parts/Select';

interface Origin {
  id: string;
  name: string;
  body: Part['body'];
}

/** One unit or transmitter of the hangar: described, read on one page, tried on the bench. */
export function PartEditor({ part: first, origins }: { part: HangarPart; origins: Origin[] }) {
  const router = useRouter();
  const [part, setPart] = useState(first);
  const [state, setState] = useState<SaveState>({ saving: false, problem: '' });
  const [saver] = useState(() =>
    partSaver<HangarPart>(
      ({ id, body, copyOf }, basedOn) =>
        send('PUT', `/api/hangar/${id}`, { basedOn, body, ...(copyOf ? { copyOf } : {}) }),
      first.revision,
      setState,
    ),
  );
  const unsaved = state.saving || state.problem !== '';
  useEffect(() => {
    if (!unsaved) return;
    const ask = (event: BeforeUnloadEvent) => event.preventDefault();
    window.addEventListener('beforeunload', ask);
    return () => window.removeEventListener('beforeunload', ask);
  }, [unsaved]);
  const [view, setView] = useState<'page' | 'change' | 'try'>(first.shipped ? 'page' : 'change');
  const preview = useMemo(() => (view === 'try' ? previewFor(part) : undefined), [part, view]);
  const origin = origins.find((o) => o.id === part.copyOf);
  const differs = useMemo(
    () => (origin ? difference(origin.body, part.body).length : 0),
    [origin, part.body],
  );

  const save = (next: HangarPart) => {
    setPart(next);
    void saver.save(next);
  };
  const change = (patch: readonly PatchOperation[]): Problem[] => {
    const next = parsePart({
      id: part.id,
      kind: part.kind,
      ...(part.copyOf ? { copyOf: part.copyOf } : {}),
      body: applyPatch(part.body, patch),
    });
    if (!next.ok) return next.problems;
    save({ ...next.value, shipped: part.shipped, revision: part.revision } as HangarPart);
    return [];
  };
  const copy = async () => {
    const reply = await send<{ id: string }>('POST', '/api/hangar', { copy: part.id });
    if (reply.ok) router.push(`/hangar/${reply.value.id}`);
  };
  const views = [
    ['page', 'On one page'],
    ['change', 'Describe it'],
    ['try', 'Try it'],
  ] as const;

  return (
    <>
      <div className="my-4 flex flex-wrap items-start justify-between gap-3">
        <div>
          <p className="text-sm">
            <Link href="/hangar" className="underline">
              Hangar
            </Link>
          </p>
          <h1 className="text-3xl font-bold wrap-break-word">{part.body.name}</h1>
          <p className="text-soft text-sm" aria-live="polite">
            {part.shipped
              ? 'Ships with the app: copy it to change it.'
              : state.saving
                ? 'saving …'
                : state.problem
                  ? ''
                  : 'saved.'}
            {origin &&
              ` Copied from ${origin.name}; ${differs === 0 ? 'no difference yet' : `${differs} ${differs === 1 ? 'difference' : 'differences'}`}.`}
          </p>
        </div>
        <div className="flex flex-wrap gap-2">
          {part.kind === 'unit' && <AskOnTable part={part} />}
          <button type="button" className="btn" onClick={() => void copy()}>
            <Copy size={18} aria-hidden />
            Copy it
          </button>
        </div>
      </div>
      {state.problem && (
        <p role="alert" className="card border-stop text-stop mb-4">
          Not saved: {state.problem}. What you entered is still here.{' '}
          <button type="button" className="underline" onClick={() => save(part)}>
            Try again
          </button>
        </p>
      )}
      <div role="group" aria-label="Views" className="mb-4 flex flex-wrap gap-1">
        {views
          .filter(([id]) => !(id === 'change' && part.shipped))
          .filter(([id]) => !(id === 'page' && part.kind === 'transmitter' && !part.shipped))
          .map(([id, words]) => (
            <button
              key={id}
              type="button"
              className={`btn ${view === id ? 'btn-main' : ''}`}
              aria-pressed={view === id}
              onClick={() => setView(id)}
            >
              {words}
            </button>
          ))}
      </div>
      {view === 'page' &&
        (part.kind === 'unit' ? (
          <UnitGuideCard unit={part.body} />
        ) : (
          <TransmitterEditor
            transmitter={part.body}
            change={() => [{ path: '', reason: 'it ships with the app: copy it to change it' }]}
          />
        ))}
      {view === 'change' && (
        <div className="flex flex-col gap-4">
          {part.kind === 'unit' ? (
            <div className="card">
              <UnitEditor unit={part.body} change={change} />
            </div>
          ) : (
            <TransmitterEditor transmitter={part.body} change={change} />
          )}
          <label className="card text-sm font-semibold">
            Compared with
            <Select
              value={part.copyOf ?? ''}
              onChange={(e) => {
                const { copyOf: _, ...rest } = part;
                save((e.target.value ? { ...rest, copyOf: e.target.value } : rest) as HangarPart);
              }}
            >
              <option value="">nothing</option>
              {origins.map((o) => (
                <option key={o.id} value={o.id}>
                  {o.name}
                </option>
              ))}
            </Select>
          </label>
          {origin && <Differences part={part} other={origin} />}
        </div>
      )}
      {view === 'try' &&
        (preview ? (
          <>
            <p className="mb-3">
              On an example ({kindEntry(preview.airframe.kind).title.toLowerCase()}) with “
              {preview.transmitter.name}”. Flick its switches: the light and the surfaces answer.
            </p>
            <RigProvider setup={preview}>
              <RigBench />
            </RigProvider>
          </>
        ) : (
          <p className="card">
            No example model suits it as described: a plug or a channel is missing somewhere.
          </p>
        ))}
    </>
  );
}
