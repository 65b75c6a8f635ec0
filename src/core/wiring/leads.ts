import { isSteadied } from '../chain';
import type { Named } from '../script';
import { functionOf, type ChannelFunction, type Setup } from '../setup';

/** One plug of the unit (or of the receiver beside it) and what it drives. */
export interface Lead {
  port: string;
  portLabel: string;
  onReceiver: boolean;
  /** The function on it, and its name. */
  function: ChannelFunction | undefined;
  carries: string;
  steadied: boolean;
  yLead: boolean;
  /** Servos and motors by id, and by their labels; two on a Y-lead. */
  drives: string[];
  ends: string[];
}

/** Every plug with something in it, in the order the unit has its plugs. */
export function leadsOf({ unit, installation, airframe }: Setup): Lead[] {
  const actuators = [...airframe.servos, ...airframe.motors];
  return unit.traits.ports.flatMap((port) => {
    const plug = installation.plugs.find((p) => p.port === port.id);
    if (!plug) return [];
    const output = unit.settings.outputs.find((o) => o.port === port.id);
    return [
      {
        port: port.id,
        portLabel: port.label,
        onReceiver: port.on === 'receiver',
        function: output?.carries,
        carries: output ? functionOf(output.carries).words : 'nothing',
        steadied: output !== undefined && isSteadied({ unit }, output),
        yLead: plug.lead === 'y-lead',
        drives: [...plug.drives],
        ends: plug.drives.map((id) => actuators.find((a) => a.id === id)!.label),
      },
    ];
  });
}

/** Where the gain lead of a unit beside its receiver goes; undefined where there is none. */
export function gainLeadOf({ unit, installation }: Setup): Named | undefined {
  const { traits, settings } = unit;
  if (traits.place === 'receiver' || traits.gainLaw === 'fixed') return undefined;
  const channel = settings.inputs.find((i) => i.carries === 'gain')?.channel;
  return installation.gainLead
    ? {
        id: `gain from ${channel}`,
        label: `Gain lead: from receiver channel ${channel} to the unit.`,
      }
    : { id: 'gain not plugged in', label: 'Gain lead: not plugged in.' };
}

/** One lead as a line of a list: "Servo 2: Left aileron servo and …; carries aileron". */
export const leadWords = ({ portLabel, onReceiver, ends, yLead, carries, steadied }: Lead) =>
  `${portLabel}${onReceiver ? ' (on the receiver)' : ''}: ${ends.join(' and ')}${yLead ? ', joined by a Y-lead' : ''}; carries ${carries}${steadied ? ', stabilized by the unit' : ''}`;

/** A lead by what it joins, whatever that is called. */
export const namedLead = (lead: Lead): Named => ({
  id: [
    lead.port,
    lead.onReceiver,
    lead.drives.join('+'),
    lead.function ?? 'nothing',
    lead.steadied,
  ].join(':'),
  label: leadWords(lead),
});
