import { mixedFunction } from '../chain';
import { roleOf, type Airframe, type Plug, type Unit, type UnitSettings } from '../setup';
import { mixerOf, type Mixer } from './functions';

const WING_TYPES: Partial<Record<Airframe['kind'], UnitSettings['wingType']>> = {
  'flying-wing': 'delta',
  'v-tail': 'v-tail',
  'inverted-v-tail': 'v-tail',
  car: 'steering',
  boat: 'steering',
};

/** The wing type to set in a unit that mixes by itself. */
export function wingTypeOf(
  airframe: Airframe,
  unit: Unit,
  mixer?: Mixer,
): UnitSettings['wingType'] {
  return mixerOf(unit, mixer) === 'unit' ? (WING_TYPES[airframe.kind] ?? 'normal') : 'normal';
}

/** Puts every servo and motor in a port: the labelled one, else the next free one; `loose` lists what finds none. */
export function plugIn(
  airframe: Airframe,
  unit: Unit,
  mixer?: Mixer,
): { plugs: Plug[]; outputs: UnitSettings['outputs']; loose: string[] } {
  const plugs: Plug[] = [];
  const outputs: UnitSettings['outputs'] = [];
  const loose: string[] = [];
  const { ports } = unit.traits;
  const wingType = wingTypeOf(airframe, unit, mixer);
  const bases = ['aileron', 'elevator', 'rudder'] as const;
  for (const actuator of [...airframe.servos, ...airframe.motors]) {
    // An elevon depends on the port whose function the unit's mixer turns into that elevon.
    const base =
      bases.find((f) => mixedFunction(wingType, f) === actuator.carries) ?? actuator.carries;
    const steers = roleOf(base) === 'steering';
    const free = ports.filter((p) => !outputs.some((o) => o.port === p.id));
    const output = outputs.find((o) => o.carries === base);
    // A second plug with the same label takes the second servo; else both go on a Y-lead.
    if (output && !free.some((p) => p.labelledFor === base)) {
      const plug = plugs.find((p) => p.port === output.port)!;
      plug.lead = 'y-lead';
      plug.drives.push(actuator.id);
      continue;
    }
    // Flaps, gear and motors keep out of a bank that is stabilized.
    const [bank, otherBank] = steers ? [1, 2] : [2, 1];
    const open = free.filter((p) => p.labelledFor === undefined);
    const port =
      free.find((p) => p.labelledFor === base) ??
      open.find((p) => p.bank === bank) ??
      open.find((p) => p.bank !== otherBank) ??
      open[0] ??
      free.find((p) => p.labelledFor && roleOf(p.labelledFor) === 'free');
    if (!port) {
      loose.push(actuator.label.toLowerCase());
      continue;
    }
    outputs.push({
      port: port.id,
      carries: base,
      // Where nobody can choose an output, whatever is plugged in is stabilized.
      stabilized: port.canStabilize && (steers || unit.traits.stabilizedOutputs !== 'chosen'),
      maxGainPct: 100,
      reversed: false,
      correctionReversed: false,
    });
    plugs.push({ port: port.id, lead: 'plain', drives: [actuator.id] });
  }
  return { plugs, outputs, loose };
}

/** Banks that must be stabilized: those with something in them that steers. */
export function banksFor(unit: Unit, outputs: UnitSettings['outputs']): number[] | undefined {
  if (unit.traits.stabilizedOutputs !== 'two-banks') return undefined;
  const banks = outputs.flatMap((o) => {
    const bank = unit.traits.ports.find((p) => p.id === o.port)?.bank;
    return bank !== undefined && roleOf(o.carries) === 'steering' ? [bank] : [];
  });
  return [...new Set(banks)].toSorted();
}
