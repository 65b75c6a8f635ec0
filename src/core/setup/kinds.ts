/** How a kind of model moves, and what is said of it because of that. */
export interface Manner {
  /** What carries it: aeroplanes fly, cars roll, boats float. */
  moves: 'air' | 'wheels' | 'water';
  /** What one going-out is called. */
  outing: string;
  /** "do not fly" */
  go: string;
  /** Where it stands on the shelf. */
  shelf: string;
  /** Its two ends. */
  front: string;
  back: string;
  /** Where a throw is measured. */
  edge: string;
  /** What keeps it from moving on the bench: head of a sentence. */
  safe: string;
  /** The same as a statement to agree to. */
  isSafe: string;
  /** What turns, when the motor does. */
  turns: string;
  /** What the bench is set up for, where the motor matters. */
  bench: { powered: string; motor: string; out: string };
  /** Where nobody may be while the motor can run. */
  clear: string;
  /** Before the motor is run up with the model held. */
  heldFor: string;
  /** What must hold where the model is tried out there. */
  outside: string;
  /** Who is in danger from a motor that starts by itself. */
  starts: string;
}

const AIR: Manner = {
  moves: 'air',
  outing: 'flight',
  go: 'fly',
  shelf: 'Aeroplanes',
  front: 'nose',
  back: 'tail',
  edge: 'trailing edge',
  safe: 'Propeller off',
  isSafe: 'The propeller is off.',
  turns: 'propeller',
  bench: {
    powered: 'Powered, propeller off',
    motor: 'Outside, propeller on',
    out: 'Outside, in the air',
  },
  clear: 'Nobody stands before the propeller or beside its disc.',
  heldFor: 'The model held or tied, nobody in front of the propeller or beside it',
  outside:
    'Height, a helper on the gain, and be able to find “off” by feel. Self-levelling is not a pilot.',
  starts: 'Nobody expects a propeller to start with the throttle down.',
};

const WHEELS: Manner = {
  moves: 'wheels',
  outing: 'run',
  go: 'run',
  shelf: 'Cars',
  front: 'front',
  back: 'rear',
  edge: 'front edge of the wheel',
  safe: 'Pinion out',
  isSafe: 'The pinion is out, or the driven wheels stand clear of everything.',
  turns: 'driven wheels',
  bench: {
    powered: 'Powered, pinion out',
    motor: 'Outside, pinion in',
    out: 'Outside, on the run',
  },
  clear: 'Nobody stands in front of it, and no finger is near a wheel.',
  heldFor: 'Driven wheels clear of everything, the model held',
  outside: 'A clear course, nobody on it, and be able to find “off” by feel.',
  starts: 'Nobody expects the wheels to start with the throttle closed.',
};

const WATER: Manner = {
  moves: 'water',
  outing: 'run',
  go: 'run',
  shelf: 'Boats',
  front: 'bow',
  back: 'stern',
  edge: 'trailing edge',
  safe: 'Propeller clear, or its shaft uncoupled',
  isSafe: 'The propeller is clear of everything, or its shaft is uncoupled.',
  turns: 'propeller',
  bench: {
    powered: 'Powered, propeller clear',
    motor: 'At the water, shaft coupled',
    out: 'On the water',
  },
  clear: 'No hand, hair or line is near the propeller.',
  heldFor: 'In the water or in a cradle, propeller clear, the model held',
  outside:
    'Open water, no swimmer and no waterfowl near, and a way to fetch the model. Be able to find “off” by feel.',
  starts: 'Nobody expects a propeller to start with the throttle closed.',
};

interface KindEntry extends Manner {
  /** As chosen from a list. */
  title: string;
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
    ...AIR,
    title: 'Aeroplane, ordinary tail',
    ailerons: true,
  },
  't-tail': {
    ...AIR,
    title: 'Aeroplane, T-tail',
    ailerons: true,
  },
  'v-tail': {
    ...AIR,
    title: 'Aeroplane, V-tail',
    pairedTail: true,
    ailerons: true,
  },
  'inverted-v-tail': {
    ...AIR,
    title: 'Aeroplane, V-tail upside down',
    pairedTail: true,
    ailerons: true,
  },
  'flying-wing': {
    ...AIR,
    title: 'Flying wing or delta',
    rudderOptional: true,
  },
  'three-channel': {
    ...AIR,
    title: 'Aeroplane without ailerons',
  },
  car: { ...WHEELS, title: 'Car' },
  boat: { ...WATER, title: 'Boat' },
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
