import { Plus, Trash2 } from 'lucide-react';
import type { PatchOperation } from '@/core/patch';

interface RowsProps<T> {
  list: readonly T[];
  /** JSON pointer of the list, of whose changes `attempt` speaks. */
  at: string;
  /** What tells rows apart where their place does not. */
  keyOf?: (item: T) => string;
  /** Classes of a row; its last column takes the button that removes it. */
  columns: (item: T) => string;
  row: (item: T, i: number) => React.ReactNode;
  /** What a row is called on the button that removes it, and in the list of versions. */
  name: (item: T, i: number) => string;
  least?: number;
  most?: number;
  /** How one is added; nothing where none can be. */
  add?: { words: string; label: string; patch: () => readonly PatchOperation[] } | undefined;
  attempt: (patch: readonly PatchOperation[], label: string) => void;
}

/** A list of things that are alike: a row for each, one to take away, one to add. */
export function Rows<T>({
  list,
  at,
  keyOf,
  columns,
  row,
  name,
  least = 0,
  most = Infinity,
  add,
  attempt,
}: RowsProps<T>) {
  return (
    <>
      <ul className="flex flex-col divide-y divide-(--card-edge)">
        {list.map((item, i) => (
          <li
            key={keyOf ? keyOf(item) : i}
            className={`grid items-end gap-2 py-2 ${columns(item)}`}
          >
            {row(item, i)}
            <button
              type="button"
              className="btn px-0"
              aria-label={`Remove ${name(item, i)}`}
              disabled={list.length <= least}
              onClick={() =>
                attempt([{ op: 'remove', path: `${at}/${i}` }], `Removed: ${name(item, i)}`)
              }
            >
              <Trash2 size={18} aria-hidden />
            </button>
          </li>
        ))}
      </ul>
      {add && (
        <button
          type="button"
          className="btn self-start"
          disabled={list.length >= most}
          onClick={() => attempt(add.patch(), add.label)}
        >
          <Plus size={18} aria-hidden />
          {add.words}
        </button>
      )}
    </>
  );
}

/** An id of its own for a new row: the prefix and the first free number. */
export function freeId(prefix: string, list: readonly { id: string }[]): string {
  let n = list.length + 1;
  while (list.some((item) => item.id === `${prefix}${n}`)) n += 1;
  return `${prefix}${n}`;
}
