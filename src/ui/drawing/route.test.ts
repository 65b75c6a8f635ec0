import { describe, expect, it } from 'vitest';
import { rounded, routeDown, type Box, type Point } from './route';

const box = (x: number, y: number): Box => ({
  left: x - 20,
  right: x + 20,
  top: y,
  bottom: y + 40,
});

/** Whether a lead crosses a box anywhere. */
const crosses = (points: readonly Point[], { left, right, top, bottom }: Box): boolean =>
  points.some(([x1, y1], i) => {
    const [x2, y2] = points[i + 1] ?? [x1, y1];
    return (
      Math.max(x1, x2) > left &&
      Math.min(x1, x2) < right &&
      Math.max(y1, y2) > top &&
      Math.min(y1, y2) < bottom
    );
  });

describe('a lead', () => {
  it('goes straight down where nothing is in its way', () => {
    expect(routeDown([50, 0], box(100, 60), [box(200, 60)], 20)).toEqual([
      [50, 0],
      [50, 20],
      [100, 20],
      [100, 60],
    ]);
  });
  it('goes round what stands above, and comes in from the side it came from', () => {
    const above = box(100, 60);
    const to = box(100, 160);
    const left = routeDown([50, 0], to, [above], 20);
    expect(crosses(left, above)).toBe(false);
    expect(left.at(-1)).toEqual([80, 180]);
    const right = routeDown([150, 0], to, [above], 20);
    expect(right.at(-1)).toEqual([120, 180]);
  });
  it('takes the other side where its own is full', () => {
    const full = [box(100, 60), box(60, 60), box(20, 60)];
    const lead = routeDown([50, 0], box(100, 160), full, 20);
    expect(full.some((b) => crosses(lead, b))).toBe(false);
    expect(lead.at(-1)).toEqual([120, 180]);
  });
  it('ends at its box even where there is no way round', () => {
    const wall = { left: -2000, right: 2000, top: 50, bottom: 70 };
    expect(routeDown([50, 0], box(100, 160), [wall], 20).at(-1)).toEqual([100, 160]);
  });
  it('is drawn through its points with round corners', () => {
    expect(
      rounded([
        [0, 0],
        [0, 20],
        [40, 20],
      ]),
    ).toBe('M0.0 0.0L0.0 14.0Q0.0 20.0 6.0 20.0L40.0 20.0');
  });
});
