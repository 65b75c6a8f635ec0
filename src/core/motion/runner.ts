import {
  compileChain,
  openThrottle,
  releaseCut,
  type Chain,
  type Frame,
  type Memory,
  type Stimulus,
} from '../chain';
import { randomOf } from '../dice';
import type { Setup } from '../setup';
import { unitOf, CENTRAL, type Draw } from './estimates';
import { rungeKutta } from './rk4';
import type { Scenario } from './scenario';
import { Servos } from './servo';
import {
  attitudeOf,
  D,
  P,
  Q,
  R,
  RAD,
  readAttitude,
  setAttitude,
  STATES,
  toBody,
  U,
  W,
  V,
  type Attitude,
} from './state';
import { linearized, polesOf } from './linear';
import { cruising, restingControls, trimmed } from './trim';
import type { Controls, Vehicle } from './vehicle';
import { windOf } from './wind';

/** Steps of time, seconds: the body's, the unit's loop, the transmitter's frame. */
export interface Steps {
  bodyS: number;
  unitS: number;
  sendS: number;
}

/** Of a flight that is looked at: the unit’s loop as quick as usual ones. */
export const STEPS: Steps = { bodyS: 0.005, unitS: 0.005, sendS: 0.02 };
/** Of many flights, for heights and times: the largest that pass step halving; see `motion.test.ts`. */
export const BATCH: Steps = { bodyS: 0.01, unitS: 0.01, sendS: 0.02 };
/** A gyro's own low-pass. Planning figure. */
const GYRO_S = 0.006;
/** A model stands about so high above what it lands on, of its length. As drawn. */
const STANDS = 0.1;

/** Height of the balance point when it touches, metres. */
export const touchesM = ({ airframe }: Pick<Setup, 'airframe'>): number =>
  (STANDS * airframe.measures.lengthMm) / 1000;

/** Everything about a moment of a motion; reused for the next one, so what is to be kept is copied. */
export interface Moment {
  timeS: number;
  state: Float64Array;
  attitude: Attitude;
  heightM: number;
  /** Over the ground, and through the air. */
  speedMps: number;
  airspeedMps: number;
  frame: Frame;
  controls: Controls;
  hands: Float64Array;
  linkUp: boolean;
}

/** Reduces a motion to an answer without keeping it. */
export interface Observer<T> {
  /** @returns true where it has seen enough */
  see(moment: Moment): boolean | void;
  answer(): T;
}

export interface Pilot {
  setup: Setup;
  vehicle: Vehicle;
  chain: Chain;
  draw: Draw;
  /** The fastest thing about it at its usual speed, 1/s: a step must be short against it. */
  fastest: number;
}

export type Ready = { ok: true; pilot: Pilot } | { ok: false; reason: string };

/** A Setup made ready to fly: its chain round its body. */
export function readyToFly(setup: Setup, draw: Draw = CENTRAL): Ready {
  const flyable = trimmed(setup, draw);
  if (!flyable.ok) return flyable;
  return {
    ok: true,
    pilot: {
      setup,
      vehicle: flyable.vehicle,
      chain: compileChain(setup, unitOf(draw)),
      draw,
      fastest: fastestOf(setup, flyable.vehicle),
    },
  };
}

/** How fast the fastest of its own motions is: tiny models in fast air stop rolling within a thousandth of a second. */
function fastestOf(setup: Setup, vehicle: Vehicle): number {
  const controls = restingControls(setup);
  controls.motorPct.fill(vehicle.trim.motorPct);
  const poles = polesOf(linearized(vehicle.derivative(controls), cruising(setup, vehicle, 60)));
  return Math.max(1, ...poles.map(({ re, im }) => Math.hypot(re, im)));
}

/** A step times a pole may be so much: Runge–Kutta is stable to 2.78, and a dive is faster than the usual speed. */
const STIFF = 1.1;

/** Puts controls where they are named; `readScenario` refuses those a transmitter has not. */
function put(chain: Chain, hands: Float64Array, controls: Readonly<Record<string, number>>): void {
  for (const [id, value] of Object.entries(controls)) {
    const at = chain.layout.controls.get(id);
    if (at !== undefined) hands[at] = value;
  }
}

/** Controls as a scenario starts: at rest, ready to fly, the throttle where the usual speed needs it, then as it says. */
export function startingHands({ setup, chain, vehicle }: Pilot, scenario: Scenario): Float64Array {
  const hands = Float64Array.from(setup.transmitter.controls, (c) => c.rest);
  releaseCut(setup, hands);
  const frame = chain.newFrame();
  const stimulus = chain.restStimulus();
  let [low, high] = [0, 1];
  if (vehicle.trim.motorPct > 0)
    for (let i = 0; i < 18; i++) {
      const middle = (low + high) / 2;
      openThrottle(setup, hands, middle);
      stimulus.controls.set(hands);
      const memory = chain.newMemory();
      memory.armed = true;
      chain.step(stimulus, memory, frame);
      if ((frame.motorPct[0] ?? 0) < vehicle.trim.motorPct) low = middle;
      else high = middle;
    }
  openThrottle(setup, hands, vehicle.trim.motorPct > 0 ? high : 0);
  put(chain, hands, scenario.start.controls);
  return hands;
}

/** Body state at the start of a scenario. */
function startingState({ setup, vehicle }: Pilot, { start }: Scenario): Float64Array {
  const y = cruising(setup, vehicle, start.heightM);
  const usual = attitudeOf(y);
  const speed = Math.hypot(y[U]!, y[W]!);
  const to = start.speedMps ?? speed;
  // Another speed is flown at the same angle to the wind.
  y[U] = (y[U]! * to) / speed;
  y[W] = (y[W]! * to) / speed;
  setAttitude(y, {
    rollDeg: start.rollDeg,
    pitchDeg: start.pitchDeg ?? usual.pitchDeg,
    headingDeg: start.headingDeg,
  });
  y[P] = (start.rates.rollDegS ?? 0) * RAD;
  y[Q] = (start.rates.pitchDegS ?? 0) * RAD;
  y[R] = (start.rates.yawDegS ?? 0) * RAD;
  return y;
}

/** How long before the start the program and the unit stand as they are, so that delays and latches are over. */
const BEFORE_S = 3;
/** One control after another, where the order matters. */
const BETWEEN_S = 0.1;

/** A flight that is under way: the chain closed round the body, each joint on its own step. */
export interface Flight {
  /** Where it is now; the same object with every step. */
  moment: Moment;
  /** Moves controls: sent with the next frame of the transmitter. */
  hand(controls: Readonly<Record<string, number>>): void;
  /** Loses the signal, or restores it. */
  signal(up: boolean): void;
  /** Whether the next step sends: what was moved until now counts from there. */
  sends(): boolean;
  /** One step of the body. @returns false where it is over: its time is up, or it is on the ground */
  step(): boolean;
}

/** Puts a model into the start of a scenario. */
export function begin(pilot: Pilot, scenario: Scenario, steps: Steps = STEPS): Flight {
  const { setup, chain, vehicle, draw } = pilot;
  const hands = startingHands(pilot, scenario);
  const y = startingState(pilot, scenario);
  const stimulus: Stimulus = chain.restStimulus();
  stimulus.controls.set(hands);
  const memory: Memory = chain.newMemory();
  memory.armed = true;
  const frame = chain.newFrame();
  const controls: Controls = {
    surfaceDeg: new Float64Array(setup.airframe.surfaces.length),
    motorPct: frame.motorPct,
    wind: new Float64Array(3),
  };
  const servos = new Servos(setup.airframe.servos, draw.servo);
  const sent = new Float64Array(setup.airframe.servos.length);
  const attitude = attitudeOf(y);
  const groundM = touchesM(setup);
  const airspeed = Math.hypot(y[U]!, y[V]!, y[W]!);
  const wind = windOf(scenario.wind, randomOf(scenario.seed), airspeed);
  const rates = Float64Array.of(y[P]!, y[Q]!, y[R]!);
  const derivative = vehicle.derivative(controls);
  const integrate = rungeKutta(STATES);

  const feel = (dtS: number) => {
    stimulus.rollDeg = attitude.rollDeg;
    stimulus.pitchDeg = attitude.pitchDeg;
    stimulus.rollRateDegPerS = rates[0]! / RAD;
    stimulus.pitchRateDegPerS = rates[1]! / RAD;
    stimulus.yawRateDegPerS = rates[2]! / RAD;
    stimulus.dtS = dtS;
  };
  // What the hands did before, the model held level and still; then latches, delays and slow channels come to rest.
  const stand = (forS: number) => {
    stimulus.dtS = steps.sendS;
    for (let t = 0; t < forS; t += steps.sendS) chain.step(stimulus, memory, frame);
  };
  for (const move of scenario.start.before)
    if ('waitS' in move) stand(move.waitS);
    else {
      put(chain, stimulus.controls, { [move.control]: move.value });
      stand(BETWEEN_S);
    }
  stand(BEFORE_S);
  feel(0);
  chain.step(stimulus, memory, frame);
  servos.put(frame.servoDeg);
  sent.set(frame.servoDeg);
  controls.surfaceDeg.set(frame.surfaceDeg);
  // The wind carries it from the first moment: its speed is through the air.
  wind(0, controls.wind);
  const gust = new Float64Array(3);
  toBody(y, controls.wind, gust);
  for (const [i, at] of [U, V, W].entries()) y[at]! += gust[i]!;

  const moment: Moment = {
    timeS: 0,
    state: y,
    attitude,
    heightM: -y[D]!,
    speedMps: Math.hypot(y[U]!, y[V]!, y[W]!),
    airspeedMps: airspeed,
    frame,
    controls,
    hands: stimulus.controls,
    linkUp: true,
  };
  let [nextSend, nextUnit, nextHand, nextSignal] = [0, 0, 0, 0];
  const smooth = 1 - Math.exp(-steps.bodyS / GYRO_S);
  const count = Math.round(scenario.seconds / steps.bodyS);
  const parts = Math.ceil((steps.bodyS * pilot.fastest) / STIFF);
  let i = 0;
  let over = false;
  const sends = () => i * steps.bodyS >= nextSend - 1e-9;
  const step = () => {
    if (over) return false;
    const t = i * steps.bodyS;
    if (sends()) {
      nextSend += steps.sendS;
      for (
        ;
        nextHand < scenario.hands.length && scenario.hands[nextHand]!.atS <= t + 1e-9;
        nextHand++
      )
        put(chain, stimulus.controls, scenario.hands[nextHand]!.controls);
      for (
        ;
        nextSignal < scenario.signal.length && scenario.signal[nextSignal]!.atS <= t + 1e-9;
        nextSignal++
      )
        stimulus.linkUp = scenario.signal[nextSignal]!.up;
      feel(steps.sendS);
      chain.send(stimulus, memory, frame);
    }
    if (t >= nextUnit - 1e-9) {
      nextUnit += steps.unitS;
      feel(steps.unitS);
      chain.unit(stimulus, memory, frame);
      chain.servos(frame);
      sent.set(frame.servoDeg);
    }
    servos.step(t, steps.bodyS, sent);
    frame.servoDeg.set(servos.deg);
    chain.surfaces(frame);
    controls.surfaceDeg.set(frame.surfaceDeg);
    wind(t, controls.wind);
    for (let k = 0; k < parts; k++) integrate(derivative, y, steps.bodyS / parts);
    i += 1;
    over = i >= count || !Number.isFinite(y[U]!);
    if (over && i < count) return false;
    readAttitude(y, attitude);
    rates[0]! += smooth * (y[P]! - rates[0]!);
    rates[1]! += smooth * (y[Q]! - rates[1]!);
    rates[2]! += smooth * (y[R]! - rates[2]!);
    moment.timeS = t + steps.bodyS;
    moment.heightM = -y[D]!;
    toBody(y, controls.wind, gust);
    moment.speedMps = Math.hypot(y[U]!, y[V]!, y[W]!);
    moment.airspeedMps = Math.hypot(y[U]! - gust[0]!, y[V]! - gust[1]!, y[W]! - gust[2]!);
    moment.linkUp = stimulus.linkUp;
    over ||= moment.heightM <= groundM;
    return !over;
  };
  return {
    moment,
    hand: (moved) => put(chain, stimulus.controls, moved),
    signal(up) {
      stimulus.linkUp = up;
    },
    sends,
    step,
  };
}

/** Plays a scenario: ends with its time, with the ground, or when every observer has seen enough. */
export function play(
  pilot: Pilot,
  scenario: Scenario,
  observers: readonly Observer<unknown>[],
  steps: Steps = STEPS,
): void {
  const flight = begin(pilot, scenario, steps);
  const waiting = new Set(observers);
  const show = () => {
    for (const o of waiting) if (o.see(flight.moment) === true) waiting.delete(o);
  };
  show();
  let goesOn = true;
  while (goesOn && (waiting.size > 0 || observers.length === 0)) {
    goesOn = flight.step();
    if (!Number.isFinite(flight.moment.state[U]!)) return;
    show();
  }
}
