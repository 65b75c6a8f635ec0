import { shapeAt, expo } from '../../chain';
import type { Shape } from '../../setup';

/** Closer to a threshold than this a value is on neither side. Percent, or microseconds. */
export const TOUCH = 1e-6;
/** A control is not cut into pieces narrower than this where no exact place to cut is known. */
const COARSE_PCT = 12.5;

/**
 * A value while controls stand anywhere in a box: c + Σ k·symbol ± err, and never outside lo…hi.
 * Symbols are controls and shaped inputs, so that what is added and taken away again cancels.
 */
export interface Form {
  c: number;
  k: Float64Array;
  err: number;
  lo: number;
  hi: number;
  /** Controls it depends on, one bit each. */
  deps: number;
}

/** Where a box must be cut so that something in it is decided. */
export interface Cut {
  control: number;
  at: number;
}

/** What a symbol stands for: a control, or an input shaped from one. */
export interface Symbol {
  control: number;
  /** Position of the input in the program; undefined for the control itself. */
  input: number | undefined;
}

/**
 * Values known as ranges while controls stand anywhere in a box (interval and affine arithmetic:
 * R. E. Moore, Interval Analysis, 1966), and where the box must be cut so that a comparison is decided.
 */
export class Forms {
  /** The box, by control position. */
  readonly lo: Float64Array;
  readonly hi: Float64Array;
  /** Outcomes that could not be decided, as to be taken; the rest is 0. */
  readonly choices: number[] = [];
  /** How many choices there were. */
  asked = 0;
  cut: Cut | undefined;
  protected readonly symLo: Float64Array;
  protected readonly symHi: Float64Array;
  /** Rate and expo each input has now, by its position. */
  protected readonly rateOf: { weight: number; expoPct: number }[] = [];
  private readonly product: Form;
  private readonly spare: Form;

  /** @param rest where every control of the transmitter rests @param continuous those with symbols */
  constructor(
    rest: readonly number[],
    protected readonly continuous: readonly number[],
    protected readonly symbols: readonly Symbol[],
  ) {
    this.lo = Float64Array.from(rest);
    this.hi = this.lo.slice();
    this.symLo = new Float64Array(symbols.length);
    this.symHi = new Float64Array(symbols.length);
    this.product = this.form();
    this.spare = this.form();
  }

  /** The next set of choices, counting up. @returns false when all were gone through */
  nextChoices(): boolean {
    const { choices } = this;
    while (choices.length < this.asked) choices.push(0);
    choices.length = this.asked;
    while (choices.length > 0 && choices.at(-1) === 1) choices.pop();
    if (choices.length === 0) return false;
    choices[choices.length - 1] = 1;
    return true;
  }

  protected form(): Form {
    return { c: 0, k: new Float64Array(this.symbols.length), err: 0, lo: 0, hi: 0, deps: 0 };
  }

  protected set(f: Form, value: number): void {
    f.c = f.lo = f.hi = value;
    f.k.fill(0);
    f.err = f.deps = 0;
  }

  protected choose(): boolean {
    const taken = this.choices[this.asked] ?? 0;
    this.asked += 1;
    return taken === 1;
  }

  protected bit(control: number): number {
    return 1 << (this.continuous.indexOf(control) % 31);
  }

  /** Whether a value is above a level, decided, to be cut, or chosen. */
  protected above(f: Form, level: number): boolean {
    if (f.lo === f.hi) {
      const off = f.lo - level;
      // So close that rounding decides: both.
      if (off !== 0 && Math.abs(off) < 1e-9) return this.choose();
      return off > 0;
    }
    if (f.lo >= level - TOUCH) return true;
    if (f.hi <= level + TOUCH) return false;
    if (this.cutAt(f, level)) return false;
    return this.choose();
  }

  /** Names a place to cut so that a value comes to lie on one side of a level. @returns whether there is one */
  protected cutAt(f: Form, level: number): boolean {
    if (f.err > 1e-9) return this.cutCoarse(f.deps);
    // The symbol that matters most, and what the others can add.
    let best = -1;
    let most = 0;
    for (let s = 0; s < f.k.length; s++) {
      const swing = Math.abs(f.k[s]!) * (this.symHi[s]! - this.symLo[s]!);
      if (swing > most) [best, most] = [s, swing];
    }
    if (best < 0) return false;
    let low = f.c;
    let high = f.c;
    for (let s = 0; s < f.k.length; s++) {
      const k = f.k[s]!;
      if (s === best || k === 0) continue;
      low += Math.min(k * this.symLo[s]!, k * this.symHi[s]!);
      high += Math.max(k * this.symLo[s]!, k * this.symHi[s]!);
    }
    const k = f.k[best]!;
    for (const rest of high - low < TOUCH ? [low] : [low, high]) {
      const control = this.symbols[best]!.control;
      const at = this.controlAt(best, (level - rest) / k);
      if (
        at !== undefined &&
        at > this.lo[control]! + TOUCH * 10 &&
        at < this.hi[control]! - TOUCH * 10
      ) {
        this.cut = { control, at };
        return true;
      }
    }
    return false;
  }

  /** Where a control makes its symbol a value; undefined when nowhere in the box. */
  private controlAt(symbol: number, value: number): number | undefined {
    const input = this.symbols[symbol]!.input;
    if (input === undefined) return value;
    const control = this.symbols[symbol]!.control;
    const shape = (x: number) => this.shape(input, x);
    let lo = this.lo[control]!;
    let hi = this.hi[control]!;
    const rising = shape(hi) > shape(lo);
    if ((shape(lo) - value) * (shape(hi) - value) > 0) return undefined;
    for (let i = 0; i < 60; i++) {
      const mid = (lo + hi) / 2;
      if (shape(mid) > value === rising) hi = mid;
      else lo = mid;
    }
    return (lo + hi) / 2;
  }

  private cutCoarse(deps: number): boolean {
    let widest = -1;
    for (const at of this.continuous)
      if (
        (deps & this.bit(at)) !== 0 &&
        (widest < 0 || this.hi[at]! - this.lo[at]! > this.hi[widest]! - this.lo[widest]!)
      )
        widest = at;
    if (widest < 0 || this.hi[widest]! - this.lo[widest]! <= COARSE_PCT) return false;
    this.cut = { control: widest, at: (this.lo[widest]! + this.hi[widest]!) / 2 };
    return true;
  }

  protected shape(input: number, x: number): number {
    const { weight, expoPct } = this.rateOf[input]!;
    return weight * expo(x, expoPct);
  }

  /** into += of·weight + offset */
  protected add(into: Form, of: Form, weight: number, offset: number): void {
    into.c += of.c * weight + offset;
    for (let s = 0; s < into.k.length; s++) into.k[s]! += of.k[s]! * weight;
    into.err += of.err * Math.abs(weight);
    const a = of.lo * weight;
    const b = of.hi * weight;
    into.lo += Math.min(a, b) + offset;
    into.hi += Math.max(a, b) + offset;
    into.deps |= of.deps;
    this.tighten(into);
  }

  /** A sum of intervals is too wide where its parts cancel; the affine part knows better. */
  private tighten(f: Form): void {
    let mid = f.c;
    let rad = f.err;
    for (let s = 0; s < f.k.length; s++) {
      let k = f.k[s]!;
      if (k !== 0 && Math.abs(k) < 1e-12) k = f.k[s] = 0;
      if (k === 0) continue;
      mid += (k * (this.symLo[s]! + this.symHi[s]!)) / 2;
      rad += (Math.abs(k) * (this.symHi[s]! - this.symLo[s]!)) / 2;
    }
    const rounding = rad === 0 ? 0 : 1e-9;
    if (mid - rad > f.lo) f.lo = mid - rad - rounding;
    if (mid + rad < f.hi) f.hi = mid + rad + rounding;
    if (f.lo > f.hi) f.lo = f.hi = mid;
  }

  protected copy(into: Form, of: Form, weight: number, offset: number): void {
    this.set(into, 0);
    this.add(into, of, weight, offset);
  }

  /** into = into·by/100 */
  protected multiply(into: Form, by: Form): void {
    const p = this.product;
    const mid = (f: Form) => {
      let m = f.c;
      for (let s = 0; s < f.k.length; s++) m += (f.k[s]! * (this.symLo[s]! + this.symHi[s]!)) / 2;
      return m;
    };
    const rad = (f: Form) => {
      let r = f.err;
      for (let s = 0; s < f.k.length; s++)
        r += (Math.abs(f.k[s]!) * (this.symHi[s]! - this.symLo[s]!)) / 2;
      return r;
    };
    const xm = mid(into);
    const ym = mid(by);
    const xr = rad(into);
    const yr = rad(by);
    const corners = [into.lo * by.lo, into.lo * by.hi, into.hi * by.lo, into.hi * by.hi];
    p.lo = Math.min(...corners) / 100;
    p.hi = Math.max(...corners) / 100;
    let c = xm * ym;
    for (let s = 0; s < p.k.length; s++) {
      const k = xm * by.k[s]! + ym * into.k[s]!;
      p.k[s] = k / 100;
      c -= (k * (this.symLo[s]! + this.symHi[s]!)) / 2;
    }
    p.c = c / 100;
    p.err = (xr * yr + Math.abs(xm) * by.err + Math.abs(ym) * into.err) / 100;
    p.deps = into.deps | by.deps;
    into.c = p.c;
    into.k.set(p.k);
    into.err = p.err;
    into.lo = p.lo;
    into.hi = p.hi;
    into.deps = p.deps;
    this.tighten(into);
  }

  protected curve(into: Form, points: Shape['points'], source: Form): void {
    if (source.lo === source.hi) {
      this.set(into, shapeAt(points, source.lo));
      return;
    }
    for (let i = 0; i <= points.length; i++) {
      const left = i === 0 ? -Infinity : points[i - 1]!.inPct;
      const right = i === points.length ? Infinity : points[i]!.inPct;
      if (source.lo < left - TOUCH || source.hi > right + TOUCH) continue;
      if (i === 0 || i === points.length) {
        this.set(into, (i === 0 ? points[0]! : points.at(-1)!).outPct);
        return;
      }
      const [a, b] = [points[i - 1]!, points[i]!];
      const slope = (b.outPct - a.outPct) / (b.inPct - a.inPct);
      this.copy(into, source, slope, a.outPct - slope * a.inPct);
      return;
    }
    const inside = points.filter((p) => p.inPct > source.lo + TOUCH && p.inPct < source.hi - TOUCH);
    if (
      source.err <= 1e-9 &&
      inside[0] &&
      this.cutAt(source, inside[Math.floor(inside.length / 2)]!.inPct)
    )
      return;
    const values = [
      shapeAt(points, source.lo),
      shapeAt(points, source.hi),
      ...inside.map((p) => p.outPct),
    ];
    into.lo = Math.min(...values);
    into.hi = Math.max(...values);
    into.c = (into.lo + into.hi) / 2;
    into.err = (into.hi - into.lo) / 2;
    into.k.fill(0);
    into.deps = source.deps;
  }

  protected copyOf(f: Form): Form {
    const own = this.spare;
    own.c = f.c;
    own.k.set(f.k);
    own.err = f.err;
    own.lo = f.lo;
    own.hi = f.hi;
    own.deps = f.deps;
    return own;
  }
}

/** Where expo turns back: (1 − e) + 3·e·x² = 0, in percent; nowhere for soft centres. */
export function turns(expoPct: number): readonly number[] {
  const e = expoPct / 100;
  const square = (e - 1) / (3 * e);
  if (!(square > 0 && square < 1)) return [];
  const x = 100 * Math.sqrt(square);
  return [-x, x];
}
