import { describe, expect, it } from 'vitest';
import { sentences, sentencesIn } from '../../scripts/words';

/** What no sentence says, and what it says instead. A pattern allows the contexts in which the words are ordinary. */
const TERMS: readonly (readonly [not: RegExp, but: string])[] = [
  [/\bturn(s|ed|ing)? (it |them |\w+ )?round\b/i, 'reverse, reversed'],
  [/\bother way (about|round)\b/i, 'reversed'],
  [/\bback to normal\b/i, 'normal'],
  // The name of an entry that programs keep.
  [/\blet go\b(?! after braking: reverse is free)/i, 'released'],
  [/\bhand at its end\b|\bhands? held\b/i, 'full stick'],
  [/\blink (goes|went|is lost|was lost|lost)\b|\blost link\b/i, 'signal lost'],
  [/\bcut(s|ting)? the link\b/i, 'turn the transmitter off; simulate signal loss'],
  [
    /\b(both|unequal|its|either|low|lower|upper|high) ends? of (the |its )?(channel|output)/i,
    'endpoints',
  ],
  [/\bmiddle of (the |a )?(stick|channel|gain knob|trim)\b/i, 'centre'],
  [/\bputs? out\b/i, 'outputs, drives'],
  [
    /\b(taken|brought|bring|bringing|brings) (it )?in\b(?! (the|your) (corner|hand))/i,
    'imported, import',
  ],
  [/\bgo(es|ing)? out in\b|\bthen it goes out\b/i, 'exported'],
  [/\btaught\b|\bteach(es|ing)?\b|\bwas told\b|\bis told\b|\bbe told\b/i, 'learned, captured, set'],
  [/\bright(ed|s) (it|the model|itself)\b|\brighted\b/i, 'brings the model back to level'],
  [/\bgone stale\b|\blook(ed)? (at it )?again\b/i, 'check again'],
  [/\bput (it )?right\b|\bmend(s|ed|ing)?\b/i, 'fix, correct'],
  [/\blooked (at|through|over)\b/i, 'checked'],
  [/\b(is|are|be) left( for| to)?\b(?! (alone|unset|over|at|out))/i, 'free, remaining'],
  [/\bput away\b|\boff the shelf\b|\btaken off\b/i, 'archive, delete'],
  [/\bwish(es|ed)?\b/i, 'choice, chose'],
  [/\b(by|held by) eye\b/i, 'estimated'],
  [/\b(is|are|not) so\b(?! (much|many|far|that|close|high|low))/i, 'confirmed, failed'],
  [/\bhangs? on\b|\bworked by\b/i, 'is controlled by'],
  [/\bstead(y|ies|ied)\b(?! drift| hand| …$)/i, 'stabilizes, stabilized'],
  [/\boutings?\b/i, 'flight, run'],
  [/\bslop\b|\ba play\b/i, 'free play'],
  [/\bways? out\b/i, 'alternative'],
  [/\bwitness\b|\bkinds? of state\b/i, 'example, cases'],
  [/\bonce more\b/i, 'again'],
  [/\banew\b/i, 'again'],
  [/\baskew\b/i, 'out of square'],
  [/\bheard of it\b/i, 'stopped responding'],
  [/\bNothing need\b|\bone (waits|can|must)\b/i, 'nothing needs; you'],
  [/\bis fixed (with|wrongly|askew|square)\b/i, 'is mounted'],
  [/\bstands (at|in) (nothing|off|no)\b/i, 'is'],
];

/** A sentence without what a program fills in. */
const words = (text: string) => text.replace(/\{[^{}]*\}|\{.*\}/g, '…').trim();

describe('plain words', () => {
  it('every sentence uses the terms of the field', () => {
    const found = sentences()
      .map((s) => ({ ...s, said: words(s.text) }))
      .filter((s) => s.said.includes(' ') || /^[A-Z]/.test(s.said))
      .flatMap(({ file, line, said }) =>
        TERMS.filter(([not]) => not.test(said)).map(
          ([not, but]) => `${file}:${line}: “${said}” (${not.exec(said)![0]}: say ${but})`,
        ),
      );
    expect(found).toEqual([]);
  });
  it.each([
    ['Channel 3 is turned round.', 'reverse'],
    ['With the sticks let go', 'released'],
    ['It was taught wrongly.', 'learned'],
    ['Put it right before you go on.', 'fix'],
    ['The gain hangs on a knob.', 'controlled by'],
  ])('finds what must not be said: %s', (text, but) => {
    const [sentence] = sentencesIn('example.ts', `export const says = '${text}';`);
    const hits = TERMS.filter(([not]) => not.test(sentence!.text));
    expect(hits.map(([, b]) => b).join()).toContain(but);
  });
  it.each([
    'Turn the knob fully up.',
    'in hold a steady drift',
    'Put the propeller on, then look at the light.',
    'not so far that it binds',
  ])('leaves ordinary words alone: %s', (text) => {
    expect(TERMS.filter(([not]) => not.test(text))).toEqual([]);
  });
});
