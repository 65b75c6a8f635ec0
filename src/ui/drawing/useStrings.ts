'use client';

import { rounded, routeDown, type Box } from './route';
import { useEffect, useState, type RefObject } from 'react';

/** Two things on the page that are joined: each by a selector below the box, and the side it leaves at. */
export interface Joined {
  from: string;
  to: string;
  /** What a lead that hangs down goes round: everything this selects but where it ends. */
  round?: string;
  /** Downward from the lower edge, or sideways from the right edge. */
  way: 'down' | 'across';
}

/** Paths from one thing to another, measured on the page whenever the box changes its size. */
export function useStrings(
  box: RefObject<HTMLElement | null>,
  joined: readonly Joined[],
): (string | undefined)[] {
  const [paths, setPaths] = useState<(string | undefined)[]>([]);
  const key = JSON.stringify(joined);
  useEffect(() => {
    const root = box.current;
    if (!root) return;
    const pairs = JSON.parse(key) as Joined[];
    const watch = new ResizeObserver(() =>
      setPaths(pairs.map((pair, nth) => pathOf(root, pair, nth))),
    );
    watch.observe(root);
    return () => watch.disconnect();
  }, [box, key]);
  return paths;
}

/** Lanes beside each other in which leads run sideways, and how far apart they are, in pixels. */
const LANES = 4;
const LANE = 5;

function pathOf(
  root: HTMLElement,
  { from, to, way, round }: Joined,
  nth: number,
): string | undefined {
  const origin = root.getBoundingClientRect();
  const a = root.querySelector(from)?.getBoundingClientRect();
  const b = root.querySelector(to)?.getBoundingClientRect();
  if (!a || !b) return undefined;
  if (way === 'down' && round !== undefined) {
    const inside = (r: DOMRect): Box => ({
      left: r.left - origin.left,
      right: r.right - origin.left,
      top: r.top - origin.top,
      bottom: r.bottom - origin.top,
    });
    const end = root.querySelector(to);
    const others = [...root.querySelectorAll(round)].filter((e) => e !== end);
    const top = a.bottom - origin.top;
    return rounded(
      routeDown(
        [a.left + a.width / 2 - origin.left, top],
        inside(b),
        others.map((e) => inside(e.getBoundingClientRect())),
        top + LANE + LANE * (nth % LANES),
      ),
    );
  }
  const middle = (r: DOMRect) => [r.left + r.width / 2, r.top + r.height / 2] as const;
  const [x1, y1] = way === 'down' ? [middle(a)[0], a.bottom] : [a.right, middle(a)[1]];
  const [x2, y2] = way === 'down' ? [middle(b)[0], b.top] : [b.left, middle(b)[1]];
  const bend = Math.max(8, (way === 'down' ? y2 - y1 : x2 - x1) / 2);
  const bent = way === 'down' ? [x1, y1 + bend, x2, y2 - bend] : [x1 + bend, y1, x2 - bend, y2];
  const shift = (v: number, i: number) => (v - (i % 2 === 0 ? origin.left : origin.top)).toFixed(1);
  return `M${[x1, y1].map(shift).join(' ')}C${[...bent, x2, y2].map(shift).join(' ')}`;
}
