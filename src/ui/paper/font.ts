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
] as const;

/** For `fontFamily`: every letter is taken from the first face that has it. */
export const FAMILY: string[] = FACES.map(([font, part]) => `${font} ${part}`);

const fileOf = ([font, part]: (typeof FACES)[number], weight: 400 | 700) =>
  join(
    process.cwd(),
    'node_modules/@fontsource',
    font,
    'files',
    `${font}-${part}-${weight}-normal.woff`,
  );

let registered = false;

export function registerFont(): void {
  if (registered) return;
  FACES.forEach((face, i) =>
    Font.register({
      family: FAMILY[i]!,
      fonts: [
        { src: fileOf(face, 400), fontWeight: 400 },
        { src: fileOf(face, 700), fontWeight: 700 },
      ],
    }),
  );
  // Long names break where they must, not with a hyphen that nobody typed.
  Font.registerHyphenationCallback((word) => word.match(/.{1,24}/gu) ?? [word]);
  registered = true;
}

/** Stands for a letter no face has: never another letter, never nothing. */
const MISSING = '\uFFFD';

/** No face has arrows; in a sentence a word serves as well. */
const IN_WORDS: Record<string, string> = { '→': 'to' };

let faces: Face[] | undefined;
const known = new Map<number, boolean>();

function hasGlyph(codePoint: number): boolean {
  const found = known.get(codePoint);
  if (found !== undefined) return found;
  faces ??= FACES.map((face) => create(readFileSync(fileOf(face, 400))));
  const has = faces.some((f) => f.hasGlyphForCodePoint(codePoint));
  known.set(codePoint, has);
  return has;
}

/** A text as paper can show it: a letter that no face has is shown as missing. */
export function printable(text: string): string {
  let out = '';
  for (const letter of text.normalize('NFC')) {
    const codePoint = letter.codePointAt(0)!;
    out += IN_WORDS[letter] ?? (codePoint < 0x20 || hasGlyph(codePoint) ? letter : MISSING);
  }
  return out;
}
