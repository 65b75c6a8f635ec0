import { compileChain, STILL_DEG } from '../../chain';
import { pointer } from '../../setup';
import { coneOf, explore, pathTo, recall } from '../explore';
import type { Found, Rule } from '../finding';
import { witnessOf } from '../witness';

const PITCHES = new Set(['elevator', 'elevon', 'ruddervator']);

export const launchElevator: Rule = {
  id: 'M38',
  title: 'Launch help moves the elevator the wrong way',
  why: 'Thrown with the elevator down, the model meets the ground before a hand is back on the stick.',
  check(setup): Found[] {
    const { lines } = setup.program;
    const own = lines.flatMap((l, i) =>
      l.purpose === 'launch' && l.op === 'add' && l.when?.kind === 'logic' ? [i] : [],
    );
    const first = lines[own[0] ?? -1];
    if (first?.when?.kind !== 'logic') return [];
    const chain = compileChain(setup);
    const without = compileChain({
      ...setup,
      program: { ...setup.program, lines: lines.filter((_, i) => !own.includes(i)) },
    });
    const latch = chain.layout.logic.get(first.when.id)!;
    const frame = chain.newFrame();
    const memory = chain.newMemory();
    const stimulus = chain.restStimulus();
    // How the help comes on: found by looking, so that it is no matter how it is programmed.
    const cone = coneOf(setup, [first.channel]);
    const sticks = cone.controls.filter(
      (at) => setup.transmitter.controls[at]!.kind === 'stick' && !cone.compared.includes(at),
    );
    const { states } = explore(chain, {
      ...cone,
      controls: cone.controls.filter((at) => !sticks.includes(at)),
    });
    const on = states.find((s) => {
      stimulus.controls.set(s.controls);
      recall(memory, s.logic);
      chain.step(stimulus, memory, frame);
      return frame.logic[latch] === 1;
    });
    const where = pointer('program', 'lines', own[0]!, 'weightPct');
    if (!on)
      return [
        {
          severity: 'caution',
          says: 'Nothing a hand can do switches launch help on.',
          where,
          remedies: [],
        },
      ];
    const degrees = (c: typeof chain) => {
      const f = c.newFrame();
      recall(memory, on.logic);
      stimulus.controls.set(on.controls);
      c.step(stimulus, memory, f);
      return f.surfaceDeg;
    };
    const helped = degrees(chain);
    const plain = degrees(without);
    const words = 'launch help on, sticks let go';
    return setup.airframe.surfaces.flatMap((surface, i): Found[] => {
      const moved = helped[i]! - plain[i]!;
      if (!PITCHES.has(surface.role)) return [];
      // Trailing edge up is negative.
      if (moved < -STILL_DEG) return [];
      return [
        {
          severity: 'stop',
          says: `With launch help on the ${surface.label.toLowerCase()} ${moved > STILL_DEG ? `goes ${moved.toFixed(0)}° down` : 'does not move'}; it must go up.`,
          where,
          witness: witnessOf(setup, pathTo(chain, on), words),
          remedies:
            moved > STILL_DEG
              ? [
                  {
                    label: 'Turn the launch elevator round',
                    patch: own.map((at) => ({
                      op: 'replace' as const,
                      path: pointer('program', 'lines', at, 'weightPct'),
                      value: -lines[at]!.weightPct,
                    })),
                  },
                ]
              : [],
        },
      ];
    });
  },
};
