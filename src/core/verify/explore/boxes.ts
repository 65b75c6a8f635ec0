import { positionsOf, switchValue } from '../../chain';
import type { Read, Setup } from '../../setup';
import { isContinuous } from './cone';
import type { Ranges } from './ranges';

/** Where controls stand: low and high end of each of some controls, in their order. */
export interface Box {
  lo: Float64Array;
  hi: Float64Array;
}

/** Positions of a control that are told apart, and the value that stands for all nothing asks for. */
export interface Told {
  values: number[];
  other: number | undefined;
}

/** @param reads everything that looks at the program's controls */
export function positionsTold(setup: Setup, at: number, reads: readonly Read[]): Told {
  const control = setup.transmitter.controls[at]!;
  const all = Array.from({ length: positionsOf(control.kind) }, (_, p) => p);
  const own = reads.filter((r) => r.kind === 'control' && r.id === control.id);
  // Read as a value and not as a position, every place of it counts.
  const asked = new Set(
    own.flatMap((r) => (r.kind === 'control' && r.position !== undefined ? [r.position] : all)),
  );
  const others = all.filter((p) => !asked.has(p));
  // Where it rests stands for the positions nobody asks for, if it is one of them.
  const rest = others.find((p) => switchValue(control.kind, p) === control.rest) ?? others[0];
  return {
    values: all.filter((p) => asked.has(p) || p === rest).map((p) => switchValue(control.kind, p)),
    other: rest === undefined ? undefined : switchValue(control.kind, rest),
  };
}

/** Bounds some controls are kept within, by position: [low, high]. */
export type Bounds = ReadonlyMap<number, readonly [number, number]>;

/** How boxes are made, and how many at most. */
export interface BoxOptions {
  /** Boxes worked out at most. */
  limit: number;
  /** Controls kept within bounds, by position: [low, high]. */
  within: Bounds | undefined;
  /** Called now and then; returning false gives up. */
  onProgress: ((boxes: number) => boolean) | undefined;
}

/** Boxes of control positions, begun at every combination of positions and cut as often as they must be. */
export class Boxes {
  private made = 0;
  private readonly cuts = new Map<number, number>();

  constructor(
    private readonly setup: Setup,
    private readonly told: ReadonlyMap<number, Told>,
    private readonly options: BoxOptions,
  ) {}

  /**
   * Goes through every combination of positions of some controls, what stands between its ends from
   * end to end, and cuts each until everything in it is decided.
   * @param found told of every box that needs no more cutting; false gives up
   * @returns false when there are too many, or it was given up
   */
  each(controls: readonly number[], ranges: Ranges, found: () => boolean): boolean {
    const { within } = this.options;
    const placed: { at: number; values: readonly number[] }[] = [];
    for (const at of controls) {
      const bounds = within?.get(at);
      if (isContinuous(this.setup, at)) {
        [ranges.lo[at], ranges.hi[at]] = bounds ?? [-100, 100];
        continue;
      }
      const { values } = this.told.get(at)!;
      const inside = values.filter((v) => !bounds || (v >= bounds[0] && v <= bounds[1]));
      // A position nothing tells from others is kept at by standing for them.
      placed.push({ at, values: bounds && inside.length === 0 ? [bounds[0]] : inside });
    }
    const place = (n: number): boolean => {
      const next = placed[n];
      if (!next) return this.cut(ranges, found);
      return next.values.every((value) => {
        ranges.lo[next.at] = ranges.hi[next.at] = value;
        return place(n + 1);
      });
    };
    return place(0);
  }

  /** Where some controls stand now. */
  of(ranges: Ranges, controls: readonly number[]): Box {
    return {
      lo: Float64Array.from(controls, (at) => ranges.lo[at]!),
      hi: Float64Array.from(controls, (at) => ranges.hi[at]!),
    };
  }

  /** Controls that were cut most: what makes a table large. */
  mostCut(): number[] {
    return [...this.cuts].toSorted((a, b) => b[1] - a[1]).map(([at]) => at);
  }

  private cut(ranges: Ranges, found: () => boolean): boolean {
    const { limit, onProgress } = this.options;
    this.made += 1;
    if (this.made > limit) return false;
    if (this.made % 2048 === 1 && onProgress && !onProgress(this.made)) return false;
    ranges.choices.length = 0;
    for (;;) {
      if (!ranges.run()) {
        const { control, at } = ranges.cut!;
        this.cuts.set(control, (this.cuts.get(control) ?? 0) + 1);
        const lo = ranges.lo[control]!;
        const hi = ranges.hi[control]!;
        ranges.hi[control] = at;
        if (!this.cut(ranges, found)) return false;
        ranges.lo[control] = at;
        ranges.hi[control] = hi;
        if (!this.cut(ranges, found)) return false;
        ranges.lo[control] = lo;
        return true;
      }
      if (!found()) return false;
      if (!ranges.nextChoices()) return true;
    }
  }
}
