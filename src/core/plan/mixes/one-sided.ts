import type { Draft } from '../wishes/draft';

const LABELS = { left: 'Left of the middle only', right: 'Right of the middle only' } as const;

/** A shape that lets one side of a stick through and holds the other at nothing; mixes that want the same share it. */
export function oneSided({ own, owner }: Draft, side: 'left' | 'right'): string {
  const id = `${side}-only`;
  if (!own.shapes.some((s) => s.id === id))
    own.shapes.push({
      id,
      label: LABELS[side],
      points: [
        { inPct: -100, outPct: side === 'left' ? -100 : 0 },
        { inPct: 0, outPct: 0 },
        { inPct: 100, outPct: side === 'right' ? 100 : 0 },
      ],
      owner,
    });
  return id;
}
