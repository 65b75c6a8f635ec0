/** The three body axes. Signs per ISO 1151-1: roll right, nose up, nose right are positive. */
export const AXES = ['roll', 'pitch', 'yaw'] as const;
export type Axis = (typeof AXES)[number];

/** What the unit does with the model. */
export const MODES = ['off', 'rate', 'hold', 'level', 'trainer', 'home', 'hover'] as const;
export type Mode = (typeof MODES)[number];
/** Of those, the ones only a model that flies has. */
export const FLYING_MODES: ReadonlySet<Mode> = new Set(['level', 'trainer', 'home', 'hover']);

/**
 * How a box sits in the model: where its arrow points, then where its label faces. A rotation by
 * multiples of 90° is fixed by two perpendicular directions, which gives exactly 24.
 */
export const MOUNTINGS = [
  'nose-up',
  'nose-down',
  'nose-left',
  'nose-right',
  'tail-up',
  'tail-down',
  'tail-left',
  'tail-right',
  'left-up',
  'left-down',
  'left-nose',
  'left-tail',
  'right-up',
  'right-down',
  'right-nose',
  'right-tail',
  'up-nose',
  'up-tail',
  'up-left',
  'up-right',
  'down-nose',
  'down-tail',
  'down-left',
  'down-right',
] as const;
export type Mounting = (typeof MOUNTINGS)[number];

/** What a line of a unit's description stands on. */
export const UNIT_GROUNDS = ['seen', 'leaflet', 'assumed'] as const;

/** How a unit learns which way it is mounted. */
export const ORIENTATION_LEARNED = ['gravity', 'turning'] as const;

/** Where the unit is mounted, and how level: practitioners differ. */
export const SEAT_PLACES = ['balance-point', 'centre-line', 'anywhere'] as const;
export const SEAT_TILTS = ['level', 'any'] as const;

/** One way round or the other. */
export type Sense = 1 | -1;

export const PANIC_WAYS = ['none', 'replace', 'offsets', 'channel', 'mode-position'] as const;
export type PanicWay = (typeof PANIC_WAYS)[number];

export const FAILSAFE_SCHOOLS = ['motor-off', 'brake', 'glide', 'circle', 'home'] as const;
export type FailsafeSchool = (typeof FAILSAFE_SCHOOLS)[number];

/** How motors turn the model: the inner one slower, or one ahead and the other astern. */
export const THRUST_WAYS = ['slower', 'against'] as const;
export type ThrustWay = (typeof THRUST_WAYS)[number];

/** What rear wheels do: steer against the front ones, stay straight, go with them (crab). */
export const AXLE_WAYS = ['against', 'straight', 'with'] as const;
export type AxleWay = (typeof AXLE_WAYS)[number];

/**
 * What can be chosen of a program, in the order in which their entries stand: of two lines of a
 * channel the later has the last word, so panic comes after the mode and the throttle cut after all.
 */
export const WISHES = [
  'sticks',
  'flaps',
  'gear',
  'brake',
  'mixes',
  'devices',
  'capture',
  'modes',
  'gain',
  'lock',
  'rates',
  'reverse',
  'launch',
  'panic',
  'cut',
  'voice',
  'timer',
  'failsafe',
] as const;
export type WishId = (typeof WISHES)[number];

export const CONTROL_KINDS = [
  'stick',
  'switch-2',
  'switch-3',
  'momentary',
  'knob',
  'slider',
  'trim',
] as const;
export type ControlKind = (typeof CONTROL_KINDS)[number];

/** Controls that stand in one of a few places, and nowhere between. */
const SWITCH_KINDS: ReadonlySet<ControlKind> = new Set(['switch-2', 'switch-3', 'momentary']);
export const isSwitched = ({ kind }: { kind: ControlKind }): boolean => SWITCH_KINDS.has(kind);

/** Menus a program is entered in, and the fields in them: what a transmitter may have words of its own for. */
export const MENU_ITEMS = [
  'link',
  'functions',
  'sticks',
  'inputs',
  'stick-rates',
  'variables',
  'logic',
  'shapes',
  'lines',
  'outputs',
  'throttle-cut',
  'mixes',
  'values',
  'failsafe',
  'voice',
  'share',
  'shift',
  'shape',
  'rate',
  'expo',
  'reversed',
  'ends',
  'subtrim',
] as const;
export type MenuItem = (typeof MENU_ITEMS)[number];

/** In what manner a transmitter takes a program. */
export const ENTRY_STYLES = ['line', 'function', 'switch-value'] as const;
export type EntryStyle = (typeof ENTRY_STYLES)[number];

export const SURFACE_ROLES = [
  'aileron',
  'elevator',
  'rudder',
  'elevon',
  'ruddervator',
  'flaperon',
  'flap',
  'gear',
  'brake',
  'wheel',
] as const;
export type SurfaceRole = (typeof SURFACE_ROLES)[number];

export const GAIN_LAWS = [
  'fixed',
  'zero-to-full',
  'magnitude',
  'full-range',
  'sign-selects-set',
] as const;
export type GainLaw = (typeof GAIN_LAWS)[number];

/** Centre and ends an output has out of the box, on a unit where it has any of its own. */
export const SHIPPED_TRAVEL = { centrePct: 0, minPct: -100, maxPct: 100 } as const;

export const SETUP_FORMAT = 'tolvan-setup';
export const SETUP_VERSION = 2;
