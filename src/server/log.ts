import { randomUUID } from 'node:crypto';
import { z } from 'zod';
import { compare, type Difference } from '../core/compare';
import { applyPatch } from '../core/patch';
import { ENTRY_KINDS, EVENTS, LogEntrySchema, eventPatch, type LogEntry } from '../core/logbook';
import { preflightCard } from '../core/preflight';
import { readLogCsv, writeLogCsv } from '../core/formats';
import { LabelSchema } from '../core/setup';
import { recordScript } from '../core/tuning';
import { Failure, notFound } from './failure';
import { checked } from './http';
import { getModel, type ModelView } from './models';
import { headOf, keepSeen } from './observations';
import { workshop, type Workshop } from './workshop';

const now = () => new Date().toISOString();

/** A model's history: versions and log entries, as the log page shows them. */
export interface LogView {
  versions: { version: number; label: string; at: string }[];
  entries: LogEntry[];
  /** There are more entries than are given. */
  more: boolean;
}

const QuerySchema = z.object({
  kind: z.enum(ENTRY_KINDS).optional(),
  text: z.string().trim().max(200).optional(),
  most: z.coerce.number().int().min(1).max(500).default(100),
});

export function getLog(id: string, data: unknown = {}, store = workshop()): LogView {
  headOf(store, id);
  const { most, ...query } = checked(QuerySchema, data);
  const entries = store.log.of(id, { ...query, text: query.text || undefined, most: most + 1 });
  return {
    versions: store.models.versions(id),
    entries: entries.slice(0, most),
    more: entries.length > most,
  };
}

const NewEntrySchema = LogEntrySchema.omit({ uid: true, version: true }).extend({
  kind: z.enum(['flight', 'maintenance', 'note']),
});

/** Writes a line into the log of the version at hand. An outing is the proof that it was recorded. */
export function addEntry(id: string, data: unknown, store = workshop()): LogEntry {
  const head = headOf(store, id);
  const entry: LogEntry = {
    ...checked(NewEntrySchema, data),
    uid: randomUUID(),
    version: head.version,
  };
  store.db.transaction(() => {
    store.log.add(id, entry);
    if (entry.kind === 'flight')
      for (const { check, item } of recordScript())
        keepSeen(store, head, { check, surface: item, seen: 'pass' });
  })();
  return entry;
}

const EventSchema = z.strictObject({
  basedOn: z.int().min(1),
  event: z.string().max(40),
  note: z.string().trim().max(1000).default(''),
});

/** Records something that happened to the model: a new version with its counters moved on, and a line. */
export function recordEvent(id: string, data: unknown, store = workshop()): ModelView {
  const { basedOn, event, note } = checked(EventSchema, data);
  const known = EVENTS.find((e) => e.id === event);
  if (!known) throw new Failure(422, [{ path: '/event', reason: `there is no event "${event}"` }]);
  store.db.transaction(() => {
    const { setup } = headOf(store, id);
    const version = store.models.save(
      id,
      basedOn,
      applyPatch(setup, eventPatch(setup, event)),
      known.title,
      now(),
    );
    store.log.add(id, {
      uid: randomUUID(),
      version,
      kind: 'event',
      at: now(),
      title: known.title,
      ...(note ? { seen: note } : {}),
    });
  })();
  return getModel(id, store);
}

const PreflightSchema = z.strictObject({
  place: z.string().trim().max(80).default(''),
  wind: z.string().trim().max(60).default(''),
  battery: z.string().trim().max(60).default(''),
  answers: z.record(z.string().max(60), z.enum(['pass', 'fail'])),
});

/** Keeps a preflight check: each answer as evidence, the whole as a line of the log. */
export function recordPreflight(id: string, data: unknown, store = workshop()): ModelView {
  const { answers, ...conditions } = checked(PreflightSchema, data);
  store.db.transaction(() => {
    const head = headOf(store, id);
    const card = preflightCard(head.setup);
    const unknown = Object.keys(answers).find((item) => !card.some((c) => c.item === item));
    if (unknown)
      throw new Failure(422, [{ path: '/answers', reason: `the card has no item "${unknown}"` }]);
    const failed = card.filter((c) => answers[c.item] === 'fail');
    const complete = card.every((c) => answers[c.item] !== undefined);
    for (const { check, item } of card) {
      const seen = answers[item];
      if (seen) keepSeen(store, head, { check, surface: item, seen });
    }
    const given = Object.fromEntries(Object.entries(conditions).filter(([, v]) => v !== ''));
    store.log.add(id, {
      uid: randomUUID(),
      version: head.version,
      kind: 'preflight',
      at: now(),
      title:
        failed.length > 0
          ? `Preflight: ${failed.length} not so`
          : complete
            ? 'Preflight: all as it must be'
            : 'Preflight: broken off',
      ...given,
      result: failed.length === 0 && complete ? 'passed' : 'failed',
      ...(failed.length > 0 ? { seen: failed.map((f) => f.does).join(' ') } : {}),
    });
  })();
  return getModel(id, store);
}

function versionOf(store: Workshop, id: string, version: number) {
  const found = store.models.version(id, version);
  if (!found) throw notFound(`version ${version} of this model`);
  return found;
}

const PairSchema = z.object({
  from: z.coerce.number().int().min(1),
  to: z.coerce.number().int().min(1),
});

/** What differs between two versions, in words. */
export function compareVersions(
  id: string,
  data: unknown,
  store = workshop(),
): { differences: Difference[] } {
  const { from, to } = checked(PairSchema, data);
  return {
    differences: compare(versionOf(store, id, from).setup, versionOf(store, id, to).setup),
  };
}

const BackSchema = z.strictObject({
  basedOn: z.int().min(1),
  to: z.int().min(1),
  label: LabelSchema.optional(),
});

/**
 * Makes an earlier version the newest one again, as a version of its own. What happened to the
 * model since stays counted: a servo replaced meanwhile was still replaced.
 */
export function backTo(id: string, data: unknown, store = workshop()): ModelView {
  const { basedOn, to, label } = checked(BackSchema, data);
  const head = headOf(store, id);
  const old = versionOf(store, id, to);
  const setup = structuredClone(old.setup);
  setup.installation.revisions = head.setup.installation.revisions;
  store.models.save(
    id,
    basedOn,
    setup,
    label ?? `Back to version ${to}: ${old.label}`.slice(0, 80),
    now(),
  );
  return getModel(id, store);
}

/** The log of a model as CSV (RFC 4180). */
export function exportLog(id: string, store = workshop()): string {
  headOf(store, id);
  return writeLogCsv(store.log.all(id));
}

/** What a CSV would add, line by line; nothing is written. */
export function previewLog(id: string, text: string, store = workshop()) {
  const head = headOf(store, id);
  const known = new Set(store.log.all(id).map((e) => e.uid));
  const { entries, problems } = readLogCsv(text, head.version);
  return {
    add: entries.filter((e) => !known.has(e.uid)),
    known: entries.filter((e) => known.has(e.uid)).length,
    problems,
  };
}

/** Writes a CSV into the log. @throws Failure 422 when any line of it is wrong: all or nothing */
export function importLog(id: string, text: string, store = workshop()): { added: number } {
  const { add, problems } = previewLog(id, text, store);
  if (problems.length > 0)
    throw new Failure(
      422,
      problems.map((p) => ({ path: `/line ${p.line}`, reason: p.reason })),
    );
  const versions = new Set(store.models.versions(id).map((v) => v.version));
  return store.db.transaction(() => ({
    added: add.filter((entry) =>
      store.log.add(id, versions.has(entry.version) ? entry : { ...entry, version: 1 }),
    ).length,
  }))();
}
