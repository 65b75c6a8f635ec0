import { modeWords, movementOf } from '../../chain';
import { authority, isStabilized } from '../../directions';
import {
  AXES,
  pointer,
  turnedWords,
  type Axis,
  type Mode,
  type Setup,
  type Surface,
} from '../../setup';
import type { Asked, OrderCell } from '../asked';
import { ordersAndSurfaces } from './influence';
import { Looking, ORDERS, type Requirement } from './requirement';

type State = ReturnType<Asked['stand']['state']>;

/** How fast a hand turns the model, degrees a second; how far it is tipped. */
const TURN_DEG_S = 120;
const TIP_DEG = { roll: 75, pitch: 60 } as const;
/** A correction smaller than this cannot be seen, and steadies nothing. */
const SEEN_DEG = 0.5;
/** A surface that has no part in it may take this share of what the others do: a few degrees of skew. */
const STRAY_SHARE = 0.35;
const GAIN_NONE_PCT = 0.5;

const RATE = { roll: 'rollRateDegPerS', pitch: 'pitchRateDegPerS', yaw: 'yawRateDegPerS' } as const;
const LEVELS = new Set<Mode>(['level', 'home', 'trainer']);

/** Of each way the unit can steady, the cell with most gain, at its best corner. */
function bestOfEach(asked: Asked): OrderCell[] {
  const { controls } = asked.orders.cone;
  // Sticks let go, if the gain can be had that way: held out they leave mixed surfaces no room.
  const merit = (c: OrderCell) =>
    sum(c.gainHi) -
    controls.filter(
      (at, i) => isStick(asked.setup, at) && !(c.cell.box.lo[i]! <= 0 && c.cell.box.hi[i]! >= 0),
    ).length *
      0.01;
  const best = new Map<string, OrderCell>();
  for (const c of asked.orderCells) {
    if (c.mode === 'off') continue;
    const key = `${c.mode} ${c.slot} ${c.recovering}`;
    const known = best.get(key);
    if (!known || merit(c) > merit(known)) best.set(key, c);
  }
  return [...best.values()];
}

const isStick = (setup: Setup, at: number) => setup.transmitter.controls[at]!.kind === 'stick';
const sum = (list: readonly number[]) => list.reduce((a, b) => a + b, 0);

/** The hands of a cell with the most gain its box allows. */
function mostGain(asked: Asked, c: OrderCell): State {
  const { orders, stand } = asked;
  let best: State | undefined;
  let most = -1;
  for (const end of [0, 1, 0.5]) {
    const state = asked
      .into(orders, c.cell, (at, lo, hi) =>
        isStick(asked.setup, at) ? Math.min(hi, Math.max(lo, 0)) : lo + end * (hi - lo),
      )
      .state();
    state.memory.recoveryHeldS = 60;
    const gain = sum([...stand.put(state.controls, state.memory).step().gainPct]);
    if (gain > most) [best, most] = [state, gain];
  }
  return best!;
}

export const corrections: Requirement = {
  id: 'corrections',
  title: 'Every steadied surface opposes',
  must: 'In every mode that steadies, in every state, each steadied surface works against each turn it can oppose, visibly, and no other surface or motor takes part.',
  from: 'A correction that goes with the disturbance loses the model; the turning moment of each surface (ISO 1151-1 signs).',
  applies: (setup) => setup.airframe.surfaces.length > 0,
  looksAt: ordersAndSurfaces,
  check(asked) {
    const { setup, orders, stand } = asked;
    const looking = new Looking();
    if (!looking.needs(ORDERS, orders)) return looking;
    const { airframe, unit } = setup;
    looking.states = asked.orderCells.length;
    for (const { left, steadied } of halves(setup))
      looking.fail({
        severity: 'stop',
        says: `The unit steadies the ${steadied.label.toLowerCase()} and not the ${left.label.toLowerCase()}: one side answers, the other does not.`,
        where: pointer('airframe', 'surfaces', airframe.surfaces.indexOf(left)),
        about: { surface: left.id, how: 'half' },
      });
    const told = new Set<string>();
    const locked = setup.intents.program.lock !== undefined;
    for (const c of bestOfEach(asked)) {
      const { controls, memory } = mostGain(asked, c);
      const gain = [...stand.put(controls, memory).step().gainPct];
      const name = modeWords(unit, c.mode);
      const witness = (words: string) =>
        asked.witness(orders, c.cell, `${name}, ${words}`, {
          corner: (at, lo, hi) => Math.min(hi, Math.max(lo, controls[at]!)),
        });
      for (const [i, axis] of AXES.entries()) {
        if (!unit.traits.axes.includes(axis)) continue;
        const able = airframe.surfaces.some((s) => authority(airframe, s)[axis]);
        if (!able) continue;
        if (gain[i]! <= GAIN_NONE_PCT) {
          // Panic has a requirement of its own; an axis tuned to nothing on purpose is no fault here.
          if (
            gain.every((g) => g <= GAIN_NONE_PCT) &&
            !c.recovering &&
            !told.has(locked ? 'locked' : `none ${c.mode}`)
          ) {
            told.add(locked ? 'locked' : `none ${c.mode}`);
            looking.fail({
              severity: locked ? 'caution' : 'stop',
              says: locked
                ? 'The gain is locked at off: nothing is corrected, and no correction is proved, until the lock is taken out.'
                : `In ${name} the unit does nothing: no position of any control gives it gain.`,
              where: locked ? '/intents/program/lock' : '/program/lines',
              witness: witness('gain as high as it goes'),
              about: { mode: c.mode, how: 'no-gain' },
            });
          }
          continue;
        }
        const turned = deflections(asked, { controls, memory }, c.mode, axis);
        const main = Math.max(
          0,
          ...airframe.surfaces.map((s, k) =>
            authority(airframe, s)[axis] ? Math.abs(turned.deg[k]!) : 0,
          ),
        );
        airframe.surfaces.forEach((surface, k) => {
          const moment = authority(airframe, surface)[axis];
          const deg = turned.deg[k]!;
          const key = `${axis} ${surface.id}`;
          if (told.has(key)) return;
          const say = (says: string, how: string) => {
            told.add(key);
            looking.fail({
              severity: 'stop',
              says,
              where: pointer('airframe', 'surfaces', k),
              witness: witness(turnedWords(axis, 1, setup.airframe)),
              about: { axis, surface: surface.id, mode: c.mode, how, figure: deg },
            });
          };
          if (!moment) {
            if (Math.abs(deg) > Math.max(SEEN_DEG, STRAY_SHARE * main))
              say(
                `In ${name}, with the model ${turnedWords(axis, 1, setup.airframe)}, the ${surface.label.toLowerCase()} goes ${movementOf(surface, deg)}; it has no part in that.`,
                'stray',
              );
            return;
          }
          if (!isStabilized(setup, surface)) return;
          if (-moment * deg >= SEEN_DEG) return;
          const opposite = movementOf(surface, -moment * 10);
          const goes = movementOf(surface, deg);
          say(
            goes === 'centre'
              ? `In ${name}, with the model ${turnedWords(axis, 1, setup.airframe)}, the ${surface.label.toLowerCase()} does not answer; it must go ${opposite}.`
              : `In ${name}, with the model ${turnedWords(axis, 1, setup.airframe)}, the ${surface.label.toLowerCase()} goes ${goes}; it must go ${opposite}.`,
            goes === 'centre' ? 'still' : 'reversed',
          );
        });
        const answers = airframe.surfaces.some(
          (s) => authority(airframe, s)[axis] && isStabilized(setup, s),
        );
        if (
          !answers &&
          !told.has(`axis ${axis}`) &&
          (axis !== 'yaw' || unit.traits.axes.length === 1)
        ) {
          told.add(`axis ${axis}`);
          looking.fail({
            severity: 'stop',
            says: `No surface that works against ${axis} sits on an output the unit steadies: in ${name} nothing answers a ${axis}.`,
            where: '/unit/settings/outputs',
            witness: witness(turnedWords(axis, 1, setup.airframe)),
            about: { axis, mode: c.mode, how: 'unsteadied' },
          });
        }
        if (turned.motorPct > 1 && !told.has('motor')) {
          told.add('motor');
          looking.fail({
            severity: 'stop',
            says: `In ${name}, with the model ${turnedWords(axis, 1, setup.airframe)}, the motor changes by ${turned.motorPct.toFixed(0)} %: its output is steadied.`,
            where: '/unit/settings/outputs',
            witness: witness(turnedWords(axis, 1, setup.airframe)),
            about: { axis, mode: c.mode, how: 'motor' },
          });
        }
      }
    }
    return looking;
  },
};

/** How far everything moves when the model is turned about an axis, and in modes that level when it is kept tipped. */
function deflections(
  asked: Asked,
  { controls, memory }: State,
  mode: Mode,
  axis: Axis,
): { deg: Float64Array; motorPct: number } {
  const { stand, setup } = asked;
  // The motor half up, as far as its cut lets it.
  const own = controls.slice();
  setup.transmitter.controls.forEach((c, at) => {
    if (c.kind === 'stick' && c.hand === 'throttle') own[at] = 0;
  });
  const before = stand.put(own, memory).step();
  const still = before.surfaceDeg.slice();
  const motor = before.motorPct.slice();
  const turn = (change: Parameters<typeof stand.step>[0]) => {
    const frame = stand.put(own, memory).step(change);
    return {
      deg: frame.surfaceDeg.map((d, i) => d - still[i]!),
      motorPct: Math.max(0, ...frame.motorPct.map((p, i) => Math.abs(p - motor[i]!))),
    };
  };
  const quick = turn({ [RATE[axis]]: TURN_DEG_S });
  if (!LEVELS.has(mode) || axis === 'yaw') return quick;
  const tipped = turn(axis === 'roll' ? { rollDeg: TIP_DEG.roll } : { pitchDeg: TIP_DEG.pitch });
  const deg = tipped.deg.map((tip, i) => {
    const damp = quick.deg[i]!;
    // A trainer may have nothing to say about a tip; levelling that gives no answer gives none.
    if (Math.abs(tip) < SEEN_DEG) return mode === 'trainer' ? damp : tip;
    // Damping that works against levelling is the one that must be heard of.
    return damp * tip < 0 && Math.abs(damp) >= SEEN_DEG ? -tip : tip;
  });
  return { deg, motorPct: Math.max(quick.motorPct, tipped.motorPct) };
}

/**
 * Of surfaces of one kind on the two sides, those the unit leaves alone although it steadies the other
 * and could steady them.
 */
function halves(setup: Setup): { left: Surface; steadied: Surface }[] {
  const { surfaces } = setup.airframe;
  const could = (surface: Surface) => {
    const plug = setup.installation.plugs.find((p) => p.drives.includes(surface.servo));
    const port = setup.unit.traits.ports.find((p) => p.id === plug?.port);
    return port?.canStabilize === true;
  };
  return surfaces.flatMap((left) => {
    if (left.side === 'centre' || isStabilized(setup, left) || !could(left)) return [];
    if (!AXES.some((a) => authority(setup.airframe, left)[a] && setup.unit.traits.axes.includes(a)))
      return [];
    const steadied = surfaces.find(
      (s) => s.role === left.role && s.side !== left.side && isStabilized(setup, s),
    );
    return steadied ? [{ left, steadied }] : [];
  });
}
