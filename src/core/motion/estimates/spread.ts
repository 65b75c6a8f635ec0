import { z } from 'zod';

/** Something the model's measures do not say: what it is taken for, where from, and how far off that may be. */
export interface Estimate {
  words: string;
  source: string;
  /** It may be so many times as much, or as little. */
  factor: number;
}

/** Every estimate a motion rests on; each is drawn by itself. Spreads are planning figures unless the source says more. */
export const ESTIMATES = {
  inertia: {
    words: 'moments of inertia',
    source:
      'radii of gyration, Raymer, table of radii (from memory); sailplanes and wings assumed alike',
    factor: 1.25,
  },
  lift: {
    words: 'lift slope',
    source: 'thin aerofoil with a viscous knock-down; finite span by lifting line',
    factor: 1.1,
  },
  tail: {
    words: 'what the tail does',
    source: 'proportions of the drawing; downwash 2·CL/(π·A)',
    factor: 1.2,
  },
  flap: {
    words: 'effect of the surfaces',
    source: 'Glauert, thin aerofoil with a flap, knocked down by 0.8',
    factor: 1.25,
  },
  drag: { words: 'drag', source: 'fitted to the glide ratio', factor: 1.2 },
  body: { words: 'the fuselage', source: 'slender body, volume of the drawing', factor: 1.5 },
  thrust: {
    words: 'thrust',
    source: 'enough for its usual speed, falling linearly with speed',
    factor: 1.2,
  },
  disc: {
    words: 'what a propeller’s stream adds to the wind behind it',
    source: 'momentum theory; 300 N of static thrust on a square metre of disc',
    factor: 1.5,
  },
  margin: {
    words: 'static margin',
    source: '12 % of the chord: it is balanced where its plan says',
    factor: 1.6,
  },
  unitRate: {
    words: 'how strongly the unit damps',
    source: 'printed on no leaflet: model figure',
    factor: 2,
  },
  unitLevel: {
    words: 'how strongly the unit levels',
    source: 'printed on no leaflet: model figure',
    factor: 1.6,
  },
  servo: { words: 'servo speed', source: 'as entered, at its usual voltage', factor: 1.3 },
} as const satisfies Record<string, Estimate>;

export type EstimateId = keyof typeof ESTIMATES;

const IDS = Object.keys(ESTIMATES) as EstimateId[];

/** How many times its estimate each thing is, and which way a unit levels far from level. */
export const DrawSchema = z.strictObject({
  ...(Object.fromEntries(IDS.map((id) => [id, z.number().min(0.1).max(10)])) as Record<
    EstimateId,
    z.ZodNumber
  >),
  shortest: z.boolean(),
});

export type Draw = Readonly<z.infer<typeof DrawSchema>>;

/** Everything as estimated. */
export const CENTRAL: Draw = {
  ...(Object.fromEntries(IDS.map((id) => [id, 1])) as Record<EstimateId, number>),
  shortest: false,
};

/** One of the models it may be, by dice: each estimate evenly over its spread, as a factor. */
export function drawOf(random: () => number): Draw {
  const factors = Object.fromEntries(
    IDS.map((id) => [id, ESTIMATES[id].factor ** (2 * random() - 1)]),
  ) as Record<EstimateId, number>;
  return { ...factors, shortest: random() < 0.5 };
}
