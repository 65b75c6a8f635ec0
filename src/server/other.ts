import { z } from 'zod';
import { origin } from '../core/merge';
import type { Setup } from '../core/setup';
import { checked } from './http';
import { headOf } from './observations';
import { workshop, type Workshop } from './workshop';

/** Another model beside this one, to be compared and taken over from. */
export interface OtherModel {
  name: string;
  version: number;
  setup: Setup;
  /** What both were before they went different ways. */
  base?: Setup;
}

const OtherSchema = z.strictObject({ with: z.string().min(1).max(80) });

/**
 * Another model, and the newest Setup the two have in common, where one came of the other: two that were
 * begun alike and are at their first version in what they share are strangers.
 * @throws Failure 404 where either is not there
 */
export function otherModel(id: string, data: unknown, store = workshop()): OtherModel {
  const { with: other } = checked(OtherSchema, data);
  headOf(store, id);
  const { setup, version } = headOf(store, other);
  const base = commonOf(store, id, other);
  return { name: setup.name, version, setup, ...(base ? { base } : {}) };
}

function commonOf(store: Workshop, id: string, other: string): Setup | undefined {
  const copied = store.models.copiedFrom(id) === other || store.models.copiedFrom(other) === id;
  const here = new Map<string, number>();
  for (const { setup, version } of store.models.eachText(id)) {
    const made = origin(JSON.parse(setup) as Setup);
    if (!here.has(made)) here.set(made, version);
  }
  const first = new Map<string, number>();
  let common: Setup | undefined;
  for (const text of store.models.eachText(other)) {
    const setup = JSON.parse(text.setup) as Setup;
    const made = origin(setup);
    const there = first.get(made) ?? text.version;
    first.set(made, there);
    const version = here.get(made);
    if (version !== undefined && (copied || version > 1 || there > 1)) common = setup;
  }
  return common;
}
