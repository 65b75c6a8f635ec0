'use client';

import { positionsOf, switchValue } from '@/core/chain';
import { putCell, putSwitches, valueTable, type ValueTable } from '@/core/edit';
import { isSwitched, type Control, type Setup } from '@/core/setup';
import { channelWords, placeWords } from '@/core/sheets';
import { NumberWord } from '../../../fields/NumberWord';
import { useModel } from '../../../open/modelStore';
import { PickWord } from '../../../parts/PickWord';
import { useRig } from '../../../live/rigStore';
import { EntryRow, usePut } from '../EntryRow';
import { LineSentence } from '../LineSentence';
import type { ViewProps } from './view';

/** A channel as a number for every position of its switches, and what no table says as the lines it is. */
export function TableView({ setup, output: { channel }, own }: ViewProps) {
  const table = valueTable(setup, channel);
  return (
    <>
      {table.cells.length > 0 && (
        <EntryRow
          name={channelWords(setup, channel)}
          owner={table.lines[0]?.owner}
          controls={table.switches.map((s) => s.id)}
          acts={[]}
          more={<Values setup={setup} table={table} />}
        >
          <Switches setup={setup} table={table} />
        </EntryRow>
      )}
      {table.cells.length > 0 && table.rest.length > 0 && (
        <li className="text-soft border-t border-(--card-edge) py-1 pl-2 text-sm">
          Then, as lines: no table says this.
        </li>
      )}
      {table.rest.map((line, i) => (
        <LineSentence
          key={line.id}
          line={line}
          first={i === 0 && own[0] === line}
          last={i === table.rest.length - 1}
        />
      ))}
      {own.length === 0 && <Begin setup={setup} channel={channel} />}
    </>
  );
}

const NONE = 'none';

/** Which switches the table is over. */
function Switches({ setup, table }: { setup: Setup; table: ValueTable }) {
  const put = usePut();
  const { channel, switches } = table;
  const all = setup.transmitter.controls.filter(isSwitched);
  const pick = (nth: number) => {
    const other = switches.find((_, i) => i !== nth)?.id;
    return (
      <PickWord
        label={`${channelWords(setup, channel)}: switch ${nth + 1}`}
        value={switches[nth]?.id ?? NONE}
        options={[
          { value: NONE, words: nth === 0 ? 'no switch' : 'no other switch' },
          ...all.filter((c) => c.id !== other).map((c) => ({ value: c.id, words: c.label })),
        ]}
        onPick={(id) => {
          const ids = [...(other ? [other] : []), ...(id === NONE ? [] : [id])];
          put(putSwitches(setup, channel, ids), 'a table over other switches');
        }}
      />
    );
  };
  return (
    <>
      A value by {pick(0)}
      {switches.length > 0 && <> and {pick(1)}</>}.
    </>
  );
}

/** The numbers: positions of the first switch side by side, those of the second below each other. */
function Values({
  setup,
  table: { channel, switches, cells },
}: {
  setup: Setup;
  table: ValueTable;
}) {
  const put = usePut();
  const thrown = useRig((s) => s.controls);
  const [across, down] = switches;
  const number = (places: readonly number[]) => {
    const cell = cells.find((c) => c.places.join() === places.join())!;
    const where = places.map((p, i) => placeWords(switches[i]!, p)).join(', ');
    const live = places.every((p, i) => {
      const { id, kind, rest } = switches[i]!;
      return (thrown[id] ?? rest) === switchValue(kind, p);
    });
    return (
      <span
        className={`inline-block px-1 ${live ? 'bg-(--shade) outline-2 outline-(--accent)' : ''}`}
      >
        <NumberWord
          label={`${channelWords(setup, channel)}${where && `, ${where}`}`}
          unit="%"
          at="/program/lines/0/sharePct"
          step={setup.transmitter.stepPct ?? 1}
          value={cell.pct}
          onCommit={(v) => put(putCell(setup, channel, places, v), `${where || 'always'}: ${v} %`)}
        />
      </span>
    );
  };
  if (!across) return <p>Always {number([])}</p>;
  return (
    <table className="mt-1 wrap-normal">
      <thead>
        <tr>
          {down && <td />}
          {range(across).map((p) => (
            <th
              key={p}
              scope="col"
              className="text-soft px-1 text-left align-bottom text-sm font-normal @lg:px-3"
            >
              {placeWords(across, p)}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {(down ? range(down) : [undefined]).map((q) => (
          <tr key={q ?? 'only'}>
            {down && (
              <th scope="row" className="text-soft pr-2 text-left text-sm font-normal">
                {placeWords(down, q!)}
              </th>
            )}
            {range(across).map((p) => (
              <td key={p} className="px-1 py-1 @lg:px-3">
                {number(q === undefined ? [p] : [p, q])}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
    </table>
  );
}

const range = ({ kind }: Control): number[] =>
  Array.from({ length: positionsOf(kind) }, (_, p) => p);

/** A channel nothing is said of yet. */
function Begin({ setup, channel }: { setup: Setup; channel: number }) {
  const edit = useModel((s) => s.edit);
  return (
    <li>
      <button
        type="button"
        className="text-accent min-h-8 text-sm font-semibold hover:underline pointer-coarse:min-h-11"
        onClick={() =>
          void edit(
            putSwitches(setup, channel, []),
            `${channelWords(setup, channel)}: a table of values`.slice(0, 80),
          )
        }
      >
        A table of values
        <span className="sr-only">, {channelWords(setup, channel)}</span>
      </button>
    </li>
  );
}
