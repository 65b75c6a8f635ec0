'use client';

import { useVirtualizer } from '@tanstack/react-virtual';
import { useMemo, useRef, useState } from 'react';
import { controlWords, positionWord, switchPosition } from '@/core/chain';
import type { Setup } from '@/core/setup';
import { witnessOfRow, type Proof, type ProofRow } from '@/core/verify';
import { Choice } from '../fields/Choice';
import { Select } from '../parts/Select';
import { useShow } from '../rig/useShow';
import { MODE_WORDS } from '../unit/words';
import { count } from './count';

const ROW_PX = 44;
type Only = 'all' | 'panic' | 'on';
type GroupBy = 'none' | 'mode' | 'lost' | 'first';
type Item = { group: string; count: number } | { row: ProofRow; at: number };

const ORDER = ['switch-3', 'switch-2', 'momentary', 'knob', 'slider', 'stick', 'trim'];

/** Every combination in a row: found, filtered, grouped, put on the rig. */
export function ProofTable({ setup, proof }: { setup: Setup; proof: Proof }) {
  const show = useShow();
  const scroller = useRef<HTMLDivElement>(null);
  const [only, setOnly] = useState<Only>('all');
  const [groupBy, setGroupBy] = useState<GroupBy>('none');
  const [text, setText] = useState('');
  // Switches first: a hand thinks in them.
  const places = proof.controls
    .map((id, at) => ({ at, control: setup.transmitter.controls.find((x) => x.id === id)! }))
    .toSorted((a, b) => ORDER.indexOf(a.control.kind) - ORDER.indexOf(b.control.kind));
  const controls = places.map((p) => p.control);
  const hasPanic = proof.panic !== undefined;

  const items = useMemo(() => {
    const words = (row: ProofRow) =>
      [
        ...places.map((p) => controlWords(p.control, row.values[p.at]!)),
        ...row.remembered,
        MODE_WORDS[row.mode],
      ]
        .join(' ')
        .toLowerCase();
    const keep = (row: ProofRow) =>
      (only === 'all' ||
        (only === 'panic' && row.panic !== undefined && !row.panic.righted) ||
        (only === 'on' && row.mode !== 'off')) &&
      text
        .toLowerCase()
        .split(/\s+/)
        .every((part) => words(row).includes(part));
    const rows = proof.rows.map((row, at) => ({ row, at })).filter(({ row }) => keep(row));
    if (groupBy === 'none') return rows as Item[];
    const keyOf = (row: ProofRow) =>
      groupBy === 'mode'
        ? MODE_WORDS[row.mode]
        : groupBy === 'lost'
          ? `link lost: ${MODE_WORDS[row.lost.mode]}`
          : controlWords(controls[0]!, row.values[places[0]!.at]!);
    const groups = new Map<string, Item[]>();
    for (const item of rows) {
      const key = keyOf(item.row);
      groups.set(key, [...(groups.get(key) ?? []), item]);
    }
    return [...groups].flatMap(([group, list]): Item[] => [{ group, count: list.length }, ...list]);
  }, [proof, places, controls, only, groupBy, text]);

  // Its functions change behind the same object, so the compiler rightly leaves this component alone.
  // eslint-disable-next-line react-hooks/incompatible-library
  const virtual = useVirtualizer({
    count: items.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW_PX,
    overscan: 12,
  });
  const columns = [
    ...controls.map((c) => c.label),
    'Mode',
    'Gain',
    ...(hasPanic ? ['Panic'] : []),
    'Link lost',
    '',
  ];
  const template = `${controls.map(() => 'minmax(5.5rem,1fr)').join(' ')} minmax(7rem,1fr) minmax(9rem,1fr) ${hasPanic ? 'minmax(9rem,1.2fr) ' : ''}minmax(8rem,1fr) 6.5rem`;

  return (
    <section className="card" aria-labelledby="table-title">
      <h2 id="table-title" className="text-lg font-bold">
        All combinations
      </h2>
      <div className="mt-2 flex flex-wrap items-end gap-3">
        <label className="text-sm font-semibold">
          Find
          <input
            className="field font-normal"
            value={text}
            placeholder="switch a near rate"
            onChange={(e) => setText(e.target.value)}
          />
        </label>
        <label className="text-sm font-semibold">
          Show
          <Select value={only} onChange={(e) => setOnly(e.target.value as Only)}>
            <option value="all">all</option>
            <option value="on">where the unit is on</option>
            {hasPanic && <option value="panic">where panic fails</option>}
          </Select>
        </label>
        <Choice
          label="Group by"
          value={groupBy}
          options={[
            ['none', 'nothing'],
            ['mode', 'mode'],
            ...(controls[0] ? ([['first', controls[0].label]] as const) : []),
            ['lost', 'link lost'],
          ]}
          onChange={setGroupBy}
        />
      </div>
      <p className="text-soft mt-2 text-sm" aria-live="polite">
        {items.filter((i) => 'row' in i).length} of {proof.rows.length} combinations
        {proof.rows.length < proof.visited &&
          `, the first of ${count(proof.visited)}: the requirements were held against all of them`}
      </p>
      <div
        ref={scroller}
        className="mt-2 max-h-[32rem] overflow-auto border border-(--card-edge)"
        tabIndex={0}
        role="table"
        aria-label="All combinations"
        aria-rowcount={proof.rows.length + 1}
      >
        <div className="min-w-max">
          <div
            role="row"
            className="bg-card sticky top-0 z-1 grid gap-x-3 border-b-2 border-(--line) px-3 py-2 text-sm font-semibold"
            style={{ gridTemplateColumns: template }}
          >
            {columns.map((c, i) => (
              <span key={i} role="columnheader">
                {c}
              </span>
            ))}
          </div>
          <div style={{ height: virtual.getTotalSize(), position: 'relative' }} role="rowgroup">
            {virtual.getVirtualItems().map((v) => {
              const item = items[v.index]!;
              const place = {
                position: 'absolute' as const,
                top: 0,
                left: 0,
                right: 0,
                height: ROW_PX,
                transform: `translateY(${v.start}px)`,
              };
              if ('group' in item)
                return (
                  <div
                    key={v.key}
                    role="row"
                    style={place}
                    className="flex items-center bg-(--shade) px-3 font-bold"
                  >
                    <span role="cell">
                      {item.group}: {item.count}
                    </span>
                  </div>
                );
              const { row, at } = item;
              return (
                <div
                  key={v.key}
                  role="row"
                  aria-rowindex={at + 2}
                  style={{ ...place, gridTemplateColumns: template }}
                  className="grid items-center gap-x-3 border-b border-(--card-edge) px-3 text-sm"
                >
                  {places.map(({ control, at: i }) => (
                    <span key={control.id} role="cell">
                      {short(control.kind, row.values[i]!, row.lo[i]!, row.hi[i]!)}
                    </span>
                  ))}
                  <span role="cell" className="font-semibold">
                    {MODE_WORDS[row.mode]}
                    {row.remembered.length > 0 && (
                      <span className="text-soft font-normal">, {row.remembered.join(', ')}</span>
                    )}
                  </span>
                  <span role="cell" className="font-num">
                    {gainWords(row)}
                  </span>
                  {hasPanic && (
                    <span
                      role="cell"
                      className={row.panic && !row.panic.righted ? 'text-stop font-bold' : ''}
                    >
                      {!row.panic
                        ? 'on'
                        : row.panic.righted
                          ? `${MODE_WORDS[row.panic.mode]}, ${(row.panic.afterMs / 1000).toFixed(1)} s`
                          : `✕ ${MODE_WORDS[row.panic.mode]}, gain ${row.panic.gainPct.toFixed(0)} %`}
                    </span>
                  )}
                  <span role="cell">{MODE_WORDS[row.lost.mode]}</span>
                  <span role="cell">
                    <button
                      type="button"
                      className="btn px-2 text-sm"
                      onClick={() => {
                        const witness = witnessOfRow(setup, at, 'this combination');
                        if (witness) show(witness);
                      }}
                    >
                      Show me
                    </button>
                  </span>
                </div>
              );
            })}
          </div>
        </div>
      </div>
    </section>
  );
}

/** Gain in a cell: one figure, or how far it goes; each axis by itself where they differ. */
function gainWords({ gainPct, gainLoPct }: ProofRow): string {
  const words = gainPct.map((most, i) =>
    most - gainLoPct[i]! > 0.5 ? `${gainLoPct[i]!.toFixed(0)}–${most.toFixed(0)}` : most.toFixed(0),
  );
  return `${new Set(words).size === 1 ? words[0] : words.join(' / ')} %`;
}

/** A value in one short word under the name of its control. */
function short(
  kind: Setup['transmitter']['controls'][number]['kind'],
  value: number,
  lo: number,
  hi: number,
): string {
  if (kind === 'momentary') return value > 0 ? 'pressed' : '–';
  if (kind === 'switch-3' || kind === 'switch-2')
    return positionWord(kind, switchPosition(kind, value));
  const signed = (n: number) => `${n < -0.5 ? '−' : n > 0.5 ? '+' : ''}${Math.abs(Math.round(n))}`;
  if (hi - lo >= 199) return 'anywhere';
  return hi > lo ? `${signed(lo)} to ${signed(hi)} %` : `${signed(value)} %`;
}
