'use client';

import { useState } from 'react';
import { toast } from '../parts/toast';
import { preflightRounds } from '@/core/preflight';
import { newUid } from '../open/uid';
import { useDraft } from '../open/useDraft';
import { useModel } from '../open/modelStore';
import { PaperLinks } from '../paper/PaperLinks';
import { Fold } from '../parts/Fold';
import { LocalisedMeasures } from '../measure/LocalisedMeasures';
import { RoundCard } from './RoundCard';
import { RunResult } from './RunResult';
import type { Answers, Run } from './run';

/** Before every flight or run: what is checked in one go, large, for a phone beside the model. */
export function PreflightStation() {
  const id = useModel((s) => s.id);
  const setup = useModel((s) => s.setup);
  const version = useModel((s) => s.version);
  const preflight = useModel((s) => s.preflight);
  const rounds = preflightRounds(setup);
  const card = rounds.flatMap((r) => r.items);
  const [run, setRun, forgetRun] = useDraft<Run | undefined>(`preflight-rounds:${id}`, undefined);
  const [busy, setBusy] = useState(false);
  const [changed, setChanged] = useState<string[]>();
  const [kept, setKept] = useState<string>();
  const [before, setBefore] = useState<Run['where']>({ place: '', wind: '', battery: '' });
  const where = run?.where ?? before;
  const round = run && rounds[run.at];
  const begin = () => setRun({ uid: newUid(), version, at: 0, answers: {}, where });
  const put = async (whole: Run, anyway: boolean) => {
    if (busy) return;
    setBusy(true);
    const { uid, version: on, answers: said } = whole;
    const done = await preflight({ ...whole.where, answers: said, uid, version: on }, anyway);
    setBusy(false);
    if (typeof done === 'object') return setChanged(done.changed);
    setChanged(undefined);
    if (!done) return;
    const wrong = card.filter((c) => said[c.item] === 'fail').length;
    const words = card.every((c) => said[c.item] === 'pass')
      ? 'Everything is correct. Kept in the logbook.'
      : `${wrong} wrong. Kept in the logbook; the model stays on the ground.`;
    toast.success(words);
    setKept(words);
    forgetRun();
  };
  const answer = (said: Answers) => {
    if (!run) return;
    const next = { ...run, answers: { ...run.answers, ...said }, at: run.at + 1 };
    setRun(next);
    // All of it right is kept as it is; what went wrong is checked first.
    const whole = card.every((c) => next.answers[c.item] === 'pass');
    if (next.at === rounds.length && whole) void put(next, false);
  };
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
  const wheres = (
    <>
      {text('place', 'Place')}
      {text('wind', 'Wind')}
      {text('battery', 'Battery')}
    </>
  );

  if (run && round)
    return (
      <RoundCard
        key={run.at}
        round={round}
        at={run.at + 1}
        of={rounds.length}
        onAnswer={answer}
        onBack={() => setRun({ ...run, at: Math.max(0, run.at - 1) })}
        onBreakOff={() => setRun({ ...run, at: rounds.length })}
      />
    );

  if (run)
    return (
      <RunResult
        card={card}
        answers={run.answers}
        version={run.version}
        changed={changed}
        busy={busy}
        where={wheres}
        onKeep={(anyway) => void put(run, anyway)}
        onForget={forgetRun}
      />
    );

  return (
    <div className="flex flex-col gap-4">
      {kept && (
        <p role="status" className="card text-lg">
          {kept}
        </p>
      )}
      <div className="flex flex-wrap items-end gap-2 print:hidden">
        <button type="button" className="btn btn-main min-h-14 text-lg" onClick={begin}>
          Go through it now
        </button>
        <span className="grid flex-1 grid-cols-3 gap-2">{wheres}</span>
      </div>
      <Fold className="card" title={`Preflight card: ${card.length} checks`} printed>
        <ol className="mt-2 gap-x-8 @2xl:columns-2">
          {rounds.map(({ title, items }) => (
            <li key={title} className="break-inside-avoid border-t border-(--card-edge) py-2">
              <h3 className="text-soft text-sm">{title}</h3>
              {items.map((c) => (
                <div key={c.item} className="mt-1">
                  <p className="font-semibold">
                    {card.indexOf(c) + 1}. <LocalisedMeasures>{c.does}</LocalisedMeasures>
                  </p>
                  <p className="text-soft">
                    <LocalisedMeasures>{c.sees.join('; ')}</LocalisedMeasures>
                  </p>
                </div>
              ))}
            </li>
          ))}
        </ol>
      </Fold>
      <p className="mt-3 flex flex-wrap gap-2 print:hidden">
        <PaperLinks what="preflight" words="Card" papers={['A6', 'A5', 'A4', 'LETTER']} />
      </p>
    </div>
  );
}
