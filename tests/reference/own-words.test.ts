import { describe, expect, it } from 'vitest';
import { MODE_WORDS, modeWords } from '@/core/chain';
import { tagsOf } from '@/core/controls';
import { TESTS } from '@/core/logbook';
import { preflightCard } from '@/core/preflight';
import {
  ENTRY_STYLES,
  gestureKey,
  lightKey,
  modeKey,
  type MenuItem,
  type Mode,
  type Setup,
} from '@/core/setup';
import { MENU_WORDS, STYLES, sheetSections } from '@/core/sheets';
import { verify } from '@/core/verify';
import { PROGRAMS } from '../kit/programs';
import { makeSetup } from '../kit/setups';

const OWN: Partial<Record<Mode, string>> = { level: 'Safe', rate: 'Optimum' };

/** A unit whose leaflet has words of its own for two modes. */
function inOwnWords(setup: Setup): Setup {
  return {
    ...setup,
    unit: {
      ...setup.unit,
      leaflet: Object.entries(OWN).map(([mode, word]) => ({
        setting: modeKey(mode as Mode),
        word,
      })),
    },
  };
}

/** Everything said of this very model; what is said of every model has no unit to ask. */
const saidOf = (setup: Setup): string[] => [
  ...tagsOf(setup).flatMap((t) => t.places.flatMap((p) => p.does)),
  ...preflightCard(setup).flatMap((s) => [s.does, ...s.sees]),
  ...Object.values(TESTS).flatMap(({ script }) => script(setup).flatMap((s) => s.sees)),
  ...verify(setup).map((f) => f.says),
];

describe('modes in the words of the person’s leaflet', () => {
  it('theirs stands first and ours behind it', () => {
    const { unit } = inOwnWords(makeSetup());
    expect(modeWords(unit, 'level')).toBe('“Safe” (self-levelling)');
    expect(modeWords(unit, 'off')).toBe('off');
  });
  it.each(['conventional', 'v-tail', 'flying-wing'] as const)(
    '%s: in everything said of the model, and nothing else is said otherwise',
    (kind) => {
      const plain = makeSetup(kind);
      plain.program.lines.push({
        id: 'spoilt',
        channel: plain.program.outputs.find((o) => o.carries === 'mode')!.channel,
        follows: { kind: 'fixed' },
        sharePct: 40,
        shiftPct: 0,
        when: { kind: 'switch', control: 'sa', position: 0 },
        effect: 'adds',
      });
      const own = inOwnWords(plain);
      const [was, is] = [saidOf(plain), saidOf(own)];
      // Word for word the same, but for the names of these modes.
      const translated = was.map((text) =>
        Object.entries(OWN).reduce(
          (t, [mode, word]) =>
            t.replaceAll(MODE_WORDS[mode as Mode], `“${word}” (${MODE_WORDS[mode as Mode]})`),
          text,
        ),
      );
      expect(translated.filter((text, i) => text !== was[i]).length).toBeGreaterThan(3);
      expect(is).toEqual(translated);
    },
  );
});

describe('what is entered, in the words of the person’s transmitter', () => {
  it.each(PROGRAMS)('%s: theirs first wherever a menu or a field of it is named', (_, setup) => {
    for (const style of ENTRY_STYLES) {
      const { menus } = STYLES[style];
      const menu = menus.map((item, i) => ({ item, word: `Their word ${i + 1}` }));
      const worded: Setup = { ...setup, transmitter: { ...setup.transmitter, menu } };
      const { sections } = sheetSections(setup, style);
      const theirs = sheetSections(worded, style).sections;
      const wordFor = (item: MenuItem) => menu.find((m) => m.item === item)!.word;
      const named = new Set<MenuItem>();
      for (const [k, { title, menu: of, steps }] of theirs.entries()) {
        // What is set in the unit is no menu of the transmitter.
        if (of) {
          expect(menus).toContain(of.item);
          expect(title).toMatch(new RegExp(`^“${wordFor(of.item)}” \\(${MENU_WORDS[of.item]}\\)`));
          named.add(of.item);
        } else expect({ title, steps }).toEqual(sections[k]);
        // Without what is theirs it is word for word the same.
        const ours = steps.map((s) => ({
          ...s,
          value: s.value.replace(
            /“(Their word \d+)” \(([^)]*)\)/g,
            (_all, word: string, our: string) => {
              named.add(menu.find((m) => m.word === word)!.item);
              return our;
            },
          ),
        }));
        expect(ours).toEqual(sections[k]!.steps);
      }
      for (const item of ['ends', 'subtrim', 'rate', 'expo'] as const)
        expect(named).toContain(item);
    }
  });
  it('gestures and lights of the unit as well', () => {
    const setup = makeSetup();
    setup.unit.leaflet = [
      { setting: gestureKey('stick-corners'), word: 'Sticks to the outside' },
      { setting: lightKey('level'), word: 'steady glow' },
      { setting: gestureKey('level'), word: 'Horizon set' },
    ];
    const said = Object.values(TESTS).flatMap(({ script }) =>
      script(setup).flatMap((s) => [s.does, ...s.sees]),
    );
    expect(said.join('\n')).toMatch(/“Sticks to the outside” \(hold the sticks in the corner\)/);
    expect(said.join('\n')).toMatch(/self-levelling: “steady glow” \(\w+, \d blinks?\)/);
    expect(said.join('\n')).toMatch(/“Horizon set” \(/);
  });
});
