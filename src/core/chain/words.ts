import type { Named } from '../script';
import {
  leafletWord,
  lightKey,
  modeKey,
  SIDE_NAMES,
  withOwn,
  type Control,
  type Mode,
  type Setup,
  type Surface,
  type Unit,
  type UnitTraits,
} from '../setup';
import { positionWord, switchPosition } from './conditions';
import type { Frame } from './frame';
import { motorRange, UNIT_DRIVES, UNIT_STEERS } from './owner';

/** A surface within this angle of centre is said to be at centre. */
export const STILL_DEG = 0.5;

export type Movement = 'up' | 'down' | 'left' | 'right' | 'centre';

/** Where a surface goes, in the middle of a sentence. */
export const MOVEMENT_WORDS: Readonly<Record<Movement, string>> = {
  ...SIDE_NAMES,
  centre: 'centre',
};

/** Whether a surface turns about an upright hinge, and so moves left and right. */
export function isUpright(surface: Pick<Surface, 'role'>): boolean {
  return surface.role === 'rudder' || surface.role === 'wheel';
}

/** Where the trailing edge (of a wheel: its front) stands, in words. Positive is down, or left. */
export function movementOf(surface: Pick<Surface, 'role'>, deg: number): Movement {
  if (Number.isNaN(deg) || Math.abs(deg) < STILL_DEG) return 'centre';
  if (isUpright(surface)) return deg > 0 ? 'left' : 'right';
  return deg > 0 ? 'down' : 'up';
}

/** Modes in the middle of a sentence. */
export const MODE_WORDS: Readonly<Record<Mode, string>> = {
  off: 'off',
  rate: 'rate damping',
  hold: 'attitude hold',
  level: 'self-levelling',
  trainer: 'level trainer',
  home: 'return home',
  hover: 'hover',
};

/** A mode in the word the person's leaflet has for it, ours behind; ours alone where there is none. */
export function modeWords(unit: Pick<Unit, 'leaflet'>, mode: Mode): string {
  return withOwn(leafletWord(unit, modeKey(mode)), MODE_WORDS[mode]);
}

type Light = UnitTraits['lights'][number];

const COLOUR_WORDS: Readonly<Record<Light['colour'], string>> = {
  red: 'red',
  green: 'green',
  blue: 'blue',
  amber: 'amber',
  white: 'white',
  none: 'dark',
};

/** What a light shows in our words: "blue, 2 blinks". */
export const plainLight = ({ colour, blinks }: Pick<Light, 'colour' | 'blinks'>): string =>
  colour === 'none'
    ? COLOUR_WORDS.none
    : `${COLOUR_WORDS[colour]}${blinks > 0 ? `, ${blinks} blink${blinks > 1 ? 's' : ''}` : ''}`;

/** What the light of a unit shows in a mode, in our words; dark where nothing is said of it. */
export const lightIn = ({ traits }: Pick<Unit, 'traits'>, mode: Mode): string =>
  plainLight(traits.lights.find((l) => l.mode === mode) ?? { colour: 'none', blinks: 0 });

/** Whether its light, as described, differs between modes. */
export const showsMode = (unit: Pick<Unit, 'traits'>): boolean =>
  new Set(unit.traits.modes.map((mode) => lightIn(unit, mode))).size > 1;

/** What the light shows in a mode, in the leaflet’s words first. */
export const lightWords = (unit: Pick<Unit, 'leaflet'>, light: Light): string =>
  withOwn(leafletWord(unit, lightKey(light.mode)), plainLight(light));

/** A mode in its one word: the leaflet’s, or ours. */
export const modeName = (unit: Pick<Unit, 'leaflet'>, mode: Mode): string =>
  leafletWord(unit, modeKey(mode)) ?? MODE_WORDS[mode];

/** A mode under its words, for a sentence about it. */
export const namedMode = (unit: Pick<Unit, 'leaflet'>, mode: Mode): Named => ({
  id: mode,
  label: modeWords(unit, mode),
});

/** A control at a value, for a sentence about it; whole percent. */
export const namedPosition = (control: Control, value: number): Named => ({
  id: `${control.id}=${Math.round(value)}`,
  label: controlWords(control, value),
});

/** A gain as it is said: a pulse a little beyond the end gives all there is, and none is below nothing. */
export const gainWords = (pct: number): string =>
  `${Math.round(Math.min(100, Math.max(0, pct)))} %`;

/** "left aileron 12° up" */
export function describeSurface(surface: Surface, deg: number): string {
  const movement = movementOf(surface, deg);
  const name = surface.label.toLowerCase();
  if (Number.isNaN(deg)) return `${name} locks its linkage`;
  return movement === 'centre'
    ? `${name} at centre`
    : `${name} ${Math.abs(deg).toFixed(0)}° ${MOVEMENT_WORDS[movement]}`;
}

/** The whole model in one sentence list: every surface, then every motor. */
export function describeFrame(setup: Setup, frame: Frame): string[] {
  return [
    ...(frame.unitSteers ? [UNIT_STEERS] : []),
    ...setup.airframe.surfaces.map((s, i) => describeSurface(s, frame.surfaceDeg[i]!)),
    ...setup.airframe.motors.map((m, i) => {
      const { by, lo, hi } = motorRange(frame, i);
      const name = m.label.toLowerCase();
      if (by === 'sticks') return `${name} ${lo.toFixed(0)} %`;
      return hi > 0 ? `${name}: ${UNIT_DRIVES}` : `${name} held off by the unit: no position fix`;
    }),
  ];
}

/** "Switch A middle", "Knob 1 at −100 %" */
export function controlWords(control: Control, value: number): string {
  if (control.kind === 'momentary') return `${control.label} ${value > 0 ? 'pressed' : 'released'}`;
  if (control.kind === 'switch-2' || control.kind === 'switch-3')
    return `${control.label} ${positionWord(control.kind, switchPosition(control.kind, value))}`;
  return `${control.label} at ${value < 0 ? '−' : ''}${Math.abs(value)} %`;
}
