import {
  axisFunction,
  movementOf,
  positionsOf,
  stickOf,
  STICK_ASKS,
  switchValue,
} from '../../chain';
import { compileTravel } from '../../linkage';
import { authority } from '../../directions';
import { allReads, AXES, isDevice, pointer, readsOfLine, type Axis, type Setup } from '../../setup';
import type { Asked } from '../asked';
import { cornersOf, isContinuous, type Cell, type Corner, type Table } from '../explore';
import { channelsOfSurfaces, everyChannel, ordersAndSurfaces } from './influence';
import { Looking, ORDERS, type Requirement } from './requirement';

/** At full stick a surface moves at least so far. Half of a low rate's; common practice, no source. */
const USEFUL_DEG = 2;
/** A surface a stick has no business with may move by this much. */
const STRAY_DEG = 1;

interface Hand {
  axis: Axis;
  at: number;
}

/** The sticks that turn the model, each with its axis. */
function steeringSticks(setup: Setup): Hand[] {
  const axes = AXES.filter((axis) =>
    setup.airframe.surfaces.some((s) => authority(setup.airframe, s)[axis]),
  );
  return axes.flatMap((axis) => {
    const at = stickOf(setup.transmitter, axisFunction(setup, axis));
    return at < 0 ? [] : [{ axis, at }];
  });
}

/** Mixes the person wished: lines meant as mixes let a stick move what it otherwise must not. */
function mixedOnPurpose(setup: Setup, channels: readonly number[], stick: number): boolean {
  const { program, transmitter } = setup;
  const { id } = transmitter.controls[stick]!;
  return program.lines.some(
    (l) =>
      l.purpose === 'mix' &&
      channels.includes(l.channel) &&
      allReads(program, readsOfLine(l)).some((r) => r.kind === 'control' && r.id === id),
  );
}

/**
 * Where a surface stands in a state for each of some places of one stick; undefined where launch help,
 * which ends with a stick, holds a surface in one of them.
 */
function swept(
  asked: Asked,
  [table, cell, corner]: readonly [Table, Cell, Corner],
  stick: number,
  surface: number,
  places: readonly number[],
): number[] | undefined {
  const { controls, memory } = asked.into(table, cell, corner).state();
  let launching = false;
  const degrees = places.map((value) => {
    const frame = asked.stand.put(controls, memory).move(stick, value).step();
    launching ||= asked.launchLogic.some((i) => frame.logic[i] === 1);
    return frame.surfaceDeg[surface]!;
  });
  return launching ? undefined : degrees;
}
const ENDS = [-100, 0, 100] as const;

const surfacePath = (i: number) => pointer('airframe', 'surfaces', i);

/** Each stick on each surface it should move, in every state of what reaches that surface. */
export const sticksRight: Requirement = {
  id: 'sticks',
  title: 'Every control moves its surfaces the right way',
  must: `In every state, each control that steers moves every surface that turns the model about its axis, the right way and by at least ${USEFUL_DEG}° at its ends.`,
  from: 'The turning moment of each surface (ISO 1151-1 signs).',
  applies: (setup) => setup.airframe.surfaces.length > 0,
  looksAt: ordersAndSurfaces,
  check(asked) {
    const { setup } = asked;
    const looking = new Looking();
    const reached = channelsOfSurfaces(setup);
    const sticks = steeringSticks(setup);
    setup.airframe.surfaces.forEach((surface, s) => {
      const own = authority(setup.airframe, surface);
      const table = asked.table(reached[s]!);
      if (!looking.needs(surface.label, table)) return;
      for (const { axis, at } of sticks) {
        const moment = own[axis];
        if (!moment) continue;
        const wanted = moment * STICK_ASKS[axis];
        const stick = setup.transmitter.controls[at]!.label;
        let failed = false;
        for (const cell of table.cells) {
          if (failed) break;
          for (const corner of cornersOf(setup, cell, table.cone.controls, at)) {
            looking.states += 1;
            const ends = swept(asked, [table, cell, corner], at, s, ENDS);
            if (!ends) continue;
            const [low, middle, high] = ends as [number, number, number];
            // A wheel that is only steered one way would be no wheel: both ends are looked at.
            const right = wanted * (high - middle);
            const left = wanted * (middle - low);
            if (right >= USEFUL_DEG && left >= USEFUL_DEG) continue;
            const still = !(
              Math.abs(high - middle) >= USEFUL_DEG || Math.abs(middle - low) >= USEFUL_DEG
            );
            const stuck = Number.isNaN(low + middle + high);
            const goes = movementOf(surface, right < left ? high - middle : low - middle);
            const way = right < left ? 1 : -1;
            const should = movementOf(surface, wanted * way * 10);
            failed = true;
            looking.fail({
              severity: 'stop',
              says: stuck
                ? `${surface.label}: its linkage locks before ${stick} is at its end.`
                : still || goes === 'centre' || goes === should
                  ? `${surface.label} does not move as it should with ${stick}: ${Math.abs(high - middle).toFixed(0)}° one way, ${Math.abs(middle - low).toFixed(0)}° the other.`
                  : `${surface.label} goes ${goes} where ${stick} asks for ${should}.`,
              where: surfacePath(s),
              witness: asked.witness(table, cell, `${stick} at its end`, {
                corner,
                then: [{ control: at, value: 100 * way }],
              }),
              about: {
                axis,
                surface: surface.id,
                control: setup.transmitter.controls[at]!.id,
                how: stuck ? 'locks' : still ? 'still' : 'reversed',
              },
            });
            break;
          }
        }
        // Between its ends it may turn back: every cell cut by the stick is looked at by itself.
        if (failed) continue;
        for (const cell of table.cells) {
          const i = table.cone.controls.indexOf(at);
          if (i < 0 || !(cell.box.hi[i]! > cell.box.lo[i]!)) continue;
          for (const corner of cornersOf(setup, cell, table.cone.controls, at)) {
            const way = swept(asked, [table, cell, corner], at, s, [
              cell.box.lo[i]!,
              cell.box.hi[i]!,
            ]);
            if (!way || wanted * (way[1]! - way[0]!) > -STRAY_DEG) continue;
            failed = true;
            looking.fail({
              severity: 'stop',
              says: `${surface.label} turns back while ${stick} goes on.`,
              where: surfacePath(s),
              witness: asked.witness(table, cell, `${stick} moved on`, { corner }),
              about: { axis, surface: surface.id, how: 'turns-back' },
            });
            break;
          }
          if (failed) break;
        }
      }
    });
    return looking;
  },
};

export const sticksAlone: Requirement = {
  id: 'sticks-alone',
  title: 'No control moves what it should not',
  must: `In every state, no control that steers moves a surface by more than ${STRAY_DEG}° that does not turn the model about the axis it is for, but where a mix was put there on purpose.`,
  from: 'The turning moment of each surface; lines meant as mixes are wishes.',
  applies: (setup) => setup.airframe.surfaces.length > 0,
  looksAt: ordersAndSurfaces,
  check(asked) {
    const { setup } = asked;
    const looking = new Looking();
    const reached = channelsOfSurfaces(setup);
    const throttle = stickOf(setup.transmitter, 'throttle');
    const sticks: readonly { axis?: Axis; at: number }[] = [
      ...steeringSticks(setup),
      ...(throttle < 0 ? [] : [{ at: throttle }]),
    ];
    setup.airframe.surfaces.forEach((surface, s) => {
      const own = authority(setup.airframe, surface);
      const table = asked.table(reached[s]!);
      if (!looking.needs(surface.label, table)) return;
      for (const { axis, at } of sticks) {
        if (!table.cone.controls.includes(at)) continue;
        // One stick may work two axes: it has business with the surfaces of both.
        if (sticks.some((o) => o.at === at && o.axis && own[o.axis])) continue;
        if (mixedOnPurpose(setup, reached[s]!, at)) continue;
        const stick = setup.transmitter.controls[at]!;
        search: for (const cell of table.cells)
          for (const corner of cornersOf(setup, cell, table.cone.controls, at)) {
            looking.states += 1;
            const ends = swept(asked, [table, cell, corner], at, s, ENDS);
            if (!ends) continue;
            const [low, middle, high] = ends as [number, number, number];
            const stray = Math.max(Math.abs(high - middle), Math.abs(low - middle));
            if (!(stray > STRAY_DEG)) continue;
            const value = Math.abs(high - middle) > Math.abs(low - middle) ? 100 : -100;
            looking.fail({
              severity: 'stop',
              says: `${stick.label} moves the ${surface.label.toLowerCase()} by ${stray.toFixed(0)}°; it has no business there.`,
              where: surfacePath(s),
              witness: asked.witness(table, cell, `${stick.label} at its end`, {
                corner,
                then: [{ control: at, value }],
              }),
              about: {
                surface: surface.id,
                control: stick.id,
                how: 'stray',
                ...(axis ? { axis } : {}),
              },
            });
            break search;
          }
      }
    });
    return looking;
  },
};

/** Flaps, gear and the like: something a hand can move works each of them. */
export const devicesWork: Requirement = {
  id: 'devices',
  title: 'No surface is left out',
  must: `Whatever else a switch works moves by at least ${USEFUL_DEG}° with some switch, knob or slider.`,
  from: 'The airframe has them.',
  applies: (setup) => setup.airframe.surfaces.some((s) => isDevice(setup.airframe, s)),
  looksAt: everyChannel,
  check(asked) {
    const { setup } = asked;
    const looking = new Looking();
    setup.airframe.surfaces.forEach((surface, s) => {
      if (!isDevice(setup.airframe, surface)) return;
      let most = 0;
      const frame0 = asked.stand
        .put(asked.chain.restStimulus().controls, asked.chain.newMemory())
        .step();
      const before = frame0.surfaceDeg[s]!;
      setup.transmitter.controls.forEach((control, at) => {
        if (control.kind === 'trim' || control.kind === 'stick') return;
        const values = isContinuous(setup, at)
          ? [-100, 0, 100]
          : Array.from({ length: positionsOf(control.kind) }, (_, p) =>
              switchValue(control.kind, p),
            );
        for (const value of values) {
          looking.states += 1;
          const stand = asked.stand.put(
            asked.chain.restStimulus().controls,
            asked.chain.newMemory(),
          );
          stand.move(at, value).step();
          // A slow line or a delay has its time.
          most = Math.max(most, Math.abs(stand.step({ dtS: 60 }).surfaceDeg[s]! - before));
        }
      });
      if (most >= USEFUL_DEG) return;
      looking.fail({
        severity: 'stop',
        says: `Nothing on the transmitter moves the ${surface.label.toLowerCase()}.`,
        where: surfacePath(s),
        about: { surface: surface.id, how: 'still' },
      });
    });
    return looking;
  },
};

/** How far the model may be turned, and how fast: what the correction answers on top. */
const TURNED = [
  ['rollRateDegPerS', 200],
  ['pitchRateDegPerS', 200],
  ['yawRateDegPerS', 200],
  ['rollDeg', 80],
  ['pitchDeg', 70],
] as const;

/** Rods: free all the way, and turning one way all the way. */
export const linkagesFree: Requirement = {
  id: 'linkages',
  title: 'No linkage locks inside the travel used',
  must: 'Between the ends every servo is really sent to, with the correction on top, each rod follows and its surface never turns back.',
  from: 'Geometry of the rod between servo arm and horn.',
  applies: (setup) => setup.airframe.surfaces.length > 0,
  looksAt: ordersAndSurfaces,
  check(asked) {
    const { setup, stand } = asked;
    const looking = new Looking();
    const reached = channelsOfSurfaces(setup);
    setup.airframe.surfaces.forEach((surface, s) => {
      const servo = setup.airframe.servos.findIndex((v) => v.id === surface.servo);
      const table = asked.table(reached[s]!);
      if (!looking.needs(surface.label, table)) return;
      let [low, high] = [0, 0];
      let worst: { cell: Cell; corner: Corner } | undefined;
      for (const cell of table.cells)
        for (const corner of cornersOf(setup, cell, table.cone.controls, -1, () => true, 100)) {
          looking.states += 1;
          const deg = asked.into(table, cell, corner).step().servoDeg[servo]!;
          if (deg < low || deg > high) worst = { cell, corner };
          low = Math.min(low, deg);
          high = Math.max(high, deg);
        }
      // A correction with the stick out goes on top, as far as gain and port allow.
      looking.needs(ORDERS, asked.orders);
      const most = asked.orderCells.reduce<(typeof asked.orderCells)[number] | undefined>(
        (a, b) => (a && Math.max(...a.gainHi) >= Math.max(...b.gainHi) ? a : b),
        undefined,
      );
      if (most && worst) {
        const hands = asked
          .into(asked.orders, most.cell, (_, lo, hi) => (hi > lo ? hi : lo))
          .state();
        for (const way of [-1, 1])
          for (const [turned, most] of TURNED) {
            const deg = stand.put(hands.controls, hands.memory).step({ [turned]: way * most })
              .servoDeg[servo]!;
            low = Math.min(low, deg);
            high = Math.max(high, deg);
          }
      }
      const horn = compileTravel(setup.airframe, surface);
      let peak = horn(low);
      for (let deg = low; deg <= high; deg += Math.max(0.25, (high - low) / 400)) {
        const now = horn(deg);
        if (Number.isNaN(now) || now < peak - STRAY_DEG / 2) {
          looking.fail({
            severity: 'stop',
            says: `The rod of the ${surface.label.toLowerCase()} ${Number.isNaN(now) ? 'locks' : 'turns back'} at ${deg.toFixed(0)}° of servo travel; the servo is sent from ${low.toFixed(0)}° to ${high.toFixed(0)}°.`,
            where: `${surfacePath(s)}/linkage/armMm`,
            ...(worst
              ? {
                  witness: asked.witness(table, worst.cell, 'the servo at its end', {
                    corner: worst.corner,
                  }),
                }
              : {}),
            about: { surface: surface.id, how: 'locks' },
          });
          break;
        }
        peak = Math.max(peak, now);
      }
    });
    return looking;
  },
};
