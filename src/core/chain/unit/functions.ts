import {
  functionOf,
  type Axis,
  type ChannelFunction,
  type UnitSettings,
  type UnitTraits,
} from '../../setup';

type Weights = Partial<Record<Axis, number>>;

/** How a servo signal is made of the three axes; signs of the axes themselves are the unit's senses. */
export const axisWeights = (carries: ChannelFunction): Weights => functionOf(carries).axes ?? {};

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

/** Whether a unit can be set to mix for a delta or a V-tail by itself. */
export const mixesItself = ({ mixer, axes, ports }: UnitTraits): boolean =>
  mixer !== 'transmitter' && axes.length > 1 && !ports.some((p) => p.labelledFor === 'steering');

/** Axes whose sticks a unit takes apart and mixes itself, by the wing it is set to. */
export const MIXED_AXES: Partial<Record<UnitSettings['wingType'], readonly Axis[]>> = {
  delta: ['roll', 'pitch'],
  'v-tail': ['pitch', 'yaw'],
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
