'use client';

import { Copy, Download, Trash2 } from 'lucide-react';
import { Link } from '../parts/Link';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { describeProblem } from '@/core/setup';
import type { HangarPart } from '@/server/hangar';
import { FileButton } from '../fields/FileButton';
import { send } from '../open/send';

/** Units and transmitters, one's own first: to be copied, changed, and fitted to models. */
export function HangarShelf({ parts }: { parts: HangarPart[] }) {
  const router = useRouter();
  const [problems, setProblems] = useState<string[]>([]);
  const [leaving, setLeaving] = useState<string>();
  const name = (id: string) => parts.find((p) => p.id === id)?.body.name ?? 'a part no longer here';
  const copy = async (id: string) => {
    const reply = await send<{ id: string }>('POST', '/api/hangar', { copy: id });
    if (reply.ok) router.push(`/hangar/${reply.value.id}`);
    else setProblems(reply.problems.map(describeProblem));
  };
  const remove = async (id: string) => {
    const reply = await send('DELETE', `/api/hangar/${id}`, undefined);
    setLeaving(undefined);
    if (reply.ok) router.refresh();
    else setProblems(reply.problems.map(describeProblem));
  };
  return (
    <>
      <div className="my-4 flex flex-wrap items-start justify-between gap-3">
        <h1 className="text-3xl font-bold">Hangar</h1>
        <div className="flex flex-wrap gap-2">
          <a href="/api/hangar/export" download className="btn">
            <Download size={18} aria-hidden />
            Save yours as a file
          </a>
          <FileButton
            words="Open a hangar file"
            label="Hangar file"
            onFile={async (file) => {
              const text = await file.text();
              const reply = await send('POST', '/api/hangar/import', text);
              setProblems(reply.ok ? [] : reply.problems.slice(0, 8).map(describeProblem));
              if (reply.ok) router.refresh();
            }}
          />
        </div>
      </div>
      <p className="text-soft max-w-3xl">
        Units and transmitters, to be fitted to any model. The ones that ship with the app stay as
        they are: copy the one most like yours and change the copy. A model keeps what it was fitted
        with, whatever happens to the part here.
      </p>
      {problems.length > 0 && (
        <div role="alert" className="card border-stop mt-3">
          <p className="text-stop font-semibold">Nothing changed.</p>
          <ul className="list-disc pl-5 text-sm">
            {problems.map((p) => (
              <li key={p} className="wrap-break-word">
                {p}
              </li>
            ))}
          </ul>
        </div>
      )}
      {(['unit', 'transmitter'] as const).map((kind) => (
        <section key={kind} aria-labelledby={`${kind}s`} className="mt-6">
          <h2 id={`${kind}s`} className="text-xl font-bold">
            {kind === 'unit' ? 'Units' : 'Transmitters'}
          </h2>
          <ul className="mt-2 grid gap-3 md:grid-cols-2 xl:grid-cols-3">
            {parts
              .filter((p) => p.kind === kind)
              .map((p) => (
                <li key={p.id} className="card flex flex-col gap-2">
                  <div>
                    <Link
                      href={`/hangar/${p.id}`}
                      className="font-head text-lg font-bold wrap-break-word hover:underline"
                    >
                      {p.body.name}
                    </Link>
                    <p className="text-soft text-sm">
                      {p.shipped
                        ? 'ships with the app'
                        : p.copyOf
                          ? `yours, copied from ${name(p.copyOf)}`
                          : 'yours'}
                    </p>
                  </div>
                  <p className="line-clamp-3 text-sm">{p.body.description}</p>
                  <div className="mt-auto flex flex-wrap gap-2">
                    <button type="button" className="btn text-sm" onClick={() => void copy(p.id)}>
                      <Copy size={16} aria-hidden />
                      Copy
                      <span className="sr-only"> {p.body.name}</span>
                    </button>
                    {!p.shipped &&
                      (leaving === p.id ? (
                        <button
                          type="button"
                          className="btn text-stop text-sm"
                          onClick={() => void remove(p.id)}
                        >
                          Really remove {p.body.name}: models keep theirs
                        </button>
                      ) : (
                        <button
                          type="button"
                          className="btn text-sm"
                          onClick={() => setLeaving(p.id)}
                        >
                          <Trash2 size={16} aria-hidden />
                          Take out
                          <span className="sr-only"> {p.body.name}</span>
                        </button>
                      ))}
                  </div>
                </li>
              ))}
          </ul>
        </section>
      ))}
    </>
  );
}
