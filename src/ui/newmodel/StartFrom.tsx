'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { readyOf, READY_IDS, type ReadyId } from '@/core/catalogue/ready';
import { reasonsOf, send } from '../open/send';
import { Select } from '../parts/Select';

/** A model from one that ships ready-made, or from one of one's own. */
export function StartFrom({ own }: { own: readonly { id: string; name: string }[] }) {
  const router = useRouter();
  const [refused, setRefused] = useState('');
  const [copyOf, setCopyOf] = useState(own[0]?.id ?? '');
  const start = async (path: string, body: unknown) => {
    const reply = await send<{ id: string }>('POST', path, body);
    if (reply.ok) router.push(`/models/${reply.value.id}/model`);
    else setRefused(reasonsOf(reply.problems));
  };
  const ready = (id: ReadyId) =>
    void start('/api/models/ready', { ready: id, name: readyOf(id).title });
  return (
    <section className="card mt-6" aria-labelledby="from-title">
      <h2 id="from-title" className="text-xl font-bold">
        Or start from a ready-made one
      </h2>
      <ul className="mt-2 grid gap-3 md:grid-cols-2">
        {READY_IDS.map((id) => (
          <li key={id}>
            <button
              type="button"
              className="btn h-full w-full flex-col items-start gap-0 py-2 text-left"
              onClick={() => ready(id)}
            >
              {readyOf(id).title}
              <span className="text-soft text-sm font-normal">{readyOf(id).says}</span>
            </button>
          </li>
        ))}
      </ul>
      {own.length > 0 && (
        <div className="mt-4 flex flex-wrap items-end gap-2">
          <label className="min-w-60 text-sm font-semibold">
            A copy of your own
            <Select value={copyOf} onChange={(e) => setCopyOf(e.target.value)}>
              {own.map(({ id, name }) => (
                <option key={id} value={id}>
                  {name}
                </option>
              ))}
            </Select>
          </label>
          <button
            type="button"
            className="btn"
            onClick={() => void start(`/api/models/${copyOf}/copy`, {})}
          >
            Copy it
          </button>
          <p className="text-soft text-sm">All settings are copied; bench results are not.</p>
        </div>
      )}
      {refused && (
        <p role="alert" className="text-stop mt-2 font-semibold">
          {refused}
        </p>
      )}
    </section>
  );
}
