import { safely, saidFor } from '../../tests/kit/bench';
import { beforeEach, describe, expect, it } from 'vitest';
import { failureOf, refusalOf } from '../../tests/kit/failure';
import { makeSetup } from '../../tests/kit/setups';
import { preflightCard } from '../core/preflight';
import { LAKE_HOLLOW } from '../../tests/kit/lake-hollow';
import { storeModel } from '../demo/store';
import { addEntry, backTo, compareVersions, getLog, recordEvent, recordPreflight } from './log';
import { exportLog, importLog, previewLog } from './log-csv/csv';
import { getModel, recordObservation } from './models';
import { openWorkshop, type Workshop } from './workshop';

/** The bench of a preflight, made safe. */
const bench = saidFor('test:preflight');

const AT = '2026-11-01T00:00:00.000Z';
let store: Workshop;

beforeEach(() => {
  store = openWorkshop(':memory:');
  LAKE_HOLLOW.forEach((make, n) => storeModel(store, `model-${n}`, make()));
});

describe('the log', () => {
  it('keeps flights, finds them by kind and by words', async () => {
    const before = getLog('model-4', {}, store).entries.length;
    const said = { kind: 'flight', at: AT, title: 'First ice', seen: '50% grip, 100 % fun' };
    await addEntry('model-4', said, store);
    expect(getLog('model-4', {}, store).entries).toHaveLength(before + 1);
    expect(getLog('model-4', { text: '50% grip' }, store).entries).toHaveLength(1);
    expect(getLog('model-4', { text: 'fun ice 2026-11' }, store).entries).toHaveLength(1);
    expect(getLog('model-4', { text: '5__ grip' }, store).entries).toHaveLength(0);
    // Words of the entry, not of how it is kept.
    expect(getLog('model-4', { text: 'title' }, store).entries).toHaveLength(0);
    expect(getLog('model-4', { kind: 'event' }, store).entries).toHaveLength(0);
    const odd = { kind: 'event', at: AT, title: 'x' };
    expect((await refusalOf(() => addEntry('model-4', odd, store))).status).toBe(422);
  });
  it('an event makes a version and stales what depends on it; back is a version too', () => {
    const view = recordEvent('model-2', { basedOn: 1, event: 'moved', note: 'new tape' }, store);
    expect(view.setup.installation.revisions.unitMoved).toBe(1);
    expect(compareVersions('model-2', { from: 1, to: 2 }, store).differences).toEqual([
      {
        what: 'installation · revisions',
        words: 'unit moved 0 → 1',
        name: 'unit moved',
        before: '0',
        after: '1',
      },
    ]);
    const back = backTo('model-2', { basedOn: 2, to: 1 }, store);
    expect(back.version).toBe(3);
    // What happened stays happened.
    expect(back.setup.installation.revisions.unitMoved).toBe(1);
    expect(failureOf(() => backTo('model-2', { basedOn: 1, to: 1 }, store)).status).toBe(409);
    expect(
      failureOf(() => recordEvent('model-2', { basedOn: 3, event: 'party' }, store)).status,
    ).toBe(422);
  });
  it('a line sent twice under one name is one line; another under it is refused', async () => {
    const line = { uid: 'sent-twice', kind: 'note', at: AT, title: 'Hinge glued' };
    const before = getLog('model-4', {}, store).entries.length;
    await Promise.all([addEntry('model-4', line, store), addEntry('model-4', line, store)]);
    expect(getLog('model-4', {}, store).entries).toHaveLength(before + 1);
    const other = { ...line, title: 'Hinge torn' };
    expect((await refusalOf(() => addEntry('model-4', other, store))).status).toBe(409);
    // In another model it is another line.
    await addEntry('model-3', line, store);
    expect(store.log.get('model-3', 'sent-twice')).toMatchObject({ title: 'Hinge glued' });
  });
  it('gives older lines to the first one, page by page', async () => {
    for (let n = 0; n < 130; n++)
      await addEntry('model-5', { kind: 'note', at: AT, title: `note ${n}` }, store);
    const whole = store.log.all('model-5').length;
    const seen: string[] = [];
    for (let before: string | undefined; ;) {
      const page = getLog('model-5', { most: 20, ...(before ? { before } : {}) }, store);
      seen.push(...page.entries.map((e) => e.uid));
      if (!page.more) break;
      before = seen.at(-1);
    }
    expect(seen).toHaveLength(whole);
    expect(new Set(seen).size).toBe(whole);
  });
  it('a preflight check is evidence and a line, passed only when all of it was so', async () => {
    const card = preflightCard(getModel('model-5', store).setup);
    const answers = Object.fromEntries(card.map((c) => [c.item, 'pass']));
    await recordPreflight('model-5', { version: 1, place: 'harbour', answers, bench }, store);
    expect(getLog('model-5', { kind: 'preflight' }, store).entries[0]).toMatchObject({
      result: 'passed',
      place: 'harbour',
    });
    const { [card[0]!.item]: _, ...some } = answers;
    await recordPreflight('model-5', { version: 1, answers: some, bench }, store);
    expect(getLog('model-5', { kind: 'preflight' }, store).entries[0]!.result).toBe('failed');
    const odd = { version: 1, answers: { nothing: 'pass' } };
    expect(
      (await refusalOf(() => recordPreflight('model-5', { ...odd, bench }, store))).status,
    ).toBe(422);
  });
  it('a preflight check begun before something it proves was changed elsewhere is refused', async () => {
    const card = preflightCard(getModel('model-5', store).setup);
    const check = {
      version: 1,
      uid: 'begun-before',
      answers: Object.fromEntries(card.map((c) => [c.item, 'pass'])),
    };
    recordEvent('model-5', { basedOn: 1, event: 'crash' }, store);
    const evidence = () => store.evidence.of('model-5').length;
    const before = evidence();
    const refused = await refusalOf(() => recordPreflight('model-5', { ...check, bench }, store));
    expect(refused).toMatchObject({ status: 409, head: 2 });
    expect(refused.changed!.length).toBeGreaterThan(0);
    expect(evidence()).toBe(before);
    await recordPreflight('model-5', { ...check, keep: true, bench }, store);
    expect(store.evidence.of('model-5').at(-1)).toMatchObject({ version: 1 });
    expect(store.log.get('model-5', 'begun-before')).toMatchObject({ version: 1 });
    // Sent again, as after an answer that got lost, it is still one.
    await recordPreflight('model-5', { ...check, keep: true, bench }, store);
    expect(evidence()).toBe(before + card.length);
  });
  it('takes a Import CSV whole or not at all, and no line twice', () => {
    const good = 'at,title,kind\r\n2026-02-01T10:00:00Z,Ice,flight\r\n2026-02-02,More,note\r\n';
    expect(importLog('model-4', good, null, store)).toEqual({ added: 2, known: 0 });
    expect(importLog('model-4', good, null, store)).toEqual({ added: 0, known: 2 });
    const bad = `${good}never,x,note\r\n`;
    expect(failureOf(() => importLog('model-4', bad, null, store)).problems[0]!.path).toBe(
      '/line 4',
    );
    expect(() => store.db.exec("UPDATE log_entry SET at = 'x'")).toThrow(/append-only/);
  });
  it('the same line into another model, and two equal lines in one file, all come in', () => {
    const twice = 'at,title,kind\r\n2026-02-01,Ice,note\r\n2026-02-01,Ice,note\r\n';
    expect(previewLog('model-4', twice, null, store).add).toBe(2);
    expect(importLog('model-4', twice, null, store).added).toBe(2);
    expect(importLog('model-4', twice, null, store)).toEqual({ added: 0, known: 2 });
    expect(importLog('model-3', twice, null, store).added).toBe(2);
    // One model's log, names and all, into another model.
    const out = [...exportLog('model-2', store)].join('');
    const lines = store.log.all('model-2').length;
    expect(importLog('model-3', out, null, store).added).toBe(lines);
    expect(importLog('model-3', out, null, store).added).toBe(0);
  });
  it('asks which number is the day where nothing tells, and never guesses', () => {
    const odd = 'at,title\r\n03.04.2026,Ice\r\n';
    expect(previewLog('model-4', odd, null, store)).toMatchObject({ askOrder: '03.04.2026' });
    expect(failureOf(() => importLog('model-4', odd, null, store)).status).toBe(422);
    importLog('model-4', odd, 'month-first', store);
    const line = store.log.all('model-4').find((l) => new Date(l.at).getDate() === 4);
    expect(new Date(line!.at).getMonth()).toBe(2);
    expect(failureOf(() => previewLog('model-4', odd, 'moon-first', store)).status).toBe(422);
  });
});

it('tuning is proven by a line with the gain that was read, and by nothing else', async () => {
  const id = 'untuned';
  store.write(() => store.models.create(id, makeSetup(), 'Made', AT));
  const seen = safely({ check: 'test:tune', surface: 'read', seen: 'pass', version: 1 });
  const refused = await refusalOf(() => recordObservation(id, seen, store));
  expect(refused.problems[0]!.reason).toContain('into the log first');
  const line = { kind: 'flight', at: '2026-05-01T10:00:00Z', title: 'First flight' };
  await addEntry(id, line, store);
  expect(await refusalOf(() => recordObservation(id, seen, store))).toMatchObject({ status: 422 });
  await addEntry(id, { ...line, title: 'Second', gainReading: '−8 %' }, store);
  const proven = getModel(id, store).evidence.filter((e) => e.check === 'test:tune');
  expect(proven.map((e) => [e.surface, e.seen])).toEqual([['read', 'pass']]);
  expect((await recordObservation(id, seen, store)).evidence.length).toBeGreaterThan(1);
});
