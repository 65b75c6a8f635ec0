import { compileChain, positionsOf } from '../../chain';
import {
  freeControl,
  functionOf,
  parseSetup,
  type ChannelFunction,
  type ProgramWishes,
  type Setup,
} from '../../setup';
import { orderFunctions } from '../functions';
import { applyPlan, planFor } from '../replan';
import { addLogic, channelOf, draftOf, kindOf, type Draft } from './draft';
import { writeFailsafe } from './failsafe';
import { writeGain } from './gain';
import { layModes, modesAt, writeModes, type ModeCell } from './modes';
import { writePanic } from './panic';
import { writeCut, writeLaunch, writeRates } from './sticks';

export { failsafeSchools } from './failsafe';
export { combinations, modesAt } from './modes';
export { panicWays } from './panic';
export { bandOf, gainPulse, pulseFor, rawFor, valueInBand } from './values';
export * from './words';

export type Written =
  { ok: true; setup: Setup; notes: string[] } | { ok: false; reasons: string[]; paths: string[] };

/**
 * Writes the transmitter's program for a set of wishes: every line and number worked out, and the
 * unit's own settings where the wish belongs there. What a person entered beside it stays.
 */
export function writeWishes(before: Setup, wishes: ProgramWishes): Written {
  const checked = parseSetup({ ...before, intents: { ...before.intents, program: wishes } });
  if (!checked.ok)
    return {
      ok: false,
      reasons: checked.problems.map((p) => p.reason),
      paths: checked.problems.map((p) => p.path),
    };
  const planned = withChannels(checked.value, wishes);
  if (!planned.ok) return { ok: false, reasons: planned.reasons, paths: [] };
  const draft = draftOf(planned.setup);
  const cells = wishes.modes ? layModes(draft, wishes.modes) : [];
  if (wishes.modes) writeModes(draft, wishes.modes, cells);
  if (wishes.gain) writeGain(draft, wishes.gain);
  if (wishes.rates) writeRates(draft, wishes.rates, cells);
  if (wishes.launch) writeLaunch(draft, wishes.launch);
  if (wishes.panic) writePanic(draft, wishes.panic, cells);
  if (wishes.cut) writeCut(draft, wishes.cut);
  if (wishes.callouts) writeCallouts(draft, cells);
  if (wishes.timerMin !== undefined) writeTimer(draft, wishes.timerMin);
  // Last: what a lost link does is worked out from everything else.
  if (wishes.failsafe) writeFailsafe(draft, wishes.failsafe);
  if (draft.reasons.length > 0) return { ok: false, reasons: draft.reasons, paths: [] };
  const valid = parseSetup(draft.setup);
  return valid.ok
    ? { ok: true, setup: valid.value, notes: draft.notes }
    : {
        ok: false,
        reasons: valid.problems.map((p) => p.reason),
        paths: valid.problems.map((p) => p.path),
      };
}

/** Channels the wishes need are planned in, channels they no longer need are given back. */
function withChannels(
  setup: Setup,
  { panic, gain }: ProgramWishes,
): { ok: true; setup: Setup } | { ok: false; reasons: string[] } {
  const axes = gain?.by === 'axes' ? (['roll', 'pitch', 'yaw'] as const) : [];
  const needed: ChannelFunction[] = [
    ...(panic?.way === 'channel' ? (['recovery'] as const) : []),
    ...axes.filter((a) => gain?.by === 'axes' && gain[a]).map((a) => `gain-${a}` as const),
  ];
  const kept = setup.intents.wishes.filter((w) => w !== 'recovery' && !functionOf(w).tunes);
  const wishes = [...kept, ...needed];
  const same =
    needed.every((f) => channelOf(setup, f) !== undefined) &&
    setup.program.outputs.every(
      (o) =>
        !(o.carries === 'recovery' || functionOf(o.carries).tunes) || needed.includes(o.carries),
    );
  if (same) return { ok: true, setup };
  const plan = planFor(setup, wishes);
  if (plan.impossible.length > 0) return { ok: false, reasons: plan.impossible };
  return { ok: true, setup: applyPlan(setup, plan, wishes, setup.intents.pins) };
}

/** What is spoken in each position: the mode, and the gain value. */
function writeCallouts({ setup }: Draft, cells: readonly ModeCell[]): void {
  const gain = channelOf(setup, 'gain');
  cells.forEach(({ when, mode }, i) =>
    setup.program.callouts.push({
      id: `say-${i + 1}`,
      when,
      say: gain === undefined ? mode : `${mode}, gain`,
      ...(gain === undefined ? {} : { reading: { kind: 'channel' as const, channel: gain } }),
    }),
  );
}

/** Runs while the throttle stick is up. */
function writeTimer(draft: Draft, minutes: number): void {
  const { transmitter, program } = draft.setup;
  const stick = transmitter.controls.find((c) => c.kind === 'stick' && c.hand === 'throttle');
  if (!stick) return;
  const when = addLogic(draft, {
    id: 'timer-running',
    label: 'Throttle up',
    op: 'greater',
    source: { kind: 'control', id: stick.id },
    valuePct: Math.max(-95, stick.rest + 10),
  });
  program.timers.push({ id: 'timer-motor', label: 'Motor', when, seconds: minutes * 60 });
}

/** The wishes that would write a program much like the one that is there. */
export function usualWishes(setup: Setup): ProgramWishes {
  const { program, unit } = setup;
  const controlOf = (purpose: string) =>
    program.lines.flatMap((l) =>
      l.purpose === purpose && l.source.kind === 'control' ? [l.source.id] : [],
    )[0];
  const cut = program.lines.find((l) => l.purpose === 'throttle-cut')?.when;
  const told = orderFunctions(unit);
  const mode = controlOf('mode');
  const gain = controlOf('gain');
  const panic = controlOf('panic');
  const level = unit.traits.modes.includes('level');
  return {
    ...(mode && told.includes('mode') && /^switch/.test(kindOf(setup, mode))
      ? { modes: modesNow(setup, mode) }
      : {}),
    ...(gain
      ? {
          gain:
            unit.traits.gainLaw === 'sign-selects-set'
              ? setsWish(setup, gain)
              : { by: 'knob' as const, control: gain },
        }
      : {}),
    ...(panic ? { panic: { way: 'channel' as const, control: panic, holdS: 0 } } : {}),
    failsafe: {
      school: level ? 'glide' : 'motor-off',
      pitchDeg: level ? 3 : 0,
      rollDeg: level ? 12 : 0,
    },
    ...(cut?.kind === 'switch' ? { cut: { control: cut.control, position: cut.position } } : {}),
    callouts: false,
  };
}

/** A switch for the side, the knob that is there for the amount. */
function setsWish(setup: Setup, knob: string): ProgramWishes['gain'] {
  const free = freeControl(setup, ['switch-2', 'switch-3']);
  return free ? { by: 'sets', control: free.id, knob, pct: 50 } : { by: 'knob', control: knob };
}

/** What each position of the mode switches gives as the program stands, asked of the chain. */
function modesNow(setup: Setup, first: string): NonNullable<ProgramWishes['modes']> {
  const second = setup.program.lines.flatMap((l) =>
    l.purpose === 'mode' && l.source.kind === 'control' && l.source.id !== first
      ? [l.source.id]
      : [],
  )[0];
  const switches = [first, ...(second ? [second] : [])].filter((id) =>
    /^switch|momentary/.test(kindOf(setup, id)),
  );
  const table = modesAt(compileChain(setup), switches).map((cell) => cell.mode);
  return { switches, table };
}

/** How many modes a set of switches must be given. */
export const positionsOfSwitches = (setup: Setup, switches: readonly string[]): number =>
  switches.reduce((n, id) => n * positionsOf(kindOf(setup, id)), 1);
