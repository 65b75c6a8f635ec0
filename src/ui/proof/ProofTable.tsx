'use client';

import { useTable } from '@tanstack/react-table';
import { useMemo, useState } from 'react';
import { controlWords } from '@/core/chain';
import type { Setup } from '@/core/setup';
import type { Proof } from '@/core/verify';
import { Choice } from '../fields/Choice';
import { Select } from '../parts/Select';
import { modeWords } from '../words/unit';
import { columnsOf, features, placesOf, templateOf, type Combination } from './columns';
import { count } from './count';
import { TableGrid } from './TableGrid';
import { Section } from '../parts/Section';

type Only = 'all' | 'panic' | 'on';

/** Every combination in a row: found, filtered, grouped, sorted, put on the rig. */
export function ProofTable({ setup, proof }: { setup: Setup; proof: Proof }) {
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
  const found = table.getFilteredRowModel().rows.length;

  return (
    <Section title="All combinations">
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
            ['lost', 'signal lost'],
          ]}
          onChange={setGroupBy}
        />
      </div>
      <p className="text-soft mt-2 text-sm" aria-live="polite">
        {found} of {proof.rows.length} combinations
        {proof.rows.length < proof.visited &&
          `, the first of ${count(proof.visited)}: the requirements were held against all of them`}
      </p>
      <TableGrid
        table={table}
        template={templateOf(columns.map(({ id }) => id ?? ''))}
        total={proof.rows.length}
      />
    </Section>
  );
}
