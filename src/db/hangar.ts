import type { Part } from '../core/setup';
import { OutdatedError } from './models';
import type { Db } from './open';

/** A part with how often it was changed. */
export type StoredPart = Part & { revision: number; changedAt: string };

interface Row {
  id: string;
  kind: Part['kind'];
  copy_of: string | null;
  revision: number;
  body: string;
  changed_at: string;
}

const fromRow = (row: Row): StoredPart =>
  ({
    id: row.id,
    kind: row.kind,
    ...(row.copy_of === null ? {} : { copyOf: row.copy_of }),
    body: JSON.parse(row.body) as unknown,
    revision: row.revision,
    changedAt: row.changed_at,
  }) as StoredPart;

/** Units and transmitters kept on their own. */
export function hangarRepository(db: Db) {
  const selectAll = db.prepare('SELECT * FROM hangar_part ORDER BY kind DESC, id');
  const selectOne = db.prepare('SELECT * FROM hangar_part WHERE id = ?');
  const insert = db.prepare(
    `INSERT INTO hangar_part (id, kind, copy_of, revision, body, changed_at)
     VALUES (@id, @kind, @copyOf, 1, @body, @at)`,
  );
  const update = db.prepare(
    `UPDATE hangar_part
        SET body = @body, copy_of = @copyOf, revision = revision + 1, changed_at = @at
      WHERE id = @id AND revision = @basedOn`,
  );
  const remove = db.prepare('DELETE FROM hangar_part WHERE id = ?');

  const get = (id: string): StoredPart | undefined => {
    const row = selectOne.get(id) as Row | undefined;
    return row && fromRow(row);
  };
  const values = (part: Part, at: string) => ({
    id: part.id,
    kind: part.kind,
    copyOf: part.copyOf ?? null,
    body: JSON.stringify(part.body),
    at,
  });

  return {
    get,
    all: () => (selectAll.all() as Row[]).map(fromRow),
    add(part: Part, at: string): void {
      insert.run(values(part, at));
    },
    /** @throws OutdatedError when it was changed in between */
    save(part: Part, basedOn: number, at: string): void {
      const { kind: _, ...rest } = values(part, at);
      if (update.run({ ...rest, basedOn }).changes === 0)
        throw new OutdatedError(get(part.id)?.revision ?? 0);
    },
    remove(id: string): boolean {
      return remove.run(id).changes > 0;
    },
  };
}
