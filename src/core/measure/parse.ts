import { G_PER_OUNCE, M_PER_FOOT, MM_PER_INCH, MPS_PER_MPH, shownAs, type System } from './measure';

/** What a word stands for: which of our units, and how many of them. */
const WORDS: Readonly<Record<string, readonly [unit: string, each: number]>> = {
  mm: ['mm', 1],
  cm: ['mm', 10],
  in: ['mm', MM_PER_INCH],
  inch: ['mm', MM_PER_INCH],
  inches: ['mm', MM_PER_INCH],
  '"': ['mm', MM_PER_INCH],
  '”': ['mm', MM_PER_INCH],
  '″': ['mm', MM_PER_INCH],
  m: ['mm', 1000],
  ft: ['mm', 1000 * M_PER_FOOT],
  foot: ['mm', 1000 * M_PER_FOOT],
  feet: ['mm', 1000 * M_PER_FOOT],
  "'": ['mm', 1000 * M_PER_FOOT],
  '’': ['mm', 1000 * M_PER_FOOT],
  '′': ['mm', 1000 * M_PER_FOOT],
  g: ['g', 1],
  kg: ['g', 1000],
  oz: ['g', G_PER_OUNCE],
  lb: ['g', 16 * G_PER_OUNCE],
  lbs: ['g', 16 * G_PER_OUNCE],
  'm/s': ['m/s', 1],
  'km/h': ['m/s', 1 / 3.6],
  mph: ['m/s', MPS_PER_MPH],
  'ft/s': ['m/s', M_PER_FOOT],
  kn: ['m/s', 1852 / 3600],
};

const NUMBER = String.raw`\d+\s+\d+\s*/\s*\d+|\d+\s*/\s*\d+|\d*[.,]\d+|\d+`;
const PIECE = new RegExp(String.raw`^\s*(${NUMBER})\s*([a-z]+(?:/[a-z]+)?|["”″'’′])?`, 'i');

/** "12", "1/2", "12 1/2", "0,5"; undefined where a fraction has nothing below. */
function numberOf(text: string): number | undefined {
  const mixed = /^(?:(\d+)\s+)?(\d+)\s*\/\s*(\d+)$/.exec(text.trim());
  if (!mixed) return Number(text.replace(',', '.'));
  const [, whole = '0', above, below] = mixed;
  return Number(below) === 0 ? undefined : Number(whole) + Number(above) / Number(below);
}

/**
 * Reads a measure as people write it: `5/8"`, `12 1/2 in`, `3' 4"`, `1 lb 6 oz`, `22 oz`, `2.5 cm`,
 * `30 mph`. A bare number is in the unit shown.
 * @param unit ours: what is wanted @returns in that unit; undefined where it is no such measure
 */
export function parseMeasure(text: string, unit: string, system: System): number | undefined {
  const plain = text.trim().replace(/[−–]/g, '-');
  const sign = plain.startsWith('-') ? -1 : 1;
  let rest = plain.replace(/^[-+]\s*/, '');
  if (rest === '') return undefined;
  // Metres of a height, millimetres of a part: one kind, two of our units.
  const own = unit === 'm' ? 1000 : 1;
  const kind = unit === 'm' ? 'mm' : unit;
  const shown = shownAs(unit, system);
  let sum = 0;
  for (let pieces = 0; rest.trim() !== ''; pieces++) {
    const found = PIECE.exec(rest);
    if (!found) return undefined;
    const number = numberOf(found[1]!);
    if (number === undefined) return undefined;
    const word = found[2]?.toLowerCase();
    rest = rest.slice(found[0].length);
    if (word === undefined) {
      // A number without a unit stands alone.
      if (pieces > 0 || rest.trim() !== '') return undefined;
      return (sign * number) / (shown?.per ?? 1);
    }
    if (!Object.hasOwn(WORDS, word)) return undefined;
    const [of, each] = WORDS[word]!;
    if (of !== kind) return undefined;
    sum += (number * each) / own;
  }
  return sign * sum;
}
