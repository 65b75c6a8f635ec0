import { Font } from '@react-pdf/renderer';
import { join } from 'node:path';

export const FAMILY = 'Sheet';
let registered = false;

/** The shipped text face, in the two weights paper needs. */
export function registerFont(): void {
  if (registered) return;
  const file = (weight: number) =>
    join(
      process.cwd(),
      'node_modules/@fontsource/atkinson-hyperlegible-next/files',
      `atkinson-hyperlegible-next-latin-${weight}-normal.woff`,
    );
  Font.register({
    family: FAMILY,
    fonts: [
      { src: file(400), fontWeight: 400 },
      { src: file(700), fontWeight: 700 },
    ],
  });
  // Long names break where they must, not with a hyphen that nobody typed.
  Font.registerHyphenationCallback((word) => word.match(/.{1,24}/g) ?? [word]);
  registered = true;
}
