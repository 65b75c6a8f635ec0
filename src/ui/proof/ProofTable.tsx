'use client';

import {
  columnFilteringFeature,
  columnGroupingFeature,
  createColumnHelper,
  createExpandedRowModel,
  createFilteredRowModel,
  createGroupedRowModel,
  createSortedRowModel,
  globalFilteringFeature,
  rowExpandingFeature,
  rowSortingFeature,
  sortFn_basic,
  tableFeatures,
  useTable,
} from '@tanstack/react-table';
import { useVirtualizer } from '@tanstack/react-virtual';
import { ArrowDown, ArrowUp } from 'lucide-react';
import { useMemo, useRef, useState } from 'react';
import { controlWords, positionWord, switchPosition } from '@/core/chain';
import type { Setup } from '@/core/setup';
import { witnessOfRow, type Proof, type ProofRow } from '@/core/verify';
import { Choice } from '../fields/Choice';
import { Select } from '../parts/Select';
import { useShow } from '../rig/useShow';
import { modeWords } from '../unit/words';
import { count } from './count';

const ROW_PX = 44;
type Only = 'all' | 'panic' | 'on';
/** A combination and where it stands in the proof. */
interface Combination {
  row: ProofRow;
  at: number;
  /** All it can be found by. */
  words: string;
}

const ORDER = ['switch-3', 'switch-2', 'momentary', 'knob', 'slider', 'stick', 'trim'];

const features = tableFeatures({
  columnFilteringFeature,
  globalFilteringFeature,
  columnGroupingFeature,
  rowExpandingFeature,
  rowSortingFeature,
  filteredRowModel: createFilteredRowModel(),
  groupedRowModel: createGroupedRowModel(),
  expandedRowModel: createExpandedRowModel(),
  sortedRowModel: createSortedRowModel(),
  sortFns: { basic: sortFn_basic },
});
const column = createColumnHelper<typeof features, Combination>();

/** The controls that matter, with their place in a row; switches first: a hand thinks in them. */
const placesOf = (setup: Setup, proof: Proof) =>
  proof.controls
    .map((id, at) => ({ at, control: setup.transmitter.controls.find((x) => x.id === id)! }))
    .toSorted((a, b) => ORDER.indexOf(a.control.kind) - ORDER.indexOf(b.control.kind));

/** What each column is grouped and sorted by, and its cell. */
function columnsOf(setup: Setup, proof: Proof, hasPanic: boolean) {
  const places = placesOf(setup, proof);
  return column.columns([
    ...places.map(({ control, at }) =>
      column.accessor(({ row }) => row.values[at]!, {
        id: control.id,
        header: control.label,
        getGroupingValue: ({ row }) => controlWords(control, row.values[at]!),
        cell: ({ row }) => {
          const { values, lo, hi } = row.original.row;
          return short(control.kind, values[at]!, lo[at]!, hi[at]!);
        },
      }),
    ),
    column.accessor(({ row }) => modeWords(setup.unit, row.mode), {
      id: 'mode',
      header: 'Mode',
      cell: ({ row }) => {
        const { mode, remembered } = row.original.row;
        return (
          <>
            <span className="font-semibold">{modeWords(setup.unit, mode)}</span>
            {remembered.length > 0 && <span className="text-soft">, {remembered.join(', ')}</span>}
          </>
        );
      },
    }),
    column.accessor(({ row }) => Math.max(...row.gainPct), {
      id: 'gain',
      header: 'Gain',
      cell: ({ row }) => <span className="font-num">{gainWords(row.original.row)}</span>,
    }),
    ...(hasPanic
      ? [
          column.accessor(({ row }) => row.panic?.afterMs ?? -1, {
            id: 'panic',
            header: 'Panic',
            cell: ({ row }) => <Panic setup={setup} row={row.original.row} />,
          }),
        ]
      : []),
    column.accessor(({ row }) => modeWords(setup.unit, row.lost.mode), {
      id: 'lost',
      header: 'Link lost',
      getGroupingValue: ({ row }) => `link lost: ${modeWords(setup.unit, row.lost.mode)}`,
      cell: ({ getValue }) => getValue(),
    }),
    column.display({
      id: 'show',
      header: '',
      cell: ({ row }) => <ShowMe setup={setup} at={row.original.at} />,
    }),
  ]);
}

function Panic({ setup, row: { panic } }: { setup: Setup; row: ProofRow }) {
  if (!panic) return 'on';
  return panic.righted ? (
    `${modeWords(setup.unit, panic.mode)}, ${(panic.afterMs / 1000).toFixed(1)} s`
  ) : (
    <span className="text-stop font-bold">
      ✕ {modeWords(setup.unit, panic.mode)}, gain {panic.gainPct.toFixed(0)} %
    </span>
  );
}

function ShowMe({ setup, at }: { setup: Setup; at: number }) {
  const show = useShow();
  return (
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
  );
}

/** Every combination in a row: found, filtered, grouped, sorted, put on the rig. */
export function ProofTable({ setup, proof }: { setup: Setup; proof: Proof }) {
  const scroller = useRef<HTMLDivElement>(null);
  const [only, setOnly] = useState<Only>('all');
  const [groupBy, setGroupBy] = useState('none');
  const [text, setText] = useState('');
  const hasPanic = proof.panic !== undefined;
  const columns = useMemo(() => columnsOf(setup, proof, hasPanic), [setup, proof, hasPanic]);
  const all = useMemo(() => {
    const places = placesOf(setup, proof);
    return proof.rows.map((row, at): Combination => {
      const said = places.map((p) => controlWords(p.control, row.values[p.at]!));
      const words = [...said, ...row.remembered, modeWords(setup.unit, row.mode)]
        .join(' ')
        .toLowerCase();
      return { row, at, words };
    });
  }, [setup, proof]);
  const data = useMemo(
    () =>
      all.filter(
        ({ row }) =>
          only === 'all' ||
          (only === 'panic' && row.panic !== undefined && !row.panic.righted) ||
          (only === 'on' && row.mode !== 'off'),
      ),
    [all, only],
  );
  const first = columns[0]!;
  const table = useTable({
    features,
    columns,
    data,
    groupedColumnMode: false,
    autoResetExpanded: false,
    state: {
      expanded: true,
      globalFilter: text,
      grouping: groupBy === 'none' ? [] : [groupBy],
    },
    // A row is found by all its words at once, looked at in one of its columns.
    getColumnCanGlobalFilter: ({ id }) => id === 'mode',
    globalFilterFn: ({ original }, _, value: string) =>
      value
        .toLowerCase()
        .split(/\s+/)
        .every((part) => original.words.includes(part)),
  });
  const { rows } = table.getRowModel();
  const found = table.getFilteredRowModel().rows.length;

  // Its functions change behind the same object, so the compiler rightly leaves this component alone.
  // eslint-disable-next-line react-hooks/incompatible-library
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW_PX,
    overscan: 12,
  });
  const template = columns.map(({ id }) => WIDTHS[id ?? ''] ?? 'minmax(5rem,1fr)').join(' ');

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
            ...(first.id && proof.controls.includes(first.id)
              ? ([[first.id, String(first.header)]] as const)
              : []),
            ['lost', 'link lost'],
          ]}
          onChange={setGroupBy}
        />
      </div>
      <p className="text-soft mt-2 text-sm" aria-live="polite">
        {found} of {proof.rows.length} combinations
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
          {table.getHeaderGroups().map((group) => (
            <div
              key={group.id}
              role="row"
              className="bg-card sticky top-0 z-1 grid gap-x-3 border-b-2 border-(--line) px-3 text-sm font-semibold"
              style={{ gridTemplateColumns: template }}
            >
              {group.headers.map((header) => {
                const sorted = header.column.getIsSorted();
                return (
                  <span
                    key={header.id}
                    role="columnheader"
                    aria-sort={
                      sorted === 'asc' ? 'ascending' : sorted === 'desc' ? 'descending' : 'none'
                    }
                  >
                    {header.column.getCanSort() && (
                      <button
                        type="button"
                        className="flex min-h-11 items-center gap-1 text-left"
                        onClick={header.column.getToggleSortingHandler()}
                      >
                        <table.FlexRender header={header} />
                        {sorted === 'asc' && <ArrowUp size={14} aria-hidden />}
                        {sorted === 'desc' && <ArrowDown size={14} aria-hidden />}
                      </button>
                    )}
                  </span>
                );
              })}
            </div>
          ))}
          <div style={{ height: virtual.getTotalSize(), position: 'relative' }} role="rowgroup">
            {virtual.getVirtualItems().map((v) => {
              const row = rows[v.index]!;
              const place = {
                position: 'absolute' as const,
                top: 0,
                left: 0,
                right: 0,
                height: ROW_PX,
                transform: `translateY(${v.start}px)`,
              };
              if (row.getIsGrouped())
                return (
                  <div
                    key={v.key}
                    role="row"
                    style={place}
                    className="flex items-center bg-(--shade) px-3 font-bold"
                  >
                    <span role="cell">
                      {String(row.groupingValue)}: {row.subRows.length}
                    </span>
                  </div>
                );
              return (
                <div
                  key={v.key}
                  role="row"
                  aria-rowindex={row.original.at + 2}
                  style={{ ...place, gridTemplateColumns: template }}
                  className="grid items-center gap-x-3 border-b border-(--card-edge) px-3 text-sm"
                >
                  {row.getAllCells().map((cell) => (
                    <span key={cell.id} role="cell">
                      <table.FlexRender cell={cell} />
                    </span>
                  ))}
                </div>
              );
            })}
          </div>
        </div>
      </div>
    </section>
  );
}

const WIDTHS: Record<string, string> = {
  mode: 'minmax(7.5rem,1.5fr)',
  gain: 'minmax(7.5rem,1.5fr)',
  panic: 'minmax(9rem,1.8fr)',
  lost: 'minmax(7.5rem,1.5fr)',
  show: '6.5rem',
};

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
