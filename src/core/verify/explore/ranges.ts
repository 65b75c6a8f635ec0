import {
  sentUs,
  shapeOf,
  STEPS_PCT,
  switchPosition,
  TRIM_SHARE,
  type CompiledOutput,
} from '../../chain';
import type { Condition, Line, Setup, Source } from '../../setup';
import { isContinuous, remembers, type Cone } from './cone';
import { Forms, TOUCH, turns, type Form } from './forms';
import { UNITS_PER_S } from './zones';

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
export class Ranges extends Forms {
  /** What the remembering entries remembered before, and remember after. */
  readonly before: Int32Array;
  readonly after: Int32Array;
  readonly truth: Uint8Array;
  /** Pulses of the watched channels, low and high by turns. */
  readonly us: Float64Array;
  /** What clocks must have said: [clock, least, most] each, in tenths of a millisecond; −1: free. */
  readonly clocks: number[] = [];
  readonly resets: number[] = [];
  /** Remembering entries of the cone, by logic position, and the clock of each (0: none). */
  readonly entries: readonly number[];
  readonly clockOf: readonly number[];
  readonly clockMost: readonly number[];
  /** Set: remembering entries are what `truth` says already. */
  frozen = false;

  private readonly inputs = new Map<string, Form>();
  private readonly variables = new Map<string, Form>();
  private readonly channels: Form[];
  private readonly controlForms = new Map<string, Form>();
  private readonly hundred: Form;
  private readonly steps: (() => void)[] = [];
  private readonly scratch: Form;
  private readonly outputs: CompiledOutput[];

  constructor(
    private readonly setup: Setup,
    cone: Cone,
    private readonly watch: readonly Watch[],
    outputOf: (channel: number) => CompiledOutput,
  ) {
    const { transmitter, program } = setup;
    const continuous = cone.controls.filter((at) => isContinuous(setup, at));
    const inputs = program.inputs.flatMap((input, i) =>
      cone.order.some((w) => w.kind === 'input' && w.id === input.id) ? [i] : [],
    );
    const controlOf = (i: number) =>
      transmitter.controls.findIndex((c) => c.id === program.inputs[i]!.control);
    // Controls outside the cone stand at rest.
    super(
      transmitter.controls.map((c) => c.rest),
      continuous,
      [
        ...continuous.map((control) => ({ control, input: undefined })),
        ...inputs.map((i) => ({ control: controlOf(i), input: i })),
      ],
    );
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
    this.scratch = this.form();
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
    const symbol = this.symbols.findIndex((x) => x.input === i);
    const at = this.symbols[symbol]!.control;
    const asks = rates.map((r) => (r.when ? this.condition(r.when) : undefined));
    const shapes = rates.map((r) => ({ weight: r.sharePct / 100, expoPct: r.expoPct }));
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

  private source(source: Source): Form {
    switch (source.kind) {
      case 'fixed':
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
        op: line.effect,
        weight: line.sharePct / 100,
        offset: line.shiftPct,
        source: this.source(line.follows),
        points: program.shapes.find((c) => c.id === line.shape)?.points,
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
        if (line.op === 'adds') this.add(into, source, line.weight, line.offset);
        else {
          this.copy(term, source, line.weight, line.offset);
          if (line.op === 'scales') this.multiply(into, term);
          else this.copy(into, term, 1, 0);
        }
      }
    };
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
        const form = this.source(entry.follows);
        return () => say(this.above(form, entry.valuePct));
      }
      case 'near': {
        const form = this.source(entry.follows);
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
    for (const step of STEPS_PCT[output.steps]) {
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
