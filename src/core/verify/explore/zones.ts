/**
 * What running clocks can say together. Delays and counting windows start at different moments, and
 * which of them can have run out before which is a matter of differences between clocks: a zone is
 * a set of such differences (difference bound matrices: D. L. Dill, 1989).
 *
 * Times are whole tenths of a millisecond, so that "less than" is "at most one unit less". Entry
 * [i][j] is the most that clock i can be ahead of clock j; clock 0 is always zero.
 */
export const UNITS_PER_S = 10_000;
const NONE = 1 << 29;

export class Zones {
  readonly size: number;
  /** @param mostUnits the longest time of each clock that anything is compared with */
  constructor(readonly mostUnits: readonly number[]) {
    this.size = mostUnits.length + 1;
  }

  /** All clocks at nought. */
  start(): Int32Array {
    return new Int32Array(this.size * this.size);
  }

  /** Any time may pass, the same for all. */
  letTimePass(zone: Int32Array): void {
    for (let i = 1; i < this.size; i++) zone[i * this.size] = NONE;
  }

  /** Clock at least so long. */
  atLeast(zone: Int32Array, clock: number, units: number): void {
    zone[clock] = Math.min(zone[clock]!, -units);
  }

  /** Clock at most so long. */
  atMost(zone: Int32Array, clock: number, units: number): void {
    const at = clock * this.size;
    zone[at] = Math.min(zone[at]!, units);
  }

  /** Draws every conclusion. @returns false when nothing is left: it cannot be so */
  close(zone: Int32Array): boolean {
    const n = this.size;
    for (let k = 0; k < n; k++)
      for (let i = 0; i < n; i++) {
        const ik = zone[i * n + k]!;
        if (ik >= NONE) continue;
        for (let j = 0; j < n; j++) {
          const kj = zone[k * n + j]!;
          if (kj < NONE && ik + kj < zone[i * n + j]!) zone[i * n + j] = ik + kj;
        }
      }
    for (let i = 0; i < n; i++) if (zone[i * n + i]! < 0) return false;
    return true;
  }

  /** A clock of a closed zone starts again. */
  reset(zone: Int32Array, clock: number): void {
    const n = this.size;
    for (let j = 0; j < n; j++) {
      zone[clock * n + j] = zone[j]!;
      zone[j * n + clock] = zone[j * n]!;
    }
    zone[clock * n + clock] = 0;
  }

  /** Forgets what is longer than anything compared with, so that there are finitely many zones. */
  widen(zone: Int32Array): void {
    const n = this.size;
    for (let i = 1; i < n; i++) {
      const most = this.mostUnits[i - 1]!;
      for (let j = 0; j < n; j++) {
        if (i !== j && zone[i * n + j]! > most) zone[i * n + j] = NONE;
        if (i !== j && zone[j * n + i]! < -most) zone[j * n + i] = -most;
      }
    }
    this.close(zone);
  }

  /** Whether everything the second allows is allowed by the first. */
  holds(outer: Int32Array, inner: Int32Array): boolean {
    for (let i = 0; i < inner.length; i++) if (inner[i]! > outer[i]!) return false;
    return true;
  }

  /** One set of clock times the zone allows, each as short as can be, in seconds. */
  example(zone: Int32Array): number[] {
    const n = this.size;
    const own = zone.slice();
    const times: number[] = [];
    for (let clock = 1; clock < n; clock++) {
      const least = -own[clock]!;
      this.atMost(own, clock, least);
      this.close(own);
      times.push(least / UNITS_PER_S);
    }
    return times;
  }
}
