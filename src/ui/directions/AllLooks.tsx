'use client';

import { modeWords } from '@/core/chain';
import type { Check } from '@/core/directions';
import type { Observed, Status, StillLook } from '@/core/logbook';
import { AXIS_NAMES, handWords, type Setup } from '@/core/setup';
import { useModel } from '../open/modelStore';
import { StatusMark } from '../status/StatusMark';
import { nameOfLook } from '@/core/asking';
import { AXIS_STICK } from './words';

/** Everything that is checked here, where it stands, and a way back to each. */
export function AllLooks({
  order,
  current,
  stills,
  asked,
  onChoose,
  onStill,
}: {
  order: readonly Observed[];
  /** What is asked just now. */
  current: Observed | undefined;
  stills: readonly StillLook[];
  /** Of these, what is asked just now. */
  asked: readonly StillLook[];
  onChoose: (of: Observed) => void;
  onStill: (check: string) => void;
}) {
  const setup = useModel((s) => s.setup);
  return (
    <aside className="grid gap-4 @lg:grid-cols-2" aria-label="All of them">
      {stills.length > 0 && (
        <section className="card">
          <h2 className="text-lg font-bold">Nothing else moves</h2>
          <ul className="mt-1">
            {stills.map((s) => (
              <Line
                key={s.check.id}
                now={asked.includes(s)}
                status={s.status}
                wrong="something moved"
                onChoose={() => onStill(s.check.id)}
              >
                With the {AXIS_STICK[s.check.axis]}
              </Line>
            ))}
          </ul>
        </section>
      )}
      {groupsOf(setup, order).map(({ title, members }) => (
        <section key={title} className="card">
          <h2 className="text-lg font-bold">{title}</h2>
          <ul className="mt-1">
            {members.map((o) => (
              <Line
                key={nameOfLook(o.expectation)}
                now={o === current}
                status={o.status}
                wrong={o.evidence?.seen === 'centre' ? 'did not move' : 'wrong way'}
                onChoose={() => onChoose(o)}
              >
                {o.expectation.surface.label}
                <span className="text-soft text-sm"> · {AXIS_NAMES[o.expectation.check.axis]}</span>
              </Line>
            ))}
          </ul>
        </section>
      ))}
    </aside>
  );
}

/** One thing to look at, where it stands, and a way back to it. */
function Line({
  now,
  status,
  wrong,
  onChoose,
  children,
}: {
  now: boolean;
  status: Status;
  /** What is said of it when it is not as it must be. */
  wrong: string;
  onChoose: () => void;
  children: React.ReactNode;
}) {
  return (
    <li>
      <button
        type="button"
        aria-current={now ? 'step' : undefined}
        className={`flex min-h-11 w-full items-center justify-between gap-2 rounded px-2 text-left hover:bg-(--shade) ${
          now ? 'bg-(--shade) font-semibold' : ''
        }`}
        onClick={onChoose}
      >
        <span>{children}</span>
        <StatusMark status={status} {...(status === 'stop' ? { words: wrong } : {})} />
      </button>
    </li>
  );
}

/** Sticks, corrections, and each further mode by itself. */
function groupsOf(
  setup: Setup,
  order: readonly Observed[],
): { title: string; members: Observed[] }[] {
  const hands = handWords(setup.transmitter);
  const title = ({ kind, mode, again }: Check) =>
    kind === 'stick'
      ? `${hands.title}, unit off`
      : again
        ? `Again in ${mode && modeWords(setup.unit, mode)}`
        : `Corrections${mode ? ` in ${modeWords(setup.unit, mode)}` : ', unit on'}`;
  const groups = new Map<string, Observed[]>();
  for (const o of order) {
    const name = title(o.expectation.check);
    groups.set(name, [...(groups.get(name) ?? []), o]);
  }
  return [...groups].map(([name, members]) => ({ title: name, members }));
}
