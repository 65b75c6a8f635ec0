import { randomUUID } from 'node:crypto';
import { z } from 'zod';
import { buildAirframe, usualAnswers } from '../core/catalogue';
import { isSame, latestOf, SeenSchema, testSubject, type Evidence } from '../core/logbook';
import { builtWith, VARIANTS } from '../core/model';
import { composeSetup, planChannels, readSetup } from '../core/plan';
import {
  AIRFRAME_KINDS,
  IdSchema,
  LabelSchema,
  type ChannelFunction,
  type Setup,
} from '../core/setup';
import type { KeptPlace } from '../db';
import { Failure } from './failure';
import { transmitterOf, unitOf } from './hangar';
import { checked } from './http';
import { ask, type Stamped } from './judge';
import { withoutLeaflet } from '../core/possible';
import { stepOf } from '../core/procedure';
import { READ_ITEM } from '../core/tuning';
import { BenchSaidSchema, mustBeSafe } from './bench';
import { headOf, keepSeen, mustStillHold, versionOf } from './observations';
import { validSetup } from './validSetup';
import { workshop, type Workshop } from './workshop';

/** A model as the screens need it. */
export interface ModelView {
  id: string;
  version: number;
  setup: Setup;
  evidence: Evidence[];
  /** Where it is kept, when it is not on the shelf. */
  kept?: Exclude<KeptPlace, 'shelf'>;
}

/** The questions a new model starts from. */
export const NewModelSchema = z.strictObject({
  name: LabelSchema,
  kind: z.enum(AIRFRAME_KINDS),
  ailerons: z.enum(['none', 'one-servo', 'y-lead', 'two-outputs', 'flaperons']),
  flaps: z.boolean().default(false),
  gear: z.boolean().default(false),
  brake: z.boolean().default(false),
  wheel: z.enum(['none', 'shared', 'separate']).default('none'),
  motors: z.union([z.literal(0), z.literal(1), z.literal(2)]).default(1),
  rudder: z.boolean().default(false),
  recovery: z.boolean().default(false),
  /** What it has besides, by id. */
  besides: z
    .array(z.enum(VARIANTS.map((v) => v.id)))
    .max(VARIANTS.length)
    .default([]),
  /** Ids of parts in the hangar, kept or shipped. */
  unit: IdSchema,
  /** Whether there is a leaflet; without one nothing its description says is more than assumed. */
  leaflet: z.enum(['yes', 'no']).default('yes'),
  transmitter: IdSchema,
});
export type NewModel = z.input<typeof NewModelSchema>;

const now = () => new Date().toISOString();

export function getModel(id: string, store = workshop()): ModelView {
  const head = headOf(store, id);
  const kept = store.shelf.placeOf(id);
  return {
    id,
    version: head.version,
    setup: head.setup,
    evidence: latestOf(store.evidence.of(id)),
    ...(kept === 'shelf' ? {} : { kept }),
  };
}

export function createModel(data: unknown, store = workshop()): { id: string } {
  const answers = checked(NewModelSchema, data);
  const { name, kind, ailerons, flaps, gear, brake, wheel, motors, rudder } = answers;
  const plain = buildAirframe({
    ...usualAnswers(kind),
    ...{ ailerons, flaps, gear, brake, wheel, motors, rudder },
  });
  const airframe = builtWith(plain, answers.besides);
  const unit = unitOf(answers.unit, store);
  const transmitter = transmitterOf(answers.transmitter, store);
  const wishes: ChannelFunction[] = answers.recovery ? ['recovery'] : [];
  const plan = planChannels({ airframe, unit, transmitter, wishes, pins: [] });
  if (plan.impossible.length > 0)
    throw new Failure(
      422,
      plan.impossible.map((reason) => ({ path: '/unit', reason })),
    );
  const setup = composeSetup(name, airframe, unit, transmitter, wishes);
  const known = answers.leaflet === 'yes' ? setup : withoutLeaflet(setup);
  return addModel(validSetup(known), 'Started', store);
}

export function addModel(
  setup: Setup,
  label: string,
  store = workshop(),
  copiedFrom?: string,
): { id: string } {
  const id = randomUUID().slice(0, 8);
  store.models.create(id, setup, label, now(), copiedFrom);
  return { id };
}

/** Makes a new model from the text of a Setup file. */
export function importSetup(text: string, store = workshop()): { id: string } {
  const result = readSetup(text);
  if (!result.ok) {
    const tooLarge = text.length > 1_000_000;
    throw new Failure(tooLarge ? 413 : 422, result.problems);
  }
  const { setup, notes } = result.value;
  const made = addModel(setup, 'Imported', store);
  // What an older file says that no choice would write is no secret of this moment.
  if (notes.length > 0)
    store.log.add(made.id, {
      uid: randomUUID(),
      version: 1,
      kind: 'note',
      at: now(),
      title: 'Opened from an earlier version of the format',
      seen: notes.join(' '),
    });
  return made;
}

const SaveSchema = z.strictObject({
  basedOn: z.int().min(1),
  label: LabelSchema,
  setup: z.unknown(),
});

/** Saves a new version. @throws OutdatedError when the model moved on meanwhile */
export function saveSetup(id: string, data: unknown, store = workshop()): ModelView {
  headOf(store, id);
  const { basedOn, label, setup } = checked(SaveSchema, data);
  store.models.save(id, basedOn, validSetup(setup), label, now());
  return getModel(id, store);
}

/** What every answer says besides: which version the person had before their eyes. */
export const SeenOnSchema = z.strictObject({
  version: z.int().min(1),
  /** Kept as what was seen then, although something has changed since. */
  keep: z.boolean().default(false),
  /** When it was given; now, where nothing is said. */
  at: z.iso.datetime().optional(),
  /** What was said of the bench: an answer where somebody can be hurt needs it. */
  bench: BenchSaidSchema.optional(),
});

const OneSeenSchema = z.strictObject({
  check: z.string().max(60),
  surface: z.string().max(60),
  seen: SeenSchema,
  ground: z.literal('said').optional(),
});

/** One answer, or all that one look gave: kept together or not at all. */
const ObservationSchema = z.union([
  SeenOnSchema.extend(OneSeenSchema.shape),
  SeenOnSchema.extend({ answers: z.array(OneSeenSchema).min(1).max(64) }),
]);

/** @throws Failure 422 where no flight or run in the log has a gain reading */
function mustHaveNumbers(store: Workshop, id: string): void {
  if (!store.log.hasReading(id))
    throw new Failure(422, [
      {
        path: '/check',
        reason:
          'write the flight or run into the log first, with the gain you read: that proves it',
      },
    ]);
}

/** Keeps what was seen, stamped with what it depends on in the version it was seen on. */
export async function recordObservation(
  id: string,
  data: unknown,
  store = workshop(),
): Promise<ModelView> {
  const head = headOf(store, id);
  const { version, keep, at, bench, ...said } = checked(ObservationSchema, data);
  const on = versionOf(store, id, version);
  const all = 'answers' in said ? said.answers : [said];
  const stamped: Stamped[] = [];
  for (const one of all) {
    const kept = await ask('observation', on.setup, one);
    if (!kept)
      throw new Failure(422, [
        {
          path: '/check',
          reason: `this model has no check "${one.check}" on "${one.surface}" that takes "${one.seen}"`,
        },
      ]);
    if (isSame(one, testSubject(READ_ITEM)) && one.seen === 'pass') mustHaveNumbers(store, id);
    if (one.seen !== 'unseen') mustBeSafe(stepOf(one), on.setup, bench, at);
    stamped.push(kept);
  }
  if (!keep) await mustStillHold(stamped, version, head);
  store.write(() => keepSeen(store, id, version, stamped));
  return getModel(id, store);
}

/** What the newest answers say, whenever they were given: the same answer again says nothing new. */
const saidBy = (evidence: readonly Evidence[]): string =>
  JSON.stringify(
    latestOf(evidence)
      .map(({ check, surface, seen, parts }) => [check, surface, seen, parts])
      .sort((a, b) => String(a).localeCompare(String(b))),
  );

const RemedySchema = z.strictObject({ basedOn: z.int().min(1) });

/**
 * Applies what the diagnosis offers: first what was learned about the real model, with the
 * observations stamped again since they are what taught it; then the changes, which make the
 * observations they concern stale. One transaction.
 */
export async function applyRemedy(
  id: string,
  data: unknown,
  store = workshop(),
): Promise<ModelView> {
  const { basedOn } = checked(RemedySchema, data);
  const head = headOf(store, id);
  const evidence = store.evidence.of(id);
  const offered = await ask('remedy', head.setup, evidence);
  if (!offered)
    throw new Failure(409, [
      { path: '', reason: 'there is no proven change to apply for what was seen' },
    ]);
  store.write(() => {
    // Answered for what was seen then: another answer meanwhile may say something else.
    if (saidBy(store.evidence.of(id)) !== saidBy(evidence))
      throw new Failure(409, [
        { path: '', reason: 'a new answer came in meanwhile: check it first' },
      ]);
    let version = basedOn;
    if (offered.learned) {
      const { label, setup, seen } = offered.learned;
      version = store.models.save(id, version, setup, label, now());
      keepSeen(store, id, version, seen);
    }
    if (offered.changed)
      store.models.save(id, version, offered.changed.setup, offered.changed.label, now());
  });
  return getModel(id, store);
}
