'use client';

import { Check, X } from 'lucide-react';
import { useState } from 'react';
import { toast } from 'sonner';
import { preflightCard } from '@/core/preflight';
import { useKeys } from '../frame/keys';
import { newUid } from '../frame/uid';
import { useDraft } from '../frame/useDraft';
import { useModel } from '../frame/modelStore';
import { cautionWords } from '../job/words';
import { PaperLinks } from '../paper/PaperLinks';
import { Said } from '../measure/Said';

type Answers = Record<string, 'pass' | 'fail'>;

/** A check that has been begun: still there after a reload, at whichever line it was. */
interface Run {
  /** Names the line of the log it becomes: sent twice, it is kept once. */
  uid: string;
  version: number;
  at: number;
  answers: Answers;
  where: { place: string; wind: string; battery: string };
}

/** Before every flight or run: one check at a time, large, for a phone beside the model. */
export function PreflightStation() {
  const id = useModel((s) => s.id);
  const setup = useModel((s) => s.setup);
  const version = useModel((s) => s.version);
  const preflight = useModel((s) => s.preflight);
  const card = preflightCard(setup);
  const [run, setRun, forgetRun] = useDraft<Run | undefined>(`preflight:${id}`, undefined);
  const [busy, setBusy] = useState(false);
  const [changed, setChanged] = useState<string[]>();
  const [kept, setKept] = useState<string>();
  const answers = run?.answers ?? {};
  const at = run?.at;
  const [before, setBefore] = useState<Run['where']>({ place: '', wind: '', battery: '' });
  const where = run?.where ?? before;
  const running = at !== undefined && at < card.length;
  const item = running ? card[at]! : undefined;
  const failed = card.filter((c) => answers[c.item] === 'fail');
  const setAt = (next: number) => run && setRun({ ...run, at: next });
  const begin = () => setRun({ uid: newUid(), version, at: 0, answers: {}, where });
  const put = async (anyway: boolean, whole = run) => {
    if (!whole || busy) return;
    setBusy(true);
    const { uid, version: on, answers: said } = whole;
    const done = await preflight({ ...whole.where, answers: said, uid, version: on }, anyway);
    setBusy(false);
    if (typeof done === 'object') return setChanged(done.changed);
    setChanged(undefined);
    if (!done) return;
    const words = card.every((c) => said[c.item] === 'pass')
      ? 'All as it must be. Kept in the logbook.'
      : `${failed.length} wrong. Kept in the logbook; the model stays on the ground.`;
    toast.success(words);
    setKept(words);
    forgetRun();
  };
  const answer = (seen: 'pass' | 'fail') => {
    if (!item || !run) return;
    const next = { ...run, answers: { ...answers, [item.item]: seen }, at: run.at + 1 };
    setRun(next);
    // All of it right is kept as it is; what went wrong is looked at first.
    const whole = card.every((c) => next.answers[c.item] === 'pass');
    if (next.at === card.length && whole) void put(false, next);
  };
  useKeys((event, phase) => {
    if (phase === 'up' || !running) return false;
    if (event.key === 'y') answer('pass');
    else if (event.key === 'x') answer('fail');
    else if (event.key === 'Backspace') setAt(Math.max(0, (at ?? 0) - 1));
    else return false;
    return true;
  }, true);
  const text = (key: keyof typeof where, label: string) => (
    <label className="text-sm font-semibold">
      {label}
      <input
        className="field font-normal"
        maxLength={60}
        value={where[key]}
        onChange={(e) => {
          const next = { ...where, [key]: e.target.value };
          if (run) setRun({ ...run, where: next });
          else setBefore(next);
        }}
      />
    </label>
  );

  if (item)
    return (
      <section className="card mx-auto flex min-h-[60vh] max-w-2xl flex-col" aria-live="polite">
        <p className="text-soft">
          {at! + 1} of {card.length}
        </p>
        {item.item === 'run-up' && (
          <p className="border-caution mt-2 border-l-4 pl-3 font-semibold">
            {cautionWords('hold', setup.airframe)} {cautionWords('clear-behind', setup.airframe)}
          </p>
        )}
        <h2 className="mt-2 text-2xl font-bold">
          <Said>{item.does}</Said>
        </h2>
        <ul className="mt-3 list-disc pl-6 text-xl">
          {item.sees.map((s) => (
            <li key={s}>
              <Said>{s}</Said>
            </li>
          ))}
        </ul>
        <div className="mt-auto grid grid-cols-2 gap-3 pt-6">
          <button
            type="button"
            className="btn btn-main min-h-24 text-2xl"
            onClick={() => answer('pass')}
          >
            <Check size={32} aria-hidden /> Yes, correct
          </button>
          <button type="button" className="btn min-h-24 text-2xl" onClick={() => answer('fail')}>
            <X size={32} aria-hidden /> No, wrong
          </button>
        </div>
        <div className="mt-3 flex justify-between">
          <button type="button" className="btn" onClick={() => setAt(Math.max(0, at! - 1))}>
            back one
          </button>
          <button type="button" className="btn" onClick={() => setAt(card.length)}>
            break off
          </button>
        </div>
        <p className="text-soft mt-2 text-sm">
          Keys: y yes, x no, Backspace takes the last answer back.
        </p>
      </section>
    );

  if (at !== undefined)
    return (
      <section className="card mx-auto max-w-2xl" aria-labelledby="result-title">
        <h2 id="result-title" className="text-2xl font-bold">
          {failed.length > 0
            ? `Stopped: ${failed.length} wrong. The model stays on the ground`
            : Object.keys(answers).length < card.length
              ? 'Broken off'
              : 'All as it must be'}
        </h2>
        <ul className="text-stop mt-2 list-disc pl-6">
          {failed.map((f) => (
            <li key={f.item}>{f.does}</li>
          ))}
        </ul>
        <div className="mt-3 grid gap-2 @lg:grid-cols-3">
          {text('place', 'Place')}
          {text('wind', 'Wind')}
          {text('battery', 'Battery')}
        </div>
        <div className="mt-4 flex gap-2">
          <button
            type="button"
            className="btn btn-main"
            disabled={busy}
            onClick={() => void put(false)}
          >
            Keep it
          </button>
          <button type="button" className="btn" disabled={busy} onClick={forgetRun}>
            Throw it away
          </button>
        </div>
        {changed && (
          <div role="alert" className="border-stop mt-4 border-l-4 pl-3">
            <p>
              <strong>Changed while you looked:</strong> the check was begun on version{' '}
              {run?.version}; since then {changed.join(', ')} changed elsewhere.
            </p>
            <div className="mt-2 flex flex-wrap gap-2">
              <button type="button" className="btn btn-main" onClick={forgetRun}>
                Check again
              </button>
              <button type="button" className="btn" disabled={busy} onClick={() => void put(true)}>
                Keep it for version {run?.version}
              </button>
            </div>
          </div>
        )}
      </section>
    );

  return (
    <div className="flex flex-col gap-4">
      {kept && (
        <p role="status" className="card text-lg">
          {kept}
        </p>
      )}
      <div className="flex flex-wrap items-end gap-2 print:hidden">
        {text('place', 'Place')}
        {text('wind', 'Wind')}
        {text('battery', 'Battery')}
        <button type="button" className="btn btn-main text-lg" onClick={begin}>
          Go through it now
        </button>
        <PaperLinks what="preflight" words="Card" papers={['A6', 'A5', 'A4', 'LETTER']} />
      </div>
      <section className="card" aria-labelledby="card-title">
        <h2 id="card-title" className="text-xl font-bold">
          Preflight card
        </h2>
        <ol className="mt-2 grid gap-x-8 @2xl:grid-cols-2">
          {card.map((c, i) => (
            <li key={c.item} className="border-t border-(--card-edge) py-2">
              <p className="font-semibold">
                {i + 1}. {c.does}
              </p>
              <p className="text-soft">{c.sees.join('; ')}</p>
            </li>
          ))}
        </ol>
      </section>
    </div>
  );
}
