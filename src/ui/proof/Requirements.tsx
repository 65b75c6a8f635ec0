'use client';

import { controlWords } from '@/core/chain';
import type { Setup } from '@/core/setup';
import type { OverUnits, Proof } from '@/core/verify';
import { Fold } from '../parts/Fold';
import { useShow } from '../live/useShow';
import { StatusMark } from '../status/StatusMark';
import { count } from './count';
import { Section } from '../parts/Section';

const STATUS = { stop: 'stop', caution: 'caution' } as const;

/** Every requirement: what must be true, in how many states it held, or the state in which it did not. */
export function Requirements({
  setup,
  proof,
  units,
}: {
  setup: Setup;
  proof: Proof;
  units: OverUnits | undefined;
}) {
  const show = useShow();
  const depends = (id: string) => units?.provenIf.some((p) => p.proven && p.requirement === id);
  const failing = proof.results.filter((r) => r.failures.length > 0);
  const open = proof.results.filter(
    (r) => r.failures.length === 0 && (r.leftOut.length > 0 || depends(r.id)),
  );
  const off = proof.masterOff.map(({ control, value }) =>
    controlWords(
      setup.transmitter.controls.find((c) => c.id === control)!,
      value,
    ),
  );
  return (
    <Section
      title={
        <>
          {failing.length > 0
            ? `${failing.length} of ${proof.results.length} requirements ${failing.length === 1 ? 'fails' : 'fail'}`
            : open.length > 0
              ? `${proof.results.length - open.length} of ${proof.results.length} requirements are proven`
              : `All ${proof.results.length} requirements are proven`}
        </>
      }
    >
      <p className="text-soft mt-1 text-sm">
        Each was checked in every state you can bring about, however fast and in whatever order:
        every position of switches, and whatever moves freely anywhere between its ends, everything
        the program remembers, any length of time. {count(proof.visited)} cases stand for{' '}
        {count(proof.unreduced)} combinations.
        {off.length > 0 && ` One movement switches the unit off: ${off.join('; or ')}.`}
      </p>
      <ul className="mt-2 divide-y divide-(--card-edge)">
        {[
          ...failing,
          ...open,
          ...proof.results.filter((r) => !failing.includes(r) && !open.includes(r)),
        ].map((r) => (
          <li key={r.id} className="grid gap-x-4 py-2 @lg:grid-cols-[12rem_1fr]">
            <StatusMark
              status={
                r.failures.length > 0
                  ? STATUS[r.failures.some((f) => f.severity === 'stop') ? 'stop' : 'caution']
                  : r.leftOut.length > 0
                    ? 'todo'
                    : depends(r.id)
                      ? 'caution'
                      : 'proven'
              }
              words={
                r.failures.length > 0
                  ? 'does not hold'
                  : r.leftOut.length > 0
                    ? 'not proven'
                    : depends(r.id)
                      ? 'proven if …'
                      : 'holds'
              }
            />
            <div className="min-w-0">
              <h3 className="font-semibold">
                {r.title}
                <span className="text-soft ml-2 text-sm font-normal">
                  {r.states === 1 ? '1 case' : `${count(r.states)} cases`} checked
                </span>
              </h3>
              {r.failures.slice(0, 4).map((f) => (
                <p key={f.says} className="flex flex-wrap items-baseline gap-x-3">
                  <span className="min-w-60 flex-1">{f.says}</span>
                  {f.witness && (
                    <button
                      type="button"
                      className="min-h-6 text-sm underline pointer-coarse:min-h-11"
                      onClick={() => show(f.witness!)}
                    >
                      Show me
                    </button>
                  )}
                </p>
              ))}
              {r.leftOut.map((words) => (
                <p key={words}>Not checked. {words}.</p>
              ))}
              <Fold quiet className="text-soft text-sm" title="What must be true, and why">
                <p>{r.must}</p>
                <p>{r.from}</p>
              </Fold>
            </div>
          </li>
        ))}
      </ul>
    </Section>
  );
}
