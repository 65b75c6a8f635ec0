import { padsOf, type Pad } from '@/core/controls';
import type { Control, Transmitter } from '@/core/setup';

export interface Spot {
  x: number;
  y: number;
}

/** Where the sticks are: below the corners, where the thumbs are. */
export const PADS: Record<Pad['side'], Spot> = { left: { x: 15, y: 73 }, right: { x: 85, y: 73 } };

/**
 * Where everything is on the front, in percent of it: sticks at the lower corners, and what nobody
 * has placed yet along the upper edge (switches) and between the sticks (knobs, sliders).
 */
export function layoutOf(transmitter: Transmitter): Map<string, Spot> {
  const spots = new Map<string, Spot>();
  const { controls } = transmitter;
  const row = (list: readonly Control[], y: number, from: number, to: number) =>
    list.forEach((c, i) =>
      spots.set(c.id, {
        x: list.length === 1 ? (from + to) / 2 : from + ((to - from) * i) / (list.length - 1),
        y,
      }),
    );
  const of = (...kinds: Control['kind'][]) => controls.filter((c) => kinds.includes(c.kind));
  const switches = of('switch-2', 'switch-3', 'momentary');
  // At most five side by side, so that fingers find each on a narrow screen too.
  const rows = Math.max(1, Math.ceil(switches.length / 5));
  const each = Math.ceil(switches.length / rows);
  for (let r = 0; r < rows; r++)
    row(switches.slice(r * each, (r + 1) * each), rows === 1 ? 18 : 13 + 24 * r, 9, 91);
  const turned = of('knob', 'slider');
  for (let i = 0; i < turned.length; i += 2)
    row(
      turned.slice(i, i + 2),
      58 + 12 * i,
      turned.length > 1 ? 38 : 50,
      turned.length > 1 ? 62 : 50,
    );
  for (const c of controls) if (c.at) spots.set(c.id, c.at);
  for (const pad of padsOf(transmitter))
    for (const c of [pad.across, pad.along]) if (c) spots.set(c.id, PADS[pad.side]);
  return spots;
}

/** Position of a control in its list, in percent of the front, kept on it. */
export const within = ({ x, y }: Spot): Spot => ({
  x: Math.round(Math.min(96, Math.max(4, x))),
  y: Math.round(Math.min(94, Math.max(6, y))),
});

/** Height in percent of the front within which two controls stand beside each other. */
const BESIDE = 16;
const LEAST_ROOM = 12;
const MOST_ROOM = 34;
/** Room a stick's own label takes. */
export const PAD_ROOM = 30;

/** How wide the label of each control may be, in percent of the front, so that it meets no other. */
export function roomsOf(spots: ReadonlyMap<string, Spot>): Map<string, number> {
  const others = [...spots];
  return new Map(
    others.map(([id, at]) => {
      const beside = others.flatMap(([other, to]) =>
        other !== id && Math.abs(to.y - at.y) < BESIDE && to.x !== at.x
          ? [Math.abs(to.x - at.x)]
          : [],
      );
      const toEdge = 2 * Math.min(at.x, 100 - at.x);
      const room = Math.min(toEdge, ...beside, MOST_ROOM) - 1;
      return [id, Math.max(LEAST_ROOM, room)];
    }),
  );
}

/** A name longer than this stands on one line, cut off: on two it would reach into the row below. */
const MOST_LETTERS = 12;

/** The label of a control below its mark, in the room there is; all of it stands in the tip. */
export const labelClass = (name: string): string =>
  `absolute top-full left-1/2 -translate-x-1/2 text-center text-xs leading-none ${
    name.length > MOST_LETTERS ? 'truncate' : 'line-clamp-2 wrap-break-word'
  }`;
