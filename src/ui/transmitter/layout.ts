import type { Control, Transmitter } from '@/core/setup';

export interface Spot {
  x: number;
  y: number;
}

/** Where controls are drawn when nobody has said: sticks below, switches along the upper edges. */
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
  const rows = Math.ceil(switches.length / 5);
  const each = Math.ceil(switches.length / rows);
  for (let r = 0; r < rows; r++) row(switches.slice(r * each, (r + 1) * each), 10 + 18 * r, 10, 90);
  row(of('knob', 'slider'), 47, 20, 80);
  row(of('stick'), 69, 14, 86);
  row(of('trim'), 91, 18, 82);
  for (const c of controls) if (c.at) spots.set(c.id, c.at);
  return spots;
}

/** Position of a control in its list, in percent of the front, kept on it. */
export const within = ({ x, y }: Spot): Spot => ({
  x: Math.round(Math.min(96, Math.max(4, x))),
  y: Math.round(Math.min(94, Math.max(6, y))),
});
