'use client';

import Link from 'next/link';
import { Findings } from '../findings/Findings';
import { useModel } from '../frame/modelStore';
import { GainWishes } from './GainWishes';
import { ModeWishes } from './ModeWishes';
import { DeviceWishes } from './DeviceWishes';
import { CutWishes, LaunchWishes, VoiceWishes } from './MoreWishes';
import { RateWishes } from './RateWishes';
import { FailsafeWishes, PanicWishes } from './SafetyWishes';
import { useWishes, type Wishing } from './useWishes';
import { OutOfStep } from './OutOfStep';
import { WhatElse } from './WhatElse';

const SECTIONS: readonly (readonly [string, (w: Wishing) => React.ReactNode])[] = [
  ['Modes', ModeWishes],
  ['Gain', GainWishes],
  ['Panic recovery', PanicWishes],
  ['Failsafe', FailsafeWishes],
  ['Throttle cut', CutWishes],
  ['Rates', RateWishes],
  ['Flaps and gear', DeviceWishes],
  ['Hand launch', LaunchWishes],
  ['Voice and timer', VoiceWishes],
];

/** What the person wants of the transmitter; the program is written, and proved, at every choice. */
export function ProgramStation() {
  const id = useModel((s) => s.id);
  const wishing = useWishes();
  const { reasons, notes } = wishing;
  return (
    <div className="grid gap-4 @4xl:grid-cols-[1fr_24rem]">
      <div className="flex min-w-0 flex-col gap-4">
        <p className="text-lg">
          Choose what each control does. Every number for the transmitter is worked out, and all of
          it is checked again at each choice.
        </p>
        <WhatElse {...wishing} />
        <OutOfStep {...wishing} />
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
          <Link href={`/models/${id}/entry`} className="btn btn-main">
            What to enter
          </Link>
        </div>
      </aside>
    </div>
  );
}
