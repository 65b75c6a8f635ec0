interface KindEntry {
  /** As chosen from a list. */
  title: string;
  /** What carries it: aeroplanes fly, cars roll, boats float. */
  moves: 'air' | 'wheels' | 'water';
  /** What one going-out is called. */
  outing: 'flight' | 'run';
  /** Where it stands on the shelf. */
  shelf: 'Aeroplanes' | 'Cars' | 'Boats';
  /** Two panels do the work of elevator and rudder. */
  pairedTail?: true;
  /** It has ailerons as a rule. */
  ailerons?: true;
  /** It may be built with or without a rudder. */
  rudderOptional?: true;
}

/** Every kind of airframe; a new one is a line here, its parts and its shape. */
const TABLE = {
  conventional: {
    title: 'Aeroplane, ordinary tail',
    moves: 'air',
    outing: 'flight',
    shelf: 'Aeroplanes',
    ailerons: true,
  },
  't-tail': {
    title: 'Aeroplane, T-tail',
    moves: 'air',
    outing: 'flight',
    shelf: 'Aeroplanes',
    ailerons: true,
  },
  'v-tail': {
    title: 'Aeroplane, V-tail',
    moves: 'air',
    outing: 'flight',
    shelf: 'Aeroplanes',
    pairedTail: true,
    ailerons: true,
  },
  'inverted-v-tail': {
    title: 'Aeroplane, V-tail upside down',
    moves: 'air',
    outing: 'flight',
    shelf: 'Aeroplanes',
    pairedTail: true,
    ailerons: true,
  },
  'flying-wing': {
    title: 'Flying wing or delta',
    moves: 'air',
    outing: 'flight',
    shelf: 'Aeroplanes',
    rudderOptional: true,
  },
  'three-channel': {
    title: 'Aeroplane without ailerons',
    moves: 'air',
    outing: 'flight',
    shelf: 'Aeroplanes',
  },
  car: { title: 'Car', moves: 'wheels', outing: 'run', shelf: 'Cars' },
  boat: { title: 'Boat', moves: 'water', outing: 'run', shelf: 'Boats' },
} as const satisfies Record<string, KindEntry>;

export type AirframeKind = keyof typeof TABLE;

export const AIRFRAME_KINDS = Object.keys(TABLE) as [AirframeKind, ...AirframeKind[]];

/** All there is to say of a kind of airframe, whatever its parts. */
export const kindEntry = (kind: AirframeKind): KindEntry => TABLE[kind];

/** The same of an airframe at hand. @returns with `onSurface`: it cannot fall */
export function kindOf({ kind }: { kind: AirframeKind }): KindEntry & { onSurface: boolean } {
  const entry = kindEntry(kind);
  return { ...entry, onSurface: entry.moves !== 'air' };
}
