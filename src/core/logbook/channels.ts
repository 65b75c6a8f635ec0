import { axisFunction, axisWeights, mixedFunction } from '../chain';
import { AXES, drivesOf, type ChannelFunction, type Setup } from '../setup';

/** Channels that reach a surface through the unit, by whichever of its servos: its own, or those of the sticks mixed into it. */
export function channelsReaching(setup: Setup, surfaceId: string): number[] {
  const surface = setup.airframe.surfaces.find((s) => s.id === surfaceId);
  if (!surface) return [];
  return [...new Set(drivesOf(surface).flatMap((drive) => channelsTo(setup, drive.servo)))];
}

function channelsTo(setup: Setup, servo: string): number[] {
  const { unit, installation } = setup;
  const plug = installation.plugs.find((p) => p.drives.includes(servo));
  const output = unit.settings.outputs.find((o) => o.port === plug?.port);
  if (!output) return [];
  const carries = mixedFunction(unit.settings.wingType, output.carries);
  const channelOf = (f: ChannelFunction) =>
    unit.settings.inputs.find((i) => i.carries === f)?.channel;
  const direct = channelOf(carries);
  const wanted =
    direct !== undefined
      ? [direct]
      : AXES.filter((axis) => axisWeights(carries)[axis]).map((axis) =>
          channelOf(axisFunction(setup, axis)),
        );
  return wanted.filter((c) => c !== undefined);
}
