import {
  curveAt,
  expo,
  sentUs,
  shapeOf,
  STEP_PCT,
  switchPosition,
  TRIM_SHARE,
  type CompiledOutput,
} from '../../chain';
import type { Condition, Curve, Line, Setup, Source } from '../../setup';
import { isContinuous, remembers, type Cone } from './cone';
import { UNITS_PER_S } from './zones';

/** Closer to a threshold than this a value is on neither side. Percent, or microseconds. */
export const TOUCH = 1e-6;
/** A control is not cut into pieces narrower than this where no exact place to cut is known. */
const COARSE_PCT = 12.5;

/**
 * A value while controls stand anywhere in a box: c + Σ k·symbol ± err, and never outside lo…hi.
 * Symbols are controls and shaped inputs, so that what is added and taken away again cancels.
 */
interface Form {
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

/** A pulse that decides something in the unit, on a channel (0-based). */
export interface Watch {
  at: number;
  cutsUs: readonly number[];
}

type Ask = () => boolean;

/**
 * The program worked out for a whole box of control positions at once (interval and affine
 * arithmetic: R. E. Moore, Interval Analysis, 1966). Every comparison is decided, or a place is named
 * at which the box must be cut; where nothing can be cut any more both outcomes are gone through.
 * Tests hold it against the chain: whatever the chain gives lies within.
 */
export class Ranges {
  /** The box, by control position. Controls outside the cone stand at rest. */
  readonly lo: Float64Array;
  readonly hi: Float64Array;
  /** What the remembering entries remembered before, and remember after. */
  readonly before: Int32Array;
  readonly after: Int32Array;
  readonly truth: Uint8Array;
  /** Pulses of the watched channels, low and high by turns. */
  readonly us: Float64Array;
  /** Outcomes that could not be decided, as to be taken; the rest is 0. */
  readonly choices: number[] = [];
  /** How many choices there were. */
  asked = 0;
  cut: Cut | undefined;
  /** What clocks must have said: [clock, least, most] each, in tenths of a millisecond; −1: free. */
  readonly clocks: number[] = [];
  readonly resets: number[] = [];
  /** Remembering entries of the cone, by logic position, and the clock of each (0: none). */
  readonly entries: readonly number[];
  readonly clockOf: readonly number[];
  readonly clockMost: readonly number[];
  /** Set: remembering entries are what `truth` says already. */
  frozen = false;

  private readonly symLo: Float64Array;
  private readonly symHi: Float64Array;
  private readonly symControl: number[];
  private readonly symInput: (number | undefined)[];
  private readonly inputs = new Map<string, Form>();
  private readonly variables = new Map<string, Form>();
  private readonly channels: Form[];
  private readonly controlForms = new Map<string, Form>();
  private readonly hundred: Form;
  private readonly steps: (() => void)[] = [];
  private readonly continuous: number[];
  private readonly scratch: Form;
  private readonly product: Form;
  private readonly outputs: CompiledOutput[];
  private readonly rateOf: { weight: number; expoPct: number }[] = [];

  constructor(
    private readonly setup: Setup,
    cone: Cone,
    private readonly watch: readonly Watch[],
    outputOf: (channel: number) => CompiledOutput,
  ) {
    const { transmitter, program } = setup;
    this.lo = Float64Array.from(transmitter.controls, (c) => c.rest);
    this.hi = this.lo.slice();
    this.truth = new Uint8Array(program.logic.length);
    this.us = new Float64Array(watch.length * 2);
    this.entries = cone.logic.filter((i) => remembers(setup, i));
    this.before = new Int32Array(this.entries.length);
    this.after = new Int32Array(this.entries.length);
    const most: number[] = [];
    this.clockOf = this.entries.map((i) => {
      const entry = program.logic[i]!;
      if (entry.op === 'delay') return most.push(units(Math.max(entry.onS, entry.offS)));
      if (entry.op === 'toggles') return most.push(units(entry.withinS) + 1);
      return 0;
    });
    this.clockMost = most;
    this.continuous = cone.controls.filter((at) => isContinuous(setup, at));
    const inputs = program.inputs.flatMap((input, i) =>
      cone.order.some((w) => w.kind === 'input' && w.id === input.id) ? [i] : [],
    );
    this.symControl = [
      ...this.continuous,
      ...inputs.map((i) =>
        transmitter.controls.findIndex((c) => c.id === program.inputs[i]!.control),
      ),
    ];
    this.symInput = [...this.continuous.map(() => undefined), ...inputs];
    this.symLo = new Float64Array(this.symControl.length);
    this.symHi = new Float64Array(this.symControl.length);
    this.scratch = this.form();
    this.product = this.form();
    this.hundred = this.form();
    this.set(this.hundred, 100);
    for (const at of cone.controls)
      this.controlForms.set(transmitter.controls[at]!.id, this.form());
    for (const i of cone.variables) this.variables.set(program.variables[i]!.id, this.form());
    for (const i of inputs) this.inputs.set(program.inputs[i]!.id, this.form());
    this.channels = Array.from({ length: transmitter.channels }, () => this.form());
    this.outputs = watch.map((w) => outputOf(w.at + 1));
    for (const at of cone.controls) this.steps.push(this.controlStep(at));
    for (const i of cone.variables) this.steps.push(this.variableStep(i));
    for (const of of cone.order) {
      if (of.kind === 'input')
        this.steps.push(this.inputStep(program.inputs.findIndex((x) => x.id === of.id)));
      else if (of.kind === 'logic')
        this.steps.push(this.logicStep(program.logic.findIndex((x) => x.id === of.id)));
      else if (of.kind === 'channel') this.steps.push(this.channelStep(of.channel));
    }
  }

  /** Works everything out. @returns false when the box must be cut: see `cut` */
  run(): boolean {
    this.cut = undefined;
    this.asked = 0;
    this.clocks.length = 0;
    this.resets.length = 0;
    for (let i = 0; i < this.steps.length; i++) {
      this.steps[i]!();
      if (this.cut !== undefined) return false;
    }
    for (let i = 0; i < this.watch.length; i++) {
      this.pulse(i);
      if (this.cut !== undefined) return false;
    }
    return true;
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

  private form(): Form {
    return { c: 0, k: new Float64Array(this.symControl.length), err: 0, lo: 0, hi: 0, deps: 0 };
  }

  private set(f: Form, value: number): void {
    f.c = f.lo = f.hi = value;
    f.k.fill(0);
    f.err = f.deps = 0;
  }

  private choose(): boolean {
    const taken = this.choices[this.asked] ?? 0;
    this.asked += 1;
    return taken === 1;
  }

  private bit(control: number): number {
    return 1 << (this.continuous.indexOf(control) % 31);
  }

  /** Draws lo and hi in to what the symbols allow. */
  private tighten(f: Form): void {
    let mid = f.c;
    let rad = f.err;
    for (let s = 0; s < f.k.length; s++) {
      const k = f.k[s]!;
      if (k === 0) continue;
      mid += (k * (this.symLo[s]! + this.symHi[s]!)) / 2;
      rad += (Math.abs(k) * (this.symHi[s]! - this.symLo[s]!)) / 2;
    }
    if (mid - rad > f.lo) f.lo = mid - rad;
    if (mid + rad < f.hi) f.hi = mid + rad;
    if (f.lo > f.hi) f.lo = f.hi = (f.lo + f.hi) / 2;
  }

  /** Whether a value is above a level, decided, to be cut, or chosen. */
  private above(f: Form, level: number): boolean {
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
  private cutAt(f: Form, level: number): boolean {
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
      const control = this.symControl[best]!;
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
    const input = this.symInput[symbol];
    if (input === undefined) return value;
    const control = this.symControl[symbol]!;
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

  private shape(input: number, x: number): number {
    const { weight, expoPct } = this.rateOf[input]!;
    return weight * expo(x, expoPct);
  }

  private controlStep(at: number): () => void {
    const form = this.controlForms.get(this.setup.transmitter.controls[at]!.id)!;
    const symbol = this.continuous.indexOf(at);
    if (symbol < 0)
      return () => {
        this.set(form, this.lo[at]!);
      };
    const bit = this.bit(at);
    return () => {
      this.symLo[symbol] = form.lo = this.lo[at]!;
      this.symHi[symbol] = form.hi = this.hi[at]!;
      form.k[symbol] = 1;
      form.deps = form.lo === form.hi ? 0 : bit;
    };
  }

  private variableStep(i: number): () => void {
    const { id, valuePct, adjust } = this.setup.program.variables[i]!;
    const form = this.variables.get(id)!;
    return () => {
      this.set(form, valuePct);
      if (adjust) this.add(form, this.controlForms.get(adjust.control)!, adjust.rangePct / 100, 0);
    };
  }

  private inputStep(i: number): () => void {
    const { id, control, trim, rates } = this.setup.program.inputs[i]!;
    const form = this.inputs.get(id)!;
    const symbol = this.symInput.indexOf(i);
    const at = this.symControl[symbol]!;
    const asks = rates.map((r) => (r.when ? this.condition(r.when) : undefined));
    const shapes = rates.map((r) => ({ weight: r.weightPct / 100, expoPct: r.expoPct }));
    const trimForm = trim === undefined ? undefined : this.controlForms.get(trim)!;
    const stick = this.controlForms.get(control)!;
    return () => {
      let n = 0;
      while (asks[n] !== undefined && !asks[n]!()) n += 1;
      const shape = shapes[n]!;
      this.rateOf[i] = shape;
      this.set(form, 0);
      if (shape.expoPct === 0) this.add(form, stick, shape.weight, 0);
      else if (stick.lo === stick.hi) this.set(form, this.shape(i, stick.lo));
      else {
        const ends = [this.lo[at]!, this.hi[at]!, ...turns(shape.expoPct)].filter(
          (x) => x >= this.lo[at]! && x <= this.hi[at]!,
        );
        let lo = Infinity;
        let hi = -Infinity;
        for (const x of ends) {
          const y = this.shape(i, x);
          lo = Math.min(lo, y);
          hi = Math.max(hi, y);
        }
        this.symLo[symbol] = form.lo = lo;
        this.symHi[symbol] = form.hi = hi;
        form.k[symbol] = 1;
        form.deps = stick.deps;
      }
      if (trimForm) this.add(form, trimForm, TRIM_SHARE, 0);
    };
  }

  /** into += of·weight + offset */
  private add(into: Form, of: Form, weight: number, offset: number): void {
    into.c += of.c * weight + offset;
    for (let s = 0; s < into.k.length; s++) into.k[s]! += of.k[s]! * weight;
    into.err += of.err * Math.abs(weight);
    const a = of.lo * weight;
    const b = of.hi * weight;
    into.lo += Math.min(a, b) + offset;
    into.hi += Math.max(a, b) + offset;
    into.deps |= of.deps;
    this.tightenSum(into);
  }

  /** A sum of intervals is too wide where its parts cancel; the affine part knows better. */
  private tightenSum(f: Form): void {
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

  private copy(into: Form, of: Form, weight: number, offset: number): void {
    this.set(into, 0);
    this.add(into, of, weight, offset);
  }

  /** into = into·by/100 */
  private multiply(into: Form, by: Form): void {
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

  private curve(into: Form, points: Curve['points'], source: Form): void {
    if (source.lo === source.hi) {
      this.set(into, curveAt(points, source.lo));
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
      curveAt(points, source.lo),
      curveAt(points, source.hi),
      ...inside.map((p) => p.outPct),
    ];
    into.lo = Math.min(...values);
    into.hi = Math.max(...values);
    into.c = (into.lo + into.hi) / 2;
    into.err = (into.hi - into.lo) / 2;
    into.k.fill(0);
    into.deps = source.deps;
  }

  private source(source: Source): Form {
    switch (source.kind) {
      case 'constant':
        return this.hundred;
      case 'control':
        return this.controlForms.get(source.id)!;
      case 'input':
        return this.inputs.get(source.id)!;
      case 'channel':
        return this.channels[source.channel - 1]!;
      case 'variable':
        return this.variables.get(source.id)!;
    }
  }

  private channelStep(channel: number): () => void {
    const into = this.channels[channel - 1]!;
    const { program } = this.setup;
    const lines = program.lines
      .filter((l) => l.channel === channel)
      .map((line: Line) => ({
        op: line.op,
        weight: line.weightPct / 100,
        offset: line.offsetPct,
        source: this.source(line.source),
        points: program.curves.find((c) => c.id === line.curve)?.points,
        when: line.when && this.condition(line.when),
      }));
    const term = this.scratch;
    return () => {
      this.set(into, 0);
      for (const line of lines) {
        if (line.when && !line.when()) continue;
        let source = line.source;
        if (line.points) {
          this.curve(term, line.points, source);
          if (this.cut) return;
          source = this.copyOf(term);
        }
        if (line.op === 'add') this.add(into, source, line.weight, line.offset);
        else {
          this.copy(term, source, line.weight, line.offset);
          if (line.op === 'multiply') this.multiply(into, term);
          else this.copy(into, term, 1, 0);
        }
      }
    };
  }

  private readonly spare: Form[] = [];
  private copyOf(f: Form): Form {
    const own = (this.spare[0] ??= this.form());
    own.c = f.c;
    own.k.set(f.k);
    own.err = f.err;
    own.lo = f.lo;
    own.hi = f.hi;
    own.deps = f.deps;
    return own;
  }

  private condition(c: Condition): Ask {
    switch (c.kind) {
      case 'switch': {
        const at = this.setup.transmitter.controls.findIndex((x) => x.id === c.control);
        const { kind } = this.setup.transmitter.controls[at]!;
        return () => switchPosition(kind, this.lo[at]!) === c.position;
      }
      case 'logic': {
        const at = this.setup.program.logic.findIndex((l) => l.id === c.id);
        return () => this.truth[at] === 1;
      }
      case 'not': {
        const of = this.condition(c.of);
        return () => !of();
      }
      case 'all': {
        const parts = c.of.map((p) => this.condition(p));
        return () => parts.every((p) => p());
      }
      case 'any': {
        const parts = c.of.map((p) => this.condition(p));
        return () => parts.some((p) => p());
      }
    }
  }

  private logicStep(at: number): () => void {
    const entry = this.setup.program.logic[at]!;
    const say = (now: boolean) => {
      this.truth[at] = now ? 1 : 0;
    };
    const e = this.entries.indexOf(at);
    const clock = this.clockOf[e] ?? 0;
    switch (entry.op) {
      case 'greater': {
        const form = this.source(entry.source);
        return () => say(this.above(form, entry.valuePct));
      }
      case 'near': {
        const form = this.source(entry.source);
        const { valuePct, withinPct } = entry;
        return () => {
          if (form.lo === form.hi) {
            const off = Math.abs(form.lo - valuePct) - withinPct;
            say(off !== 0 && Math.abs(off) < 1e-9 ? this.choose() : off <= 0);
            return;
          }
          const over = this.above(form, valuePct + withinPct);
          if (this.cut) return;
          say(!over && this.above(form, valuePct - withinPct));
        };
      }
      case 'when': {
        const when = this.condition(entry.when);
        return () => say(when());
      }
      case 'latch': {
        const set = this.condition(entry.set);
        const reset = this.condition(entry.reset);
        return () => {
          if (this.frozen) return;
          const off = reset();
          const now = off ? 0 : set() ? 1 : this.before[e]!;
          this.after[e] = now;
          say(now === 1);
        };
      }
      case 'edge': {
        const of = this.condition(entry.of);
        return () => {
          if (this.frozen) return;
          const now = of() ? 1 : 0;
          say(now === 1 && this.before[e] === 0);
          this.after[e] = now;
        };
      }
      case 'delay': {
        const of = this.condition(entry.of);
        return () => {
          if (this.frozen) return;
          const now = of() ? 1 : 0;
          const was = this.before[e]!;
          this.after[e] = was;
          if (now === was) this.resets.push(clock);
          else {
            const bound = units(now ? entry.onS : entry.offS);
            if (bound === 0 || this.choose()) {
              this.after[e] = now;
              this.clocks.push(clock, bound, -1);
              this.resets.push(clock);
            } else this.clocks.push(clock, 0, bound - 1);
          }
          say(this.after[e] === 1);
        };
      }
      case 'toggles': {
        const of = this.condition(entry.of);
        return () => {
          if (this.frozen) return;
          const now = of() ? 1 : 0;
          const was = this.before[e]! % 2;
          let count = this.before[e]! >> 1;
          if (count > 0) {
            const most = units(entry.withinS);
            if (this.choose()) {
              this.clocks.push(clock, most + 1, -1);
              count = 0;
            } else this.clocks.push(clock, 0, most);
          }
          const rose = now === 1 && was === 0;
          if (rose && count === 0) this.resets.push(clock);
          if (rose) count += 1;
          const reached = count >= entry.count;
          if (reached) count = 0;
          if (count === 0) this.resets.push(clock);
          say(reached);
          this.after[e] = 2 * count + now;
        };
      }
    }
  }

  /** The pulse of a watched channel, on one side of everything that matters. */
  private pulse(i: number): void {
    const { at, cutsUs } = this.watch[i]!;
    const form = this.channels[at]!;
    const output = this.outputs[i]!;
    let { lo, hi } = form;
    if (output.stepped)
      for (const step of [-STEP_PCT, STEP_PCT]) {
        if (lo === hi || lo >= step - TOUCH || hi <= step + TOUCH) continue;
        if (this.cutAt(form, step)) return;
        if (this.choose()) lo = step + TOUCH;
        else hi = step;
      }
    const { pulse } = this.setup.transmitter;
    for (const cutUs of cutsUs) {
      if (lo === hi) break;
      const a = sentUs(pulse, output, lo);
      const b = sentUs(pulse, output, hi);
      if (Math.min(a, b) >= cutUs - TOUCH || Math.max(a, b) <= cutUs + TOUCH) continue;
      // The last stage rises or falls all the way: what the lines must give for this pulse.
      const level = shapeOf(pulse, output, cutUs, lo, hi);
      if (this.cutAt(form, level)) return;
      if (this.choose()) lo = level;
      else hi = level;
    }
    const a = sentUs(pulse, output, lo);
    const b = sentUs(pulse, output, hi);
    this.us[2 * i] = Math.min(a, b);
    this.us[2 * i + 1] = Math.max(a, b);
  }
}

const units = (s: number): number => Math.round(s * UNITS_PER_S);

/** Where expo turns back: (1 − e) + 3·e·x² = 0, in percent; nowhere for soft centres. */
function turns(expoPct: number): readonly number[] {
  const e = expoPct / 100;
  const square = (e - 1) / (3 * e);
  if (!(square > 0 && square < 1)) return [];
  const x = 100 * Math.sqrt(square);
  return [-x, x];
}
