import {
  axisFunction,
  compileChain,
  stickOf,
  STICK_ASKS,
  switchValue,
  type Memory,
  type Stimulus,
} from '@/core/chain';
import { isStabilized } from '@/core/directions';
import { authority } from '@/core/model';
import { AXES, type Setup } from '@/core/setup';
import { actingLogic, panicControlOf } from '@/core/verify';
import { anywhere } from './random-program';

/**
 * What somebody finds who moves everything about for a while and looks at motor and surfaces: a plain
 * walk on the chain, which knows nothing of tables, cells or requirements.
 * @returns the first thing that must not be, in words; undefined when nothing came up
 */
export function foundByHand(setup: Setup, random: () => number, moves = 500): string | undefined {
  const chain = compileChain(setup);
  const { controls } = setup.transmitter;
  const memory = chain.newMemory();
  memory.armed = true;
  const frame = chain.newFrame();
  const look = chain.newFrame();
  const hands = chain.restStimulus();
  const throttle = stickOf(setup.transmitter, 'throttle');
  const cut = setup.intents.program.cut;
  const cutAt = controls.findIndex((c) => c.id === cut?.control);
  const cutValue = cut && cutAt >= 0 ? switchValue(controls[cutAt]!.kind, cut.position) : NaN;
  const launch = actingLogic(setup, 'launch');
  const panic = panicControlOf(setup);
  const copyOf = (): Memory => ({
    ...memory,
    logic: memory.logic.slice(),
    lastReceivedUs: memory.lastReceivedUs.slice(),
    lastPortsUs: memory.lastPortsUs.slice(),
    holdErrorDeg: memory.holdErrorDeg.slice(),
  });
  const most = (list: Float64Array) => Math.max(0, ...list);

  /** Steering sticks released, then something changed, for one look without time passing. */
  const ask = (change: (s: Stimulus) => void, after = copyOf()) => {
    const own = { ...hands, controls: hands.controls.slice(), dtS: 0 };
    controls.forEach((c, i) => {
      if (c.kind === 'stick' && i !== throttle) own.controls[i] = 0;
    });
    change(own);
    chain.step(own, after, look);
    return {
      deg: look.surfaceDeg.slice(),
      mode: look.mode,
      gain: [...look.gainPct],
      helped: launch.some((i) => look.logic[i] === 1),
      recovering: look.recovering,
    };
  };

  for (let n = 0; n < moves; n++) {
    const at = Math.floor(random() * controls.length);
    const { kind } = controls[at]!;
    if (kind === 'trim') continue;
    hands.controls[at] = anywhere(kind, random);
    hands.dtS = random() < 0.5 ? 0 : [0.05, 0.3, 1.2][Math.floor(random() * 3)]!;
    chain.step(hands, memory, frame);
    if (
      throttle >= 0 &&
      hands.controls[throttle] === controls[throttle]!.rest &&
      most(frame.motorPct) > 5
    )
      return 'the motor runs at stick low';
    if (cutAt >= 0 && hands.controls[cutAt] === cutValue && most(frame.motorPct) > 1)
      return 'the motor runs with its cut on';
    if (n % 5 !== 0) continue;

    const plain = ask(() => undefined);
    if (plain.helped) continue;
    for (const axis of AXES) {
      const stick = stickOf(setup.transmitter, axisFunction(setup, axis));
      if (stick < 0 || !setup.airframe.surfaces.some((s) => authority(setup.airframe, s)[axis]))
        continue;
      const high = ask((s) => (s.controls[stick] = 100));
      const low = ask((s) => (s.controls[stick] = -100));
      if (high.helped || low.helped || plain.recovering) continue;
      for (const [i, surface] of setup.airframe.surfaces.entries()) {
        const moment = authority(setup.airframe, surface)[axis];
        const wanted = (moment ?? 0) * STICK_ASKS[axis];
        const right =
          wanted * (high.deg[i]! - plain.deg[i]!) >= 1.5 &&
          wanted * (plain.deg[i]! - low.deg[i]!) >= 1.5;
        if (moment && !right) return `${surface.id} does not follow the ${axis} stick`;
        const device = surface.role === 'flap' || surface.role === 'gear';
        if (!moment && !device && Math.abs(high.deg[i]! - low.deg[i]!) > 3)
          return `${surface.id} follows the ${axis} stick`;
      }
    }
    if (plain.mode !== 'off')
      for (const [k, axis] of AXES.entries()) {
        if (plain.gain[k]! <= 20 || !setup.unit.traits.axes.includes(axis)) continue;
        const turned = ask((s) => (s[`${axis}RateDegPerS`] = 120));
        for (const [i, surface] of setup.airframe.surfaces.entries()) {
          const moment = authority(setup.airframe, surface)[axis];
          if (!moment || !isStabilized(setup, surface)) continue;
          const moved = turned.deg[i]! - plain.deg[i]!;
          if (moment * moved > 0.7 || !(Math.abs(moved) > 0.05))
            return `${surface.id} does not oppose ${axis} in ${plain.mode}`;
        }
      }
    if (panic && hands.controls[panic.at] !== panic.value && !plain.recovering) {
      const held = copyOf();
      const press = (s: Stimulus) => (s.controls[panic.at] = panic.value);
      for (let i = 0; i < 9; i++)
        ask((s) => {
          press(s);
          s.dtS = 0.2;
        }, held);
      const level = ask(press, held);
      const tipped = ask((s) => {
        press(s);
        s.rollDeg = 60;
      }, held);
      const rolls = setup.airframe.surfaces.flatMap((surface, i) => {
        const moment = authority(setup.airframe, surface).roll;
        return moment && isStabilized(setup, surface)
          ? [-moment * (tipped.deg[i]! - level.deg[i]!)]
          : [];
      });
      const able =
        setup.unit.traits.axes.includes('roll') &&
        setup.airframe.surfaces.some((s) => authority(setup.airframe, s).roll);
      if (able && !(rolls.length > 0 && rolls.every((d) => d > 0.8)))
        return `panic gives ${level.mode} and does not right the model`;
    }
    const after = copyOf();
    for (const [linkUp, dtS] of [
      [true, 0],
      [false, 0.02],
      [false, 2],
    ] as const)
      chain.step({ ...hands, linkUp, dtS }, after, look);
    if (look.mode !== 'home' && most(look.motorPct) > 5) return 'the motor runs on without a link';
  }
  return undefined;
}
