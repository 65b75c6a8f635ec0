import { isUpright, MOVEMENT_WORDS } from '../chain';
import type { Check } from '../directions';
import { isOnFrontAxle } from '../linkage';
import type { Observed } from '../logbook';
import { SIDE_NAMES, type Surface } from '../setup';

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

/** Two groups of surfaces that go against each other, in the words for one of a group. */
interface Parted {
  words: readonly [one: string, other: string];
  groups: readonly [readonly Observed[], readonly Observed[]];
}

/** Steered axles against each other; else the two sides. Undefined where one group is empty, or something is in neither. */
function partedIn(look: readonly Observed[]): Parted | undefined {
  const those = (belongs: (surface: Surface) => boolean) =>
    look.filter((o) => belongs(o.expectation.surface));
  const wheels = look.every((o) => o.expectation.surface.role === 'wheel');
  const rear = those((s) => !isOnFrontAxle(s));
  const parted: Parted =
    wheels && rear.length > 0 && rear.length < look.length
      ? { words: ['front', 'rear'], groups: [those(isOnFrontAxle), rear] }
      : {
          words: [SIDE_NAMES.left, SIDE_NAMES.right],
          groups: [those((s) => s.side === 'left'), those((s) => s.side === 'right')],
        };
  const [one, other] = parted.groups;
  const complete = one.length + other.length === look.length;
  return complete && one.length > 0 && other.length > 0 ? parted : undefined;
}

/**
 * What may be said of all surfaces of a look in one go: all one way, or two groups of them against each
 * other. Empty where there are no such groups, or they do not go the same two ways.
 */
export function togetherFor(look: readonly Observed[], check: Check): Together[] {
  const parted = partedIn(look);
  const [first] = look;
  if (!first || !parted) return [];
  const [[one, other], [ones, others]] = [parted.words, parted.groups];
  const [a, b] = waysOf(first.expectation.surface);
  if (look.some((o) => waysOf(o.expectation.surface)[0] !== a)) return [];
  const said = (here: AnswerId, there: AnswerId): SurfaceAnswer[] => [
    ...ones.map((o): SurfaceAnswer => [o, here]),
    ...others.map((o): SurfaceAnswer => [o, there]),
  ];
  const two = look.length === 2;
  const [toA, toB] = [MOVEMENT_WORDS[a], MOVEMENT_WORDS[b]];
  const all = (to: string) => (two ? `both ${to}` : `all ${to}`);
  // "left up, right down"; of surfaces that go left and right themselves, "left one left".
  const apart =
    a === 'up'
      ? [`${one} ${toA}, ${other} ${toB}`, `${other} ${toA}, ${one} ${toB}`]
      : two
        ? [`${one} one ${toA}, ${other} one ${toB}`, `${other} one ${toA}, ${one} one ${toB}`]
        : [`${one} ones ${toA}, ${other} ones ${toB}`, `${other} ones ${toA}, ${one} ones ${toB}`];
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
