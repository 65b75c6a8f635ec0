import { controlWords, stickOf, switchValue } from '../../chain';
import { pointer, roleOf, type Setup } from '../../setup';
import type { Asked } from '../asked';
import { isContinuous, memoryOf, type Cell, type Corner, type Table } from '../explore';
import type { Failure } from '../finding';
import { orderChannels } from './influence';
import { Looking, type Requirement } from './requirement';

/** A motor that turns by more than this runs. Controllers stand still below some percent; no source. */
const RUNS_PCT = 5;
/** With the cut on nothing at all may turn. */
const CUT_PCT = 1;

const hasMotor = (setup: Setup) => setup.airframe.motors.length > 0;

/** Channels that carry a motor, as sent or as the unit takes them. */
function motorChannels(setup: Setup): number[] {
  const { outputs } = setup.program;
  const { inputs } = setup.unit.settings;
  return [
    ...new Set(
      [...outputs, ...inputs].filter((o) => roleOf(o.carries) === 'motor').map((o) => o.channel),
    ),
  ].filter((c) => c <= setup.transmitter.channels);
}

/** The control a hand throttles with: its stick, or what the throttle's own line follows. */
function throttleControl(setup: Setup): number {
  const stick = stickOf(setup.transmitter, 'throttle');
  if (stick >= 0) return stick;
  const channels = motorChannels(setup);
  const line = setup.program.lines.find(
    (l) =>
      channels.includes(l.channel) && l.follows.kind === 'control' && l.purpose !== 'throttle-cut',
  );
  return line?.follows.kind === 'control'
    ? setup.transmitter.controls.findIndex(
        (c) => line.follows.kind === 'control' && c.id === line.follows.id,
      )
    : -1;
}

/** The switch that cuts the motor, and the value at which it does: wished for, or as the lines have it. */
function cutControl(setup: Setup): { at: number; value: number } | undefined {
  const { controls } = setup.transmitter;
  const wish = setup.intents.program.cut;
  const line = setup.program.lines.find((l) => l.purpose === 'throttle-cut')?.when;
  const cut = wish ?? (line?.kind === 'switch' ? line : undefined);
  if (!cut) return undefined;
  const at = controls.findIndex((c) => c.id === cut.control);
  return at < 0 ? undefined : { at, value: switchValue(controls[at]!.kind, cut.position) };
}

/** The most any motor can give anywhere in a cell: by its bounds, which may be wider than the truth. */
function mostIn(asked: Asked, table: Table, cell: Cell): number {
  const { stand } = asked;
  let most = 0;
  for (const end of [0, 1] as const) {
    asked.into(table, cell).step();
    const { frame } = stand;
    table.watch.forEach(({ at }, i) => {
      // What never arrives stays away.
      if (!Number.isNaN(frame.receivedUs[at]!)) frame.receivedUs[at] = cell.us[2 * i + end]!;
    });
    asked.chain.fromLink(stand.stimulus, memoryOf(asked.chain, table, cell.memory), frame);
    for (const pct of frame.motorPct) most = Math.max(most, pct);
  }
  return most;
}

/** Where in a cell it really gives so much: its corners, tried on the chain. */
function worstCorner(asked: Asked, table: Table, cell: Cell): { corner: Corner; pct: number } {
  const { setup } = asked;
  const wide = table.cone.controls.filter(
    (at, i) => isContinuous(setup, at) && cell.box.hi[i]! > cell.box.lo[i]!,
  );
  let worst: { corner: Corner; pct: number } = { corner: (_, lo) => lo, pct: -1 };
  const places = wide.length <= 4 ? [0, 0.5, 1] : [0, 1];
  const total = places.length ** Math.min(wide.length, 6);
  for (let pick = 0; pick < total; pick++) {
    const corner: Corner = (control, lo, hi) => {
      const i = wide.indexOf(control);
      if (i < 0) return lo;
      const place = places[Math.floor(pick / places.length ** i) % places.length]!;
      return lo + place * (hi - lo);
    };
    const frame = asked.into(table, cell, corner).step();
    const pct = Math.max(0, ...frame.motorPct);
    if (pct > worst.pct) worst = { corner, pct };
  }
  return worst;
}

/** Looks through every cell for a motor that gives more than it may. */
function motorAbove(
  asked: Asked,
  looking: Looking,
  within: ReadonlyMap<number, readonly [number, number]>,
  limitPct: number,
  fail: (pct: number, table: Table, cell: Cell, corner: Corner) => Failure,
): void {
  const channels = motorChannels(asked.setup);
  const table = asked.table(channels, { within });
  if (!looking.needs('Throttle', table)) return;
  looking.states += table.cells.length;
  let worst: { cell: Cell; corner: Corner; pct: number } | undefined;
  for (const cell of table.cells) {
    if (mostIn(asked, table, cell) <= limitPct) continue;
    const found = worstCorner(asked, table, cell);
    // The bounds may be wider than the truth where two controls multiply: what runs is what ran.
    if (found.pct <= limitPct) looking.leave(LOOSE);
    else if (!worst || found.pct > worst.pct) worst = { cell, ...found };
  }
  if (worst) looking.fail(fail(worst.pct, table, worst.cell, worst.corner));
}

const LOOSE = 'Throttle: where controls multiply, its bounds could not be drawn close enough';

/** Trims of an engine set its idle; a motor must stand still wherever they are. */
function engineTrims(setup: Setup): [number, readonly [number, number]][] {
  if (!setup.airframe.motors.every((m) => m.power === 'engine')) return [];
  return setup.transmitter.controls.flatMap((c, at): [number, readonly [number, number]][] =>
    c.kind === 'trim' ? [[at, [c.rest, c.rest]]] : [],
  );
}

const throttlePath = (setup: Setup): string => {
  const at = setup.program.outputs.findIndex((o) => roleOf(o.carries) === 'motor');
  return at < 0 ? '/airframe/motors' : pointer('program', 'outputs', at);
};

export const motorCut: Requirement = {
  id: 'motor-cut',
  title: 'The motor stays off while it is cut',
  must: 'With the throttle cut on, no motor turns, wherever every other control stands and however long one waits.',
  from: 'The wish for a throttle cut, or the line that is one.',
  applies: (setup) => hasMotor(setup) && cutControl(setup) !== undefined,
  looksAt: motorChannels,
  check(asked) {
    const { setup } = asked;
    const looking = new Looking();
    const cut = cutControl(setup)!;
    const control = setup.transmitter.controls[cut.at]!;
    motorAbove(
      asked,
      looking,
      new Map([[cut.at, [cut.value, cut.value]] as const]),
      CUT_PCT,
      (pct, table, cell, corner) => ({
        severity: 'stop',
        says: `${controlWords(control, cut.value)}, throttle cut on, and the motor can be made to run at ${pct.toFixed(0)} %.`,
        where: '/program/lines',
        witness: asked.witness(table, cell, 'the throttle cut on', {
          corner,
          then: [{ control: cut.at, value: cut.value }],
        }),
        about: { control: control.id, figure: pct },
      }),
    );
    return looking;
  },
};

export const motorLow: Requirement = {
  id: 'motor-low',
  title: 'The motor stands still with the throttle closed',
  must: 'With the throttle closed (a trigger let go), no motor turns, wherever every other control stands and however long one waits.',
  from: 'Nobody expects a motor to start with the throttle closed.',
  applies: (setup) => hasMotor(setup) && throttleControl(setup) >= 0,
  looksAt: motorChannels,
  check(asked) {
    const { setup } = asked;
    const looking = new Looking();
    const at = throttleControl(setup);
    const control = setup.transmitter.controls[at]!;
    motorAbove(
      asked,
      looking,
      new Map([[at, [control.rest, control.rest]] as const, ...engineTrims(setup)]),
      RUNS_PCT,
      (pct, table, cell, corner) => ({
        severity: 'stop',
        says: `With the throttle closed the motor can be made to run at ${pct.toFixed(0)} %.`,
        where: throttlePath(setup),
        witness: asked.witness(table, cell, `${control.label} at its low end`, { corner }),
        about: { control: control.id, figure: pct },
      }),
    );
    return looking;
  },
};

export const motorAtRest: Requirement = {
  id: 'motor-rest',
  title: 'Something holds the motor off at rest',
  must: 'With every switch where it rests, no motor turns at power-up or later, wherever everything else stands.',
  from: 'A sleeve on the throttle, a model on the bench, a hand in the way.',
  applies: hasMotor,
  looksAt: motorChannels,
  check(asked) {
    const { setup } = asked;
    const looking = new Looking();
    const at = throttleControl(setup);
    const within = new Map(engineTrims(setup));
    setup.transmitter.controls.forEach((c, i) => {
      if (!isContinuous(setup, i)) within.set(i, [c.rest, c.rest]);
    });
    motorAbove(asked, looking, within, RUNS_PCT, (pct, table, cell, corner) => ({
      severity: 'stop',
      says: `With every switch at rest, a full throttle gives ${pct.toFixed(0)} %: nothing holds the motor off.`,
      where: '/program/lines',
      witness: asked.witness(table, cell, 'throttle full, switches at rest', { corner }),
      about: { figure: pct, ...(at < 0 ? {} : { control: setup.transmitter.controls[at]!.id }) },
    }));
    return looking;
  },
};

export const motorLost: Requirement = {
  id: 'motor-lost',
  title: 'The motor stops when the link is lost',
  must: 'From every state, no motor turns two seconds after the link went, but where an autopilot on its way home owns the throttle.',
  from: 'The wish for a failsafe; a model that goes its own way under power is a danger to others.',
  applies: hasMotor,
  looksAt: (setup) => [...motorChannels(setup), ...orderChannels(setup)],
  check(asked) {
    const { setup, stand } = asked;
    const looking = new Looking();
    const table = asked.table(motorChannels(setup));
    if (!looking.needs('Throttle', table)) return looking;
    let worst: { cell: Cell; corner: Corner; pct: number } | undefined;
    looking.states = table.cells.length;
    for (const cell of table.cells) {
      const loud = worstCorner(asked, table, cell);
      // A corner that was not found might run on where its neighbours do not.
      if (loud.pct <= RUNS_PCT && mostIn(asked, table, cell) > RUNS_PCT) looking.leave(LOOSE);
      const { controls, memory } = asked.into(table, cell, loud.corner).state();
      stand.put(controls, memory).step();
      stand.step({ linkUp: false, dtS: 0.02 });
      const frame = stand.step({ linkUp: false, dtS: 2 });
      const home = frame.mode === 'home' && setup.unit.traits.failsafe.includes('autopilot');
      const pct = home ? 0 : Math.max(0, ...frame.motorPct);
      if (pct > RUNS_PCT && (!worst || pct > worst.pct)) worst = { cell, corner: loud.corner, pct };
    }
    if (worst)
      looking.fail({
        severity: 'stop',
        says: `Link lost with the motor running: it runs on at ${worst.pct.toFixed(0)} %.`,
        where: '/program/failsafe',
        witness: asked.witness(table, worst.cell, 'this, then cut the link', {
          corner: worst.corner,
        }),
        about: { figure: worst.pct },
      });
    return looking;
  },
};
