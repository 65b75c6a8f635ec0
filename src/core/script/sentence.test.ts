import { describe, expect, it } from 'vitest';
import { makeSetup } from '../../../tests/kit/setups';
import { TESTS } from '../logbook';
import { AIRFRAME_KINDS, type Setup } from '../setup';
import { fault, scriptOf, sentences, type Data, type Named } from './index';

const SAY = sentences('room', {
  still: () => 'It stays still.',
  goes: ({ what, deg }: { what: Named; deg: number }) => `${what.label} goes ${deg}° up.`,
  within: ({ all }: { all: readonly Named[] }) => all.map((a) => a.label).join(' and '),
});

describe('a sentence', () => {
  it.each<[string, { words: string; asks: Data }, string, Data]>([
    ['about nothing is its code', SAY.still(), 'It stays still.', 'room.still'],
    [
      'names things by their ids',
      SAY.goes({ what: { id: 'flap', label: 'Left flap' }, deg: 12 }),
      'Left flap goes 12° up.',
      ['room.goes', { what: 'flap', deg: 12 }],
    ],
    [
      'keeps lists in order',
      SAY.within({
        all: [
          { id: 'b', label: 'B' },
          { id: 'a', label: 'A' },
        ],
      }),
      'B and A',
      ['room.within', { all: ['b', 'a'] }],
    ],
  ])('%s', (_, { words, asks }, inWords, asData) => {
    expect(words).toBe(inWords);
    expect(asks).toEqual(asData);
  });

  it('within another is what it asks, whatever its words', () => {
    const outer = sentences('outer', {
      then: ({ first }: { first: { words: string; asks: Data } }) => `${first.words} Then land.`,
    });
    const said = outer.then({ first: SAY.still() });
    expect(said.words).toBe('It stays still. Then land.');
    expect(said.asks).toEqual(['outer.then', { first: 'room.still' }]);
    expect(outer.then({ first: { ...SAY.still(), words: 'Es bleibt ruhig.' } }).asks).toEqual(
      said.asks,
    );
  });

  it('a step has its faults by themselves', () => {
    const [step] = scriptOf('level', [
      ['one', [SAY.still(), SAY.still()], [SAY.still(), fault(SAY.within({ all: [] }))]],
    ]);
    expect(step).toEqual({
      test: 'level',
      item: 'one',
      does: 'It stays still. It stays still.',
      sees: ['It stays still.', ''],
      faults: [''],
      asks: [
        ['room.still', 'room.still'],
        ['room.still', ['room.within', { all: [] }]],
      ],
    });
  });
});

/** Everything in data that is text: codes, ids, and what a person wrote down. */
const textsIn = (data: Data): string[] =>
  typeof data === 'string'
    ? [data]
    : typeof data !== 'object' || data === null
      ? []
      : Object.values(data).flatMap(textsIn);

/** The names of everything turned into another language. */
function renamed(setup: Setup): Setup {
  const copy = structuredClone(setup);
  const named = [
    ...copy.transmitter.controls,
    ...copy.airframe.surfaces,
    ...copy.airframe.servos,
    ...copy.airframe.motors,
    ...copy.unit.traits.ports,
  ];
  named.forEach((thing, i) => (thing.label = `Ding ${i}`));
  return copy;
}

describe('what every test asks', () => {
  const setups = AIRFRAME_KINDS.map((kind): [string, Setup] => [
    kind,
    kind === 'car' || kind === 'boat'
      ? makeSetup(kind, 'steering-receiver', 'surface-four')
      : makeSetup(kind),
  ]);
  const asksOf = (setup: Setup) =>
    Object.entries(TESTS).flatMap(([name, { script }]) =>
      // The lines of the unit are grouped by what they are called.
      name === 'unit' ? [] : script(setup).map((s) => s.asks),
    );
  it.each(setups)('%s: the same whatever things are called', (_, setup) => {
    expect(asksOf(renamed(setup))).toEqual(asksOf(setup));
  });
  it.each(setups)('%s: no prose in it', (_, setup) => {
    const prose = asksOf(setup)
      .flatMap(textsIn)
      // An entry of the sheet is named with the piece of the program it stands for.
      .filter((t) => !/^\w+ \S+: /.test(t) && t.split(' ').length > 4);
    expect(prose).toEqual([]);
  });
});
