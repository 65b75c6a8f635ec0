/** How lengths, weights and speeds are shown and typed. What is kept is metric, always. */
export const SYSTEMS = ['metric', 'imperial'] as const;
export type System = (typeof SYSTEMS)[number];

/** What a unit of ours is shown as. */
export interface Shown {
  unit: string;
  /** Of these in one of ours. */
  per: number;
  /** Digits behind the point. */
  digits: number;
  /** A sensible step of it. */
  step: number;
}

/** Exact: international yard and pound, 1959. */
export const MM_PER_INCH = 25.4;
export const G_PER_OUNCE = 28.349523125;
export const M_PER_FOOT = 0.3048;
export const MPS_PER_MPH = 0.44704;

const IMPERIAL: Readonly<Record<string, Shown>> = {
  mm: { unit: 'in', per: 1 / MM_PER_INCH, digits: 2, step: 0.05 },
  g: { unit: 'oz', per: 1 / G_PER_OUNCE, digits: 1, step: 0.5 },
  m: { unit: 'ft', per: 1 / M_PER_FOOT, digits: 0, step: 5 },
  'm/s': { unit: 'mph', per: 1 / MPS_PER_MPH, digits: 1, step: 1 },
};

/** What a unit is shown as; undefined where it is shown as it is. */
export const shownAs = (unit: string, system: System): Shown | undefined =>
  system === 'imperial' ? IMPERIAL[unit] : undefined;

/** Rounded as it is read, never as it is kept. */
export const rounded = (value: number, digits: number): number =>
  Math.round(value * 10 ** digits) / 10 ** digits;

/** A number and one of our units in a sentence: "12 mm", "8.5 m/s", "60 m". */
const SAID = /(−?\d+(?:\.\d+)?)\s(mm|m\/s|m|g)(?![\w/²])/g;

/** A sentence with its measures in the system of whoever reads it. */
export const restated = (text: string, system: System): string =>
  system === 'metric'
    ? text
    : text.replace(SAID, (whole, number: string, unit: string) => {
        const shown = shownAs(unit, system);
        if (!shown) return whole;
        const value = rounded(Number(number.replace('−', '-')) * shown.per, shown.digits);
        return `${String(value).replace('-', '−')} ${shown.unit}`;
      });
