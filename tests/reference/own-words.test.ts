import { describe, expect, it } from 'vitest';
import { MODE_WORDS, modeWords } from '@/core/chain';
import { tagsOf } from '@/core/controls';
import { TESTS } from '@/core/logbook';
import { preflightCard } from '@/core/preflight';
import { modeKey, type Mode, type Setup } from '@/core/setup';
import { verify } from '@/core/verify';
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
