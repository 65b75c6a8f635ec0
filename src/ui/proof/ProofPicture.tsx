'use client';

import { useMemo } from 'react';
import { controlWords, positionWord, positionsOf, switchPosition } from '@/core/chain';
import { isSwitched, type Mode, type Setup } from '@/core/setup';
import { witnessOfRow, type Proof, type ProofRow } from '@/core/verify';
import { useShow } from '../live/useShow';
import { modeName, modeWords } from '../words/unit';

/** More rows than this say less than the table does. */
const MOST_ROWS = 40;

interface Cell {
  key: string;
  rows: { row: ProofRow; at: number }[];
}

interface Picture {
  columns: string[];
  lines: { words: string; cells: Cell[] }[];
}

/** Every combination of the switches that matter: columns by the first, lines by all others. */
function pictureOf(setup: Setup, proof: Proof): Picture | undefined {
  const places = proof.controls
    .map((id, at) => ({ at, control: setup.transmitter.controls.find((c) => c.id === id)! }))
    .filter((p) => isSwitched(p.control))
    .toSorted((a, b) => positionsOf(b.control.kind) - positionsOf(a.control.kind));
  const [first, ...others] = places;
  if (!first) return undefined;
  const position = (row: ProofRow, { at, control }: (typeof places)[number]) =>
    control.kind === 'momentary'
      ? Number(row.values[at]! > 0)
      : switchPosition(control.kind, row.values[at]!);
  const columns = Array.from({ length: positionsOf(first.control.kind) }, (_, p) =>
    first.control.kind === 'momentary'
      ? controlWords(first.control, p > 0 ? 100 : -100)
      : `${first.control.label} ${positionWord(first.control.kind, p)}`,
  );
  const lines = new Map<string, { words: string; cells: Cell[] }>();
  proof.rows.forEach((row, at) => {
    const key = others.map((p) => position(row, p)).join();
    const line = lines.get(key) ?? {
      words: others.map((p) => controlWords(p.control, row.values[p.at]!)).join(', '),
      cells: columns.map((_, c) => ({ key: `${key} ${c}`, rows: [] })),
    };
    line.cells[position(row, first)]!.rows.push({ row, at });
    lines.set(key, line);
  });
  if (lines.size > MOST_ROWS) return undefined;
  return {
    columns,
    lines: [...lines].toSorted(([a], [b]) => a.localeCompare(b)).map(([, line]) => line),
  };
}

/** All combinations at a glance: each cell a mode by its shape, a hole in panic crossed out. */
export function ProofPicture({ setup, proof }: { setup: Setup; proof: Proof }) {
  const picture = useMemo(() => pictureOf(setup, proof), [setup, proof]);
  const show = useShow();
  if (!picture) return null;
  const present = [...new Set(proof.rows.map((r) => r.mode))];
  return (
    <figure className="overflow-x-auto" tabIndex={0} aria-label="All combinations as a picture">
      <table className="border-separate border-spacing-1">
        <thead>
          <tr>
            <td />
            {picture.columns.map((c) => (
              <th key={c} scope="col" className="text-soft text-sm font-semibold">
                {c}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {picture.lines.map((line) => (
            <tr key={line.words}>
              <th scope="row" className="text-soft max-w-56 pr-2 text-right text-sm font-normal">
                {line.words || 'always'}
              </th>
              {line.cells.map((cell) => (
                <td key={cell.key} className="p-0">
                  <CellButton
                    cell={cell}
                    modeOf={(mode) => modeName(setup.unit, mode)}
                    onShow={() => {
                      const first = cell.rows.find(isHole) ?? cell.rows[0];
                      const witness = first && witnessOfRow(setup, first.at, 'this combination');
                      if (witness) show(witness);
                    }}
                  />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      <figcaption className="text-soft mt-1 flex flex-wrap gap-x-4 text-sm">
        {present.map((mode) => (
          <span key={mode} className="flex items-center gap-1">
            <ModeShape mode={mode} /> {modeWords(setup.unit, mode)}
          </span>
        ))}
        <span>Press a cell to put it on the rig.</span>
      </figcaption>
    </figure>
  );
}

const isHole = ({ row }: { row: ProofRow }) => row.panic !== undefined && !row.panic.righted;

function CellButton({
  cell,
  modeOf,
  onShow,
}: {
  cell: Cell;
  /** A mode in few words. */
  modeOf: (mode: Mode) => string;
  onShow: () => void;
}) {
  const modes = [...new Set(cell.rows.map(({ row }) => row.mode))];
  const hole = cell.rows.some(isHole);
  if (modes.length === 0) return <span className="block h-10 w-28" />;
  return (
    <button
      type="button"
      className={`bg-card flex h-11 w-32 items-center justify-center gap-1.5 rounded border text-sm hover:bg-(--shade) ${
        hole ? 'border-stop text-stop border-2 font-bold' : 'border-edge'
      }`}
      onClick={onShow}
    >
      {modes.map((mode) => (
        <ModeShape key={mode} mode={mode} />
      ))}
      <span className={`leading-tight ${modes.length > 1 ? 'sr-only' : ''}`}>
        {modes.map(modeOf).join(' or ')}
      </span>
      {hole && <span>✕ panic fails</span>}
    </button>
  );
}

/** A mode as a shape, so that no colour is needed to tell it. */
function ModeShape({ mode }: { mode: Mode }) {
  const line = { fill: 'none', stroke: 'currentColor', strokeWidth: 2 };
  const shapes: Record<Mode, React.ReactNode> = {
    off: <circle cx={8} cy={8} r={5.5} {...line} />,
    rate: <path d="M1 8q3.5-7 7 0t7 0" {...line} />,
    hold: <rect x={3} y={3} width={10} height={10} fill="currentColor" />,
    level: <path d="M1 8h14M8 8v-4" {...line} />,
    trainer: <path d="M1 11h14M1 4l14 0" {...line} />,
    home: <path d="M2 8l6-6 6 6M4 7v7h8v-7" {...line} />,
    hover: <path d="M8 2l5 11H3z" fill="currentColor" />,
  };
  return (
    <svg width={16} height={16} viewBox="0 0 16 16" aria-hidden className="shrink-0">
      {shapes[mode]}
    </svg>
  );
}
