import type { Mode, Setup } from '../setup';

/** Where each named thing sits in the arrays of a frame. Channel 1 is index 0. */
export interface Layout {
  controls: ReadonlyMap<string, number>;
  inputs: ReadonlyMap<string, number>;
  logic: ReadonlyMap<string, number>;
  variables: ReadonlyMap<string, number>;
  channels: number;
  ports: ReadonlyMap<string, number>;
  servos: ReadonlyMap<string, number>;
  surfaces: ReadonlyMap<string, number>;
  motors: ReadonlyMap<string, number>;
}

/** What the world does to the chain in one moment. Angles in degrees, rates in degrees a second. */
export interface Stimulus {
  /** −100…+100, in the order of the transmitter's control list. */
  controls: Float64Array;
  linkUp: boolean;
  /** Satellite position known; matters only to units that wait for it. */
  positionFix: boolean;
  rollDeg: number;
  pitchDeg: number;
  rollRateDegPerS: number;
  pitchRateDegPerS: number;
  yawRateDegPerS: number;
  /** Time since the step before; 0 asks a question without letting time pass. */
  dtS: number;
}

/** Every value along the chain at one moment. Axis arrays are roll, pitch, yaw. */
export interface Frame {
  inputsPct: Float64Array;
  variablesPct: Float64Array;
  logic: Uint8Array;
  channelsPct: Float64Array;
  sentUs: Float64Array;
  /** NaN where nothing arrives. */
  receivedUs: Float64Array;
  mode: Mode;
  slot: number;
  armed: boolean;
  /** It holds the throttle off: asked to level or come home before it knows where it is. */
  throttleRefused: boolean;
  recovering: boolean;
  /**
   * What the unit works by itself just now, an autopilot on its way home say: the motor, the surfaces.
   * `motorPct` and `surfaceDeg` then hold what the sticks would give; who asks what really happens asks
   * `motorRange` and `surfaceRange`.
   */
  unitDrives: boolean;
  unitSteers: boolean;
  /** The signal is lost and the unit's own failsafe has taken over. */
  failsafeActive: boolean;
  /** Stick as the unit reads it, in its own sense. */
  stickPct: Float64Array;
  gainPct: Float64Array;
  /** The gain channel is on the side below its middle. */
  belowMiddle: boolean;
  fade: Float64Array;
  believedRatesDegPerS: Float64Array;
  believedRollDeg: number;
  believedPitchDeg: number;
  /** What the unit adds on each axis: positive asks for roll right, nose up, nose right. */
  correctionPct: Float64Array;
  /** The part of it that holds an attitude. */
  heldPct: Float64Array;
  portsUs: Float64Array;
  servoDeg: Float64Array;
  /** Trailing edge down positive; left positive on upright surfaces and wheels. */
  surfaceDeg: Float64Array;
  motorPct: Float64Array;
  /** Which of `RESTS_ON` this moment rests on, as bits. */
  restsOn: number;
}

/**
 * Traits that count in some moments only, a bit each. A moment without the bit of a trait comes out the same with any
 * value of it, but for `fade`; the chain sets a bit where it reads the trait.
 */
export const RESTS_ON = { arming: 1, gainLead: 2, fade: 4, fullStick: 8, signalLost: 16 } as const;

/** All state that outlives a step. Passed in, changed, passed on. */
export interface Memory {
  /** Two numbers for each logic entry: see logic.ts. */
  logic: Float64Array;
  /** Where slow channels are on their way, in percent; NaN before the first moment. */
  slowPct: Float64Array;
  lastReceivedUs: Float64Array;
  lastPortsUs: Float64Array;
  /** Angle drifted from where the stick was let go, per axis. */
  holdErrorDeg: Float64Array;
  lastGainUs: number;
  armed: boolean;
  recoveryHeldS: number;
}

const index = (ids: readonly { id: string }[]) => new Map(ids.map((item, i) => [item.id, i]));

export function layoutOf(setup: Setup): Layout {
  return {
    controls: index(setup.transmitter.controls),
    inputs: index(setup.program.inputs),
    logic: index(setup.program.logic),
    variables: index(setup.program.variables),
    channels: setup.transmitter.channels,
    ports: index(setup.unit.traits.ports),
    servos: index(setup.airframe.servos),
    surfaces: index(setup.airframe.surfaces),
    motors: index(setup.airframe.motors),
  };
}

export function newFrame(layout: Layout): Frame {
  return {
    inputsPct: new Float64Array(layout.inputs.size),
    variablesPct: new Float64Array(layout.variables.size),
    logic: new Uint8Array(layout.logic.size),
    channelsPct: new Float64Array(layout.channels),
    sentUs: new Float64Array(layout.channels),
    receivedUs: new Float64Array(layout.channels),
    mode: 'off',
    slot: 0,
    armed: false,
    throttleRefused: false,
    recovering: false,
    unitDrives: false,
    unitSteers: false,
    failsafeActive: false,
    stickPct: new Float64Array(3),
    gainPct: new Float64Array(3),
    belowMiddle: false,
    fade: new Float64Array(3),
    believedRatesDegPerS: new Float64Array(3),
    believedRollDeg: 0,
    believedPitchDeg: 0,
    correctionPct: new Float64Array(3),
    heldPct: new Float64Array(3),
    portsUs: new Float64Array(layout.ports.size),
    servoDeg: new Float64Array(layout.servos.size),
    surfaceDeg: new Float64Array(layout.surfaces.size),
    motorPct: new Float64Array(layout.motors.size),
    restsOn: 0,
  };
}

/** Puts a memory back to what it was before the first moment. */
export function resetMemory(memory: Memory): void {
  memory.logic.fill(0);
  memory.slowPct.fill(NaN);
  memory.lastReceivedUs.fill(NaN);
  memory.lastPortsUs.fill(NaN);
  memory.holdErrorDeg.fill(0);
  memory.lastGainUs = NaN;
  memory.armed = false;
  memory.recoveryHeldS = 0;
}

export function newMemory(layout: Layout): Memory {
  const memory: Memory = {
    logic: new Float64Array(layout.logic.size * 2),
    slowPct: new Float64Array(layout.channels),
    lastReceivedUs: new Float64Array(layout.channels),
    lastPortsUs: new Float64Array(layout.ports.size),
    holdErrorDeg: new Float64Array(3),
    lastGainUs: NaN,
    armed: false,
    recoveryHeldS: 0,
  };
  resetMemory(memory);
  return memory;
}
