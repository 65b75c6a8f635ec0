import { isUpright, MOVEMENT_WORDS } from '../chain';
import type { Check } from '../directions';
import type { Observed } from '../logbook';
import type { Surface } from '../setup';

/** What may be seen of a surface. */
export type AnswerId = 'up' | 'down' | 'left' | 'right' | 'centre';

/** One surface, and what was seen of it. */
export type SurfaceAnswer = readonly [of: Observed, seen: AnswerId];

const waysOf = (surface: Pick<Surface, 'role'>): readonly [AnswerId, AnswerId] =>
  isUpright(surface) ? ['left', 'right'] : ['up', 'down'];

export const optionsFor = (surface: Pick<Surface, 'role'>): AnswerId[] => [
  ...waysOf(surface),
  'centre',
];

/** An answer for both sides of the model at once. */
export interface Together {
  key: string;
  words: string;
  answers: SurfaceAnswer[];
}

/**
 * What may be said of all surfaces of a look in one go: all one way, or the two sides against each
 * other. Empty where they are not left and right ones that go the same two ways.
 */
export function togetherFor(look: readonly Observed[], check: Check): Together[] {
  const of = (side: Surface['side']) => look.filter((o) => o.expectation.surface.side === side);
  const [lefts, rights] = [of('left'), of('right')];
  const [first] = look;
  if (!first || lefts.length === 0 || lefts.length + rights.length < look.length) return [];
  if (rights.length === 0) return [];
  const [a, b] = waysOf(first.expectation.surface);
  if (look.some((o) => waysOf(o.expectation.surface)[0] !== a)) return [];
  const said = (left: AnswerId, right: AnswerId): SurfaceAnswer[] => [
    ...lefts.map((o): SurfaceAnswer => [o, left]),
    ...rights.map((o): SurfaceAnswer => [o, right]),
  ];
  const two = look.length === 2;
  const [toA, toB] = [MOVEMENT_WORDS[a], MOVEMENT_WORDS[b]];
  const all = (to: string) => (two ? `both ${to}` : `all ${to}`);
  // "left up, right down"; of surfaces that go left and right themselves, "left one left".
  const apart =
    a === 'up'
      ? [`left ${toA}, right ${toB}`, `right ${toA}, left ${toB}`]
      : two
        ? [`left one ${toA}, right one ${toB}`, `right one ${toA}, left one ${toB}`]
        : [`left ones ${toA}, right ones ${toB}`, `right ones ${toA}, left ones ${toB}`];
  const across = a === 'up' ? ['ArrowLeft', 'ArrowRight'] : ['ArrowUp', 'ArrowDown'];
  const along = a === 'up' ? ['ArrowUp', 'ArrowDown'] : ['ArrowLeft', 'ArrowRight'];
  return [
    { key: along[0]!, words: all(toA), answers: said(a, a) },
    { key: along[1]!, words: all(toB), answers: said(b, b) },
    { key: across[0]!, words: apart[0]!, answers: said(a, b) },
    { key: across[1]!, words: apart[1]!, answers: said(b, a) },
    {
      key: 'x',
      words: check.way === 'held' ? all('back at centre') : two ? 'neither moved' : 'none moved',
      answers: said('centre', 'centre'),
    },
  ];
}
