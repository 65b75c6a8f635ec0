'use client';

import { useMemo, useState } from 'react';
import { differingParts, merged, type Differing } from '@/core/merge';
import { difference } from '@/core/patch';
import type { OtherModel } from '@/server/other';
import { Choice } from '../../fields/Choice';
import { useModel } from '../../open/modelStore';

const SAID: Record<NonNullable<Differing['changed']>, string> = {
  here: 'changed here only',
  there: 'changed there only',
  both: 'changed in both',
};

/** The parts in which two models differ, side by side; what is taken over is one change of this one. */
export function Parts({ other }: { other: OtherModel }) {
  const setup = useModel((s) => s.setup);
  const edit = useModel((s) => s.edit);
  const parts = useMemo(() => differingParts(setup, other.setup, other.base), [setup, other]);
  const [said, say] = useState<Readonly<Record<string, 'here' | 'there'>>>({});
  const [refused, setRefused] = useState<string>();
  // What only the other changed is most likely wanted; everything else stays until it is chosen.
  const sideOf = (part: Differing) =>
    said[part.id] ?? (part.changed === 'there' ? 'there' : 'here');
  const taken = parts.filter((p) => sideOf(p) === 'there');
  if (parts.length === 0) return <p className="mt-2">They are the same, but for their names.</p>;
  const take = () => {
    const next = merged(setup, other.setup, new Set(taken.map((p) => p.id)));
    const [problem] = edit(difference(setup, next), `Taken over from ${other.name}`.slice(0, 80));
    setRefused(problem && `${problem.path}: ${problem.reason}`);
    if (!problem) say({});
  };
  return (
    <div className="mt-2">
      <p className="text-soft text-sm">
        {other.base
          ? 'Both come from the same model: what only the other changed is chosen already.'
          : 'They have no version in common: nothing is chosen yet.'}
      </p>
      <ul aria-label="Parts that differ">
        {parts.map((part) => (
          <li key={part.id} className="border-t border-(--card-edge) py-2">
            <div className="flex flex-wrap items-center justify-between gap-2">
              <h3 className="font-bold">
                {part.title}{' '}
                {part.changed && (
                  <span className="text-soft text-sm font-normal">{SAID[part.changed]}</span>
                )}
              </h3>
              <Choice
                hideLabel
                label={part.title}
                value={sideOf(part)}
                options={[
                  ['here', 'as here'],
                  ['there', 'as there'],
                ]}
                onChange={(side) => say({ ...said, [part.id]: side })}
              />
            </div>
            <SideBySide part={part} name={other.name} side={sideOf(part)} />
          </li>
        ))}
      </ul>
      {refused && (
        <p role="alert" className="text-stop mt-2 font-semibold">
          These parts do not go together: {refused}. Take over what they belong to as well, or leave
          them.
        </p>
      )}
      <button
        type="button"
        className="btn btn-main mt-2"
        disabled={taken.length === 0}
        onClick={take}
      >
        {taken.length === 0
          ? 'Nothing to take over'
          : `Take over ${taken.length === 1 ? 'one part' : `${taken.length} parts`}`}
      </button>
      <p className="text-soft mt-1 text-sm">
        It becomes one change, proved like any other, and can be undone. Check again whatever
        belongs to a part that changes.
      </p>
    </div>
  );
}

/** Differences said at once before the rest is folded away. */
const SHOWN = 8;

function SideBySide({
  part: { differences },
  name,
  side,
}: {
  part: Differing;
  name: string;
  side: 'here' | 'there';
}) {
  const [all, showAll] = useState(false);
  const strong = (is: 'here' | 'there') =>
    `w-1/4 px-2 wrap-anywhere ${side === is ? 'font-bold' : 'text-soft'}`;
  return (
    <>
      <table className="mt-1 w-full table-fixed text-left text-sm">
        <thead>
          <tr className="text-soft">
            <td />
            <th scope="col" className="w-1/4 px-2 font-normal">
              here
            </th>
            <th scope="col" className="w-1/4 truncate px-2 font-normal">
              {name}
            </th>
          </tr>
        </thead>
        <tbody>
          {differences.slice(0, all ? undefined : SHOWN).map((d, i) => (
            <tr key={i} className="align-top">
              <th scope="row" className="font-normal wrap-anywhere">
                {d.what}: {d.name ?? d.words}
              </th>
              <td className={strong('here')}>{d.before}</td>
              <td className={strong('there')}>{d.after}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {differences.length > SHOWN && !all && (
        <button type="button" className="text-sm underline" onClick={() => showAll(true)}>
          and {differences.length - SHOWN} more
        </button>
      )}
    </>
  );
}
