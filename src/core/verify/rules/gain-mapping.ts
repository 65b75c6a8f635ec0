import { compileChain, switchValue } from '../../chain';
import { combinations } from '../../plan';
import { freeControl, type Mode, type Setup } from '../../setup';
import { controlsIn } from '../explore';
import type { Found, Rule } from '../finding';
import { rewritten } from '../witness';

/** Steps over a whole turn of the knob. */
const STEPS = 20;
const NONE_PCT = 0.5;
/** More of the turn than this without effect is a mistake, not a margin. */
const DEAD_SHARE = 0.35;

interface Sweep {
  knob: { id: string; label: string };
  /** Switches the gain lines look at, as they stand in this sweep. */
  controls: Record<string, number>;
  words: string;
  gains: number[];
  modes: Mode[];
}

/** Turns every gain knob from end to end, in every position of the switches its lines look at. */
export function sweepsOf(setup: Setup): Sweep[] {
  const lines = setup.program.lines.filter((l) => l.purpose === 'gain');
  const chain = compileChain(setup);
  const frame = chain.newFrame();
  const { controls } = setup.transmitter;
  const knobs = controls.filter(
    (c) =>
      (c.kind === 'knob' || c.kind === 'slider') &&
      lines.some((l) => l.source.kind === 'control' && l.source.id === c.id),
  );
  const switches = [
    ...new Set(lines.flatMap((l) => (l.when ? controlsIn(setup, l.when) : []))),
  ].filter((id) => controls.find((c) => c.id === id)!.kind.startsWith('switch'));
  return knobs.flatMap((knob) =>
    combinations(setup, switches.slice(0, 3)).map(({ positions, words }): Sweep => {
      const stimulus = chain.restStimulus();
      const set: Record<string, number> = {};
      positions.forEach((p, i) => {
        const at = chain.layout.controls.get(switches[i]!)!;
        set[switches[i]!] = stimulus.controls[at] = switchValue(controls[at]!.kind, p);
      });
      const gains: number[] = [];
      const modes: Mode[] = [];
      for (let step = 0; step <= STEPS; step++) {
        stimulus.controls[chain.layout.controls.get(knob.id)!] = -100 + (200 * step) / STEPS;
        chain.step(stimulus, chain.newMemory(), frame);
        gains.push(Math.max(...frame.gainPct));
        modes.push(frame.mode);
      }
      return { knob, controls: set, words, gains, modes };
    }),
  );
}

export const gainMapping: Rule = {
  id: 'M8',
  title: 'Part of the gain knob does nothing, or both its ends are full',
  why: 'A knob sends −100 to +100. A unit that reads 0 to 100 wastes its lower half; one that reads the size gives full gain at both ends.',
  check(setup): Found[] {
    return sweepsOf(setup).flatMap(({ knob, controls, words, gains }): Found[] => {
      const most = Math.max(...gains);
      const least = Math.min(...gains);
      if (most - least < 1) return [];
      const [first, last] = [gains[0]!, gains.at(-1)!];
      const twoEnds = Math.min(first, last) > least + (most - least) * 0.6;
      const dead = gains.slice(1).filter((g, i) => Math.abs(g - gains[i]!) < 0.1).length / STEPS;
      if (!twoEnds && dead <= DEAD_SHARE) return [];
      const where = words ? ` with ${words}` : '';
      return [
        {
          severity: twoEnds ? 'stop' : 'caution',
          says: twoEnds
            ? `${knob.label}${where} gives ${first.toFixed(0)} % gain at one end and ${last.toFixed(0)} % at the other, ${least.toFixed(0)} % between.`
            : `${Math.round(dead * 100)} % of the way of ${knob.label}${where} changes nothing.`,
          where: '/program/lines',
          witness: {
            controls: { ...controls, [knob.id]: -100 },
            words: `${knob.label} at its lower end`,
          },
          remedies: rewritten(setup, 'Lay the whole turn of the knob over the gain', (w) => w),
        },
      ];
    });
  },
};

export const gainCrossing: Rule = {
  id: 'M9',
  title: 'Turning the gain knob changes what the unit does',
  why: 'Where the side of the middle chooses a set, a knob that crosses it goes from damping into holding, or into the other set, without a switch being touched.',
  check(setup): Found[] {
    if (setup.unit.traits.modeSelect.by !== 'gain-sign') return [];
    return sweepsOf(setup).flatMap(({ knob, controls, words, gains, modes }): Found[] => {
      const on = modes.map((mode, at) => gains[at]! > NONE_PCT && mode !== 'off');
      // On, then off, then on again: the knob has gone through the middle to the other side.
      const off = on.indexOf(false, on.indexOf(true));
      const crosses = off > 0 && on.includes(true) && on.indexOf(true, off) > off;
      const several = new Set(modes.filter((_, at) => on[at])).size > 1;
      if (!several && !crosses) return [];
      return [
        {
          severity: 'stop',
          says: `${knob.label}${words ? ` with ${words}` : ''} goes through the middle: on one side ${modes[0]}, on the other ${modes.at(-1)}.`,
          where: '/program/lines',
          witness: {
            controls: { ...controls, [knob.id]: -100 },
            words: `${knob.label} at its lower end`,
          },
          remedies: rewritten(
            setup,
            'Let a switch choose the side and the knob the amount',
            (w) => {
              const chosen =
                Object.keys(controls)[0] ?? freeControl(setup, ['switch-2', 'switch-3'])?.id;
              return chosen
                ? { ...w, gain: { by: 'sets', control: chosen, knob: knob.id, pct: 50 } }
                : w;
            },
          ),
        },
      ];
    });
  },
};
