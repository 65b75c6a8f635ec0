'use client';

import { FileDown, Printer } from 'lucide-react';
import { useMemo, useState } from 'react';
import { STYLES, sheetSections } from '@/core/sheets';
import { ENTRY_STYLES, type EntryStyle } from '@/core/setup';
import { useModel } from '../open/modelStore';
import { Fold } from '../parts/Fold';
import { PickWord } from '../parts/PickWord';
import { StatusMark } from '../status/StatusMark';
import { useTicks } from './useTicks';

/** Everything to enter in the order the menus are met, a section at a time. */
export function SheetList() {
  const id = useModel((s) => s.id);
  const setup = useModel((s) => s.setup);
  const [style, setStyle] = useState<EntryStyle>(setup.transmitter.style);
  /** Sections opened and closed by hand; else the first one that is not done is open. */
  const [opened, setOpened] = useState<Readonly<Record<string, boolean>>>({});
  const { sections, warnings } = useMemo(() => sheetSections(setup, style), [setup, style]);
  const ticks = useTicks(id);
  const steps = sections.flatMap((s) => s.steps);
  const done = steps.filter((s) => ticks.has(s)).length;
  const first = sections.find((s) => s.steps.some((step) => !ticks.has(step)));
  return (
    <section aria-labelledby="enter-title">
      <div className="flex flex-wrap items-baseline justify-between gap-x-4">
        <h2 id="enter-title" className="text-lg font-bold">
          Enter it: {done} of {steps.length} ticked
        </h2>
        <p className="print:hidden">
          for a transmitter with{' '}
          <PickWord
            label="Written for a transmitter with"
            value={style}
            options={ENTRY_STYLES.map((s) => ({
              value: s,
              words: STYLES[s].words + (s === setup.transmitter.style ? ' (yours)' : ''),
            }))}
            onPick={setStyle}
          />
        </p>
      </div>
      {warnings.map((w) => (
        <p key={w}>
          <StatusMark status="caution" words={w} />
        </p>
      ))}
      <div className="mt-1 border-b border-(--card-edge)">
        {sections.map((section) => {
          const ticked = section.steps.filter((s) => ticks.has(s)).length;
          return (
            <Fold
              key={section.title}
              printed
              open={opened[section.title] ?? section === first}
              onOpen={(now) => setOpened({ ...opened, [section.title]: now })}
              className="border-t border-(--card-edge)"
              title={
                <>
                  <strong className="font-head">{section.title}</strong>
                  <span className="text-soft text-sm font-normal">
                    {ticked} of {section.steps.length}
                  </span>
                </>
              }
            >
              <ul className="pb-2">
                {section.steps.map((step) => (
                  <li key={step.id}>
                    <label className="flex min-h-8 items-start gap-2 py-0.5 hover:bg-(--card) pointer-coarse:min-h-11">
                      <input
                        type="checkbox"
                        className="mt-1 size-5 shrink-0 accent-(--accent)"
                        checked={ticks.has(step)}
                        onChange={(e) => ticks.set(step, e.target.checked)}
                      />
                      <span className="min-w-0 wrap-break-word">
                        {step.entry}{' '}
                        <strong className="font-num text-[0.95em]">{step.value}</strong>
                      </span>
                    </label>
                  </li>
                ))}
              </ul>
            </Fold>
          );
        })}
      </div>
      <p className="mt-2 flex flex-wrap gap-2 print:hidden">
        <button type="button" className="btn min-h-9 text-sm" onClick={() => window.print()}>
          <Printer size={16} aria-hidden />
          Print
        </button>
        {(['A4', 'LETTER'] as const).map((paper) => (
          <a
            key={paper}
            className="btn min-h-9 text-sm"
            href={`/api/models/${id}/sheet?style=${style}&as=pdf&paper=${paper}`}
          >
            <FileDown size={16} aria-hidden />
            PDF, {paper === 'A4' ? 'A4' : 'Letter'}
          </a>
        ))}
        <a className="btn min-h-9 text-sm" href={`/api/models/${id}/sheet?style=${style}&as=md`}>
          <FileDown size={16} aria-hidden />
          Markdown
        </a>
      </p>
    </section>
  );
}
