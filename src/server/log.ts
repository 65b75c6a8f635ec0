import { randomUUID } from 'node:crypto';
import { z } from 'zod';
import { compare, type Difference } from '../core/compare';
import { applyPatch } from '../core/patch';
import {
  ENTRY_KINDS,
  EVENTS,
  LogEntrySchema,
  eventPatch,
  eventTitle,
  saidIn,
  type LogEntry,
  testSubject,
} from '../core/logbook';
import { LabelSchema } from '../core/setup';
import { READ_ITEM, readsGain, recordScript } from '../core/tuning';
import { Failure } from './failure';
import { checked } from './http';
import { ask } from './judge';
import { SeenOnSchema, getModel, type ModelView } from './models';
import { stepOf } from '../core/procedure';
import { mustBeSafe } from './bench';
import { headOf, keepSeen, mustStillHold, versionOf } from './observations';
import { workshop } from './workshop';

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
  /** Only those older than this line. */
  before: z.string().max(40).optional(),
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

/** A name the writer gives, so that a line sent twice is kept once. */
const UidSchema = LogEntrySchema.shape.uid.optional();

const NewEntrySchema = LogEntrySchema.omit({ version: true }).extend({
  uid: UidSchema,
  kind: z.enum(['flight', 'maintenance', 'note']),
});

/** Writes a line into the log of the version at hand. An flight or run is the proof that it was recorded. */
export async function addEntry(id: string, data: unknown, store = workshop()): Promise<LogEntry> {
  const head = headOf(store, id);
  const { uid = randomUUID(), ...said } = checked(NewEntrySchema, data);
  const entry: LogEntry = { ...said, uid, version: head.version };
  const seen =
    entry.kind === 'flight'
      ? await ask(
          'stamps',
          head.setup,
          [
            ...recordScript(),
            // The numbers are what tuning is for: only a line that has them proves it.
            ...(entry.gainReading && readsGain(head.setup) ? [READ_ITEM] : []),
          ].map((step) => ({ ...testSubject(step), seen: 'pass' })),
        )
      : [];
  return store.write(() => {
    const there = store.log.get(id, uid);
    if (there && saidIn(there) === saidIn(entry)) return there;
    if (there)
      throw new Failure(409, [{ path: '/uid', reason: 'another line of the log has this name' }]);
    store.log.add(id, entry);
    keepSeen(store, id, head.version, seen);
    return entry;
  });
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
  store.write(() => {
    const { setup } = headOf(store, id);
    const version = store.models.save(
      id,
      basedOn,
      applyPatch(setup, eventPatch(setup, event)),
      eventTitle(known, setup.airframe),
      now(),
    );
    store.log.add(id, {
      uid: randomUUID(),
      version,
      kind: 'event',
      at: now(),
      title: eventTitle(known, setup.airframe),
      ...(note ? { seen: note } : {}),
    });
  });
  return getModel(id, store);
}

const PreflightSchema = SeenOnSchema.extend({
  uid: UidSchema,
  place: z.string().trim().max(80).default(''),
  wind: z.string().trim().max(60).default(''),
  battery: z.string().trim().max(60).default(''),
  answers: z.record(z.string().max(60), z.enum(['pass', 'fail'])),
});

/** Keeps a preflight check: each answer as evidence, the whole as a line of the log. */
export async function recordPreflight(
  id: string,
  data: unknown,
  store = workshop(),
): Promise<ModelView> {
  const {
    answers,
    version,
    keep,
    at,
    bench,
    uid = randomUUID(),
    ...conditions
  } = checked(PreflightSchema, data);
  const head = headOf(store, id);
  const on = versionOf(store, id, version);
  mustBeSafe(stepOf(testSubject({ test: 'preflight', item: '' })), on.setup, bench, at);
  const { card, seen } = await ask('preflight', on.setup, answers);
  const unknown = Object.keys(answers).find((item) => !card.some((c) => c.item === item));
  if (unknown !== undefined)
    throw new Failure(422, [{ path: '/answers', reason: `the card has no item "${unknown}"` }]);
  if (!keep) await mustStillHold(seen, version, head);
  const failed = card.filter((c) => answers[c.item] === 'fail');
  const complete = card.every((c) => answers[c.item] !== undefined);
  const given = Object.fromEntries(Object.entries(conditions).filter(([, v]) => v !== ''));
  store.write(() => {
    if (store.log.get(id, uid)) return;
    keepSeen(store, id, version, seen);
    store.log.add(id, {
      uid,
      version,
      kind: 'preflight',
      at: now(),
      title:
        failed.length > 0
          ? `Preflight: ${failed.length} failed`
          : complete
            ? 'Preflight: all as it must be'
            : 'Preflight: broken off',
      ...given,
      result: failed.length === 0 && complete ? 'passed' : 'failed',
      ...(failed.length > 0 ? { seen: failed.map((f) => f.does).join(' ') } : {}),
    });
  });
  return getModel(id, store);
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
  store.write(() => {
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
  });
  return getModel(id, store);
}
