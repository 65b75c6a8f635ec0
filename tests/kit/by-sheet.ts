import { onReceiver, settingRows, shippedUnit } from '@/core/settings';
import type { Setup } from '@/core/setup';

/**
 * Another unit of the kind out of its box, behind the same receiver, with what the sheet says entered
 * and nothing else.
 */
export function bySheetAlone(setup: Setup): Setup {
  const { unit } = setup;
  const second = shippedUnit(unit);
  const { inputs, outputs } = second.settings;
  // What goes from the receiver in front straight to its servo is no setting of the unit.
  const beside = unit.traits.ports.flatMap((p) => (p.on === 'receiver' ? [p.id] : []));
  outputs.push(...structuredClone(unit.settings.outputs.filter((o) => beside.includes(o.port))));
  inputs.push(
    ...structuredClone(
      unit.settings.inputs.filter(
        (i) =>
          onReceiver(unit.traits, unit.settings, i.carries) &&
          !inputs.some((own) => own.carries === i.carries),
      ),
    ),
  );
  for (const row of settingRows(setup)) row.write(second.settings, row.value);
  return { ...setup, unit: second };
}
