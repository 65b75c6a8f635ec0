'use client';

import type { ReactTable } from '@tanstack/react-table';
import { useVirtualizer } from '@tanstack/react-virtual';
import { ArrowDown, ArrowUp } from 'lucide-react';
import { useRef } from 'react';
import type { Combination, features } from './columns';

const ROW_PX = 44;

/** Rows and columns of the table, of which only those in view are drawn. */
export function TableGrid({
  table,
  template,
  total,
}: {
  table: ReactTable<typeof features, Combination>;
  /** Widths of the columns. */
  template: string;
  /** How many rows there are, found or not. */
  total: number;
}) {
  const scroller = useRef<HTMLDivElement>(null);
  const { rows } = table.getRowModel();
  // Its functions change behind the same object, so the compiler rightly leaves this component alone.
  // eslint-disable-next-line react-hooks/incompatible-library
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => ROW_PX,
    overscan: 12,
  });
  return (
    <div
      ref={scroller}
      className="mt-2 max-h-[32rem] overflow-auto border border-(--card-edge)"
      tabIndex={0}
      role="table"
      aria-label="All combinations"
      aria-rowcount={total + 1}
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
  );
}
