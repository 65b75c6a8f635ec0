import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { makeSetup } from '../../tests/kit/setups';
import type { Setup } from '../core/setup';
import { warmUp } from './warmUp';
import { openWorkshop, type Workshop } from './workshop';

let store: Workshop;
beforeEach(() => {
  store = openWorkshop(':memory:');
});
afterEach(() => {
  store.db.close();
});

const keep = (name: string, at: string, setup = makeSetup()) =>
  store.models.create(name, { ...setup, name }, 'Started', at);

describe('a server that has just begun', () => {
  it('has nothing to prove where nothing is kept', async () => {
    expect(await warmUp(store)).toEqual([]);
  });
  it('proves the models changed last, one for each thread', async () => {
    keep('Pintail', '2026-05-01T10:00:00Z');
    keep('Smew', '2026-05-03T10:00:00Z');
    keep('Grebe', '2026-05-02T10:00:00Z');
    expect(await warmUp(store)).toEqual(['Smew', 'Grebe']);
  });
  it('leaves what cannot be proved to whoever opens it', async () => {
    keep('Pintail', '2026-05-01T10:00:00Z');
    // Not what the database would be given: what some other program left in it.
    keep('Smew', '2026-05-02T10:00:00Z', {} as Setup);
    expect(await warmUp(store)).toEqual(['Pintail']);
  });
});
