import type { Setup } from '../setup';
import { compileCondition, compileSource, readSource } from './conditions';
import type { Frame, Layout, Memory, Stimulus } from './frame';

/**
 * Logic with memory. Each entry owns two numbers in `memory.logic`:
 * latch: [state, –]; edge: [was true, –]; delay: [state, seconds the change has lasted];
 * toggles: [1 + was true, see below] with the count in the whole part and the time in the second.
 */
export function compileLogic(
  setup: Setup,
  layout: Layout,
  position: number,
): (stimulus: Stimulus, memory: Memory, frame: Frame) => void {
  const entry = setup.program.logic[position]!;
  const a = position * 2;
  const b = a + 1;
  const test = (c: Parameters<typeof compileCondition>[0]) => compileCondition(c, layout, setup);
  switch (entry.op) {
    case 'near': {
      const source = compileSource(entry.follows, layout);
      return (s, _, f) => {
        f.logic[position] =
          Math.abs(readSource(source, s, f) - entry.valuePct) <= entry.withinPct ? 1 : 0;
      };
    }
    case 'greater': {
      const source = compileSource(entry.follows, layout);
      return (s, _, f) => {
        f.logic[position] = readSource(source, s, f) > entry.valuePct ? 1 : 0;
      };
    }
    case 'when': {
      const when = test(entry.when);
      return (s, _, f) => {
        f.logic[position] = when(s, f) ? 1 : 0;
      };
    }
    case 'latch': {
      const set = test(entry.set);
      const reset = test(entry.reset);
      return (s, m, f) => {
        // Reset wins, so that a release always releases.
        if (reset(s, f)) m.logic[a] = 0;
        else if (set(s, f)) m.logic[a] = 1;
        f.logic[position] = m.logic[a]!;
      };
    }
    case 'edge': {
      const of = test(entry.of);
      return (s, m, f) => {
        const now = of(s, f) ? 1 : 0;
        f.logic[position] = now === 1 && m.logic[a] === 0 ? 1 : 0;
        m.logic[a] = now;
      };
    }
    case 'delay': {
      const of = test(entry.of);
      return (s, m, f) => {
        const now = of(s, f) ? 1 : 0;
        if (now === m.logic[a]) m.logic[b] = 0;
        else {
          m.logic[b]! += s.dtS;
          if (m.logic[b]! >= (now ? entry.onS : entry.offS) - 1e-9) {
            m.logic[a] = now;
            m.logic[b] = 0;
          }
        }
        f.logic[position] = m.logic[a]!;
      };
    }
    case 'toggles': {
      const of = test(entry.of);
      // First number: 2·count + was-true. Second: seconds since the first toggle counted.
      return (s, m, f) => {
        const now = of(s, f) ? 1 : 0;
        const was = m.logic[a]! % 2;
        let count = Math.floor(m.logic[a]! / 2);
        if (count > 0) m.logic[b]! += s.dtS;
        if (count > 0 && m.logic[b]! > entry.withinS) count = 0;
        if (now === 1 && was === 0) {
          if (count === 0) m.logic[b] = 0;
          count += 1;
        }
        const reached = count >= entry.count;
        f.logic[position] = reached ? 1 : 0;
        m.logic[a] = 2 * (reached ? 0 : count) + now;
      };
    }
  }
}
