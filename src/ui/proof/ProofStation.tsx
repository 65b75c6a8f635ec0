'use client';

import { useVirtualizer } from '@tanstack/react-virtual';
import { useRouter } from 'next/navigation';
import { useMemo, useRef, useState } from 'react';
import { positionWord, switchPosition } from '@/core/chain';
import type { Setup } from '@/core/setup';
import { controlWords } from '@/core/chain';
import { witnessOfRow, type Proof, type ProofRow } from '@/core/verify';
import { Choice } from '../fields/Choice';
import { Findings, witnessHref } from '../findings/Findings';
import { useModel } from '../frame/modelStore';
import { useVerdict } from '../frame/verdict';
import { MODE_WORDS } from '../unit/words';
import { Select } from '../parts/Select';

const ROW_PX = 44;
type Only = 'all' | 'panic' | 'on';
type GroupBy = 'none' | 'mode' | 'lost' | 'first';
type Item = { group: string; count: number } | { row: ProofRow; at: number };

/** Every combination of everything that reaches the unit's orders, and what it does. */
export function ProofStation() {
  const { id, setup } = useModel((s) => s);
  const { proof, visiting, failed } = useVerdict();
  return (
    <div className="flex flex-col gap-4">
      <Findings />
      {proof ? (
        <>
          <Coverage setup={setup} proof={proof} />
          <Table setup={setup} proof={proof} id={id} />
        </>
      ) : failed ? null : (
        <p className="card">
          Looking at every combination … {visiting ? `${visiting} so far` : ''}
        </p>
      )}
    </div>
  );
}

const count = (n: number) =>
  n < 1e6
    ? n.toLocaleString('en')
    : n < 1e9
      ? `${(n / 1e6).toFixed(0)} million`
      : `${(n / 1e9).toFixed(1)} billion`;

/** How much was looked at, and what was left out as it cannot matter. */
function Coverage({ setup, proof }: { setup: Setup; proof: Proof }) {
  const slowest = proof.rows.reduce(
    (most, r) => Math.max(most, r.panic?.righted ? r.panic.afterMs : 0),
    0,
  );
  const failing = proof.rows.filter((r) => r.panic && !r.panic.righted).length;
  const off = proof.masterOff.map(({ control, value }) =>
    controlWords(
      setup.transmitter.controls.find((c) => c.id === control)!,
      value,
    ),
  );
  return (
    <section className="card" aria-labelledby="coverage-title">
      <h2 id="coverage-title" className="text-lg font-bold">
        {proof.complete ? 'Every state was looked at' : 'Not every state could be looked at'}
      </h2>
      <dl className="mt-1 grid gap-x-6 gap-y-1 sm:grid-cols-[auto_1fr]">
        <dt className="font-semibold">States</dt>
        <dd>
          {count(proof.visited)} of {count(proof.unreduced)}: the rest differ only in controls that
          cannot reach mode, gain, recovery or throttle cut.
        </dd>
        <dt className="font-semibold">All off by one movement</dt>
        <dd>{off.length > 0 ? off.join('; or ') : 'there is no such movement'}</dd>
        {proof.panic && (
          <>
            <dt className="font-semibold">Panic</dt>
            <dd>
              {failing === 0
                ? `rights the model from every state, after ${(slowest / 1000).toFixed(1)} s at most`
                : `fails from ${failing} states`}
            </dd>
          </>
        )}
      </dl>
    </section>
  );
}

function Table({ setup, proof, id }: { setup: Setup; proof: Proof; id: string }) {
  const router = useRouter();
  const scroller = useRef<HTMLDivElement>(null);
  const [only, setOnly] = useState<Only>('all');
  const [groupBy, setGroupBy] = useState<GroupBy>('none');
  const [text, setText] = useState('');
  const controls = proof.controls.map((c) => setup.transmitter.controls.find((x) => x.id === c)!);
  const hasPanic = proof.panic !== undefined;

  const items = useMemo(() => {
    const words = (row: ProofRow) =>
      [
        ...controls.map((c, i) => controlWords(c, row.values[i]!)),
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
          : controlWords(controls[0]!, row.values[0]!);
    const groups = new Map<string, Item[]>();
    for (const item of rows) {
      const key = keyOf(item.row);
      groups.set(key, [...(groups.get(key) ?? []), item]);
    }
    return [...groups].flatMap(([group, list]): Item[] => [{ group, count: list.length }, ...list]);
  }, [proof, controls, only, groupBy, text]);

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
    'Gain roll / pitch / yaw',
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
                  {controls.map((c, i) => (
                    <span key={c.id} role="cell">
                      {short(c.kind, row.values[i]!)}
                    </span>
                  ))}
                  <span role="cell" className="font-semibold">
                    {MODE_WORDS[row.mode]}
                    {row.remembered.length > 0 && (
                      <span className="text-soft font-normal">, {row.remembered.join(', ')}</span>
                    )}
                  </span>
                  <span role="cell" className="font-num">
                    {row.gainPct.map((g) => g.toFixed(0)).join(' / ')} %
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
                  <span role="cell">
                    {MODE_WORDS[row.lost.mode]}
                  </span>
                  <span role="cell">
                    <button
                      type="button"
                      className="btn px-2 text-sm"
                      onClick={() => {
                        const witness = witnessOfRow(setup, at, 'this combination');
                        if (witness) router.push(witnessHref(id, witness));
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

/** A value in one short word under the name of its control. */
function short(kind: Setup['transmitter']['controls'][number]['kind'], value: number): string {
  if (kind === 'momentary') return value > 0 ? 'pressed' : '–';
  if (kind === 'switch-3' || kind === 'switch-2')
    return positionWord(kind, switchPosition(kind, value));
  return `${value < 0 ? '−' : value > 0 ? '+' : ''}${Math.abs(value)} %`;
}
