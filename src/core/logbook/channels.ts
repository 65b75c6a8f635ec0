import { axisFunction, axisWeights, mixedFunction } from '../chain';
import { AXES, type ChannelFunction, type Setup } from '../setup';

/** Channels that reach a surface through the unit: its own, or those of the sticks mixed into it. */
export function channelsReaching(setup: Setup, surfaceId: string): number[] {
  const { unit, installation, airframe } = setup;
  const surface = airframe.surfaces.find((s) => s.id === surfaceId);
  const plug = installation.plugs.find((p) => surface && p.drives.includes(surface.servo));
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
