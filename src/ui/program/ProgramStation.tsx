'use client';

import Link from 'next/link';
import { Findings } from '../findings/Findings';
import { useModel } from '../frame/modelStore';
import { GainWishes } from './GainWishes';
import { ModeWishes } from './ModeWishes';
import { CutWishes, LaunchWishes, RateWishes, VoiceWishes } from './MoreWishes';
import { FailsafeWishes, PanicWishes } from './SafetyWishes';
import { useWishes, type Wishing } from './useWishes';

const SECTIONS: readonly (readonly [string, (w: Wishing) => React.ReactNode])[] = [
  ['Modes', ModeWishes],
  ['Gain', GainWishes],
  ['Panic recovery', PanicWishes],
  ['Failsafe', FailsafeWishes],
  ['Throttle cut', CutWishes],
  ['Rates', RateWishes],
  ['Hand launch', LaunchWishes],
  ['Voice and timer', VoiceWishes],
];

/** What the person wants of the transmitter; the program is written, and proved, at every choice. */
export function ProgramStation() {
  const id = useModel((s) => s.id);
  const wishing = useWishes();
  const { written, reasons, notes, wishes, wish, giveUp } = wishing;
  return (
    <div className="grid gap-4 lg:grid-cols-[1fr_24rem]">
      <div className="flex min-w-0 flex-col gap-4">
        <p className="text-lg">
          Say what each control shall do. Every number the transmitter needs is worked out, and the
          whole of it looked at again, at each choice.
        </p>
        {!written && (
          <div className="card flex flex-wrap items-center gap-3">
            <p className="min-w-60 flex-1">
              The program there is the first one of the plan. These are the choices that come
              nearest; the first change writes them all.
            </p>
            <button
              type="button"
              className="btn btn-main"
              onClick={() => wish(wishes, 'Program written from wishes')}
            >
              Write it like this
            </button>
          </div>
        )}
        {reasons.length > 0 && (
          <div role="alert" className="card border-stop">
            <p className="text-stop font-semibold">This cannot be written; nothing was changed.</p>
            <ul className="list-disc pl-5">
              {reasons.map((r) => (
                <li key={r}>{r}</li>
              ))}
            </ul>
            <button type="button" className="btn mt-2" onClick={giveUp}>
              Back to what is written
            </button>
          </div>
        )}
        {notes.length > 0 && reasons.length === 0 && (
          <div role="status" className="card text-caution">
            {notes.map((n) => (
              <p key={n}>{n}</p>
            ))}
          </div>
        )}
        {SECTIONS.map(([title, Body]) => (
          <section key={title} className="card" aria-labelledby={`wish-${title}`}>
            <h2 id={`wish-${title}`} className="mb-2 text-lg font-bold">
              {title}
            </h2>
            <Body {...wishing} />
          </section>
        ))}
      </div>
      <aside className="flex flex-col gap-4">
        <Findings />
        <div className="card flex flex-col gap-2">
          <Link href={`/models/${id}/proof`} className="btn">
            Every combination, proved
          </Link>
          <Link href={`/models/${id}/sheet`} className="btn btn-main">
            What to enter
          </Link>
        </div>
      </aside>
    </div>
  );
}
