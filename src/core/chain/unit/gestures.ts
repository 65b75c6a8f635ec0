import {
  AXES,
  functionOf,
  type ChannelFunction,
  type Mode,
  type Setup,
  type StickHolds,
  type Unit,
} from '../../setup';
import type { Frame } from '../frame';
import { compileReading, compileSticks, readFunction, type Reading } from './decode';

/** Sticks held in a corner for some seconds; in one mode only, if the unit wants that. */
export interface Corner {
  kind: 'corner';
  holds: StickHolds;
  seconds: number;
  mode: Mode | undefined;
}

/** A channel moved from end to end and back, or off its centre and back, a number of times within some seconds. */
export interface Flick {
  kind: 'flick';
  carries: 'mode' | 'capture';
  times: number;
  withinS: number;
}

/** What a unit takes as an order to learn or to change something, beside what it steers. */
export interface Gesture {
  /** What it is for: "level", or as the leaflet has it. */
  for: string;
  by: Corner | Flick;
}

/** What level is called among the gestures. */
export const FOR_LEVEL = 'level';

/** The gestures a unit is described with; a corner or a flick nobody has described is not among them. */
export function gesturesOf({ traits }: Pick<Unit, 'traits'>): Gesture[] {
  const { levelCapture, gestures = [] } = traits;
  const level = ((): Gesture['by'] | undefined => {
    switch (levelCapture?.by) {
      case 'corner':
        return { ...levelCapture, kind: 'corner', mode: levelCapture.mode };
      case 'flick':
        return { ...levelCapture, kind: 'flick', carries: 'mode' };
      case 'channel':
        return { ...levelCapture, kind: 'flick', carries: 'capture' };
      default:
        return undefined;
    }
  })();
  return [
    ...(level ? [{ for: FOR_LEVEL, by: level }] : []),
    ...gestures.map(({ for: what, holds, seconds }): Gesture => ({
      for: what,
      by: { kind: 'corner', holds, seconds, mode: undefined },
    })),
  ];
}

/** The share of the travel from centre that counts as full stick. Common practice, no source. */
const END = 0.8;
/** The share of the travel that counts as off centre, and as back at centre. Common practice, no source. */
const OFF_CENTRE = 0.5;
const ON_CENTRE = 0.2;

/** How far out the stick of a function is for the unit, −1…+1 in pulse terms; NaN if the unit has no input for it. */
function compileOut(setup: Setup): (carries: ChannelFunction, frame: Frame) => number {
  const sticks = compileSticks(setup);
  const out = new Float64Array(AXES.length);
  const readings = new Map<ChannelFunction, Reading | undefined>();
  return (carries, frame) => {
    if (!readings.has(carries)) readings.set(carries, compileReading(setup, carries));
    const reading = readings.get(carries);
    if (reading) return readFunction(reading, frame.receivedUs);
    // A stick that reaches it mixed is taken apart as for steering.
    const axis = AXES.findIndex((a) => functionOf(carries).axes?.[a] !== undefined);
    if (axis < 0) return NaN;
    sticks(frame.receivedUs, out);
    return out[axis]!;
  };
}

/**
 * How close the sticks are to a corner: the share of full stick that the least deflected one has; 1 or more is in the corner.
 * @param ends at the end the gesture names, or at either end
 */
export function compileCorner(
  setup: Setup,
): (holds: StickHolds, frame: Frame, ends?: 'as held' | 'either end') => number {
  const outOf = compileOut(setup);
  return (holds, frame, ends = 'as held') =>
    holds.reduce((least, { stick, at }) => {
      const out = outOf(stick, frame) / END;
      const towards = ends === 'as held' ? out * Math.sign(at) : Math.abs(out);
      return Number.isNaN(towards) ? 0 : Math.min(least, towards);
    }, Infinity);
}

/** Whether a corner counts in this moment. @param mode the only one it counts in; undefined for any */
export const countsIn = (mode: Corner['mode'], frame: Pick<Frame, 'mode'>): boolean =>
  mode === undefined || frame.mode === mode;

/** Follows what reaches a unit, moment by moment. */
export interface Ear {
  /**
   * @param frame what reached the unit in this moment
   * @param dtS how long it lasted
   * @returns the gestures completed in this moment, each once per completion
   */
  hear(frame: Frame, dtS: number): Gesture[];
}

/** What a unit would take as a gesture. A completed one makes another Setup: the chain remembers nothing of it. */
export function createEar(setup: Setup): Ear {
  const outOf = compileOut(setup);
  const corner = compileCorner(setup);
  const listening = gesturesOf(setup.unit).map((gesture) => {
    const { by } = gesture;
    return { gesture, heard: by.kind === 'corner' ? holding(by) : flicking(by) };
  });

  function holding({ holds, seconds, mode }: Corner) {
    let heldS = -1;
    return (frame: Frame, dtS: number): boolean => {
      if (!countsIn(mode, frame) || corner(holds, frame) < 1) {
        heldS = -1;
        return false;
      }
      const before = heldS;
      // The time counts from the moment it gets there.
      heldS = Math.max(0, before) + dtS;
      return heldS >= seconds && before < seconds;
    };
  }

  function flicking({ carries, times, withinS }: Flick) {
    let [nowS, side] = [0, 0];
    let turns: number[] = [];
    const sideOf = (share: number): number => {
      if (carries === 'mode') return Math.abs(share) < END ? 0 : Math.sign(share);
      return Math.abs(share) >= OFF_CENTRE ? 1 : Math.abs(share) <= ON_CENTRE ? -1 : 0;
    };
    return (frame: Frame, dtS: number): boolean => {
      nowS += dtS;
      const next = sideOf(outOf(carries, frame));
      if (!next || next === side) return false;
      if (side) turns.push(nowS);
      side = next;
      turns = turns.filter((s) => nowS - s <= withinS);
      if (turns.length < 2 * times) return false;
      turns = [];
      return true;
    };
  }

  return {
    hear: (frame, dtS) =>
      listening.flatMap(({ gesture, heard }) => (heard(frame, dtS) ? [gesture] : [])),
  };
}
