import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { failureOf } from '../../tests/kit/failure';
import { makeSetup } from '../../tests/kit/setups';
import { UNITS } from '../core/catalogue';
import {
  addPart,
  exportParts,
  getPart,
  importParts,
  listParts,
  removePart,
  savePart,
} from './hangar';
import { createModel, getModel } from './models';
import { openWorkshop, type Workshop } from './workshop';

let store: Workshop;
beforeEach(() => {
  store = openWorkshop(':memory:');
});
afterEach(() => {
  store.db.close();
});

describe('the hangar', () => {
  it('ships thirteen units and seven transmitters, and leaves them as they are', () => {
    const parts = listParts(store);
    expect(parts.filter((p) => p.kind === 'unit')).toHaveLength(13);
    expect(parts.filter((p) => p.kind === 'transmitter')).toHaveLength(7);
    const refused = failureOf(() =>
      savePart('menu-receiver', { basedOn: 1, body: UNITS['menu-receiver'] }, store),
    );
    expect(refused).toMatchObject({ status: 422 });
    expect(failureOf(() => removePart('menu-receiver', store))).toMatchObject({ status: 404 });
  });
  it('copies, changes, numbers the copies, and takes out', () => {
    const { id } = addPart({ copy: 'dial-gyro' }, store);
    const second = addPart({ copy: id }, store);
    expect(getPart(id, store).body.name).toBe('Inline gyro with three dials, copy');
    expect(getPart(second.id, store).body.name).toBe('Inline gyro with three dials, copy 2');
    const body = { ...getPart(id, store).body, name: 'The dial box from the club raffle' };
    expect(savePart(id, { basedOn: 1, body, copyOf: 'dial-gyro' }, store)).toMatchObject({
      revision: 2,
      body: { name: 'The dial box from the club raffle' },
    });
    expect(failureOf(() => savePart(id, { basedOn: 1, body }, store))).toMatchObject({
      status: 409,
      head: 2,
    });
    removePart(id, store);
    expect(failureOf(() => getPart(id, store))).toMatchObject({ status: 404 });
    expect(getPart(second.id, store).copyOf).toBe(id);
  });
  it('refuses copies that lead back to themselves', () => {
    const a = addPart({ copy: 'dial-gyro' }, store).id;
    const b = addPart({ copy: a }, store).id;
    const { body } = getPart(a, store);
    const refused = failureOf(() => savePart(a, { basedOn: 1, body, copyOf: b }, store));
    expect(refused.problems[0]).toEqual({
      path: '/copyOf',
      reason: `copies form a loop: ${a} → ${b} → ${a}`,
    });
    expect(getPart(a, store).copyOf).toBe('dial-gyro');
  });
  it('keeps a part out of a model, and fits it to a new one', () => {
    const setup = makeSetup();
    setup.unit.name = 'Winter receiver';
    setup.unit.settings.axes.roll.gainPct = 44;
    const { id } = addPart({ kind: 'unit', body: setup.unit }, store);
    const model = createModel(
      {
        name: 'Smew',
        kind: 'v-tail',
        ailerons: 'y-lead',
        unit: id,
        transmitter: 'line-sixteen',
        motors: 2,
      },
      store,
    );
    const made = getModel(model.id, store).setup;
    expect(made.unit.name).toBe('Winter receiver');
    expect(made.unit.settings.axes.roll.gainPct).toBe(44);
    expect(made.airframe.motors).toHaveLength(2);
    removePart(id, store);
    expect(getModel(model.id, store).setup.unit.name).toBe('Winter receiver');
  });
  it('refuses a part that is none, with the place', () => {
    const body = structuredClone(UNITS['menu-receiver']!);
    body.settings.slots = ['home'];
    expect(failureOf(() => addPart({ kind: 'unit', body }, store)).problems[0]?.path).toMatch(
      /^\/body\/settings\/slots|^\/body\/traits/,
    );
    expect(failureOf(() => addPart({ kind: 'unit', body: 7 }, store))).toMatchObject({
      status: 422,
    });
    expect(
      failureOf(() =>
        createModel(
          {
            name: 'X',
            kind: 'boat',
            ailerons: 'none',
            unit: 'nothing',
            transmitter: 'surface-four',
          },
          store,
        ),
      ).problems[0],
    ).toEqual({ path: '/unit', reason: 'there is no unit "nothing" here' });
  });
  it('goes out as a file and comes back whole, under new names where they are taken', () => {
    const a = addPart({ copy: 'autopilot' }, store).id;
    addPart({ copy: a }, store);
    addPart({ copy: 'line-eight' }, store);
    const file = exportParts(store);
    expect(file.parts).toHaveLength(3);
    const other = openWorkshop(':memory:');
    expect(importParts(structuredClone(file), other)).toEqual({ added: 3 });
    expect(exportParts(other)).toEqual(file);
    importParts(structuredClone(file), other);
    const twice = exportParts(other).parts;
    expect(twice).toHaveLength(6);
    expect(new Set(twice.map((p) => p.id)).size).toBe(6);
    other.db.close();
  });
  it('one’s own words for menus, gestures and lights go with the part, out, in and into a model', () => {
    const { id } = addPart({ copy: 'line-sixteen' }, store);
    const menu = [{ item: 'lines', word: 'Mixer' }];
    savePart(id, { basedOn: 1, body: { ...getPart(id, store).body, menu } }, store);
    const box = addPart({ copy: 'menu-receiver' }, store).id;
    const leaflet = [
      { setting: 'gesture-menu', word: 'Teach-in' },
      { setting: 'light-level', word: 'slow pulse' },
    ];
    savePart(box, { basedOn: 1, body: { ...getPart(box, store).body, leaflet } }, store);
    const file = structuredClone(exportParts(store));
    const other = openWorkshop(':memory:');
    importParts(file, other);
    const names = exportParts(other).parts;
    expect(names).toHaveLength(2);
    const made = createModel(
      {
        name: 'Worded',
        kind: 'conventional',
        ailerons: 'y-lead',
        unit: names.find((p) => p.kind === 'unit')!.id,
        transmitter: names.find((p) => p.kind === 'transmitter')!.id,
      },
      other,
    );
    const { setup } = getModel(made.id, other);
    expect([setup.transmitter.menu, setup.unit.leaflet]).toEqual([menu, leaflet]);
    other.db.close();
  });
  it('takes all of a file or nothing', () => {
    const file = exportParts(store) as { parts: unknown[] };
    file.parts.push(
      { id: 'good', kind: 'unit', body: UNITS['menu-receiver'] },
      { id: 'bad', kind: 'unit', body: {} },
    );
    expect(failureOf(() => importParts(file, store))).toMatchObject({ status: 422 });
    expect(exportParts(store).parts).toEqual([]);
  });
});
