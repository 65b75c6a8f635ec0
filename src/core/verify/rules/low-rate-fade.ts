import { axisFunction, compileChain, stickOf, STICK_ASKS, type Chain } from '../../chain';
import { AXES, functionOf, roleOf, type Setup } from '../../setup';
import type { Found } from '../finding';
import type { Rule } from '../rule';
import { rewritten } from '../repair';

/** More correction left at full stick than with a full rate, by this share, is worth saying. */
const LEFT_SHARE = 0.1;
/** Ends a little short are usual; common practice, no source. */
const LEFT_BY_ENDS = 0.2;
const FADES = new Set(['rate', 'hold', 'trainer', 'hover']);

export const lowRateFade: Rule = {
  id: 'M48',
  title: 'A low rate keeps the unit from letting go',
  why: 'The unit fades its correction out as the hand nears its end. With a reduced rate it never gets there, so part of the correction fights the hand at its end.',
  check(setup, proof): Found[] {
    const { program, unit, transmitter } = setup;
    const chain = compileChain(setup);
    const frame = chain.newFrame();
    const whole = [
      { of: compileChain(withFullRates(setup)), most: LEFT_SHARE },
      { of: compileChain(withFullTravel(setup)), most: LEFT_BY_ENDS },
    ];
    return AXES.flatMap((axis, i): Found[] => {
      if (!unit.traits.axes.includes(axis) || unit.settings.axes[axis].fadePct === 0) return [];
      const stick = stickOf(transmitter, axisFunction(setup, axis));
      if (stick < 0) return [];
      const end = 100 * STICK_ASKS[axis];
      const left = (c: Chain, values: readonly number[], other: Record<string, number>) => {
        const stimulus = c.restStimulus();
        proof.controls.forEach((id, k) => {
          stimulus.controls[c.layout.controls.get(id)!] = values[k]!;
        });
        for (const [id, value] of Object.entries(other))
          stimulus.controls[c.layout.controls.get(id)!] = value;
        stimulus.controls[stick] = end;
        const memory = c.newMemory();
        memory.armed = true;
        c.step(stimulus, memory, frame);
        return FADES.has(frame.mode) && frame.gainPct[i]! > 0.5
          ? { share: frame.fade[i]!, mode: frame.mode }
          : undefined;
      };
      // Every mode at most gain, with each switch that may choose a rate in each of its places.
      const poses = [...new Map(proof.rows.map((r) => [r.mode, r])).keys()].flatMap((mode) => {
        const rows = proof.rows.filter((r) => r.mode === mode && r.remembered.length === 0);
        const most = rows.reduce<(typeof rows)[number] | undefined>(
          (a, b) => (a && a.gainPct[i]! >= b.gainPct[i]! ? a : b),
          undefined,
        );
        return most ? [most.hi.map((h, k) => (h > most.lo[k]! ? h : most.values[k]!))] : [];
      });
      const others: Record<string, number>[] = [
        {},
        ...transmitter.controls.flatMap((c) =>
          c.kind.startsWith('switch') && !proof.controls.includes(c.id)
            ? [-100, 0, 100].map((value) => ({ [c.id]: value }))
            : [],
        ),
      ];
      for (const values of poses)
        for (const { other, full, most } of others.flatMap((o) =>
          whole.map((w) => ({ other: o, full: w.of, most: w.most })),
        )) {
          const now = left(chain, values, other);
          const then = left(full, values, other);
          if (!now || !then || now.share - then.share <= most) continue;
          return [
            {
              severity: 'caution',
              says: `In ${now.mode} full ${functionOf(axisFunction(setup, axis)).words} leaves ${Math.round(now.share * 100)} % of the correction: its rate or its end keeps it short of full. With full travel ${Math.round(then.share * 100)} % would be left.`,
              where: '/program/inputs',
              witness: {
                controls: { [transmitter.controls[stick]!.id]: end, ...other },
                words: 'held at its end',
              },
              remedies: rewritten(
                setup,
                'Full rates wherever the unit is on, the low ones in off only',
                (w) => {
                  const rates = program.inputs.flatMap((input) => input.rates);
                  const lowest = rates.reduce((a, b) => (b.sharePct < a.sharePct ? b : a));
                  const low = {
                    pct: Math.max(10, Math.min(150, lowest.sharePct)),
                    expoPct: lowest.expoPct,
                  };
                  return {
                    ...w,
                    rates: {
                      by: 'mode',
                      off: w.rates.by === 'mode' ? w.rates.off : low,
                      on: {
                        pct: 100,
                        expoPct: w.rates.by === 'mode' ? w.rates.on.expoPct : low.expoPct,
                      },
                    },
                  };
                },
              ),
            },
          ];
        }
      return [];
    });
  },
};

/** The same with full ends and a full share of each stick in the line that follows it as well. */
function withFullTravel(setup: Setup): Setup {
  const { program } = setup;
  const full = (pct: number) => (pct < 0 ? Math.min(-100, pct) : Math.max(100, pct));
  return withFullRates({
    ...setup,
    program: {
      ...program,
      lines: program.lines.map((l) =>
        l.purpose === 'stick' && l.effect === 'adds' ? { ...l, sharePct: full(l.sharePct) } : l,
      ),
      outputs: program.outputs.map((o) =>
        roleOf(o.carries) === 'steering'
          ? { ...o, minPct: Math.min(-100, o.minPct), maxPct: Math.max(100, o.maxPct) }
          : o,
      ),
    },
  });
}

/** The same with full rates. */
function withFullRates(setup: Setup): Setup {
  return {
    ...setup,
    program: {
      ...setup.program,
      inputs: setup.program.inputs.map((input) => ({
        ...input,
        rates: input.rates.map((r) => ({ ...r, sharePct: Math.max(100, r.sharePct) })),
      })),
    },
  };
}
