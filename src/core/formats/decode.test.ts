import { describe, expect, it } from 'vitest';
import { encodingOf, textOf, type Encoding } from './decode';

const TEXT = 'at,title,seen\r\n2026-05-01,Föhn über dem See,“ruhig” – 5 €\r\n';
/** Where windows-1252 differs from Latin-1 (WHATWG Encoding Standard, index windows-1252). */
const CP1252: Readonly<Record<string, number>> = { '€': 0x80, '“': 0x93, '”': 0x94, '–': 0x96 };
const narrow = (text: string) => Uint8Array.from(text, (c) => CP1252[c] ?? c.charCodeAt(0));
const wide = (text: string, little: boolean, mark: boolean) => {
  const units = [...(mark ? '\uFEFF' : ''), ...text].map((c) => c.charCodeAt(0));
  return Uint8Array.from(units.flatMap((u) => (little ? [u & 255, u >> 8] : [u >> 8, u & 255])));
};
const utf8 = (text: string) => new TextEncoder().encode(text);

describe('the letters of a file that comes from elsewhere', () => {
  it.each<[string, Uint8Array, Encoding]>([
    ['as we write it, with a mark', utf8(`\uFEFF${TEXT}`), 'utf-8'],
    ['without one', utf8(TEXT), 'utf-8'],
    ['an older spreadsheet', narrow(TEXT), 'windows-1252'],
    ['two bytes a letter', wide(TEXT, true, true), 'utf-16le'],
    ['reversed', wide(TEXT, false, true), 'utf-16be'],
    ['two bytes a letter, no mark', wide(TEXT, true, false), 'utf-16le'],
    ['the other way round, no mark', wide(TEXT, false, false), 'utf-16be'],
  ])('%s', (_, bytes, encoding) => {
    expect(encodingOf(bytes)).toBe(encoding);
    expect(textOf(bytes)).toBe(TEXT);
  });
  it('nothing is nothing', () => {
    expect(textOf(new Uint8Array())).toBe('');
  });
});
