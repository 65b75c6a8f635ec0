import type { UseFormRegisterReturn } from 'react-hook-form';
import { VARIANTS } from '@/core/model';
import type { Airframe } from '@/core/setup';
import { Fold } from '../parts/Fold';

/** What the drawing chosen does not have: added to it at once. */
export function Besides({
  plain,
  field,
}: {
  plain: Airframe;
  field: UseFormRegisterReturn<'besides'>;
}) {
  const fitting = VARIANTS.filter((v) => v.fits(plain));
  return (
    <Fold title="Built differently, or with more on it">
      <div className="grid gap-x-6 sm:grid-cols-2">
        {fitting.map((v) => (
          <label key={v.id} className="flex min-h-11 items-center gap-2">
            <input type="checkbox" value={v.id} className="h-5 w-5 accent-(--accent)" {...field} />
            {v.words}
          </label>
        ))}
      </div>
    </Fold>
  );
}
