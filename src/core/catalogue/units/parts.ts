import {
  MOUNTINGS,
  type ChannelFunction,
  type Port,
  type Unit,
  type UnitSettings,
  type UnitTraits,
} from '../../setup';

/** Numbered ports 1…n, all able to stabilize. */
export function numberedPorts(count: number): Port[] {
  return Array.from({ length: count }, (_, i) => ({
    id: `${i + 1}`,
    label: `Port ${i + 1}`,
    canStabilize: true,
  }));
}

/** Ports named after what must be plugged into them. */
export function labelledPorts(
  names: readonly { carries: ChannelFunction; label: string; canStabilize: boolean }[],
): Port[] {
  return names.map(({ carries, label, canStabilize }) => ({
    id: carries,
    label,
    labelledFor: carries,
    canStabilize,
  }));
}

/** Three equal bands across the nominal travel, far to near. Common practice, no source. */
export const THREE_BANDS = [
  { fromUs: 800, toUs: 1333, slot: 0 },
  { fromUs: 1333, toUs: 1667, slot: 1 },
  { fromUs: 1667, toUs: 2200, slot: 2 },
];
export const TWO_BANDS = [
  { fromUs: 800, toUs: 1500, slot: 0 },
  { fromUs: 1500, toUs: 2200, slot: 1 },
];

const AXIS = { gainPct: 100, secondGainPct: 100, reversed: false, fadePct: 100, holdAllowed: true };

const TRAITS: UnitTraits = {
  place: 'receiver',
  axes: ['roll', 'pitch', 'yaw'],
  inputChannels: 8,
  ports: numberedPorts(8),
  inputOrder: { kind: 'free' },
  mixer: 'either',
  modes: ['off', 'rate', 'level'],
  modeSelect: { by: 'bands', bands: THREE_BANDS },
  slotsSettable: true,
  gainLaw: 'full-range',
  dials: 'none',
  axisGains: true,
  maxGainLimit: false,
  gainLeadMissing: 'zero',
  correctionDirection: 'menu',
  nominalSense: { roll: 1, pitch: -1, yaw: 1 },
  orientations: [...MOUNTINGS],
  stabilizedOutputs: 'chosen',
  portReverse: false,
  stickFade: 'adjustable',
  captureGestures: ['menu'],
  arming: 'always',
  armThrottlePct: 0,
  panic: 'mode-band',
  failsafe: ['preset', 'hold', 'no-pulses'],
  lights: [
    { mode: 'off', colour: 'none', blinks: 0 },
    { mode: 'rate', colour: 'green', blinks: 1 },
    { mode: 'level', colour: 'blue', blinks: 1 },
  ],
  twitchesAtPowerUp: 1,
  extras: [],
};

const SETTINGS: UnitSettings = {
  wingType: 'normal',
  inputs: [],
  outputs: [],
  slots: ['off', 'rate', 'level'],
  axes: { roll: { ...AXIS }, pitch: { ...AXIS }, yaw: { ...AXIS, holdAllowed: false } },
  sensitivity: 1,
  orientation: 'nose-up',
  levelOffsetDeg: { roll: 0, pitch: 0 },
  angleLimitsDeg: { roll: 60, pitchUp: 50, pitchDown: 40 },
  servoFrameMs: 20,
};

/** Where dials that go from least to most in one turn are put first: a third of it. */
export const DIAL_START_PCT = 33;

/** The axes as usual, with this much gain each. */
export const atGain = (gainPct: number): UnitSettings['axes'] => ({
  roll: { ...AXIS, gainPct },
  pitch: { ...AXIS, gainPct },
  yaw: { ...AXIS, holdAllowed: false, gainPct },
});

/** A unit from the usual one by what differs; the mapping of inputs and outputs is the planner's. */
export function unit(
  name: string,
  description: string,
  traits: Partial<UnitTraits>,
  settings: Partial<UnitSettings> = {},
): Unit {
  return {
    name,
    description,
    traits: { ...TRAITS, ...traits },
    settings: { ...structuredClone(SETTINGS), ...settings },
  };
}

/** Plugs that stay on the ordinary receiver when only some servos go through the unit. */
export function receiverPorts(count: number): Port[] {
  return Array.from({ length: count }, (_, i) => ({
    id: `rx${i + 1}`,
    label: `Receiver ${i + 1}`,
    canStabilize: false,
    on: 'receiver' as const,
  }));
}
