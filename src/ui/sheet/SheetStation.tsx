'use client';

import { FileDown, Printer } from 'lucide-react';
import { useMemo, useState } from 'react';
import { readings } from '@/core/logbook';
import { explain, pct, sheetFor, STYLES, TOLERANCE_PCT, type ReadBack } from '@/core/sheets';
import { ENTRY_STYLES, type EntryStyle } from '@/core/setup';
import { Choice } from '../fields/Choice';
import { useModel } from '../frame/modelStore';
import { StatusMark } from '../status/StatusMark';
import { ReadingField } from './ReadingField';
import { useTicks } from './useTicks';

/** What to type, menu by menu, and what the channel monitor must show afterwards. */
export function SheetStation() {
  const { id, setup, evidence } = useModel((s) => s);
  const [style, setStyle] = useState<EntryStyle>(setup.transmitter.style);
  const sheet = useMemo(() => sheetFor(setup, style), [setup, style]);
  const list = useMemo(() => readings(setup, evidence), [setup, evidence]);
  const ticks = useTicks(id);
  const steps = sheet.sections.flatMap((s) => s.steps);
  const done = steps.filter((s) => ticks.has(s)).length;
  return (
    <div className="flex flex-col gap-4">
      <section className="card flex flex-wrap items-end justify-between gap-3 print:hidden">
        <Choice
          label="Written for a transmitter with"
          value={style}
          options={ENTRY_STYLES.map(
            (s) =>
              [s, STYLES[s].words + (s === setup.transmitter.style ? ' (yours)' : '')] as const,
          )}
          onChange={setStyle}
        />
        <div className="flex flex-wrap gap-2">
          <button type="button" className="btn" onClick={() => window.print()}>
            <Printer size={18} aria-hidden />
            Print
          </button>
          {(['A4', 'LETTER'] as const).map((paper) => (
            <a
              key={paper}
              className="btn"
              href={`/api/models/${id}/sheet?style=${style}&as=pdf&paper=${paper}`}
            >
              <FileDown size={18} aria-hidden />
              PDF, {paper === 'A4' ? 'A4' : 'Letter'}
            </a>
          ))}
          <a className="btn" href={`/api/models/${id}/sheet?style=${style}&as=md`}>
            <FileDown size={18} aria-hidden />
            Markdown
          </a>
        </div>
      </section>
      <p className="font-head hidden text-2xl font-bold print:block">{sheet.title}</p>
      <p className="card border-stop">
        Propeller off (pinion out, wheels clear) and throttle cut on before anything is entered.
      </p>
      {sheet.warnings.length > 0 && (
        <div className="card">
          {sheet.warnings.map((w) => (
            <p key={w}>
              <StatusMark status="caution" words={w} />
            </p>
          ))}
        </div>
      )}
      <div className="grid gap-4 @4xl:grid-cols-2 print:block">
        <div className="flex min-w-0 flex-col gap-4">
          <p className="text-soft" aria-live="polite">
            {done} of {steps.length} entered
          </p>
          {sheet.sections.map((section) => (
            <section key={section.title} className="card break-inside-avoid">
              <h2 className="text-lg font-bold">{section.title}</h2>
              <ul className="divide-y divide-(--card-edge)">
                {section.steps.map((step) => (
                  <li key={step.id}>
                    <label className="flex min-h-11 items-start gap-3 py-2">
                      <input
                        type="checkbox"
                        className="mt-0.5 h-5 w-5 shrink-0 accent-(--accent)"
                        checked={ticks.has(step)}
                        onChange={(e) => ticks.set(step, e.target.checked)}
                      />
                      <span className="min-w-0 wrap-anywhere">
                        {step.entry}
                        <br />
                        <strong className="font-num">{step.value}</strong>
                      </span>
                    </label>
                  </li>
                ))}
              </ul>
            </section>
          ))}
        </div>
        <ReadBacks list={list} />
      </div>
    </div>
  );
}

/** The fields for what the monitor shows, and what a mismatch means. */
function ReadBacks({ list }: { list: ReturnType<typeof readings> }) {
  const { setup, observe } = useModel((s) => s);
  const fresh = list.filter((c) => c.evidence && c.status !== 'stale');
  const values = Object.fromEntries(
    fresh.map((c) => [c.asked.id, parseFloat(c.evidence!.seen)] as const),
  );
  const wrong = list.filter((c) => c.status === 'stop');
  const key = JSON.stringify(values);
  const explanations = useMemo(
    () =>
      explain(
        setup,
        list.map((c) => c.asked),
        JSON.parse(key) as Record<string, number>,
      ),
    [setup, list, key],
  );
  const keep = (r: ReadBack, value: number | undefined) =>
    void observe(
      `read:${r.id}`,
      `ch${r.channel}`,
      value === undefined ? 'unseen' : (`${value}%` as const),
      `The reading of channel ${r.channel}, ${r.words}`,
    );
  const proven = list.filter((c) => c.status === 'proven').length;
  return (
    <section className="card self-start" aria-labelledby="read-title">
      <h2 id="read-title" className="text-lg font-bold">
        Read it back
      </h2>
      <p className="text-soft text-sm">
        Open the channel monitor, put your hands where it says, type what stands there. Within{' '}
        {TOLERANCE_PCT} % is right: monitors round, and knobs stop a little short.
      </p>
      <p className="mt-1" aria-live="polite">
        {proven} of {list.length} as they must be
        {wrong.length > 0 && `, ${wrong.length} not`}
      </p>
      {wrong.length > 0 && (
        <div role="alert" className="my-2 border-l-4 border-(--stop) pl-3">
          <p className="text-stop font-semibold">
            {explanations.length === 0
              ? 'No single wrong entry explains all of these. Read the first of them again.'
              : explanations.length === 1
                ? 'One wrong entry explains it:'
                : 'Each of these alone explains it, the commonest first:'}
          </p>
          <ul className="list-disc pl-5">
            {explanations.slice(0, 5).map((e) => (
              <li key={e.says}>{e.says}</li>
            ))}
          </ul>
          <p className="text-soft text-sm">
            Put it right in the transmitter, not here, and read again.
          </p>
        </div>
      )}
      <ul className="mt-2 divide-y divide-(--card-edge)">
        {list.map((c) => (
          <li key={c.asked.id} className="grid grid-cols-[1fr_auto] items-center gap-x-3 py-2">
            <div className="min-w-0">
              <p className="wrap-anywhere">
                {c.asked.words}
                {c.asked.holdS > 0 && `, held ${c.asked.holdS} s`}
              </p>
              <p className="text-soft text-sm">
                must show <span className="num">{pct(Math.round(c.asked.predictedPct))}</span>
                {c.status === 'stale' && `; ${c.reasons.join(', ')} changed: read again`}
              </p>
            </div>
            <div className="flex items-center gap-2">
              <ReadingField
                label={c.asked.words}
                value={c.evidence && c.status !== 'stale' ? parseFloat(c.evidence.seen) : undefined}
                onCommit={(v) => keep(c.asked, v)}
              />
              <StatusMark status={c.status} quiet />
            </div>
          </li>
        ))}
      </ul>
    </section>
  );
}
