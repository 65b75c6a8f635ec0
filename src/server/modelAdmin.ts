import { z } from 'zod';
import { readyMade, READY_IDS } from '../core/catalogue/ready';
import { LabelSchema } from '../core/setup';
import { PLACES, type KeptPlace } from '../db';
import { TagsSchema } from './archive/format';
import { checked } from './http';
import { addModel } from './models';
import { headOf } from './observations';
import { workshop } from './workshop';

/*
 * Models as things: copied, renamed, tagged, retired, taken off with a way back.
 */

/** How long a model that was taken off can be put back. */
export const DAYS_KEPT = 30;
const DAY_MS = 86_400_000;

const now = () => new Date().toISOString();

const CopySchema = z.strictObject({ name: LabelSchema.optional() });

/**
 * A model like another one: its Setup as it is now. What was seen on the bench was seen on the other
 * model and is not copied; neither is its log.
 */
export function copyModel(id: string, data: unknown, store = workshop()): { id: string } {
  const { setup } = headOf(store, id);
  const { name = `${setup.name.slice(0, 73)}, copy` } = checked(CopySchema, data);
  const { installation } = setup;
  const counters = Object.keys(installation.revisions) as (keyof typeof installation.revisions)[];
  const copy = {
    ...setup,
    name,
    installation: {
      ...installation,
      revisions: {
        ...installation.revisions,
        ...Object.fromEntries(counters.map((key) => [key, 0])),
      },
    },
  };
  return addModel(copy, `Copied from ${setup.name}`.slice(0, 80), store, id);
}

const RenameSchema = z.strictObject({ basedOn: z.int().min(1), name: LabelSchema });

/** Another name, as a version of its own. @throws OutdatedError when the model moved on meanwhile */
export function renameModel(id: string, data: unknown, store = workshop()): { version: number } {
  const { basedOn, name } = checked(RenameSchema, data);
  const { setup } = headOf(store, id);
  const label = `Renamed from ${setup.name}`.slice(0, 80);
  return { version: store.models.save(id, basedOn, { ...setup, name }, label, now()) };
}

const PlaceSchema = z.strictObject({
  kept: z.enum(PLACES).optional(),
  tags: TagsSchema.optional(),
});

/** Puts a model on the shelf, away, or off it; and gives it the words it is found by. */
export function placeModel(id: string, data: unknown, store = workshop()): { kept?: KeptPlace } {
  const { kept, tags } = checked(PlaceSchema, data);
  headOf(store, id);
  store.write(() => {
    if (kept) store.shelf.move(id, kept, now());
    if (tags) store.shelf.tag(id, [...new Set(tags.map((t) => t.toLowerCase()))].join(' '));
  });
  return kept ? { kept } : {};
}

/** What is lost for good with a model that is taken off and not put back. */
export function holdsOf(
  id: string,
  store = workshop(),
): { versions: number; seen: number; lines: number; daysKept: number } {
  headOf(store, id);
  return { ...store.shelf.holds(id), daysKept: DAYS_KEPT };
}

/** Deletes what was taken off too long ago. @returns how many models went */
export const clearOff = (store = workshop(), at = Date.now()): number =>
  store.shelf.clear(new Date(at - DAYS_KEPT * DAY_MS).toISOString());

const ReadySchema = z.strictObject({ ready: z.enum(READY_IDS), name: LabelSchema });

/** A model from one that ships ready-made. */
export function startReady(data: unknown, store = workshop()): { id: string } {
  const { ready, name } = checked(ReadySchema, data);
  return addModel(readyMade(ready, name), 'Started from a ready-made one', store);
}
