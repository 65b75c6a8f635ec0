import type { Condition, Logic, Setup, Source } from '@/core/setup';

/**
 * The transmitter program read straight from the document, tree by tree, with nothing prepared: slow
 * and plain. The compiled evaluator is held against it. Semantics are those of docs/format.md.
 */
export class Oracle {
  private readonly memory = new Map<
    string,
    { on: boolean; was: boolean; time: number; count: number }
  >();
  private values: Record<string, number> = {};
  private dtS = 0;
  private readonly done = new Map<string, boolean | number>();

  constructor(private readonly setup: Setup) {}

  /** One frame: channel values in percent by channel number, and logic by id. */
  step(values: Record<string, number>, dtS: number) {
    this.values = values;
    this.dtS = dtS;
    this.done.clear();
    const { program } = this.setup;
    const logic = Object.fromEntries(program.logic.map((l) => [l.id, this.logic(l)]));
    const channels = new Map<number, number>();
    for (const line of program.lines) channels.set(line.channel, this.channel(line.channel));
    return { logic, channels };
  }

  private once<T extends boolean | number>(key: string, work: () => T): T {
    if (!this.done.has(key)) this.done.set(key, work());
    return this.done.get(key) as T;
  }

  private condition(c: Condition): boolean {
    switch (c.kind) {
      case 'switch': {
        const value = this.values[c.control]!;
        const three =
          this.setup.transmitter.controls.find((k) => k.id === c.control)!.kind === 'switch-3';
        const position = three ? (value < -50 ? 0 : value <= 50 ? 1 : 2) : value < 0 ? 0 : 1;
        return position === c.position;
      }
      case 'logic':
        return this.logic(this.setup.program.logic.find((l) => l.id === c.id)!);
      case 'not':
        return !this.condition(c.of);
      case 'all':
        return c.of.map((part) => this.condition(part)).every(Boolean);
      case 'any':
        return c.of.map((part) => this.condition(part)).some(Boolean);
    }
  }

  private source(s: Source): number {
    switch (s.kind) {
      case 'fixed':
        return 100;
      case 'control':
        return this.values[s.id]!;
      case 'channel':
        return this.channel(s.channel);
      case 'variable': {
        const v = this.setup.program.variables.find((x) => x.id === s.id)!;
        return (
          v.valuePct + (v.adjust ? (v.adjust.rangePct / 100) * this.values[v.adjust.control]! : 0)
        );
      }
      case 'input': {
        const input = this.setup.program.inputs.find((i) => i.id === s.id)!;
        const rate = input.rates.find((r) => r.when === undefined || this.condition(r.when))!;
        const x = this.values[input.control]! / 100;
        const e = rate.expoPct / 100;
        const trim = input.trim ? 0.25 * this.values[input.trim]! : 0;
        return rate.sharePct * ((1 - e) * x + e * x ** 3) + trim;
      }
    }
  }

  private channel(channel: number): number {
    return this.once(`channel ${channel}`, () => {
      let value = 0;
      for (const line of this.setup.program.lines.filter((l) => l.channel === channel)) {
        if (line.when && !this.condition(line.when)) continue;
        let source = this.source(line.follows);
        const points = this.setup.program.shapes.find((c) => c.id === line.shape)?.points;
        if (points) {
          const right = points.findIndex((p) => p.inPct >= source);
          if (right === 0) source = points[0]!.outPct;
          else if (right < 0) source = points.at(-1)!.outPct;
          else {
            const [a, b] = [points[right - 1]!, points[right]!];
            source = a.outPct + ((source - a.inPct) * (b.outPct - a.outPct)) / (b.inPct - a.inPct);
          }
        }
        const term = (source * line.sharePct) / 100 + line.shiftPct;
        value =
          line.effect === 'adds'
            ? value + term
            : line.effect === 'scales'
              ? (value * term) / 100
              : term;
      }
      return value;
    });
  }

  private logic(l: Logic): boolean {
    return this.once(`logic ${l.id}`, () => {
      const m = this.memory.get(l.id) ?? { on: false, was: false, time: 0, count: 0 };
      this.memory.set(l.id, m);
      switch (l.op) {
        case 'near':
          return Math.abs(this.source(l.follows) - l.valuePct) <= l.withinPct;
        case 'greater':
          return this.source(l.follows) > l.valuePct;
        case 'when':
          return this.condition(l.when);
        case 'latch': {
          const [set, reset] = [this.condition(l.set), this.condition(l.reset)];
          m.on = reset ? false : set ? true : m.on;
          return m.on;
        }
        case 'edge': {
          const now = this.condition(l.of);
          const rose = now && !m.was;
          m.was = now;
          return rose;
        }
        case 'delay': {
          const now = this.condition(l.of);
          if (now === m.on) m.time = 0;
          else {
            m.time += this.dtS;
            if (m.time >= (now ? l.onS : l.offS) - 1e-9) {
              m.on = now;
              m.time = 0;
            }
          }
          return m.on;
        }
        case 'toggles': {
          const now = this.condition(l.of);
          if (m.count > 0) m.time += this.dtS;
          if (m.count > 0 && m.time > l.withinS) m.count = 0;
          if (now && !m.was) {
            if (m.count === 0) m.time = 0;
            m.count += 1;
          }
          m.was = now;
          if (m.count < l.count) return false;
          m.count = 0;
          return true;
        }
      }
    });
  }
}
