import { axisFunction, compileChain, stickOf, STICK_ASKS, type Chain } from '../../chain';
import { AXES, isOrder, type Setup } from '../../setup';
import { coneOf, explore } from '../explore';
import type { Found, Rule } from '../finding';
import { rewritten, witnessOf } from '../witness';

/** More correction left at full stick than with a full rate, by this share, is worth saying. */
const LEFT_SHARE = 0.1;

export const lowRateFade: Rule = {
  id: 'M48',
  title: 'A low rate keeps the unit from letting go',
  why: 'The unit fades its correction out as the stick nears full. With a reduced rate the stick never gets there, so part of the correction fights every full stick.',
  check(setup): Found[] {
    const { program, unit } = setup;
    if (!program.inputs.some((i) => i.rates.some((r) => r.weightPct < 100))) return [];
    const chain = compileChain(setup);
    const full = compileChain(withFullRates(setup));
    return AXES.flatMap((axis, i): Found[] => {
      if (!unit.traits.axes.includes(axis) || unit.settings.axes[axis].fadePct === 0) return [];
      const stick = stickOf(setup.transmitter, axisFunction(setup, axis));
      if (stick < 0) return [];
      const channels = setup.unit.settings.inputs.map((n) => n.channel);
      const orders = unit.settings.inputs.filter((n) => isOrder(n.carries)).map((n) => n.channel);
      const rated = coneOf(setup, orders);
      const switches = new Set([
        ...rated.controls,
        ...coneOf(setup, channels).controls.filter((at) =>
          setup.transmitter.controls[at]!.kind.startsWith('switch'),
        ),
      ]);
      const cone = {
        controls: [...switches].filter((at) => at !== stick),
        compared: [],
        // What latches and delays bring is levelling, which no fade is asked of.
        logic: [],
      };
      const { states } = explore(chain, cone, { limit: 20_000 });
      const left = (c: Chain, state: (typeof states)[number]) => {
        const frame = c.newFrame();
        const stimulus = c.restStimulus();
        stimulus.controls.set(state.controls);
        stimulus.controls[stick] = 100 * STICK_ASKS[axis];
        const memory = c.newMemory();
        memory.armed = true;
        memory.logic.set(state.logic);
        c.step(stimulus, memory, frame);
        const works = ['rate', 'hold', 'trainer', 'hover'].includes(frame.mode);
        return works && frame.gainPct[i]! > 0.5
          ? { share: frame.fade[i]!, mode: frame.mode }
          : undefined;
      };
      for (const state of states) {
        const now = left(chain, state);
        const then = left(full, state);
        if (!now || !then || now.share - then.share <= LEFT_SHARE) continue;
        return [
          {
            severity: 'caution',
            says: `In ${now.mode} a full ${axisFunction(setup, axis)} stick leaves ${Math.round(now.share * 100)} % of the correction: its rate keeps it short of full. With full rate ${Math.round(then.share * 100)} % would be left.`,
            where: '/program/inputs',
            witness: witnessOf(setup, [], 'the stick held at its end', {
              control: stick,
              value: 100 * STICK_ASKS[axis],
            }),
            remedies: rewritten(
              setup,
              'Full rates wherever the unit is on, the low ones in off only',
              (w) => {
                const rates = program.inputs.flatMap((input) => input.rates);
                const lowest = rates.reduce((a, b) => (b.weightPct < a.weightPct ? b : a));
                return {
                  ...w,
                  rates: {
                    offPct: w.rates?.offPct ?? Math.max(10, lowest.weightPct),
                    offExpoPct: w.rates?.offExpoPct ?? lowest.expoPct,
                    onPct: 100,
                    onExpoPct: w.rates?.onExpoPct ?? lowest.expoPct,
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

function withFullRates(setup: Setup): Setup {
  return {
    ...setup,
    program: {
      ...setup.program,
      inputs: setup.program.inputs.map((input) => ({
        ...input,
        rates: input.rates.map((r) => ({ ...r, weightPct: Math.max(100, r.weightPct) })),
      })),
    },
  };
}
