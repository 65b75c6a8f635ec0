import { modeWords } from '../../chain';
import { authority, isStabilized } from '../../directions';
import { failsafeSchools } from '../../plan';
import { kindOf, type Mode, type Setup } from '../../setup';
import type { Asked, OrderCell } from '../asked';
import { easiest, Interner, type Corner } from '../explore';
import { ordersAndSurfaces } from './influence';
import { Looking, ORDERS, type Requirement } from './requirement';

/** What the unit does with a link that went. */
export interface Lost {
  mode: Mode;
  own: boolean;
  gainPct: number;
  /** The surfaces work a tipped model back. */
  levels: boolean;
}

/** The school that was wished for; where nothing was, the plainest. */
const schoolOf = (setup: Setup) => setup.intents.program.failsafe?.school;

/** Cuts the link in a cell and looks two seconds later. */
export function lostFrom(asked: Asked, c: OrderCell, corner: Corner): Lost {
  const { stand, setup, orders } = asked;
  asked.into(orders, c.cell, corner).step();
  stand.step({ linkUp: false, dtS: 0.02 });
  const frame = stand.step({ dtS: 2 });
  const { mode } = frame;
  const own = frame.failsafeActive;
  const gainPct = Math.max(...frame.gainPct);
  const still = frame.surfaceDeg.slice();
  let answers = false;
  let against = false;
  for (const [axis, change] of [
    ['roll', { rollDeg: 60, pitchDeg: 0 }],
    ['pitch', { rollDeg: 0, pitchDeg: 50 }],
  ] as const) {
    if (!setup.unit.traits.axes.includes(axis)) continue;
    const tipped = stand.step(change);
    setup.airframe.surfaces.forEach((surface, i) => {
      const moment = authority(setup.airframe, surface)[axis];
      if (!moment || !isStabilized(setup, surface)) return;
      const moved = -moment * (tipped.surfaceDeg[i]! - still[i]!);
      if (moved >= 0.5) answers = true;
      else against = true;
    });
  }
  return { mode, own, gainPct, levels: answers && !against };
}

const known = new WeakMap<Asked, { known: Interner; list: Lost[]; key: Float64Array }>();

/** The same, asked once for everything that was received last: that is all that can matter. */
export function lostOf(asked: Asked, c: OrderCell, corner: Corner = easiest(asked.setup)): Lost {
  const { watch } = asked.orders;
  const own = known.get(asked) ?? {
    known: new Interner(),
    list: [],
    key: new Float64Array(watch.length),
  };
  known.set(asked, own);
  asked.into(asked.orders, c.cell, corner).step();
  watch.forEach(({ at }, i) => {
    own.key[i] = Math.round(asked.stand.frame.receivedUs[at]! * 10);
  });
  return (own.list[own.known.index(own.key)] ??= lostFrom(asked, c, corner));
}

export const linkLost: Requirement = {
  id: 'link-lost',
  title: 'A lost link does what was chosen',
  must: 'From every state the unit does what the chosen failsafe asks of it; where that asks for an attitude, its surfaces work a tipped model back; where it asks for none, the unit does one thing from everywhere.',
  from: 'The wish for a failsafe; what receiver and unit do together.',
  applies: (setup) => setup.airframe.surfaces.length > 0,
  looksAt: ordersAndSurfaces,
  check(asked) {
    const { setup, orders } = asked;
    const looking = new Looking();
    if (!looking.needs(ORDERS, orders)) return looking;
    const school = schoolOf(setup);
    const ground = kindOf(setup.airframe).onSurface;
    const modes = new Map<Mode, OrderCell>();
    let failed = false;
    const seen = new Interner();
    for (const c of asked.orderCells) {
      // Cells with the same pulses throughout are one state to a link that goes.
      const met = seen.size;
      if (seen.index(c.cell.us) < met) continue;
      for (const corner of asked.corners(c)) {
        looking.states += 1;
        const lost = lostOf(asked, c, corner);
        if (!modes.has(lost.mode)) modes.set(lost.mode, c);
        if (failed || ground || school === undefined || school === 'motor-off') continue;
        const right =
          school === 'home' ? lost.mode === 'home' : lost.mode === 'level' && lost.levels;
        if (right) continue;
        failed = true;
        looking.fail({
          severity: 'stop',
          says:
            school === 'home'
              ? `With the link lost the unit goes into ${modeWords(setup.unit, lost.mode)}, not home.`
              : lost.mode === 'level'
                ? 'With the link lost the unit levels in name only: the surfaces do not work a tipped model back.'
                : `With the link lost the unit goes into ${modeWords(setup.unit, lost.mode)}; to ${school} it must level.`,
          where: '/program/failsafe',
          witness: asked.witness(orders, c.cell, 'this, then cut the link', { corner }),
          about: { mode: lost.mode, how: lost.mode === 'level' ? 'weak' : 'other-mode' },
        });
      }
    }
    // Who chose to have the motor stopped and nothing else has chosen this.
    if (!failed && modes.size > 1 && !ground && school !== 'motor-off') {
      const second = [...modes][1];
      looking.fail({
        severity: 'caution',
        says: `With the link lost the unit goes on in ${[...modes.keys()].map((m) => modeWords(setup.unit, m)).join(' or ')}, as the switches last stood.`,
        where: '/program/failsafe',
        witness: asked.witness(orders, second![1].cell, 'this, then cut the link'),
        about: { how: 'as-it-stood' },
      });
    }
    if (school !== undefined && failsafeSchools(setup)[school] !== undefined)
      looking.fail({
        // Home that never comes is not found out before the model is gone.
        severity: school === 'home' ? 'stop' : 'caution',
        says: `The failsafe that was wished for is not possible: ${failsafeSchools(setup)[school]}.`,
        where: '/intents/program/failsafe/school',
        about: { how: 'impossible' },
      });
    return looking;
  },
};
