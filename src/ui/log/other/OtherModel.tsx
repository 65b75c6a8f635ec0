'use client';

import { useEffect, useState } from 'react';
import type { OtherModel as Other } from '@/server/other';
import { useModel } from '../../open/modelStore';
import { reasonsOf, send } from '../../open/send';
import { Select } from '../../parts/Select';
import { Parts } from './Parts';

interface Named {
  id: string;
  name: string;
}

/** Another model beside this one: a copy that went its own way, say. Each part is left or taken over. */
export default function OtherModel() {
  const id = useModel((s) => s.id);
  const [shelf, setShelf] = useState<readonly Named[]>([]);
  const [chosen, choose] = useState('');
  const [other, setOther] = useState<{ id: string; found: Other }>();
  const [problem, setProblem] = useState<string>();
  useEffect(() => {
    void send<Named[]>('GET', '/api/models', undefined).then((reply) => {
      if (reply.ok) setShelf(reply.value.filter((m) => m.id !== id));
      else setProblem(reasonsOf(reply.problems));
    });
  }, [id]);
  useEffect(() => {
    if (!chosen) return undefined;
    let gone = false;
    void send<Other>(
      'GET',
      `/api/models/${id}/other?${new URLSearchParams({ with: chosen })}`,
      undefined,
    ).then((reply) => {
      if (gone) return;
      setProblem(reply.ok ? undefined : reasonsOf(reply.problems));
      if (reply.ok) setOther({ id: chosen, found: reply.value });
    });
    return () => {
      gone = true;
    };
  }, [id, chosen]);
  return (
    <>
      <label className="block max-w-md text-sm font-semibold">
        the other model
        <Select value={chosen} onChange={(e) => choose(e.target.value)}>
          <option value="">choose …</option>
          {shelf.map((m) => (
            <option key={m.id} value={m.id}>
              {m.name}
            </option>
          ))}
        </Select>
      </label>
      {problem && <p className="text-stop mt-2">It could not be read: {problem}.</p>}
      {other && other.id === chosen && <Parts key={chosen} other={other.found} />}
    </>
  );
}
