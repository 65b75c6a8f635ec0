import type { PatchOperation } from '../patch';
import { pointer, type Line, type Setup, type Shape } from '../setup';
import { freeName } from './entries';
import { changeLine } from './lines';

/*
 * A channel as a sum of mixes, the way many transmitters have it: what is followed with a share for each
 * side of its middle, an offset, and when it is on. It is a view: what is changed in it are the lines.
 */

/** Share of what is followed below its middle and above it, in per cent. */
export interface Sides {
  lowPct: number;
  highPct: number;
}

/** A bend in the middle, and straight from there to both ends. */
const isTwoSided = ({ points }: Shape): boolean =>
  points.length === 3 &&
  points[0]!.inPct === -100 &&
  points[1]!.inPct === 0 &&
  points[1]!.outPct === 0 &&
  points[2]!.inPct === 100;

const shapeOf = ({ program }: Setup, { shape }: Line): Shape | undefined =>
  program.shapes.find((s) => s.id === shape);

/** The two shares of a line; undefined where its curve is more than two straight sides. */
export function sidesOf(setup: Setup, line: Line): Sides | undefined {
  const shape = shapeOf(setup, line);
  if (!shape) return { lowPct: line.sharePct, highPct: line.sharePct };
  if (!isTwoSided(shape)) return undefined;
  const [low, , high] = shape.points;
  return {
    // Without a negative zero.
    lowPct: (line.sharePct * -low!.outPct) / 100 + 0,
    highPct: (line.sharePct * high!.outPct) / 100 + 0,
  };
}

/**
 * A line with these two shares. Where they differ it goes through a curve of its own with a bend in the
 * middle; where they are one again, the curve goes if nothing else reads it.
 */
export function putSides(setup: Setup, id: string, { lowPct, highPct }: Sides): PatchOperation[] {
  const line = setup.program.lines.find((l) => l.id === id);
  if (!line) return [];
  const shape = shapeOf(setup, line);
  const own =
    shape &&
    !shape.owner &&
    isTwoSided(shape) &&
    setup.program.lines.every((l) => l === line || l.shape !== shape.id) &&
    (setup.program.aside ?? []).every((a) => a.line.shape !== shape.id);
  const at = setup.program.shapes.findIndex((s) => s.id === shape?.id);
  if (lowPct === highPct)
    return [
      ...changeLine(setup, id, { sharePct: lowPct, shape: undefined }),
      ...(own ? [{ op: 'remove', path: pointer('program', 'shapes', at) } as const] : []),
    ];
  const points: Shape['points'] = [
    { inPct: -100, outPct: -lowPct + 0 },
    { inPct: 0, outPct: 0 },
    { inPct: 100, outPct: highPct },
  ];
  if (own)
    return [
      { op: 'replace', path: pointer('program', 'shapes', at, 'points'), value: points },
      ...changeLine(setup, id, { sharePct: 100 }),
    ];
  const fresh = freeName(setup, 'shapes');
  return [
    {
      op: 'add',
      path: '/program/shapes/-',
      value: { id: fresh, label: `Two sides ${setup.program.shapes.length + 1}`, points },
    },
    ...changeLine(setup, id, { sharePct: 100, shape: fresh }),
  ];
}

/** What a line that follows nothing puts on its channel; undefined for one that follows something. */
export const valueOf = ({ follows, sharePct, shiftPct }: Line): number | undefined =>
  follows.kind === 'fixed' ? sharePct + shiftPct : undefined;

/** A line that follows nothing, with another value. */
export const putValue = (setup: Setup, id: string, pct: number): PatchOperation[] =>
  changeLine(setup, id, { sharePct: pct, shiftPct: 0 });
