import { describe, expect, it } from 'vitest';
import { TRANSMITTERS, UNITS, unitGuide } from '../../catalogue';
import { HANGAR_FORMAT, parseHangarFile, parsePart, type Part } from './parts';

const unit = (id: string, copyOf?: string): Part => ({
  id,
  kind: 'unit',
  body: structuredClone(UNITS['menu-receiver']!),
  ...(copyOf ? { copyOf } : {}),
});
const file = (...parts: unknown[]) => ({ format: HANGAR_FORMAT, version: 1, parts });
const known = new Map(Object.keys(UNITS).map((id) => [id, undefined]));

describe('parts', () => {
  it('are all valid as they ship', () => {
    for (const [id, body] of Object.entries(UNITS))
      expect(parsePart({ id, kind: 'unit', body }), id).toMatchObject({ ok: true });
    for (const [id, body] of Object.entries(TRANSMITTERS))
      expect(parsePart({ id, kind: 'transmitter', body }), id).toMatchObject({ ok: true });
  });

  const broken: [string, (p: Part & { kind: 'unit' }) => void, string, RegExp][] = [
    [
      'overlapping bands',
      (p) => {
        const select = p.body.traits.modeSelect;
        if (select.by === 'bands') select.bands[1]!.fromUs = 1200;
      },
      '/body/traits/modeSelect/bands/1/fromUs',
      /overlaps band 0/,
    ],
    [
      'a mode it lacks',
      (p) => (p.body.settings.slots = ['home', 'rate', 'level']),
      '/body/settings/slots/0',
      /has no home mode/,
    ],
    [
      'a port twice',
      (p) => p.body.traits.ports.push(p.body.traits.ports[0]!),
      '/body/traits/ports/8/id',
      /already used/,
    ],
    ['no ports', (p) => (p.body.traits.ports = []), '/body/traits/ports', /at least 1/],
  ];
  it.each(broken)('refuse %s at its place', (_, breakIt, path, reason) => {
    const part = unit('mine') as Part & { kind: 'unit' };
    breakIt(part);
    const result = parsePart(part);
    expect(result.ok).toBe(false);
    if (!result.ok)
      expect(result.problems).toContainEqual({
        path,
        reason: expect.stringMatching(reason) as string,
      });
  });
});

describe('hangar files', () => {
  it.each([
    ['no parts', file()],
    ['a copy of a shipped part', file(unit('a', 'menu-receiver'))],
    ['copies of copies', file(unit('a', 'b'), unit('b', 'c'), unit('c'))],
  ])('take %s', (_, data) => {
    expect(parseHangarFile(data, known)).toMatchObject({ ok: true });
  });
  it.each([
    ['itself', file(unit('a', 'a')), '/parts/0/copyOf', 'a → a'],
    ['its copy', file(unit('a', 'b'), unit('b', 'a')), '/parts/0/copyOf', 'a → b → a'],
    [
      'the copy of its copy',
      file(unit('a', 'b'), unit('b', 'c'), unit('c', 'a')),
      '/parts/2/copyOf',
      'c → a → b → c',
    ],
  ])('refuse a part copied from %s, the circle spelled out', (_, data, path, circle) => {
    const result = parseHangarFile(data, known);
    expect(result).toMatchObject({ ok: false });
    if (!result.ok)
      expect(result.problems).toContainEqual({
        path,
        reason: `copies form a loop: ${circle}`,
      });
  });
  it('refuse a copy of nothing, and a name used twice', () => {
    const result = parseHangarFile(file(unit('a', 'nowhere'), unit('a')), known);
    expect(result).toEqual({
      ok: false,
      problems: [
        { path: '/parts/1/id', reason: 'a is used twice in this file' },
        {
          path: '/parts/0/copyOf',
          reason: 'there is no part "nowhere" it could be a copy of',
        },
      ],
    });
  });
});

describe('the page of a unit', () => {
  it('says for each what comes when, how it is captured, what it cannot do', () => {
    for (const [id, u] of Object.entries(UNITS)) {
      const guide = unitGuide(u);
      expect(guide.order.length, id).toBeGreaterThanOrEqual(8);
      expect(guide.gestures.length, id).toBeGreaterThan(0);
      expect(guide.cannot.length, id).toBeGreaterThan(0);
      expect(guide.order.at(-1), id).toMatch(/transmitter off with the model held/);
    }
  });
  it('follows the traits, not the name', () => {
    const mine = structuredClone(UNITS['menu-receiver']!);
    expect(unitGuide(mine).order.join()).not.toMatch(/run the stick up/);
    mine.traits.arming = 'after-throttle';
    mine.traits.armThrottlePct = 30;
    expect(unitGuide(mine).order.join()).toMatch(/passed 30 % once/);
    mine.traits.modes = ['rate'];
    expect(unitGuide(mine).cannot).toContain('be switched off from the transmitter');
  });
});
