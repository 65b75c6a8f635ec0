import { expect, it } from 'vitest';
import { makeSetup } from '../../tests/kit/setups';
import { oldArchive } from './shelf';
import { openWorkshop } from './workshop';

const DAY = 86_400_000;
const at = (day: number) => Date.UTC(2026, 0, 1) + day * DAY;
const iso = (day: number) => new Date(at(day)).toISOString();

it('an archive that is old is said, once anything has changed since', () => {
  const store = openWorkshop(':memory:');
  expect(oldArchive(store, at(90))).toBeUndefined();
  store.models.create('m', makeSetup(), 'Started', iso(0));
  expect(oldArchive(store, at(29))).toBeUndefined();
  expect(oldArchive(store, at(30))).toEqual({ archivedAt: undefined, days: 30 });
  store.shelf.archived(iso(31));
  expect(oldArchive(store, at(90))).toBeUndefined();
  store.models.save('m', 1, { ...makeSetup(), notes: 'new' }, 'Noted', iso(32));
  expect(oldArchive(store, at(60))).toBeUndefined();
  expect(oldArchive(store, at(61))).toEqual({ archivedAt: iso(31), days: 30 });
});
