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

/** Another model, and the newest Setup the two have in common. @throws Failure 404 where either is not there */
export function otherModel(id: string, data: unknown, store = workshop()): OtherModel {
  const { with: other } = checked(OtherSchema, data);
  headOf(store, id);
  const { setup, version } = headOf(store, other);
  const base = commonOf(store, id, other);
  return { name: setup.name, version, setup, ...(base ? { base } : {}) };
}

function commonOf(store: Workshop, id: string, other: string): Setup | undefined {
  const here = new Set<string>();
  for (const { setup } of store.models.eachText(id)) here.add(origin(JSON.parse(setup) as Setup));
  let common: Setup | undefined;
  for (const text of store.models.eachText(other)) {
    const setup = JSON.parse(text.setup) as Setup;
    if (here.has(origin(setup))) common = setup;
  }
  return common;
}
