import {
  compileChain,
  stickOf,
  type Chain,
  type Frame,
  type Memory,
  type Stimulus,
} from '../../chain';
import { isOrder, roleOf, type Mode, type Setup } from '../../setup';
import { coneOf, joined, type Cone } from './cone';
import {
  apply,
  explore,
  pathTo,
  recall,
  type ExploreOptions,
  type Move,
  type Reached,
} from './explore';
import { panicControlOf, type PanicControl } from './panic';

/** What pressing panic does from a state. */
export interface PanicAnswer {
  righted: boolean;
  mode: Mode;
  /** Gain of roll and pitch while it acts, percent. */
  gainPct: number;
  /** From the press until the unit rights the model, in milliseconds, the unit's delay included. */
  afterMs: number;
  /** Letting go gives the mode back that was there before. */
  reversible: boolean;
}

/** One combination of everything that reaches the unit's orders. */
export interface ProofRow {
  /** Values of the controls that matter, in the order of `Proof.controls`. */
  values: number[];
  /** Logic that remembers something and is true here. */
  remembered: string[];
  mode: Mode;
  slot: number;
  gainPct: [number, number, number];
  recovering: boolean;
  /** Pulse on the mode channel as the unit receives it; NaN where it has none. */
  modeUs: number;
  /** Motor with the throttle stick at rest and full. */
  motorLowPct: number;
  motorFullPct: number;
  /** What happens from here when panic is pressed; absent where it is pressed already or is none. */
  panic: PanicAnswer | undefined;
  /** What the unit and the motor do when the link goes here with the throttle full. */
  lost: { mode: Mode; own: boolean; motorPct: number };
  /** How to get here from rest. */
  path: Move[];
}

/** Every reachable combination, what it does, and how much was looked at. */
export interface Proof {
  rows: ProofRow[];
  /** Controls of the columns, by id. */
  controls: string[];
  visited: number;
  spanned: number;
  unreduced: number;
  complete: boolean;
  panic: PanicControl | undefined;
  /** Single moves that switch all stabilization off from every state in which it is on. */
  masterOff: { control: string; value: number }[];
}

/** Pressing longer than this is no panic recovery any more. */
const PANIC_LIMIT_S = 4;
const PANIC_STEP_S = 0.02;
const GAIN_NONE_PCT = 0.5;

/** What the unit is told by: its mode, gain and recovery channels, and the switches of the throttle. */
export function ordersCone(setup: Setup): Cone {
  const { inputs } = setup.unit.settings;
  const orders = inputs.filter((i) => isOrder(i.carries)).map((i) => i.channel);
  const throttle = coneOf(
    setup,
    setup.program.outputs.filter((o) => roleOf(o.carries) === 'motor').map((o) => o.channel),
  );
  const isStick = (at: number) => setup.transmitter.controls[at]!.kind === 'stick';
  return joined(coneOf(setup, orders), {
    ...throttle,
    controls: throttle.controls.filter((at) => !isStick(at)),
  });
}

/** Looks at every reachable state of the orders. */
export function prove(setup: Setup, options: ExploreOptions = {}): Proof {
  const chain = compileChain(setup);
  const cone = ordersCone(setup);
  const space = explore(chain, cone, options);
  const panic = panicControlOf(setup);
  const look = looker(chain);
  const throttleAt = stickOf(setup.transmitter, 'throttle');
  const modeChannel = setup.unit.settings.inputs.find((i) => i.carries === 'mode')?.channel;
  const rows = space.states.map((state): ProofRow => {
    const frame = look.settled(state);
    const { mode, slot, recovering } = frame;
    const gainPct: [number, number, number] = [
      frame.gainPct[0]!,
      frame.gainPct[1]!,
      frame.gainPct[2]!,
    ];
    const modeUs = modeChannel === undefined ? NaN : frame.receivedUs[modeChannel - 1]!;
    const motorAt = (value: number | undefined) =>
      Math.max(0, ...look.settled(state, throttleAt, value).motorPct);
    const rest = setup.transmitter.controls[throttleAt]?.rest;
    const motorLowPct = motorAt(rest);
    const motorFullPct = motorAt(100);
    const lost = look.lost(state, throttleAt);
    return {
      values: cone.controls.map((at) => state.controls[at]!),
      remembered: rememberedIn(setup, cone, state),
      mode,
      slot,
      gainPct,
      recovering,
      modeUs,
      motorLowPct,
      motorFullPct,
      panic:
        panic && state.controls[panic.at] !== panic.value ? look.panic(state, panic) : undefined,
      lost,
      path: pathTo(chain, state),
    };
  });
  return {
    rows,
    controls: cone.controls.map((at) => setup.transmitter.controls[at]!.id),
    visited: space.states.length,
    spanned: space.spanned,
    unreduced: space.unreduced,
    complete: space.complete,
    panic,
    masterOff: masterOff(chain, cone, space.states, panic),
  };
}

export const isOn = (row: Pick<ProofRow, 'mode' | 'gainPct'>): boolean =>
  row.mode !== 'off' && row.gainPct.some((g) => g > GAIN_NONE_PCT);

function rememberedIn(setup: Setup, cone: Cone, state: Reached): string[] {
  return cone.logic.flatMap((i) => {
    const entry = setup.program.logic[i]!;
    const on = state.logic[i * 2] === 1;
    return on && (entry.op === 'latch' || entry.op === 'delay') ? [entry.label] : [];
  });
}

/** Asks the chain about states without disturbing their memory. */
function looker(chain: Chain) {
  const stimulus: Stimulus = chain.restStimulus();
  const frame: Frame = chain.newFrame();
  const { recovery } = chain.setup.unit.settings;
  const memory: Memory = chain.newMemory();
  const put = (state: Pick<Reached, 'controls' | 'logic'>): void => {
    stimulus.controls.set(state.controls);
    stimulus.linkUp = true;
    stimulus.dtS = 0;
    recall(memory, state.logic);
  };
  const righted = () => {
    const wanted = frame.recovering ? recovery!.mode : 'level';
    const gain = Math.min(frame.gainPct[0]!, frame.gainPct[1]!);
    return frame.mode === wanted && gain > GAIN_NONE_PCT;
  };
  return {
    /** The state as it stands once held, with one control at another value if asked. */
    settled(state: Pick<Reached, 'controls' | 'logic'>, at = -1, value?: number): Frame {
      put(state);
      if (at >= 0 && value !== undefined) stimulus.controls[at] = value;
      memory.recoveryHeldS = PANIC_LIMIT_S * 10;
      chain.step(stimulus, memory, frame);
      return frame;
    },
    lost(state: Reached, throttleAt: number): ProofRow['lost'] {
      put(state);
      if (throttleAt >= 0) stimulus.controls[throttleAt] = 100;
      chain.step(stimulus, memory, frame);
      stimulus.linkUp = false;
      chain.step(stimulus, memory, frame);
      return {
        mode: frame.mode,
        own: frame.failsafeActive,
        motorPct: Math.max(0, ...frame.motorPct),
      };
    },
    panic(state: Reached, control: PanicControl): PanicAnswer {
      put(state);
      stimulus.controls[control.at] = control.value;
      let afterS = 0;
      chain.step(stimulus, memory, frame);
      stimulus.dtS = PANIC_STEP_S;
      while (!righted() && afterS < PANIC_LIMIT_S) {
        chain.step(stimulus, memory, frame);
        afterS += PANIC_STEP_S;
      }
      const answer = {
        righted: righted(),
        mode: frame.mode,
        gainPct: Math.min(frame.gainPct[0]!, frame.gainPct[1]!),
        afterMs: Math.round(afterS * 1000),
      };
      const settle = () => {
        stimulus.controls[control.at] = state.controls[control.at]!;
        for (const dtS of [0, PANIC_LIMIT_S, PANIC_LIMIT_S]) {
          stimulus.dtS = dtS;
          chain.step(stimulus, memory, frame);
        }
        return frame.mode;
      };
      const after = settle();
      // Time goes on for other things too: compared with the same wait without the press.
      put(state);
      const untouched = settle();
      return { ...answer, reversible: after === untouched };
    },
  };
}

/**
 * Moves of one control that leave nothing on, whatever was on before. States in which panic is held
 * or launch help is on are passed by: they end by themselves when the hand lets go or moves.
 */
function masterOff(
  chain: Chain,
  cone: Cone,
  states: readonly Reached[],
  panic: PanicControl | undefined,
): Proof['masterOff'] {
  const { setup } = chain;
  const look = looker(chain);
  const stimulus = chain.restStimulus();
  const memory = chain.newMemory();
  const frame = chain.newFrame();
  const isOff = (f: Frame) => f.mode === 'off' || f.gainPct.every((g) => g <= GAIN_NONE_PCT);
  const launch = setup.program.lines.flatMap((l) =>
    l.purpose === 'launch' && l.when?.kind === 'logic' ? [chain.layout.logic.get(l.when.id)!] : [],
  );
  const on = states.filter((s) => {
    if (panic && s.controls[panic.at] === panic.value) return false;
    const seen = look.settled(s);
    return !isOff(seen) && launch.every((at) => seen.logic[at] !== 1);
  });
  let moves = cone.controls.flatMap((control) => {
    const values = new Set(states.map((s) => s.controls[control]!));
    return [...values].map((value) => ({ control, value }));
  });
  for (const state of on) {
    if (moves.length === 0) break;
    moves = moves.filter((move) => {
      apply(chain, state, move, stimulus, memory, frame);
      return isOff(look.settled({ controls: stimulus.controls, logic: memory.logic }));
    });
  }
  return on.length === 0
    ? []
    : moves.map(({ control, value }) => ({
        control: setup.transmitter.controls[control]!.id,
        value,
      }));
}
