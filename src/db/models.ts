import type { Setup } from '../core/setup';
import type { Db } from './open';

/** One stored version of a model's Setup. */
export interface StoredVersion {
  modelId: string;
  version: number;
  label: string;
  setup: Setup;
  createdAt: string;
}

/**
 * Refused because somebody saved in between. Known by its code, not its class: pages and routes
 * are bundled apart and each has a class of its own, while the open database is shared.
 */
export class OutdatedError extends Error {
  readonly code = 'OUTDATED';
  constructor(readonly head: number) {
    super(`the model is now at version ${head}`);
  }
}

interface Row {
  model_id: string;
  version: number;
  label: string;
  setup: string;
  created_at: string;
}

const fromRow = (row: Row): StoredVersion => ({
  modelId: row.model_id,
  version: row.version,
  label: row.label,
  setup: JSON.parse(row.setup) as Setup,
  createdAt: row.created_at,
});

/** Models and the versions of their Setups. */
export function modelRepository(db: Db) {
  const insertModel = db.prepare(
    'INSERT INTO model (id, created_at, copied_from) VALUES (?, ?, ?)',
  );
  const insertVersion = db.prepare(
    `INSERT INTO setup_version (model_id, version, label, setup, created_at)
     VALUES (@modelId, @version, @label, @setup, @createdAt)`,
  );
  const selectHead = db.prepare(
    `SELECT * FROM setup_version WHERE model_id = ? ORDER BY version DESC LIMIT 1`,
  );
  const selectVersion = db.prepare(
    `SELECT * FROM setup_version WHERE model_id = ? AND version = ?`,
  );
  const selectVersions = db.prepare(
    `SELECT version, label, created_at AS at FROM setup_version
      WHERE model_id = ? ORDER BY version DESC`,
  );
  const selectTexts = db.prepare('SELECT * FROM setup_version WHERE model_id = ? ORDER BY version');
  const selectCopied = db.prepare('SELECT copied_from FROM model WHERE id = ?').pluck();
  const countModels = db.prepare('SELECT count(*) FROM model').pluck();

  const head = (modelId: string): StoredVersion | undefined => {
    const row = selectHead.get(modelId) as Row | undefined;
    return row && fromRow(row);
  };

  return {
    head,
    count: () => countModels.get() as number,
    version: (modelId: string, version: number): StoredVersion | undefined => {
      const row = selectVersion.get(modelId, version) as Row | undefined;
      return row && fromRow(row);
    },
    /** Every version without its Setup, newest first. */
    versions: (modelId: string) =>
      selectVersions.all(modelId) as { version: number; label: string; at: string }[],
    /** Every version with its Setup as the text it is kept as, oldest first, one after another. */
    *eachText(
      modelId: string,
    ): Iterable<Omit<StoredVersion, 'setup' | 'modelId'> & { setup: string }> {
      for (const row of selectTexts.iterate(modelId) as Iterable<Row>)
        yield {
          version: row.version,
          label: row.label,
          setup: row.setup,
          createdAt: row.created_at,
        };
    },
    /** Adds a version as it was, number and time included: for models imported. */
    restore(version: StoredVersion): void {
      if (version.version === 1) insertModel.run(version.modelId, version.createdAt, null);
      insertVersion.run({ ...version, setup: JSON.stringify(version.setup) });
    },
    /** The model another one was copied from; nothing where it was not, or came in from elsewhere. */
    copiedFrom: (modelId: string) => selectCopied.get(modelId) as string | null | undefined,
    /** Makes a model with its first version. */
    create: db.transaction(
      (modelId: string, setup: Setup, label: string, at: string, copiedFrom?: string) => {
        insertModel.run(modelId, at, copiedFrom ?? null);
        insertVersion.run({
          modelId,
          version: 1,
          label,
          setup: JSON.stringify(setup),
          createdAt: at,
        });
        return 1;
      },
    ).immediate,
    /**
     * Adds a version on top of the one it was based on.
     * @throws OutdatedError when the head has moved on
     */
    save: db.transaction(
      (modelId: string, basedOn: number, setup: Setup, label: string, at: string) => {
        const current = head(modelId)?.version ?? 0;
        if (current !== basedOn) throw new OutdatedError(current);
        insertVersion.run({
          modelId,
          version: basedOn + 1,
          label,
          setup: JSON.stringify(setup),
          createdAt: at,
        });
        return basedOn + 1;
      },
    ).immediate,
  };
}
