'use client';

import { useState } from 'react';
import { toast } from '../parts/toast';
import {
  allRight,
  brokenOff,
  preflightAsked,
  roundAnswered,
  roundBefore,
  type PreflightRun,
} from '@/core/asking';
import { newUid } from '../open/uid';
import { useDraft } from '../open/useDraft';
import { useModel } from '../open/modelStore';
import { PaperLinks } from '../paper/PaperLinks';
import { Fold } from '../parts/Fold';
import { LocalisedMeasures } from '../measure/LocalisedMeasures';
import { RoundCard } from './RoundCard';
import { RunResult } from './RunResult';

/** Before every flight or run: what is checked in one go, large, for a phone beside the model. */
export function PreflightStation() {
  const id = useModel((s) => s.id);
  const setup = useModel((s) => s.setup);
  const version = useModel((s) => s.version);
  const preflight = useModel((s) => s.preflight);
  const [run, setRun, forgetRun] = useDraft<PreflightRun | undefined>(
    `preflight-rounds:${id}`,
    undefined,
  );
  const [busy, setBusy] = useState(false);
  const [changed, setChanged] = useState<string[]>();
  const [kept, setKept] = useState<string>();
  const [before, setBefore] = useState<PreflightRun['where']>({ place: '', wind: '', battery: '' });
  const where = run?.where ?? before;
  const asked = preflightAsked(setup, run);
  const { rounds, card } = asked;
  const begin = () => setRun({ uid: newUid(), version, at: 0, answers: {}, where });
  const put = async (whole: PreflightRun, anyway: boolean) => {
    if (busy) return;
    setBusy(true);
    const { uid, version: on, answers } = whole;
    const done = await preflight(
      { ...whole.where, answers: { ...answers }, uid, version: on },
      anyway,
    );
    setBusy(false);
    if (typeof done === 'object') return setChanged(done.changed);
    setChanged(undefined);
    if (!done) return;
    const ended = preflightAsked(setup, whole);
    const words = allRight(ended)
      ? 'Everything is correct. Kept in the logbook.'
      : `${ended.at === 'end' ? ended.wrong.length : 0} wrong. Kept in the logbook; the model stays on the ground.`;
    toast.success(words);
    setKept(words);
    forgetRun();
  };
  const answer = (next: PreflightRun) => {
    setRun(next);
    // All of it right is kept as it is; what went wrong is checked first.
    if (allRight(preflightAsked(setup, next))) void put(next, false);
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

  if (run && asked.at === 'round')
    return (
      <RoundCard
        key={run.at}
        round={asked.round}
        at={asked.number}
        of={rounds.length}
        onAnswer={(wrong) => answer(roundAnswered(run, asked.round, wrong))}
        onBack={() => setRun(roundBefore(run))}
        onBreakOff={() => setRun(brokenOff(run, asked))}
      />
    );

  if (run && asked.at === 'end')
    return (
      <RunResult
        wrong={asked.wrong}
        early={asked.early}
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
