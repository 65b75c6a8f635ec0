import { beforeAll, describe, expect, it } from 'vitest';
import { jobOf, isReady, stoppedAt, type JobStep } from '@/core/procedure';
import { parseSetup } from '@/core/setup';
import { verify } from '@/core/verify';
import { LAKE_HOLLOW } from '../kit/lake-hollow';
import { storeModel } from '@/demo/store';
import { getLog } from '@/server/log';
import { getModel } from '@/server/models';
import { listModels, type ShelfEntry } from '@/server/shelf';
import { openWorkshop } from '@/server/workshop';

const store = openWorkshop(':memory:');
const shelf = new Map<string, ShelfEntry>();

function jobFor(name: string): JobStep[] {
  const { setup, evidence } = getModel(shelf.get(name)!.id, store);
  return jobOf({ setup, evidence, findings: verify(setup) });
}

beforeAll(async () => {
  LAKE_HOLLOW.forEach((make, n) => storeModel(store, `model-${n}`, make()));
  for (const entry of (await listModels(store)).entries)
    shelf.set(entry.name.split(',')[0]!, entry);
}, 60_000);

describe('the models of Lake Hollow, six of them each in its own state', () => {
  it('the floatplane is ready', () => {
    expect(isReady(jobFor('Loon'))).toBe(true);
    expect(shelf.get('Loon')).toMatchObject({ status: 'proven', words: 'ready' });
  });
  it('the delta crashed: what depends on it is stale, and why is said', () => {
    const stale = jobFor('Skua').filter((j) => j.status === 'stale');
    expect(stale.length).toBeGreaterThan(8);
    expect(stale.every((j) => j.reasons.length > 0)).toBe(true);
    expect(shelf.get('Skua')!.words).toMatch(/steps again: .*crash/);
  });
  it('the sailplane has a hole in its panic', () => {
    expect(stoppedAt(jobFor('Tern'))!.step.id).toBe('program');
    expect(shelf.get('Tern')!.words).toContain('Panic gives off');
  });
  it('the tug is in the middle of the job, with two faults', () => {
    expect(stoppedAt(jobFor('Otter'))!.step.id).toBe('program');
    expect(jobFor('Otter').filter((j) => j.status === 'todo').length).toBeGreaterThan(5);
  });
  it('the boat was never tried with its link off', () => {
    expect(jobFor('Pike').find((j) => j.step.id === 'failsafe')!.status).toBe('todo');
    expect(shelf.get('Pike')!.words).toBe('next: failsafe');
  });
  it('the car has a second-hand unit that was not reset', () => {
    expect(stoppedAt(jobFor('Lynx'))!.step.id).toBe('identify');
    expect(shelf.get('Lynx')!.words).toMatch(/^Identify: The unit is second-hand/);
  });
  it('all are valid files, with two seasons of log between them', () => {
    let entries = 0;
    for (const { id } of shelf.values()) {
      expect(parseSetup(getModel(id, store).setup).ok).toBe(true);
      entries += getLog(id, { most: 500 }, store).entries.length;
    }
    expect(entries).toBeGreaterThan(100);
    const years = new Set(
      getLog(shelf.get('Loon')!.id, { most: 500 }, store).entries.map((e) => e.at.slice(0, 4)),
    );
    expect([...years].sort()).toEqual(['2025', '2026']);
  });
});
