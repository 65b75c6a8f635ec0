import { entropy } from './group';
import type { Answer, Glance, Seen } from './experiment';

/** Of an answer that may be seen either way, how likely the first is. Planning figure. */
const LIKELY = 0.65;

/** What may be seen of one surface: the likely thing first, and others where it moves so little that any may be seen. */
export type Likely = readonly [Glance, ...Glance[]];

/** How likely one of several things is seen. */
const chance = (may: Likely, at: number): number =>
  may.length === 1 ? 1 : at === 0 ? LIKELY : (1 - LIKELY) / (may.length - 1);

/** What a unit would show in an experiment. */
export class Shown {
  /** What is most likely seen. */
  readonly first: Seen;
  /** Everything that may be seen, with its share. */
  readonly spread: readonly (readonly [seen: Seen, share: number])[];
  /** How much of it is left to chance, bits. */
  readonly doubtBits: number;

  /** @param looks of each surface in the order they are looked at */
  constructor(readonly looks: readonly Likely[]) {
    this.first = looks.map(([glance]) => glance).join(' ');
    this.spread = looks.reduce<(readonly [Seen, number])[]>(
      (rows, may, i) =>
        rows.flatMap(([seen, share]) =>
          may.map(
            (glance, at) =>
              [i === 0 ? glance : `${seen} ${glance}`, share * chance(may, at)] as const,
          ),
        ),
      [['', 1]],
    );
    this.doubtBits = entropy(this.spread.map(([, share]) => share));
  }

  /** How likely it is seen as it was answered; 0 where it cannot be. What was not answered counts as seen. */
  agreeing(answer: Answer): number {
    return this.looks.reduce((share, may, i) => {
      const said = answer[i] ?? 'unsure';
      if (said === 'unsure') return share;
      const at = may.indexOf(said);
      return at < 0 ? 0 : share * chance(may, at);
    }, 1);
  }
}

const made = new Map<string, Shown>();

/** The same object for the same things shown: there are few of them, and each is asked for often. */
export function shownAs(looks: readonly Likely[]): Shown {
  const key = looks.map((may) => may.join('/')).join(' ');
  const found = made.get(key) ?? new Shown(looks);
  made.set(key, found);
  return found;
}
