import { roleOf, type ChannelFunction, type Unit, type UnitSettings } from '../setup';
import { bareOutput } from './lens';

/**
 * Another unit of the same kind as it comes out of a reset: what is printed on its plugs and what is
 * fixed in it is there, nothing else is.
 */
export function shippedUnit(unit: Unit): Unit {
  const { traits } = unit;
  const settings: UnitSettings = JSON.parse(
    JSON.stringify(unit.shipped ?? unit.settings),
  ) as UnitSettings;
  const order = traits.inputOrder.kind === 'fixed' ? traits.inputOrder.order : [];
  settings.inputs = order.map((carries, i) => ({ carries, channel: i + 1 }));
  settings.outputs = traits.ports.flatMap((port) =>
    port.labelledFor
      ? [
          {
            ...bareOutput(port.id, port.labelledFor),
            stabilized: port.canStabilize && steers(port.labelledFor),
          },
        ]
      : [],
  );
  return { ...unit, settings };
}

const steers = (carries: ChannelFunction) =>
  roleOf(carries) === 'steering' || roleOf(carries) === 'free';
