import type { Mix, ProgramWishes } from './schema/intents';

/** Controls a mix names. */
export const controlsOfMix = (mix: Mix): string[] => [
  ...('control' in mix ? [mix.control] : []),
  ...('only' in mix && mix.only ? [mix.only.control] : []),
];

/** Every control that some choice names, once for each naming. */
export function controlsWished(wishes: ProgramWishes): string[] {
  const { modes, gain, rates, panic, cut, launch, flaps, gear, brake, mixes, devices, capture } =
    wishes;
  const ofGain =
    gain === undefined || gain.by === 'fixed'
      ? []
      : gain.by === 'axes'
        ? [gain.roll, gain.pitch, gain.yaw]
        : [
            gain.control,
            ...(gain.by === 'flap' ? [gain.off] : []),
            ...(gain.by === 'sets' ? [gain.knob] : []),
          ];
  return [
    ...(modes?.switches ?? []),
    ...ofGain,
    ...(rates.by === 'switch' ? [rates.control] : []),
    panic?.control,
    cut?.control,
    launch?.control,
    launch?.adjust,
    flaps?.control,
    gear?.control,
    brake?.control,
    ...(mixes ?? []).flatMap(controlsOfMix),
    ...(devices ?? []).map((d) => d.control),
    capture?.control,
  ].filter((id) => id !== undefined);
}
