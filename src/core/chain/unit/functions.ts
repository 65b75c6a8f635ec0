import type { Axis, ChannelFunction, UnitSettings } from '../../setup';

type Weights = Partial<Record<Axis, number>>;

/**
 * How a servo signal is made of the three axes, in pulse terms: a mixed pair is sum and difference.
 * Signs of the axes themselves are the unit's senses; the sides of a pair are fixed here.
 */
const AXIS_WEIGHTS: Partial<Record<ChannelFunction, Weights>> = {
  aileron: { roll: 1 },
  aileron2: { roll: 1 },
  'flaperon-left': { roll: 1 },
  'flaperon-right': { roll: 1 },
  elevator: { pitch: 1 },
  elevator2: { pitch: 1 },
  rudder: { yaw: 1 },
  wheel: { yaw: 1 },
  steering: { yaw: 1 },
  'elevon-left': { pitch: 1, roll: 1 },
  'elevon-right': { pitch: 1, roll: -1 },
  'vtail-left': { pitch: 1, yaw: -1 },
  'vtail-right': { pitch: 1, yaw: 1 },
};

export function axisWeights(carries: ChannelFunction): Weights {
  return AXIS_WEIGHTS[carries] ?? {};
}

/** What an output really carries once the unit's own mixer is set for this wing. */
export function mixedFunction(
  wingType: UnitSettings['wingType'],
  carries: ChannelFunction,
): ChannelFunction {
  if (wingType === 'delta') {
    if (carries === 'aileron') return 'elevon-left';
    if (carries === 'elevator') return 'elevon-right';
  }
  if (wingType === 'v-tail') {
    if (carries === 'elevator') return 'vtail-left';
    if (carries === 'rudder') return 'vtail-right';
  }
  return carries;
}

/** Which function stands in on an output when no channel of its own arrives. */
export const STAND_IN: Partial<Record<ChannelFunction, ChannelFunction>> = {
  aileron2: 'aileron',
  elevator2: 'elevator',
  wheel: 'rudder',
  steering: 'rudder',
  throttle2: 'throttle',
  flap2: 'flap',
};

/** Which inputs tell the unit where the stick of an axis is, best first; pairs are un-mixed. */
export const STICK_SOURCES: Readonly<
  Record<Axis, readonly (readonly { carries: ChannelFunction; weight: number }[])[]>
> = {
  roll: [
    [{ carries: 'aileron', weight: 1 }],
    [
      { carries: 'elevon-left', weight: 0.5 },
      { carries: 'elevon-right', weight: -0.5 },
    ],
    [
      { carries: 'flaperon-left', weight: 0.5 },
      { carries: 'flaperon-right', weight: 0.5 },
    ],
  ],
  pitch: [
    [{ carries: 'elevator', weight: 1 }],
    [
      { carries: 'elevon-left', weight: 0.5 },
      { carries: 'elevon-right', weight: 0.5 },
    ],
    [
      { carries: 'vtail-left', weight: 0.5 },
      { carries: 'vtail-right', weight: 0.5 },
    ],
  ],
  yaw: [
    [{ carries: 'rudder', weight: 1 }],
    [{ carries: 'steering', weight: 1 }],
    [
      { carries: 'vtail-left', weight: -0.5 },
      { carries: 'vtail-right', weight: 0.5 },
    ],
  ],
};
