import { functionOf, type ChannelFunction, type Setup } from '../setup';
import { leadsOf } from './leads';

/** The wiring as it is drawn: channels, the unit's plugs, servos and motors, each from top to bottom. */
export interface Drawn {
  /** Each with the plug that outputs it; without one where the unit uses it internally. */
  channels: { channel: number; words: string; port: string | undefined }[];
  plugs: { port: string; label: string; onReceiver: boolean; words: string }[];
  ends: { label: string; port: string; yLead: boolean }[];
  /** Servos and motors not plugged in. */
  unplugged: string[];
}

/** The plug that outputs a function; undefined for an order to the unit or an input of its mix. */
export const portFor = ({ unit }: Pick<Setup, 'unit'>, carries: ChannelFunction) =>
  unit.settings.outputs.find((o) => o.carries === carries)?.port;

export function drawn(setup: Setup): Drawn {
  const { program, unit, airframe, installation } = setup;
  const leads = leadsOf(setup);
  return {
    channels: program.outputs
      .map(({ channel, carries }) => ({
        channel,
        words: functionOf(carries).words,
        port: portFor(setup, carries),
      }))
      .toSorted((a, b) => a.channel - b.channel),
    plugs: unit.traits.ports.map(({ id, label, on }) => {
      const lead = leads.find((l) => l.port === id);
      const steadied = lead?.steadied ? ', stabilized' : '';
      return {
        port: id,
        label,
        onReceiver: on === 'receiver',
        words: lead ? `${lead.carries}${steadied}` : 'empty',
      };
    }),
    ends: leads.flatMap(({ port, ends, yLead }) => ends.map((label) => ({ label, port, yLead }))),
    unplugged: [...airframe.servos, ...airframe.motors]
      .filter((a) => !installation.plugs.some((p) => p.drives.includes(a.id)))
      .map((a) => a.label),
  };
}
