'use client';

import { Pin } from 'lucide-react';
import { useState } from 'react';
import { difference } from '@/core/patch';
import { applyPlan, orderFunctions, planFor, type Assignment } from '@/core/plan';
import type { ChannelFunction, Setup } from '@/core/setup';
import { Findings } from '../findings/Findings';
import { useModel } from '../frame/modelStore';
import { StatusMark } from '../status/StatusMark';
import { Select } from '../parts/Select';

/** Which function on which channel, in which plug, and why; rows can be fixed by hand. */
export function PlanStation() {
  const { setup, edit } = useModel((s) => s);
  const [refused, setRefused] = useState<string[]>([]);
  const { wishes, pins } = setup.intents;
  const plan = planFor(setup);
  const { outputs } = setup.program;
  const optional = orderFunctions(setup.unit).filter((f) => f === 'recovery');

  const replan = (nextWishes: readonly ChannelFunction[], nextPins: Assignment, label: string) => {
    const next = planFor(setup, nextWishes, nextPins);
    setRefused(next.impossible);
    if (next.impossible.length > 0) return;
    const problems = edit(difference(setup, applyPlan(setup, next, nextWishes, nextPins)), label);
    setRefused(problems.map((p) => p.reason));
  };
  const pinTo = (carries: ChannelFunction, channel: number) =>
    replan(
      wishes,
      [...pins.filter((p) => p.carries !== carries && p.channel !== channel), { carries, channel }],
      `${carries} fixed on channel ${channel}`,
    );
  const unpin = (carries: ChannelFunction) =>
    replan(
      wishes,
      pins.filter((p) => p.carries !== carries),
      `${carries} no longer fixed`,
    );

  return (
    <div className="grid gap-4 @4xl:grid-cols-[1fr_24rem]">
      <div className="flex min-w-0 flex-col gap-4">
        <section className="card" aria-labelledby="plan-title">
          <h2 id="plan-title" className="text-lg font-bold">
            Channels
          </h2>
          <ul className="mt-2 flex flex-col divide-y divide-(--card-edge)">
            {outputs.map((o) => {
              const row = plan.rows.find((r) => r.carries === o.carries);
              const pinned = pins.some((p) => p.carries === o.carries);
              const asPlanned = row?.channel === o.channel;
              return (
                <li
                  key={o.channel}
                  className="grid grid-cols-[1fr_5rem_3rem] items-center gap-2 py-2 @lg:grid-cols-[9rem_5rem_1fr_3rem]"
                >
                  <p className="font-semibold">{o.carries}</p>
                  <Select
                    className="num"
                    aria-label={`Channel of ${o.carries}`}
                    value={o.channel}
                    onChange={(e) => pinTo(o.carries, Number(e.target.value))}
                  >
                    {Array.from({ length: setup.transmitter.channels }, (_, i) => i + 1).map(
                      (c) => (
                        <option key={c} value={c}>
                          {c}
                        </option>
                      ),
                    )}
                  </Select>
                  <p className="text-soft text-sm @max-lg:order-last @max-lg:col-span-3">
                    {asPlanned
                      ? row.reason
                      : row
                        ? `The plan would put it on channel ${row.channel}.`
                        : 'Not in the plan: this Setup has it all the same.'}{' '}
                    {plugWords(setup, o.carries)}
                  </p>
                  <button
                    type="button"
                    className="btn px-0"
                    aria-pressed={pinned}
                    aria-label={pinned ? `Let ${o.carries} move again` : `Fix ${o.carries} here`}
                    onClick={() => (pinned ? unpin(o.carries) : pinTo(o.carries, o.channel))}
                  >
                    <Pin size={18} aria-hidden />
                  </button>
                </li>
              );
            })}
          </ul>
          {refused.map((reason) => (
            <p key={reason} role="alert" className="text-stop mt-2">
              {reason}
            </p>
          ))}
          <div className="mt-3 flex flex-wrap gap-2">
            <button
              type="button"
              className="btn btn-main"
              onClick={() => replan(wishes, pins, 'Planned anew')}
            >
              Plan anew
            </button>
            {optional.map((f) => (
              <button
                key={f}
                type="button"
                className="btn"
                aria-pressed={wishes.includes(f)}
                onClick={() =>
                  replan(
                    wishes.includes(f) ? wishes.filter((w) => w !== f) : [...wishes, f],
                    pins,
                    wishes.includes(f) ? `Without ${f}` : `With ${f}`,
                  )
                }
              >
                panic recovery on a channel
              </button>
            ))}
          </div>
        </section>
        {(plan.notes.length > 0 || plan.impossible.length > 0) && (
          <section className="card" aria-label="To know">
            {[...plan.impossible, ...plan.notes].map((note) => (
              <p key={note}>{note}</p>
            ))}
          </section>
        )}
        {plan.taken.length > 0 && (
          <section className="card" aria-labelledby="ways-title">
            <h2 id="ways-title" className="text-lg font-bold">
              <StatusMark status="caution" words="Not enough channels" />
            </h2>
            <p className="mt-1">Ways out, cheapest first. The plan takes the first.</p>
            <ol className="mt-2 list-decimal pl-5">
              {plan.choices.slice(0, 5).map((ways) => (
                <li key={ways.map((w) => w.id).join()} className="mb-2">
                  {ways.map((w) => (
                    <p key={w.id}>
                      <strong>{w.title}.</strong> {w.costs}
                    </p>
                  ))}
                </li>
              ))}
            </ol>
          </section>
        )}
      </div>
      <aside>
        <Findings />
      </aside>
    </div>
  );
}

/** "Left aileron servo and right aileron servo on Port 1." */
function plugWords(setup: Setup, carries: ChannelFunction): string {
  const { airframe, installation, unit } = setup;
  const own = [...airframe.servos, ...airframe.motors].filter((a) => a.carries === carries);
  if (own.length === 0) return '';
  const plug = installation.plugs.find((p) => p.drives.includes(own[0]!.id));
  const port = unit.traits.ports.find((p) => p.id === plug?.port);
  return port ? `${own.map((a) => a.label).join(' and ')} on ${port.label}.` : 'Not plugged in.';
}
