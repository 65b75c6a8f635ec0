'use client';

import { Archive } from 'lucide-react';
import { Link } from '../parts/Link';
import { useEffect, useState } from 'react';
import { toast } from '../parts/toast';
import type { PartKind } from '@/core/setup';
import type { HangarPart } from '@/server/hangar';
import { send } from '../open/send';
import { useModel } from '../open/modelStore';
import { Refusals, useRefit } from '../open/useRefit';
import { Select } from '../parts/Select';

const WORDS: Record<PartKind, string> = { unit: 'unit', transmitter: 'transmitter' };

/** Fits another part from the hangar to this model, or keeps this one there for the next. */
export function FitPart({ kind }: { kind: PartKind }) {
  const setup = useModel((s) => s.setup);
  const [parts, setParts] = useState<HangarPart[]>();
  const [chosen, setChosen] = useState('');
  const { take, refused } = useRefit();
  const [asked, setAsked] = useState(0);
  useEffect(() => {
    let gone = false;
    void send<HangarPart[]>('GET', '/api/hangar', undefined).then((reply) => {
      if (reply.ok && !gone) setParts(reply.value);
    });
    return () => {
      gone = true;
    };
  }, [asked]);
  const fit = () => {
    const part = parts?.find((p) => p.id === chosen);
    if (!part) return;
    const change = part.kind === 'unit' ? { unit: part.body } : { transmitter: part.body };
    if (take(change, `Fitted: ${part.body.name}`)) setChosen('');
  };
  const keep = async () => {
    const reply = await send<{ id: string }>('POST', '/api/hangar', { kind, body: setup[kind] });
    if (reply.ok) {
      toast.success(`Kept in the hangar: ${setup[kind].name}`);
      setAsked(asked + 1);
    } else toast.error(`Not kept: ${reply.problems.map((p) => p.reason).join('; ')}`);
  };
  return (
    <section className="card" aria-label={`Another ${WORDS[kind]}`}>
      <div className="flex flex-wrap items-end gap-2">
        <label className="min-w-56 flex-1 text-sm font-semibold">
          Fit another {WORDS[kind]} to this model
          <Select value={chosen} onChange={(e) => setChosen(e.target.value)}>
            <option value="">now: {setup[kind].name}</option>
            {(parts ?? [])
              .filter((p) => p.kind === kind)
              .map((p) => (
                <option key={p.id} value={p.id}>
                  {p.body.name}
                  {p.shipped ? '' : ' (yours)'}
                </option>
              ))}
          </Select>
        </label>
        <button type="button" className="btn btn-main" disabled={!chosen} onClick={fit}>
          Fit it and plan again
        </button>
        <button type="button" className="btn" onClick={() => void keep()}>
          <Archive size={18} aria-hidden />
          Keep this one in the hangar
        </button>
        <Link href="/hangar" className="btn">
          To the hangar
        </Link>
      </div>
      {chosen && (
        <p className="text-soft mt-2 text-sm">
          Channels and program are planned again; reversals, ends, subtrims and rates of functions
          that stay go with them. Undo brings the old one back.
        </p>
      )}
      <Refusals reasons={refused} />
    </section>
  );
}
