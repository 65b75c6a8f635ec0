'use client';

import { Check, X } from 'lucide-react';
import { useState } from 'react';
import { toast } from 'sonner';
import { preflightCard } from '@/core/preflight';
import { useKeys } from '../frame/keys';
import { useModel } from '../frame/modelStore';
import { CAUTION_WORDS } from '../job/words';
import { PaperLinks } from '../paper/PaperLinks';

type Answers = Record<string, 'pass' | 'fail'>;

/** Before every flight or run: one check at a time, large, for a phone beside the model. */
export function PreflightStation() {
  const { setup, preflight } = useModel((s) => s);
  const card = preflightCard(setup);
  const [answers, setAnswers] = useState<Answers>({});
  const [at, setAt] = useState<number>();
  const [where, setWhere] = useState({ place: '', wind: '', battery: '' });
  const [kept, setKept] = useState<string>();
  const running = at !== undefined && at < card.length;
  const item = running ? card[at]! : undefined;
  const failed = card.filter((c) => answers[c.item] === 'fail');
  const answer = (seen: 'pass' | 'fail') => {
    if (!item || at === undefined) return;
    setAnswers({ ...answers, [item.item]: seen });
    setAt(at + 1);
  };
  useKeys((event, phase) => {
    if (phase === 'up' || !running) return;
    if (event.key === 'y') answer('pass');
    else if (event.key === 'n') answer('fail');
    else if (event.key === 'Backspace') setAt(Math.max(0, (at ?? 0) - 1));
  });
  const keep = async () => {
    if (!(await preflight({ ...where, answers }))) return;
    const words =
      failed.length === 0 && Object.keys(answers).length === card.length
        ? 'All as it must be. Kept in the log.'
        : `${failed.length} not so. Kept in the log: it does not go out like this.`;
    toast.success(words);
    setKept(words);
    setAnswers({});
    setAt(undefined);
  };
  const text = (key: keyof typeof where, label: string) => (
    <label className="text-sm font-semibold">
      {label}
      <input
        className="field font-normal"
        maxLength={60}
        value={where[key]}
        onChange={(e) => setWhere({ ...where, [key]: e.target.value })}
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
            {CAUTION_WORDS.hold} {CAUTION_WORDS['clear-behind']}
          </p>
        )}
        <h2 className="mt-2 text-2xl font-bold">{item.does}</h2>
        <ul className="mt-3 list-disc pl-6 text-xl">
          {item.sees.map((s) => (
            <li key={s}>{s}</li>
          ))}
        </ul>
        <div className="mt-auto grid grid-cols-2 gap-3 pt-6">
          <button
            type="button"
            className="btn btn-main min-h-24 text-2xl"
            onClick={() => answer('pass')}
          >
            <Check size={32} aria-hidden /> So it is
          </button>
          <button type="button" className="btn min-h-24 text-2xl" onClick={() => answer('fail')}>
            <X size={32} aria-hidden /> Not so
          </button>
        </div>
        <div className="mt-3 flex justify-between">
          <button type="button" className="btn" onClick={() => setAt(Math.max(0, at! - 1))}>
            one back
          </button>
          <button type="button" className="btn" onClick={() => setAt(card.length)}>
            break off
          </button>
        </div>
        <p className="text-soft mt-2 text-sm">Keys: Y so it is, N not so, Backspace one back.</p>
      </section>
    );

  if (at !== undefined)
    return (
      <section className="card mx-auto max-w-2xl" aria-labelledby="result-title">
        <h2 id="result-title" className="text-2xl font-bold">
          {failed.length > 0
            ? `${failed.length} not so: it does not go out like this`
            : Object.keys(answers).length < card.length
              ? 'Broken off'
              : 'All as it must be'}
        </h2>
        <ul className="text-stop mt-2 list-disc pl-6">
          {failed.map((f) => (
            <li key={f.item}>{f.does}</li>
          ))}
        </ul>
        <div className="mt-3 grid gap-2 sm:grid-cols-3">
          {text('place', 'Place')}
          {text('wind', 'Wind')}
          {text('battery', 'Battery')}
        </div>
        <div className="mt-4 flex gap-2">
          <button type="button" className="btn btn-main" onClick={keep}>
            Keep it
          </button>
          <button type="button" className="btn" onClick={() => setAt(undefined)}>
            Throw it away
          </button>
        </div>
      </section>
    );

  return (
    <div className="flex flex-col gap-4">
      {kept && (
        <p role="status" className="card text-lg">
          {kept}
        </p>
      )}
      <div className="flex flex-wrap gap-2 print:hidden">
        <button type="button" className="btn btn-main text-lg" onClick={() => setAt(0)}>
          Go through it now
        </button>
        <PaperLinks what="preflight" words="Card" papers={['A6', 'A5', 'A4', 'LETTER']} />
      </div>
      <section className="card" aria-labelledby="card-title">
        <h2 id="card-title" className="text-xl font-bold">
          Preflight card
        </h2>
        <ol className="mt-2 grid gap-x-8 md:grid-cols-2">
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
