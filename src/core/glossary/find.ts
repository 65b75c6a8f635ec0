import { GLOSSARY, type Term } from './glossary';

/** A word in a text that somebody may ask about. */
export interface TermAt {
  term: Term;
  /** Where it begins, and where it ends, in the text. */
  from: number;
  to: number;
}

const LETTER = '[\\p{L}\\p{N}]';

/** Longer forms first: “level capture” is not a capture. */
const FORMS = GLOSSARY.flatMap((term) => term.forms.map((form) => ({ form, term }))).toSorted(
  (a, b) => b.form.length - a.form.length,
);
const BY_FORM = new Map(FORMS.map(({ form, term }) => [form, term]));
const ANY = new RegExp(
  `(?<!${LETTER}|-)(?:${FORMS.map(({ form }) => form.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')).join('|')})(?!${LETTER}|-)`,
  'giu',
);

/** Every trade word of a text, in the order it is read. */
export function termsIn(text: string): TermAt[] {
  return [...text.matchAll(ANY)].map((m) => ({
    term: BY_FORM.get(m[0].toLowerCase())!,
    from: m.index,
    to: m.index + m[0].length,
  }));
}
