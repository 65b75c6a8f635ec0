import { isSteadied } from '../chain';
import { functionOf, type Setup } from '../setup';

/** One plug of the unit (or of the receiver beside it) and what hangs on it. */
export interface Lead {
  port: string;
  portLabel: string;
  onReceiver: boolean;
  /** What it puts out, in words. */
  carries: string;
  steadied: boolean;
  yLead: boolean;
  /** Servos and motors by their labels; two on a Y-lead. */
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
        carries: output ? functionOf(output.carries).words : 'nothing',
        steadied: output !== undefined && isSteadied({ unit }, output),
        yLead: plug.lead === 'y-lead',
        ends: plug.drives.map((id) => actuators.find((a) => a.id === id)!.label),
      },
    ];
  });
}

/** Where the gain lead of a unit beside its receiver goes; undefined where there is none. */
export function gainLeadWords({ unit, installation }: Setup): string | undefined {
  const { traits, settings } = unit;
  if (traits.place === 'receiver' || traits.gainLaw === 'fixed') return undefined;
  const channel = settings.inputs.find((i) => i.carries === 'gain')?.channel;
  return installation.gainLead
    ? `Gain lead: from receiver channel ${channel} to the unit.`
    : 'Gain lead: not plugged in.';
}

/** One lead as a line of a list: "Servo 2: Left aileron servo and …; carries aileron". */
export const leadWords = ({ portLabel, onReceiver, ends, yLead, carries, steadied }: Lead) =>
  `${portLabel}${onReceiver ? ' (on the receiver)' : ''}: ${ends.join(' and ')}${yLead ? ', joined by a Y-lead' : ''}; carries ${carries}${steadied ? ', steadied by the unit' : ''}`;
