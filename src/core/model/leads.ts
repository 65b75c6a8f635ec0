import type { Airframe, ChannelFunction } from '../setup';

/** The same model with leads of some servos and motors, by their ids, that carry something else. */
export function withLeads(
  airframe: Airframe,
  leads: Readonly<Record<string, ChannelFunction>>,
): Airframe {
  const carrying = <T extends { id: string; carries: ChannelFunction }>(list: readonly T[]): T[] =>
    list.map((a) => ({ ...a, carries: leads[a.id] ?? a.carries }));
  return { ...airframe, servos: carrying(airframe.servos), motors: carrying(airframe.motors) };
}
