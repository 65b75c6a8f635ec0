import type { UseFormRegisterReturn } from 'react-hook-form';
import type { HangarPart } from '@/server/hangar';
import { UnitPicture } from '../drawing/UnitPicture';
import { RadioCard } from './RadioCard';

/** Units by how they look and what they are, one chosen: for whoever has none of it in writing. */
export function UnitCards({
  units,
  field,
}: {
  units: readonly Extract<HangarPart, { kind: 'unit' }>[];
  field: UseFormRegisterReturn<'unit'>;
}) {
  return (
    <fieldset>
      <legend className="font-semibold">Which unit is most like yours?</legend>
      <div className="mt-1 grid gap-2 sm:grid-cols-2">
        {units.map(({ id, body, shipped }) => (
          <RadioCard key={id} field={field} value={id} className="gap-3">
            <UnitPicture unit={body} className="h-16 w-20 shrink-0" />
            <span>
              <strong>
                {body.name}
                {shipped ? '' : ' (yours)'}
              </strong>
              <span className="text-soft mt-1 block">{body.description}</span>
            </span>
          </RadioCard>
        ))}
      </div>
    </fieldset>
  );
}
