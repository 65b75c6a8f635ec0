import type { Cell } from '../explore';
import type { Moment, StateClaim } from './claim';
import type { State } from './states';

/** At most this many failing states are replayed from power-up; then one is taken as it is. */
const WALKED = 8;

export interface Worst {
  margin: number;
  state: State;
}

/** The state being examined; its control values are overwritten by the next one. */
export type Standing = State;

export const kept = ({ cell, hands, memory, unit }: Standing): State => ({
  cell,
  hands: hands.slice(),
  memory,
  unit,
});

/** One claim while its states are examined. */
export class Case {
  /** States asked about, and cells they lie in: what differs by a knob alone is one case to a person. */
  states = 0;
  cells = 0;
  failing = 0;
  private cell: Cell | undefined;
  private cellFails = false;
  undecided = false;
  /** The worst of all; of `somewhere` the best of each group. */
  worst: Worst[] = [];
  groups = new Map<string, Worst>();
  choices: string[];
  /** Of a list: entries that at least one state covers. */
  readonly supported = new Set<string>();
  margins: number[] = [];
  places: readonly number[] | undefined;
  /** What the moments it was asked in rest on, as bits of `RESTS_ON`. */
  restsOn = 0;

  constructor(readonly claim: StateClaim) {
    this.choices = claim.asked === 'one-of' ? [...claim.choices] : [];
  }

  /** Takes note of what it was shown. */
  saw(moments: readonly Moment[]): readonly Moment[] {
    for (const { frame } of moments) this.restsOn |= frame.restsOn;
    return moments;
  }

  take(margin: number, now: Moment, at: Standing): void {
    const { claim } = this;
    this.states += 1;
    if (this.cell !== at.cell) {
      this.cell = at.cell;
      this.cells += 1;
      this.cellFails = false;
    }
    if (claim.asked === 'somewhere') {
      const key = claim.each ? claim.each(now) : '';
      const known = this.groups.get(key);
      if (!known || margin > known.margin) this.groups.set(key, { margin, state: kept(at) });
      return;
    }
    if (margin >= 0) return;
    this.failsHere();
    if (this.worst.length < WALKED) this.worst.push({ margin, state: kept(at) });
    else {
      const last = this.worst.reduce((a, b) => (b.margin > a.margin ? b : a));
      if (margin < last.margin) this.worst[this.worst.indexOf(last)] = { margin, state: kept(at) };
    }
  }

  failsHere(): void {
    if (!this.cellFails) this.failing += 1;
    this.cellFails = true;
  }
}
