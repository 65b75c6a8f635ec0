'use client';

import { useEffect, useState } from 'react';
import { useForm, useWatch } from 'react-hook-form';
import { toast } from '../parts/toast';
import type { LogEntry } from '@/core/logbook';
import { kindOf } from '@/core/setup';
import { Choice } from '../fields/Choice';
import { keep, readKept } from '../open/keep';
import { useModel } from '../open/modelStore';
import { send } from '../open/send';
import { newUid } from '../open/uid';

interface Fields {
  kind: 'flight' | 'maintenance' | 'note';
  at: string;
  title: string;
  place: string;
  wind: string;
  battery: string;
  minutes: string;
  mode: string;
  gainReading: string;
  seen: string;
  trims: string;
}

const EMPTY: Omit<Fields, 'at' | 'kind'> = {
  title: '',
  place: '',
  wind: '',
  battery: '',
  minutes: '',
  mode: '',
  gainReading: '',
  seen: '',
  trims: '',
};

/** Local date and time as the field wants it. */
function nowLocal(): string {
  const now = new Date();
  return new Date(now.getTime() - now.getTimezoneOffset() * 60_000).toISOString().slice(0, 16);
}

/** A line for the log: a flight or run, work done, or a note. What is being written outlives a reload. */
export function NewEntry({ onKept }: { onKept: () => void }) {
  const id = useModel((s) => s.id);
  const refresh = useModel((s) => s.refresh);
  const ground = useModel((s) => kindOf(s.setup.airframe).outing === 'run');
  const draft = `log:${id}`;
  const { register, handleSubmit, control, setValue, reset } = useForm<Fields>({
    defaultValues: { kind: 'flight', at: nowLocal(), ...EMPTY },
  });
  // The same line sent twice, by a double click say, is kept once.
  const [uid, setUid] = useState(newUid);
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string>();
  useEffect(() => {
    const kept = readKept<Fields>(draft);
    if (kept) reset(kept);
  }, [draft, reset]);
  const now = useWatch({ control });
  useEffect(() => {
    const written = Object.entries(now).some(
      ([name, value]) => name !== 'at' && name !== 'kind' && value,
    );
    keep(draft, written ? now : undefined);
  }, [draft, now]);
  const kind = now.kind ?? 'flight';
  const put = handleSubmit(async ({ at, minutes, ...rest }) => {
    if (busy) return;
    setBusy(true);
    setProblem(undefined);
    const given = Object.fromEntries(
      Object.entries(rest).filter(([, value]) => value.trim() !== ''),
    );
    const reply = await send<LogEntry>('POST', `/api/models/${id}/log`, {
      ...given,
      uid,
      title: rest.title.trim() || (kind === 'flight' ? (ground ? 'Run' : 'Flight') : 'Work'),
      at: new Date(at).toISOString(),
      ...(minutes === '' ? {} : { minutes: Number(minutes) }),
    });
    setBusy(false);
    if (!reply.ok) {
      setProblem(reply.problems.map((p) => `${p.path.slice(1)} ${p.reason}`.trim()).join('; '));
      return;
    }
    setUid(newUid());
    toast.success('Kept.');
    reset({ kind, at: nowLocal(), ...EMPTY, place: rest.place });
    onKept();
    void refresh();
  });
  const text = (name: keyof Fields, label: string, most = 60) => (
    <label className="min-w-0 text-sm font-semibold">
      {label}
      <input className="field font-normal" maxLength={most} {...register(name)} />
    </label>
  );
  return (
    <form className="card flex flex-col gap-2" onSubmit={put} aria-labelledby="entry-title">
      <h2 id="entry-title" className="text-lg font-bold">
        Write down
      </h2>
      <Choice
        label="Kind of line"
        hideLabel
        value={kind}
        options={[
          ['flight', ground ? 'A run' : 'A flight'],
          ['maintenance', 'Work'],
          ['note', 'A note'],
        ]}
        onChange={(k) => setValue('kind', k)}
      />
      <label className="text-sm font-semibold">
        When
        <input
          type="datetime-local"
          className="field font-normal"
          {...register('at', { required: true })}
        />
      </label>
      {text('title', kind === 'flight' ? 'In a word' : 'What', 120)}
      {kind === 'flight' && (
        <div className="grid grid-cols-2 gap-2">
          {text('place', 'Place')}
          {text('wind', 'Wind')}
          {text('battery', 'Battery')}
          <label className="text-sm font-semibold">
            Minutes
            <input
              type="number"
              min={0}
              max={1000}
              step={0.5}
              className="field font-normal"
              {...register('minutes')}
            />
          </label>
          {text('mode', 'Mode')}
          {text('gainReading', 'Gain read off the monitor', 40)}
        </div>
      )}
      <label className="text-sm font-semibold">
        What was seen
        <textarea className="field h-20 font-normal" maxLength={4000} {...register('seen')} />
      </label>
      {kind === 'flight' && text('trims', 'Trims afterwards', 200)}
      {problem && (
        <p role="alert" className="text-stop wrap-break-word">
          This line is not in the log yet: {problem}. What you wrote is still here.
        </p>
      )}
      <button type="submit" className="btn btn-main self-start" disabled={busy}>
        Keep it
      </button>
    </form>
  );
}
