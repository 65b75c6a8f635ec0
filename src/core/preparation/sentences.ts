import { MOVEMENT_WORDS } from '../chain';
import { sentences, type Named } from '../script';
import type { Means } from '../settings';
import type { Movement } from '../chain';

/** Knowing what is on the bench before anything is set. */
export const IDENTIFY = sentences('identify', {
  'read-versions': () =>
    'Update first: an update may wipe settings. Then write down hardware version, firmware and channel count of unit and transmitter.',
  'unit-is': ({ hardware, firmware }: { hardware: string; firmware: string }) =>
    `unit: ${hardware || 'hardware not written down'}, ${firmware || 'firmware not written down'}`,
  'transmitter-is': ({ firmware }: { firmware: string }) =>
    `transmitter: ${firmware || 'firmware not written down'}`,
  'leaflet-fits': () => 'the leaflet is for this version',
  reset: () => 'Second-hand, or its past unknown: reset it to its factory settings.',
  'no-old-setting': () => 'it confirms the reset; no old setting remains',
  bind: () =>
    'Bind with the transmitter a step or two away, about 1.5 m (common practice, no source): too close fails.',
  'link-light': () => 'the link light stays on after both were off and on again',
  'menu-shows': () =>
    'its menu appears: a missing menu means not bound, not powered, not updated or not reset',
});

/** Nothing can start by itself from here on. */
export const SAFE = sentences('safe', {
  'make-safe': ({ how }: { how: Named }) => `${how.label}.`,
  'nothing-turns': () => 'nothing that turns can touch you, the bench or the model',
});

/** How a setting comes to stand: by what sets most of the unit, by hand as its leaflet says, or by itself. */
export type Entered = Means | 'leaflet' | 'given';

/** How somebody makes sure of what was entered. */
const CONFIRMED: Record<Entered, string> = {
  leaflet: 'set it as the leaflet says, then check it',
  given: 'compare it with the unit: there is nothing to enter',
  menu: 'enter it, leave the menu, open it again and read it back',
  switches: 'set it, then check the switches again',
  button: 'set it, then count the blinks it answers with',
  gestures: 'hold the sticks as said, then count its twitches',
  dials: 'turn it with a small screwdriver, then check it',
  taught: 'let the unit learn it, and wait until it confirms',
};

/** The unit's settings, and what it shows of itself. */
export const UNIT = sentences('unit', {
  // How often a button is pressed and how far a dial is turned stands beside the line.
  enter: ({
    what,
    by,
  }: {
    what: Named;
    by: Entered;
    dials: string;
    presses: string[];
    corners?: string[] | undefined;
    /** How the unit learns its mounting. */
    learned?: string | undefined;
  }) => `${what.label}: ${CONFIRMED[by]}.`,
  'stands-at': ({ row }: { row: Named }) => row.label,
  'switch-on': () => 'Switch it off and on with the model lying still, then go through its modes.',
  'switch-on-once': () => 'Switch it off and on with the model lying still.',
  twitches: ({ times, ground }: { times: number; ground?: true }) =>
    `the ${ground ? 'steering twitches' : 'surfaces twitch'} ${times === 1 ? 'once' : `${times} times`}`,
  light: ({ mode, light }: { mode: Named; light: Named }) => `${mode.label}: ${light.label}`,
  'go-through-modes': () => 'Go through the unit’s modes again.',
  'none-switched-off': () => 'no position gives a mode that is switched off inside the unit',
});

/** A distance or an angle as it is shown: whole, whichever way. */
export const whole = (n: number): number => Math.abs(Math.round(n));

export type End = { mm: number; deg: number; goes: Movement };

/** The model as it must be with the unit off. */
export const PLAIN = sentences('plain-model', {
  'follow-leads': () => 'Battery out. Follow every lead from its plug to its end.',
  lead: ({ lead }: { lead: Named }) => lead.label,
  'try-cut': () =>
    'Switch the throttle cut on and move the throttle through its full range. Then close the throttle and release the cut.',
  'switch-everything-on': () => 'Leave the throttle closed and switch everything on.',
  'cut-holds': () => 'cut on: the motor stays still whatever the throttle does',
  'stays-still': ({ afterCut }: { afterCut: boolean }) =>
    `${afterCut ? 'cut released, ' : ''}throttle closed: it stays still`,
  'one-rod-on': () =>
    'Where several servos move one part, leave the rod of the first on and take the others off. Move its stick fully both ways.',
  'stays-at-hole': ({ what }: { what: Named }) =>
    `${what.label.toLowerCase()}: the end of each loose rod stays beside its hole all the way`,
  release: ({ hands }: { hands: Named }) => `Unit off, trims centred, ${hands.label} released.`,
  'in-line': ({ ground }: { ground: boolean }) =>
    `${ground ? 'the steering' : 'every surface'} in line: adjust its rod first, use subtrim only for the rest`,
  'measure-throws': ({ edge }: { edge: Named }) =>
    `Unit off. Move every stick fully both ways and measure at the ${edge.label}.`,
  throws: ({ what, ends }: { what: Named; ends: readonly End[] }) =>
    `${what.label.toLowerCase()}: ${ends.map((e) => `${e.mm} mm (${e.deg}°) ${MOVEMENT_WORDS[e.goes]}`).join(', ')}`,
  listen: () => 'Hold every stick at full travel each way and listen.',
  'nothing-hums': () => 'no servo hums, no rod bends, nothing touches',
  'move-devices': () => 'Move flaps, gear and brake through their positions.',
  'moves-alone': ({ what }: { what: Named }) =>
    `${what.label.toLowerCase()} moves with its own switch, and with nothing else`,
});
