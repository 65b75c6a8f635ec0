import {
  compileChain,
  createEar,
  describeFrame,
  movementOf,
  type Chain,
  type Frame,
  type Memory,
  type Movement,
  type Stimulus,
} from '../chain';
import type { BenchState } from '../script';
import { AXES, turnedWords, type Axis, type Mode, type Setup } from '../setup';
import { heardWords } from './heard';

/** How quickly a hand brings the model to where it is wanted. */
const HAND_TIME_S = 0.15;
const HAND_MAX_DEG_S = 240;
/** A movement counts as one above this rate; its largest answers are kept until the next. */
const MOVING_DEG_S = 8;

/** One cell's worth of values for the screen; plain data, so that it crosses to another thread. */
export interface Snapshot {
  controls: number[];
  linkUp: boolean;
  inputsPct: number[];
  /** Of each logic whether it holds. */
  logic: boolean[];
  channelsPct: number[];
  sentUs: number[];
  receivedUs: number[];
  mode: Mode;
  slot: number;
  armed: boolean;
  recovering: boolean;
  unitDrives: boolean;
  unitSteers: boolean;
  stickPct: number[];
  gainPct: number[];
  fade: number[];
  believedRatesDegPerS: number[];
  believedRollDeg: number;
  believedPitchDeg: number;
  correctionPct: number[];
  portsUs: number[];
  servoDeg: number[];
  surfaceDeg: number[];
  motorPct: number[];
  attitudeDeg: Record<Axis, number>;
  ratesDegPerS: Record<Axis, number>;
  /** Every surface and motor in words. */
  twin: string[];
  /** Largest answer of each surface during the newest movement of the model, in words. */
  answers: { surface: string; movement: Movement; deg: number }[];
  movement: string;
  /** The last gesture the unit heard since everything was at rest, and what it makes of it; empty where none was. */
  heard: string;
}

/** What the hands do to the bench. */
export interface Bench {
  setControl(id: string, value: number): void;
  setLink(up: boolean): void;
  /** Moves the wanted attitude; yaw turns without end. */
  tilt(axis: Axis, byDeg: number): void;
  /** Does things in order: controls put somewhere, waits, as a witness tells them. */
  play(steps: readonly ({ control: string; value: number } | { waitS: number })[]): Snapshot;
  /** Sets controls, attitude and signal to a state, from rest; the model turns there at the speed of a hand. */
  put(state: BenchState): void;
  /** Puts the model straight back on the stand. */
  level(): void;
  /** Lets go of everything: each control where it rests, nothing remembered of before. */
  rest(): void;
  advance(dtS: number): Snapshot;
}

/** The stand-in transmitter, link, unit and model on the virtual bench. */
export function createBench(setup: Setup): Bench {
  const chain: Chain = compileChain(setup);
  let memory: Memory = chain.newMemory();
  const frame: Frame = chain.newFrame();
  const stimulus: Stimulus = chain.restStimulus();
  const attitude: Record<Axis, number> = { roll: 0, pitch: 0, yaw: 0 };
  const wanted: Record<Axis, number> = { roll: 0, pitch: 0, yaw: 0 };
  const rates: Record<Axis, number> = { roll: 0, pitch: 0, yaw: 0 };
  const still = new Float64Array(frame.surfaceDeg.length);
  let moving = false;
  let movement = '';
  let ear = createEar(setup);
  let heard = '';
  let answers: Snapshot['answers'] = [];

  return {
    setControl(id, value) {
      const at = chain.layout.controls.get(id);
      if (at !== undefined) stimulus.controls[at] = Math.max(-100, Math.min(100, value));
    },
    setLink(up) {
      stimulus.linkUp = up;
    },
    tilt(axis, byDeg) {
      const limit = axis === 'pitch' ? 85 : Infinity;
      wanted[axis] = Math.max(-limit, Math.min(limit, wanted[axis] + byDeg));
    },
    level() {
      for (const axis of AXES) wanted[axis] = 0;
    },
    rest() {
      stimulus.controls.set(chain.restStimulus().controls);
      memory = chain.newMemory();
      ear = createEar(setup);
      heard = '';
    },
    put({ controls, attitudeDeg = {}, linkUp = true }) {
      this.rest();
      // The unit counts as armed already.
      memory.armed = true;
      for (const axis of AXES) wanted[axis] = attitudeDeg[axis] ?? 0;
      // Controls first: without a signal nothing new reaches the unit.
      this.setLink(true);
      for (const [id, value] of Object.entries(controls)) this.setControl(id, value);
      this.advance(0);
      this.setLink(linkUp);
    },
    play(steps) {
      let shown = this.advance(0);
      for (const step of steps) {
        if ('control' in step) this.setControl(step.control, step.value);
        shown = this.advance('waitS' in step ? step.waitS : 0);
      }
      return shown;
    },
    advance(dtS) {
      for (const axis of AXES) {
        const off = wanted[axis] - attitude[axis];
        const rate = Math.max(-HAND_MAX_DEG_S, Math.min(HAND_MAX_DEG_S, off / HAND_TIME_S));
        rates[axis] = Math.abs(off) < 0.05 ? 0 : rate;
        attitude[axis] += rates[axis] * dtS;
      }
      const fastest = AXES.reduce((a, b) => (Math.abs(rates[a]) >= Math.abs(rates[b]) ? a : b));
      const nowMoving = Math.abs(rates[fastest]) > MOVING_DEG_S;
      if (nowMoving && !moving) {
        still.set(frame.surfaceDeg);
        answers = [];
        movement = turnedWords(fastest, rates[fastest] > 0 ? 1 : -1, setup.airframe);
      }
      moving = nowMoving;

      stimulus.dtS = dtS;
      stimulus.rollDeg = attitude.roll;
      stimulus.pitchDeg = attitude.pitch;
      stimulus.rollRateDegPerS = rates.roll;
      stimulus.pitchRateDegPerS = rates.pitch;
      stimulus.yawRateDegPerS = rates.yaw;
      chain.step(stimulus, memory, frame);
      for (const gesture of ear.hear(frame, dtS)) heard = heardWords(gesture, attitude);

      if (moving)
        answers = setup.airframe.surfaces.map((surface, i) => {
          const deg = frame.surfaceDeg[i]! - still[i]!;
          const before = answers.find((a) => a.surface === surface.id);
          return before && Math.abs(before.deg) >= Math.abs(deg)
            ? before
            : { surface: surface.id, movement: movementOf(surface, deg), deg };
        });
      return snapshot();
    },
  };

  function snapshot(): Snapshot {
    return {
      controls: [...stimulus.controls],
      linkUp: stimulus.linkUp,
      inputsPct: [...frame.inputsPct],
      logic: Array.from(frame.logic, Boolean),
      channelsPct: [...frame.channelsPct],
      sentUs: [...frame.sentUs],
      receivedUs: [...frame.receivedUs],
      mode: frame.mode,
      slot: frame.slot,
      armed: frame.armed,
      recovering: frame.recovering,
      unitDrives: frame.unitDrives,
      unitSteers: frame.unitSteers,
      stickPct: [...frame.stickPct],
      gainPct: [...frame.gainPct],
      fade: [...frame.fade],
      believedRatesDegPerS: [...frame.believedRatesDegPerS],
      believedRollDeg: frame.believedRollDeg,
      believedPitchDeg: frame.believedPitchDeg,
      correctionPct: [...frame.correctionPct],
      portsUs: [...frame.portsUs],
      servoDeg: [...frame.servoDeg],
      surfaceDeg: [...frame.surfaceDeg],
      motorPct: [...frame.motorPct],
      attitudeDeg: { ...attitude },
      ratesDegPerS: { ...rates },
      twin: describeFrame(setup, frame),
      answers,
      movement,
      heard,
    };
  }
}
