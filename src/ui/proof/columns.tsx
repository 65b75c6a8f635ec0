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
} from '@tanstack/react-table';
import { controlWords, positionWord, switchPosition } from '@/core/chain';
import type { Setup } from '@/core/setup';
import { witnessOfRow, type Proof, type ProofRow } from '@/core/verify';
import { useShow } from '../live/useShow';
import { modeWords } from '../words/unit';

/** A combination and where it stands in the proof. */
export interface Combination {
  row: ProofRow;
  at: number;
  /** All it can be found by. */
  words: string;
}

const ORDER = ['switch-3', 'switch-2', 'momentary', 'knob', 'slider', 'stick', 'trim'];

/** What the table of combinations can do. */
export const features = tableFeatures({
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
export const placesOf = (setup: Setup, proof: Proof) =>
  proof.controls
    .map((id, at) => ({ at, control: setup.transmitter.controls.find((x) => x.id === id)! }))
    .toSorted((a, b) => ORDER.indexOf(a.control.kind) - ORDER.indexOf(b.control.kind));

/** What each column is grouped and sorted by, and its cell. */
export function columnsOf(setup: Setup, proof: Proof, hasPanic: boolean) {
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
      header: 'Signal lost',
      getGroupingValue: ({ row }) => `signal lost: ${modeWords(setup.unit, row.lost.mode)}`,
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

/** How wide each column is; a control is as wide as its words. */
const WIDTHS: Record<string, string> = {
  mode: 'minmax(7.5rem,1.5fr)',
  gain: 'minmax(7.5rem,1.5fr)',
  panic: 'minmax(9rem,1.8fr)',
  lost: 'minmax(7.5rem,1.5fr)',
  show: '6.5rem',
};

/** The widths of a row's columns. @param ids of them, in order */
export const templateOf = (ids: readonly string[]): string =>
  ids.map((id) => WIDTHS[id] ?? 'minmax(5rem,1fr)').join(' ');

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
