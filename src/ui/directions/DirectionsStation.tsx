'use client';

import { TriangleAlert } from 'lucide-react';
import { useMemo, useState } from 'react';
import { diagnose, type Check } from '@/core/directions';
import { freshObservations, observedDirections, type Observed } from '@/core/logbook';
import { useModel } from '../frame/modelStore';
import { StatusMark } from '../status/StatusMark';
import { Finding } from './Finding';
import { Question } from './Question';

const KIND_TITLES: Record<Check['kind'], string> = {
  stick: 'Sticks, unit off',
  correction: 'Corrections, unit on',
};

/** Move, look, answer: one surface at a time, then what the answers mean. */
export function DirectionsStation() {
  const { setup, evidence, observe } = useModel((s) => s);
  const observed = useMemo(() => observedDirections(setup, evidence), [setup, evidence]);
  const order = useMemo(() => bySchool(observed, setup.intents.school), [observed, setup]);
  const [chosen, setChosen] = useState<string>();
  const [trail, setTrail] = useState<string[]>([]);
  const key = (o: Observed) => `${o.expectation.check.id} ${o.expectation.surface.id}`;
  const open = order.filter((o) => o.status === 'todo' || o.status === 'stale');
  const current = order.find((o) => key(o) === chosen) ?? open[0];
  const diagnosis = useMemo(
    () => diagnose(setup, freshObservations(setup, evidence)),
    [setup, evidence],
  );
  const staleReasons = [...new Set(observed.flatMap((o) => o.reasons))];

  const answer = (o: Observed, seen: string) => {
    setTrail((t) => [...t, key(o)]);
    const rest = order.slice(order.indexOf(o) + 1).concat(order);
    const next = rest.find((r) => r !== o && (r.status === 'todo' || r.status === 'stale'));
    setChosen(next && key(next));
    void observe(o.expectation.check.id, o.expectation.surface.id, seen);
  };
  const back = () => {
    const last = trail.at(-1);
    const o = order.find((x) => key(x) === last);
    if (!o || !last) return;
    setTrail(trail.slice(0, -1));
    setChosen(last);
    void observe(o.expectation.check.id, o.expectation.surface.id, 'unseen');
  };

  return (
    <div className="grid gap-4 lg:grid-cols-[1fr_24rem]">
      <div className="flex min-w-0 flex-col gap-4">
        <p className="border-caution bg-card flex items-center gap-2 border-l-4 px-3 py-2">
          <TriangleAlert size={20} aria-hidden className="text-caution shrink-0" />
          <span>
            <strong className="text-caution">Caution:</strong> propeller off, throttle cut on. Hold
            the model well clear of your face.
          </span>
        </p>
        {current ? (
          <Question
            observed={current}
            left={open.length}
            total={order.length}
            onAnswer={(seen) => answer(current, seen)}
            onBack={trail.length > 0 ? back : undefined}
          />
        ) : (
          <section className="card">
            <h2 className="text-xl font-bold">Every surface has been looked at</h2>
            <p className="mt-1">
              {diagnosis.verdicts.every((v) => v.stick === 'right' && v.correction !== 'wrong')
                ? 'Choose any line of the lists to look at it again.'
                : 'What was seen needs a change; it is worked out below.'}
            </p>
          </section>
        )}
        {staleReasons.length > 0 && (
          <section className="card" aria-labelledby="stale-title">
            <h2 id="stale-title" className="text-lg font-bold">
              <StatusMark status="stale" words="Look again" />
            </h2>
            <p className="mt-1">
              {observed.filter((o) => o.status === 'stale').length} answers no longer hold, because{' '}
              {staleReasons.join('; ')} changed since.
            </p>
          </section>
        )}
        <Finding diagnosis={diagnosis} />
      </div>
      <aside className="flex flex-col gap-4" aria-label="All directions">
        {[...new Set(order.map((o) => o.expectation.check.kind))].map((kind) => (
          <section key={kind} className="card">
            <h2 className="text-lg font-bold">{KIND_TITLES[kind]}</h2>
            <ul className="mt-1">
              {order
                .filter((o) => o.expectation.check.kind === kind)
                .map((o) => (
                  <li key={key(o)}>
                    <button
                      type="button"
                      aria-current={o === current ? 'step' : undefined}
                      className={`flex min-h-11 w-full items-center justify-between gap-2 rounded px-2 text-left hover:bg-(--shade) ${
                        o === current ? 'bg-(--shade) font-semibold' : ''
                      }`}
                      onClick={() => setChosen(key(o))}
                    >
                      <span>
                        {o.expectation.surface.label}
                        <span className="text-soft text-sm"> · {o.expectation.check.axis}</span>
                      </span>
                      <StatusMark
                        status={o.status}
                        {...(o.status === 'stop'
                          ? { words: o.evidence?.seen === 'centre' ? 'did not move' : 'wrong way' }
                          : {})}
                      />
                    </button>
                  </li>
                ))}
            </ul>
          </section>
        ))}
      </aside>
    </div>
  );
}

/** Sticks first or unit first, as chosen; surfaces of one movement stay together. */
function bySchool(observed: readonly Observed[], school: string): Observed[] {
  const first = school === 'unit-first' ? 'correction' : 'stick';
  return observed.toSorted(
    (a, b) =>
      Number(b.expectation.check.kind === first) - Number(a.expectation.check.kind === first),
  );
}
