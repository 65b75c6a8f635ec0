import type { Airframe, ChannelFunction, Transmitter, Unit } from '../setup';

/** Which function travels on which channel, 1-based. */
export type Assignment = { carries: ChannelFunction; channel: number }[];

/** What the unit must be sent plain when it mixes a pair itself. */
const PLAIN_OF_PAIR: Partial<Record<ChannelFunction, ChannelFunction[]>> = {
  'elevon-left': ['aileron', 'elevator'],
  'elevon-right': ['aileron', 'elevator'],
  'vtail-left': ['elevator', 'rudder'],
  'vtail-right': ['elevator', 'rudder'],
};

export type Mixer = 'unit' | 'transmitter';

/** Functions the transmitter must send for this airframe, sticks first, without mode and gain. */
export function neededFunctions(airframe: Airframe, mixer: Mixer): ChannelFunction[] {
  const carried = [...airframe.servos, ...airframe.motors].map((a) => a.carries);
  const plain = carried.flatMap((f) => (mixer === 'unit' && PLAIN_OF_PAIR[f]) || [f]);
  return [...new Set(plain)];
}

/**
 * Puts functions on channels: a fixed order of the unit first, else the transmitter's usual order;
 * what is left goes on the lowest free channels. Channels beyond what exists are not given out.
 */
export function assignChannels(
  functions: readonly ChannelFunction[],
  unit: Unit,
  transmitter: Transmitter,
): Assignment {
  const { inputOrder, inputChannels } = unit.traits;
  const order = inputOrder.kind === 'fixed' ? inputOrder.order : transmitter.defaultOrder;
  const link = transmitter.linkVariants.find((v) => v.id === transmitter.link)!;
  const last = Math.min(inputChannels, transmitter.channels, link.channels);
  const assignment: Assignment = [];
  for (const carries of functions) {
    const usual = order.indexOf(carries) + 1;
    if (usual > 0 && usual <= last) assignment.push({ carries, channel: usual });
  }
  const reserved = new Set(assignment.map((a) => a.channel));
  if (inputOrder.kind === 'fixed') order.forEach((_, i) => reserved.add(i + 1));
  for (const carries of functions) {
    if (assignment.some((a) => a.carries === carries)) continue;
    let channel = 1;
    while (reserved.has(channel)) channel += 1;
    if (channel > last) continue;
    reserved.add(channel);
    assignment.push({ carries, channel });
  }
  return assignment.sort((a, b) => a.channel - b.channel);
}
