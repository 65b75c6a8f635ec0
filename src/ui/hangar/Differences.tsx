'use client';

import { useMemo } from 'react';
import { compare } from '@/core/compare';
import type { Part, Setup } from '@/core/setup';
import { previewFor } from './preview';

/** What every line here is about. */
const WHOLE = new Set(['unit', 'Unit', 'traits', 'transmitter']);

/** A part on a bench that suits the other one: what it is compared on. */
const onBench = (bench: Setup, body: Part['body'], kind: Part['kind']): Setup => ({
  ...bench,
  [kind]: body,
});

/** Two descriptions side by side, line by line where they differ. */
export function Differences({
  part,
  other,
}: {
  part: Part;
  other: { name: string; body: Part['body'] };
}) {
  const rows = useMemo(() => {
    const bench = previewFor(part);
    if (!bench) return [];
    // Names and descriptions stand above.
    const plain = (body: Part['body']) => ({ ...body, name: part.kind, description: '' });
    return compare(
      onBench(bench, plain(other.body), part.kind),
      onBench(bench, plain(part.body), part.kind),
    );
  }, [part, other]);
  if (rows.length === 0) return null;
  return (
    <section className="card overflow-x-auto" aria-labelledby="differences">
      <h2 id="differences" className="text-xl font-bold">
        Where they differ
      </h2>
      <table className="mt-2 w-full text-left text-sm">
        <thead className="text-soft">
          <tr>
            <th scope="col" className="pr-3 font-normal">
              about
            </th>
            <th scope="col" className="pr-3 font-normal">
              {other.name}
            </th>
            <th scope="col" className="font-normal">
              this one
            </th>
          </tr>
        </thead>
        <tbody className="divide-y divide-(--card-edge)">
          {rows.map(({ what, words, name, before, after }, i) => (
            <tr key={i} className="align-top">
              <th scope="row" className="py-1.5 pr-3 font-normal">
                {[...what.split(' · ').filter((w) => !WHOLE.has(w)), name].join(' · ')}
              </th>
              <td className="py-1.5 pr-3">{before}</td>
              <td className="py-1.5">{after ?? words}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
