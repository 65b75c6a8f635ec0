import { axisFunction, compileChain, stickOf, STICK_ASKS, type Chain } from '../../chain';
import { AXES, functionOf, roleOf, type Axis, type Setup } from '../../setup';
import type { Found } from '../finding';
import type { Proof } from '../proof';
import type { Rule } from '../rule';
import { rewritten } from '../repair';

/** More correction left at full stick than with a full rate, by this share, is worth saying. */
const LEFT_SHARE = 0.1;
/** Ends a little short are usual; common practice, no source. */
const LEFT_BY_ENDS = 0.2;
/** With a full rate on the same switch a low one is a choice, unless it leaves this much. No source. */
const LEFT_BY_CHOICE = 0.4;
const FADES = new Set(['rate', 'hold', 'trainer', 'hover']);
/** Poses of one mode that are tried: programs have far fewer that differ. */
const MOST_POSES = 16;

/** What full stick leaves on of one axis' correction in a mode, with the switches in one place. */
interface Left {
  axis: Axis;
  mode: string;
  now: number;
  full: number;
  controls: Record<string, number>;
}

export const lowRateFade: Rule = {
  id: 'M48',
  title: 'Low rates leave the correction on at full travel',
  why: 'The unit fades its correction out towards full travel. With a low rate it never gets there: part of the correction works against you.',
  check(setup, proof): Found[] {
    const { program, unit } = setup;
    const written = JSON.stringify(program);
    const whole = [
      { as: withFullRates(setup), most: LEFT_SHARE },
      { as: withFullTravel(setup), most: LEFT_BY_ENDS },
    ].flatMap(({ as, most }) =>
      // With its travel in full already there is nothing to compare.
      JSON.stringify(as.program) === written ? [] : [{ of: compileChain(as), most }],
    );
    if (whole.length === 0) return [];
    const chain = compileChain(setup);
    const found = AXES.flatMap((axis) =>
      unit.traits.axes.includes(axis) && unit.settings.axes[axis].fadePct > 0
        ? leftAt(setup, proof, axis, chain, whole).flatMap(({ most, byMode }) =>
            [...byMode.values()].flatMap(({ least, greatest }) =>
              least.now - least.full > most
                ? [least]
                : greatest.now - greatest.full > Math.max(most, LEFT_BY_CHOICE)
                  ? [greatest]
                  : [],
            ),
          )
        : [],
    );
    const first = found[0];
    if (!first) return [];
    const ofMode = found.filter((l) => l.mode === first.mode);
    const axes = AXES.filter((axis) => ofMode.some((l) => l.axis === axis));
    const sticks = axes.map((axis) => functionOf(axisFunction(setup, axis)).words);
    const most = Math.max(...ofMode.map((l) => l.now));
    const full = Math.min(...ofMode.filter((l) => l.now === most).map((l) => l.full));
    return [
      {
        severity: 'caution',
        says: `In ${first.mode} full ${sticks.join(' and ')} ${sticks.length > 1 ? 'leave up to' : 'leaves'} ${Math.round(most * 100)} % of the correction on: the rates or endpoints keep it short of full travel. With full travel ${Math.round(full * 100)} % would stay on.`,
        where: '/program/inputs',
        witness: { controls: first.controls, words: 'held at full travel' },
        remedies: rewritten(setup, 'Full rates when the unit is on, low rates in off only', (w) => {
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
        }),
      },
    ];
  },
};

interface Whole {
  of: Chain;
  /** More left than with it, by this share, is worth saying. */
  most: number;
}

/**
 * For each mode that fades, the least and the greatest correction that full stick leaves on an axis, over
 * every place of each switch that may choose a rate.
 * @param whole the same program with its travel in full, in several ways @returns for each of them
 */
function leftAt(
  setup: Setup,
  proof: Proof,
  axis: Axis,
  chain: Chain,
  whole: readonly Whole[],
): (Whole & { byMode: Map<string, { least: Left; greatest: Left }> })[] {
  const { transmitter } = setup;
  const at = AXES.indexOf(axis);
  const stick = stickOf(transmitter, axisFunction(setup, axis));
  const answers = whole.map((w) => ({
    ...w,
    byMode: new Map<string, { least: Left; greatest: Left }>(),
  }));
  if (stick < 0) return answers;
  const end = 100 * STICK_ASKS[axis];
  const frame = chain.newFrame();
  const leaves = (c: Chain, controls: Readonly<Record<string, number>>) => {
    const stimulus = c.restStimulus();
    for (const [id, value] of Object.entries(controls))
      stimulus.controls[c.layout.controls.get(id)!] = value;
    const memory = c.newMemory();
    memory.armed = true;
    c.send(stimulus, memory, frame);
    c.unit(stimulus, memory, frame);
    return FADES.has(frame.mode) && frame.gainPct[at]! > 0.5
      ? { share: frame.fade[at]!, mode: frame.mode }
      : undefined;
  };
  const others: Record<string, number>[] = [
    {},
    ...transmitter.controls.flatMap((c) =>
      c.kind.startsWith('switch') && !proof.controls.includes(c.id)
        ? [-100, 0, 100].map((value) => ({ [c.id]: value }))
        : [],
    ),
  ];
  for (const pose of highestGains(proof, at))
    for (const other of others) {
      const controls = {
        ...Object.fromEntries(proof.controls.map((id, k) => [id, pose[k]!])),
        ...other,
        [transmitter.controls[stick]!.id]: end,
      };
      const now = leaves(chain, controls);
      if (!now) continue;
      for (const { of, byMode } of answers) {
        const then = leaves(of, controls);
        if (!then) continue;
        const left = { axis, mode: now.mode, now: now.share, full: then.share, controls };
        const known = byMode.get(now.mode);
        byMode.set(now.mode, {
          least: known && known.least.now <= left.now ? known.least : left,
          greatest: known && known.greatest.now >= left.now ? known.greatest : left,
        });
      }
    }
  return answers;
}

/** In each mode the places of the controls with the most gain on an axis. */
function highestGains(proof: Proof, axis: number): number[][] {
  const rows = proof.rows.filter((r) => r.remembered.length === 0);
  return [...new Set(rows.map((r) => r.mode))].flatMap((mode) => {
    const own = rows.filter((r) => r.mode === mode);
    const most = Math.max(...own.map((r) => r.gainPct[axis]!));
    return own
      .filter((r) => r.gainPct[axis]! > most - 1)
      .slice(0, MOST_POSES)
      .map((r) => r.hi.map((h, k) => (h > r.lo[k]! ? h : r.values[k]!)));
  });
}

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
