import { describe, expect, it } from 'vitest';
import { inLanguage, patterns, pretended } from '../../scripts/language';

const words: Record<string, string> = {
  'All {0} correct': '{0} von {0} richtig',
  '{0} on channel {1}': 'auf Kanal {1}: {0}',
  'Set it to {0}': 'Auf {0} stellen',
  empty: 'leer',
  'Which way did it go?': 'Wohin ging es?',
};
const german = (source: string, file = 'a.tsx') => inLanguage(file, source, (p) => words[p]);

describe('a source in another language', () => {
  it.each([
    [
      'what is put in may change its place',
      'x = `${name} on channel ${at(1)}`;',
      'x = `auf Kanal ${at(1)}: ${name}`;',
    ],
    ['and may be said twice', 'x = `All ${n} correct`;', 'x = `${n} von ${n} richtig`;'],
    [
      'what is put in is looked into',
      "x = `Set it to ${a ? `${b} on channel ${c}` : 'x'}`;",
      "x = `Auf ${a ? `auf Kanal ${c}: ${b}` : 'x'} stellen`;",
    ],
    [
      'among markup',
      "<p>Which way did it go?{no ? 'empty' : 'a-code'}</p>",
      '<p>Wohin ging es?{no ? "leer" : \'a-code\'}</p>',
    ],
    [
      'as an attribute',
      '<p aria-label="Which way did it go?" />',
      '<p aria-label={"Wohin ging es?"} />',
    ],
    [
      'a word of a table',
      "const X_WORDS = { empty: 'empty' };",
      'const X_WORDS = { empty: "leer" };',
    ],
    ['a code is left alone', "if (x === 'empty') y('empty');", "if (x === 'empty') y('empty');"],
    [
      'a path, a class and a query too',
      '<a href="/Which way" className="btn empty" />; sql(\'Which way did it go?\');',
      '<a href="/Which way" className="btn empty" />; sql(\'Which way did it go?\');',
    ],
  ])('%s', (_, source, other) => expect(german(source)).toBe(other));
  it('a language that lacks a sentence leaves it in English', () => {
    const source = "const a = 'Nothing is connected yet.';";
    expect(german(source)).toBe(source);
  });
  it('placeholders survive the pretend language', () => {
    expect(pretended('{0} on channel {1}')).toBe('{0} ⓞⓝ ⓒⓗⓐⓝⓝⓔⓛ {1}');
  });
  it("the translator's file maps every pattern to itself", () => {
    const all = Object.entries(patterns());
    expect(all.length).toBeGreaterThan(3000);
    expect(all.every(([pattern, text]) => pattern === text)).toBe(true);
  });
});
