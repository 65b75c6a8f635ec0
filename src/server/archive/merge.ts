import canonicalize from 'canonicalize';
import { mergeLines, type Evidence } from '../../core/logbook';
import type { Part } from '../../core/setup';
import { evidenceFromRow, logFromRow, stagedRepository, type Staged } from '../../db';
import type { Workshop } from '../workshop';
import { goOn, UNWATCHED, type ArchiveChange, type ArchivePreview, type Watcher } from './format';

/** What an archive that lies in a staging file would add, change or be refused; nothing is written. */
export const previewStaged = (
  store: Workshop,
  staging: string,
  madeAt: string,
  watcher: Watcher = UNWATCHED,
): ArchivePreview => withStaged(store, staging, madeAt, false, watcher);

/** Brings it in, all of it or, where anything fails, none. @returns what was done, as counted while doing it */
export const takeInStaged = (
  store: Workshop,
  staging: string,
  madeAt: string,
  watcher: Watcher = UNWATCHED,
): ArchivePreview => withStaged(store, staging, madeAt, true, watcher);

function withStaged(
  store: Workshop,
  file: string,
  madeAt: string,
  write: boolean,
  watcher: Watcher,
): ArchivePreview {
  const staged = stagedRepository(store.db, file);
  try {
    const work = () => {
      const list = staged.models();
      const models = list.map((model, i) => {
        goOn(watcher);
        if (i % 50 === 0) watcher.progress(write ? 'importing' : 'comparing', i, list.length);
        return changeOf(store, staged, model, write && madeAt);
      });
      const hangar = staged.parts().map((body) => {
        const part = JSON.parse(body) as Part;
        const change = partChange(store, part);
        if (write && change.does === 'add') store.hangar.add(part, madeAt);
        return change;
      });
      return { madeAt, models, hangar };
    };
    // The preview reads in one transaction too, so that what it says fits together.
    return write ? store.write(work) : store.db.transaction(work)();
  } finally {
    staged.close();
  }
}

const same = (a: string, b: string) =>
  a === b || canonicalize(JSON.parse(a)) === canonicalize(JSON.parse(b));

/**
 * One model: what comes in, or would. Where a model is kept and what it is found by is its owner's
 * word here, and comes along only with a model that is new.
 * @param write when the archive was made, or false where nothing is written
 */
function changeOf(
  store: Workshop,
  staged: Staged,
  { id, name, retired, tags }: ReturnType<Staged['models']>[number],
  write: string | false,
): ArchiveChange {
  const there = staged.counts(id);
  const head = store.models.head(id);
  if (!head) {
    // Two equal lines in one file are two lines, whatever they are called.
    const plain = !staged.hasRepeatedUids(id);
    if (write) {
      staged.addModel(id);
      staged.addVersions(id, 0);
      staged.addEvidence(id);
      if (plain) staged.addLog(id);
      else addLines(store, id, staged);
      if (tags !== '') store.shelf.tag(id, tags);
      if (retired) store.shelf.move(id, 'retired', write);
    }
    return {
      id,
      name,
      does: 'add',
      words: `new: ${there.versions} versions, ${there.evidence} observations, ${there.log} log entries`,
    };
  }
  for (const { version, theirs, ours } of staged.otherSetups(id))
    if (!same(theirs, ours))
      return {
        id,
        name,
        does: 'refuse',
        words: `both changed after version ${version}: yours is kept`,
      };
  const versions = Math.max(0, there.versions - head.version);
  const evidence = staged.hasOther('evidence', id)
    ? newEvidence(store.evidence.of(id), staged.evidenceRows(id).map(evidenceFromRow))
    : [];
  // Two equal lines under one name are two: such a file is merged line by line.
  const add =
    staged.hasOther('log', id) || staged.hasRepeatedUids(id)
      ? mergeLines(store.log.all(id), staged.logRows(id).map(logFromRow)).add
      : [];
  if (write) {
    staged.addVersions(id, head.version);
    for (const seen of evidence) store.evidence.add(id, seen);
    for (const entry of add) store.log.add(id, entry);
  }
  return versions + evidence.length + add.length === 0
    ? { id, name, does: 'nothing', words: 'everything is here already' }
    : {
        id,
        name,
        does: 'extend',
        words: `adds ${versions} versions, ${evidence.length} observations, ${add.length} log entries`,
      };
}

function addLines(store: Workshop, id: string, staged: Staged): void {
  for (const entry of mergeLines([], staged.logRows(id).map(logFromRow)).add)
    store.log.add(id, entry);
}

/** Observations that are not here, each as often as it is not. */
function newEvidence(own: readonly Evidence[], incoming: readonly Evidence[]): Evidence[] {
  const here = new Map<string, number>();
  const key = (e: Evidence) => canonicalize(e) ?? '';
  for (const e of own) here.set(key(e), (here.get(key(e)) ?? 0) + 1);
  return incoming.filter((e) => {
    const left = here.get(key(e)) ?? 0;
    here.set(key(e), left - 1);
    return left <= 0;
  });
}

function partChange(store: Workshop, part: Part): ArchiveChange {
  const own = store.hangar.get(part.id);
  const base = { id: part.id, name: part.body.name };
  if (!own) return { ...base, does: 'add', words: `new ${part.kind}` };
  return canonicalize(own.body) === canonicalize(part.body)
    ? { ...base, does: 'nothing', words: 'the same is here already' }
    : { ...base, does: 'refuse', words: 'differs from the one here: yours is kept' };
}
