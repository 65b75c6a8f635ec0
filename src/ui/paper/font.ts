import { Font } from '@react-pdf/renderer';
import { create, type Font as Face } from 'fontkit';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';

/**
 * The faces paper is set in, first to last: the app's own text face, then one that has the letters
 * it lacks. A font of a web package holds a part of the alphabet only, so each part is a face.
 */
const FACES = [
  ['atkinson-hyperlegible-next', 'latin'],
  ['atkinson-hyperlegible-next', 'latin-ext'],
  ['noto-sans', 'latin'],
  ['noto-sans', 'latin-ext'],
  ['noto-sans', 'cyrillic'],
  ['noto-sans', 'cyrillic-ext'],
  ['noto-sans', 'greek'],
  ['noto-sans', 'greek-ext'],
  ['noto-sans', 'vietnamese'],
  ['noto-sans-hebrew', 'hebrew'],
  ['noto-sans-arabic', 'arabic'],
  ['noto-sans-thai', 'thai'],
] as const;

/** For `fontFamily`: every letter is taken from the first face that has it. */
export const FAMILY: string[] = FACES.map(([font, part]) => `${font} ${part}`);

const WEIGHTS = [400, 700] as const;

const fileOf = ([font, part]: (typeof FACES)[number], weight: 400 | 700) =>
  join(
    process.cwd(),
    'node_modules/@fontsource',
    font,
    'files',
    `${font}-${part}-${weight}-normal.woff`,
  );

let registered: Promise<void> | undefined;

/** Makes the faces known, once in a process. */
export const registerFont = (): Promise<void> => (registered ??= register());

async function register(): Promise<void> {
  FACES.forEach((face, i) =>
    Font.register({
      family: FAMILY[i]!,
      fonts: WEIGHTS.map((fontWeight) => ({ src: fileOf(face, fontWeight), fontWeight })),
    }),
  );
  // Words are broken in `lettersOf`, where they must be, and never with a hyphen that nobody typed.
  Font.registerHyphenationCallback((word) => [word]);
  for (const fontFamily of FAMILY)
    for (const fontWeight of WEIGHTS) {
      const face = { fontFamily, fontWeight, fontStyle: 'normal' as const };
      await Font.load(face);
      // Parts of one font have one name, by which a file keeps them apart: without a name of their own
      // each change between two of them would embed both again.
      const { data } = Font.getFont(face) as { data: object };
      Object.defineProperty(data, 'postscriptName', {
        value: `${fontFamily}-${fontWeight}`.replace(/[^a-z0-9-]/g, '-'),
      });
    }
}

/** No face has arrows; in a sentence a word serves as well. */
const IN_WORDS: Record<string, string> = { '→': 'to' };

let faces: Face[] | undefined;
const known = new Map<number, boolean>();

function hasGlyph(codePoint: number): boolean {
  const found = known.get(codePoint);
  if (found !== undefined) return found;
  faces ??= FACES.map((face) => create(readFileSync(fileOf(face, 400))));
  const has = codePoint < 0x20 || faces.some((f) => f.hasGlyphForCodePoint(codePoint));
  known.set(codePoint, has);
  return has;
}

/** The letters of one paper. */
export interface Letters {
  /** A text as this paper can show it. */
  print(text: string, mostLetters?: number): string;
  /** What must be said of it on the paper; nothing where it has every letter. */
  note: string | undefined;
}

/** A word longer than this may not fit the narrowest column. */
const MOST_LETTERS = 20;
/** And this the width of the page, in the letters of a title. */
export const MOST_TITLE_LETTERS = 40;
const graphemes = new Intl.Segmenter(undefined, { granularity: 'grapheme' });

/**
 * Looks through everything a paper will say. What it has no letters for gets a number, the same one for
 * the same word, so that two names are never taken for one another; never another letter, never nothing.
 * @param said all its texts, in whatever form
 */
export function lettersOf(said: unknown): Letters {
  const numbers = new Map<string, number>();
  const numbered = (text: string): string => {
    let out = '';
    let missing = '';
    const close = () => {
      if (missing === '') return;
      const number = numbers.get(missing) ?? numbers.size + 1;
      numbers.set(missing, number);
      out += `[${number}]`;
      missing = '';
    };
    for (const letter of text.normalize('NFC')) {
      if (IN_WORDS[letter] === undefined && !hasGlyph(letter.codePointAt(0)!)) missing += letter;
      else {
        close();
        out += IN_WORDS[letter] ?? letter;
      }
    }
    close();
    return out;
  };
  for (const text of textsIn(said)) numbered(text);
  return {
    print: (text, most = MOST_LETTERS) =>
      numbered(text)
        .split(' ')
        .map((word) => broken(word, most))
        .join(' '),
    note:
      numbers.size === 0
        ? undefined
        : numbers.size === 1
          ? 'This paper has no letters for one name: [1] stands for it. The screen shows it in full.'
          : `This paper has no letters for ${numbers.size} names: [1] to [${numbers.size}] stand for them. The screen shows them in full.`,
  };
}

function textsIn(value: unknown): string[] {
  if (typeof value === 'string') return [value];
  if (typeof value !== 'object' || value === null) return [];
  return Object.values(value).flatMap(textsIn);
}

/** A long word on lines of its own. */
function broken(word: string, most: number): string {
  if (word.length <= most) return word;
  const letters = [...graphemes.segment(word)].map((s) => s.segment);
  return Array.from({ length: Math.ceil(letters.length / most) }, (_, i) =>
    letters.slice(i * most, (i + 1) * most).join(''),
  ).join('\n');
}
