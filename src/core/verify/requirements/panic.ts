import { hornDeg, modeWords, type Memory } from '../../chain';
import { authority, isStabilized } from '../../directions';
import { kindOf, MODES, type Mode, type Setup } from '../../setup';
import type { Asked, OrderCell } from '../asked';
import { Interner, LONG_S, type Corner } from '../explore';
import { ordersAndSurfaces } from './influence';
import { Looking, ORDERS, type Requirement } from './requirement';

/** Held longer than this before it acts, panic comes too late. Planning figure, no source. */
const SLOW_S = 1.5;
/** Pressing longer than this is no panic recovery any more. */
const GIVEN_UP_S = 8;
/** A surface gives at least this share of its throw against a model on its side. Planning figure, no source. */
const USEFUL_SHARE = 0.08;
const GAIN_NONE_PCT = 0.5;
/** Attitudes panic is asked in: [bank, pitch, axis, way it must be righted]. */
const TIPPED = [
  { axis: 'roll', sense: 1, change: { rollDeg: 60 } },
  { axis: 'roll', sense: -1, change: { rollDeg: -60 } },
  { axis: 'roll', sense: 1, change: { rollDeg: 170 } },
  { axis: 'roll', sense: -1, change: { rollDeg: -170 } },
  { axis: 'pitch', sense: 1, change: { pitchDeg: 50 } },
  { axis: 'pitch', sense: -1, change: { pitchDeg: -50 } },
] as const;

/** What pressing panic does from a state. */
export interface PanicAnswer {
  righted: boolean;
  mode: Mode;
  /** Least gain of roll and pitch while it acts, percent. */
  gainPct: number;
  /** From the press until the unit rights the model, in milliseconds, the unit's delay included. */
  afterMs: number;
  /** Letting go gives the mode back that was there before. */
  reversible: boolean;
}

type State = { controls: Float64Array; memory: Memory };

/** Whether the surfaces, asked on the chain, right the model from every attitude it is tipped into. */
function rights(asked: Asked, state: State): boolean {
  const { stand, setup } = asked;
  const { airframe, unit } = setup;
  const still = stand.put(state.controls, state.memory).step().surfaceDeg.slice();
  for (const { axis, sense, change } of TIPPED) {
    if (!unit.traits.axes.includes(axis)) continue;
    const able = airframe.surfaces.map((s) => authority(airframe, s)[axis] ?? 0);
    if (able.every((m) => m === 0)) continue;
    const deg = stand.put(state.controls, state.memory).step(change).surfaceDeg;
    let answers = false;
    for (const [i, surface] of airframe.surfaces.entries()) {
      const moment = able[i]!;
      if (moment === 0 || !isStabilized(setup, surface)) continue;
      const moved = deg[i]! - still[i]!;
      if (!(-moment * sense * moved >= USEFUL_SHARE * throwOf(setup, i))) return false;
      answers = true;
    }
    if (!answers) return false;
  }
  return true;
}

/** What a surface does at full travel of its servo. */
function throwOf(setup: Setup, surface: number): number {
  const { servo, linkage } = setup.airframe.surfaces[surface]!;
  const own = setup.airframe.servos.find((s) => s.id === servo)!;
  return Math.abs(hornDeg(linkage, Math.min(own.degAt500Us, own.limitDeg)));
}

/** When something in memory may change next, in seconds from now. */
function nextS(asked: Asked, memory: Memory): number[] {
  const { program, unit } = asked.setup;
  const times = program.logic.flatMap((entry, i) => {
    const gone = memory.logic[2 * i + 1]!;
    if (entry.op === 'delay') return [entry.onS - gone, entry.offS - gone];
    if (entry.op === 'toggles') return [entry.withinS - gone + 0.001];
    return [];
  });
  const { recovery } = unit.settings;
  if (recovery) times.push(recovery.delayMs / 1000 - memory.recoveryHeldS);
  return times.filter((s) => s > 1e-6).toSorted((a, b) => a - b);
}

/** Presses panic in a state and looks when, and whether, it rights the model; then lets go. */
export function pressFrom(asked: Asked, from: State): PanicAnswer {
  const { stand, panic } = asked;
  const { at, value } = panic!;
  stand.put(from.controls, from.memory).move(at, value).step();
  let afterS = 0;
  let state = stand.state();
  let righted = rights(asked, state);
  while (!righted && afterS < GIVEN_UP_S) {
    const waitS = Math.min(nextS(asked, state.memory)[0] ?? GIVEN_UP_S, GIVEN_UP_S);
    stand.put(state.controls, state.memory).step({ dtS: waitS });
    afterS += waitS;
    state = stand.state();
    righted = rights(asked, state);
  }
  // It must stay: held on, nothing may let it go.
  if (righted) {
    stand.put(state.controls, state.memory);
    for (let i = 0; i < 4; i++) stand.step({ dtS: 1 });
    state = stand.state();
    righted = rights(asked, state);
  }
  const frame = stand.put(state.controls, state.memory).step();
  const gains = (['roll', 'pitch'] as const).flatMap((axis, i) =>
    asked.setup.unit.traits.axes.includes(axis) ? [frame.gainPct[i]!] : [],
  );
  const answer = {
    mode: frame.mode,
    gainPct: Math.min(...gains, 1000),
    afterMs: Math.round(afterS * 1000),
  };
  const settle = () => {
    for (const dtS of [0, GIVEN_UP_S, GIVEN_UP_S]) stand.step({ dtS });
    return stand.frame.mode;
  };
  const after = (stand.move(at, from.controls[at]!), settle());
  // Time goes on for other things too: compared with the same wait without the press.
  stand.put(from.controls, from.memory);
  const untouched = settle();
  return { righted, ...answer, reversible: after === untouched };
}

/** Panic is looked for from every cell in which it is not pressed, at every corner of its knobs. */
export const panicRights: Requirement = {
  id: 'panic',
  title: 'Panic rights the model from everywhere',
  must: `From every state, with panic pressed for ${SLOW_S} s at most, the surfaces work the model back from either side, from nose up and down and from inverted, with useful authority; and letting go gives back what was there.`,
  from: 'The wish for panic recovery.',
  applies: (setup) => !kindOf(setup.airframe).onSurface && setup.airframe.surfaces.length > 0,
  looksAt: ordersAndSurfaces,
  check(asked) {
    const { setup, orders, panic } = asked;
    const looking = new Looking();
    if (!panic) {
      const wish = setup.intents.program.panic;
      if (wish && wish.way !== 'none' && wish.way !== 'mode-position' && wish.control !== undefined)
        looking.fail({
          severity: 'stop',
          says: 'Panic recovery was wished for, and nothing in the program does it.',
          where: '/intents/program/panic',
          about: { how: 'missing' },
        });
      return looking;
    }
    if (!looking.needs(ORDERS, orders)) return looking;
    const press = { control: panic.at, value: panic.value };
    const bad: Bad[] = [];
    let stuck: { c: OrderCell; corner: Corner } | undefined;
    let slow: { c: OrderCell; corner: Corner; answer: PanicAnswer } | undefined;
    for (const c of asked.orderCells) {
      looking.states += 1;
      if (c.panicking) {
        const weak = heldBad(asked, c);
        if (weak) bad.push(weak);
        continue;
      }
      for (const corner of asked.corners(c)) {
        const answer = panicOf(asked, c, corner);
        if (!answer.righted) bad.push({ c, corner, answer, held: false });
        else if (!answer.reversible && !c.launching) stuck ??= { c, corner };
        if (answer.righted && answer.afterMs > SLOW_S * 1000) slow ??= { c, corner, answer };
      }
    }
    // What fails from a state is told before what fails while it is held.
    bad.sort((x, y) => Number(x.held) - Number(y.held));
    const total = asked.orderCells.length;
    // The gravest first: what brings no levelling at all, then what brings it without strength.
    const first = bad.find((b) => b.answer.gainPct > GAIN_NONE_PCT || b.answer.mode === 'off');
    const weak = bad.find((b) => !(b.answer.gainPct > GAIN_NONE_PCT || b.answer.mode === 'off'));
    const tell = (found: (typeof bad)[number], how: string, of: number) => {
      const { answer } = found;
      const from = asked.words(found.c);
      looking.fail({
        severity: 'stop',
        says:
          how === 'no-gain'
            ? `From ${from}, panic brings ${modeWords(setup.unit, answer.mode)} with a gain of ${answer.gainPct.toFixed(0)} %. So it is in ${of} of ${total} states.`
            : answer.mode === 'level' || answer.mode === 'home'
              ? `From ${from}, panic brings ${modeWords(setup.unit, answer.mode)}, and the surfaces do not right the model. So it is in ${of} of ${total} states.`
              : `From ${from}, panic gives ${modeWords(setup.unit, answer.mode)}. It fails from ${of} of ${total} states.`,
        where: '/program/lines',
        witness: asked.witness(
          orders,
          found.c.cell,
          found.held ? 'panic held' : 'this, then panic',
          {
            corner: found.corner,
            then: found.held ? [{ waitS: 1.5 }] : [press, { waitS: 1.5 }],
          },
        ),
        about: {
          control: panic.id,
          mode: answer.mode,
          how,
          figure: answer.gainPct,
          states: [of, total],
        },
      });
    };
    const cellsOf = (list: readonly Bad[]) => new Set(list.map((b) => b.c)).size;
    const gainless = bad.filter(
      (b) => !(b.answer.gainPct > GAIN_NONE_PCT || b.answer.mode === 'off'),
    );
    if (first) tell(first, 'hole', cellsOf(bad.filter((b) => !gainless.includes(b))));
    if (weak) tell(weak, 'no-gain', cellsOf(gainless));
    if (slow)
      looking.fail({
        severity: 'stop',
        says: `Panic rights the model only after ${(slow.answer.afterMs / 1000).toFixed(1)} s: too late to help.`,
        where: '/program/logic',
        witness: asked.witness(orders, slow.c.cell, 'this, then panic', {
          corner: slow.corner,
          then: [press, { waitS: slow.answer.afterMs / 1000 }],
        }),
        about: { control: panic.id, how: 'slow', figure: slow.answer.afterMs },
      });
    if (stuck)
      looking.fail({
        severity: 'caution',
        says: 'Letting panic go does not give back what was there.',
        where: '/program/lines',
        witness: asked.witness(orders, stuck.c.cell, 'panic and let go', {
          corner: stuck.corner,
          then: [press, { waitS: 1.5 }, { control: panic.at, value: -100 }],
        }),
        about: { control: panic.id, how: 'stuck' },
      });
    return looking;
  },
};

interface Bad {
  c: OrderCell;
  corner: Corner;
  answer: PanicAnswer;
  /** Panic is pressed in the cell itself. */
  held: boolean;
}

/**
 * A cell in which panic is pressed, and has been for so long that nothing changes any more by itself,
 * and the surfaces do not right the model: whatever the hands did meanwhile.
 */
function heldBad(asked: Asked, c: OrderCell): Bad | undefined {
  const { orders, panic, stand } = asked;
  const k = orders.cone.controls.indexOf(panic!.at);
  if (k >= 0 && c.cell.box.lo[k] !== panic!.value) return undefined;
  for (const corner of asked.corners(c)) {
    const { controls, memory } = asked.into(orders, c.cell, corner).state();
    const logic = [...stand.put(controls, memory).step().logic];
    const later = stand.step({ dtS: LONG_S }).logic;
    if (orders.cone.logic.some((i) => later[i] !== logic[i])) continue;
    const key = Float64Array.of(
      ...orders.watch.map((w) => Math.round(stand.frame.receivedUs[w.at]! * 10)),
    );
    const own = heldAnswers.get(asked) ?? { known: new Interner(), list: [] };
    heldAnswers.set(asked, own);
    const index = own.known.index(key);
    const state = stand.state();
    const righted = (own.list[index] ??= rights(asked, state));
    if (righted) continue;
    const frame = stand.put(state.controls, state.memory).step();
    const gains = asked.setup.unit.traits.axes.flatMap((axis) =>
      axis === 'yaw' ? [] : [frame.gainPct[axis === 'roll' ? 0 : 1]!],
    );
    return {
      c,
      corner,
      held: true,
      answer: {
        righted,
        mode: frame.mode,
        gainPct: Math.min(...gains, 1000),
        afterMs: 0,
        reversible: true,
      },
    };
  }
  return undefined;
}
const heldAnswers = new WeakMap<Asked, { known: Interner; list: boolean[] }>();

const answers = new WeakMap<Asked, { known: Interner; list: PanicAnswer[]; key: Float64Array }>();

/** What pressing panic does from a cell; states alike in all that pressing looks at are asked once. */
export function panicOf(asked: Asked, c: OrderCell, corner?: Corner): PanicAnswer {
  const { watch, cone } = asked.orders;
  const own = answers.get(asked) ?? {
    known: new Interner(),
    list: [],
    key: new Float64Array(1 + 4 * watch.length + 2 * cone.logic.length),
  };
  answers.set(asked, own);
  const { at, value } = asked.panic!;
  const { stand } = asked;
  // What can matter: pulses before the press, at once, and when all has run its course, with it and
  // without; and what is remembered at the press.
  const { key } = own;
  let n = 0;
  const pulses = () => {
    for (const w of watch) key[n++] = Math.round(stand.frame.receivedUs[w.at]! * 10);
  };
  key[n++] = MODES.indexOf(c.mode);
  asked.into(asked.orders, c.cell, corner).step();
  pulses();
  stand.step({ dtS: LONG_S });
  pulses();
  asked.into(asked.orders, c.cell, corner).move(at, value).step();
  pulses();
  for (const i of cone.logic) {
    key[n++] = stand.memory.logic[2 * i]!;
    key[n++] = stand.memory.logic[2 * i + 1]!;
  }
  stand.step({ dtS: LONG_S });
  pulses();
  const index = own.known.index(key);
  return (own.list[index] ??= pressFrom(asked, asked.into(asked.orders, c.cell, corner).state()));
}
