/** How the bytes of a text file stand for letters. */
export type Encoding = 'utf-8' | 'utf-16le' | 'utf-16be' | 'windows-1252';

/** Looked at of a file to see whether every other byte is empty. */
const LOOKED_AT = 400;

/**
 * What a text file is written in: by its mark where it has one; two bytes a letter where every other one is empty;
 * else UTF-8 where it can be that, and what older spreadsheets of western Europe write where it cannot.
 * @param bytes the whole file
 */
export function encodingOf(bytes: Uint8Array): Encoding {
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return 'utf-16le';
  if (bytes[0] === 0xfe && bytes[1] === 0xff) return 'utf-16be';
  const start = bytes.subarray(0, LOOKED_AT);
  const empty = (odd: 0 | 1) =>
    start.filter((b, i) => i % 2 === odd && b === 0).length > start.length / 4;
  if (empty(1)) return 'utf-16le';
  if (empty(0)) return 'utf-16be';
  try {
    new TextDecoder('utf-8', { fatal: true }).decode(bytes);
    return 'utf-8';
  } catch {
    return 'windows-1252';
  }
}

/** Windows-1252 from 0x80 on (WHATWG Encoding Standard): some decoders take it for Latin-1, which has no letters there. */
const FROM_80 = '€\u0081‚ƒ„…†‡ˆ‰Š‹Œ\u008dŽ\u008f\u0090‘’“”•–—˜™š›œ\u009džŸ';

/** The text of a file, whatever it is written in; its mark is not part of it. */
export function textOf(bytes: Uint8Array): string {
  const encoding = encodingOf(bytes);
  const text = new TextDecoder(encoding).decode(bytes);
  return encoding === 'windows-1252'
    ? text.replace(/[\u0080-\u009f]/g, (c) => FROM_80[c.charCodeAt(0) - 0x80]!)
    : text;
}
