import { useMemo } from 'react';
import type { UseFormRegisterReturn } from 'react-hook-form';
import { buildAirframe, usualAnswers } from '@/core/catalogue';
import { AIRFRAME_KINDS, kindEntry } from '@/core/setup';
import { Silhouette } from '../drawing/Silhouette';

/** Drawings to start from, one chosen. */
export function KindCards({ field }: { field: UseFormRegisterReturn<'kind'> }) {
  const drawings = useMemo(
    () => AIRFRAME_KINDS.map((id) => ({ id, airframe: buildAirframe(usualAnswers(id)) })),
    [],
  );
  return (
    <fieldset>
      <legend className="font-semibold">What is it?</legend>
      <div className="mt-1 grid grid-cols-2 gap-2 sm:grid-cols-4">
        {drawings.map(({ id, airframe }) => (
          <label
            key={id}
            className="has-checked:border-accent relative flex flex-col items-center gap-1 rounded-md border border-(--card-edge) p-2 text-center text-sm leading-tight has-checked:bg-(--paper) has-focus-visible:outline-3 has-focus-visible:outline-(--focus)"
          >
            <input
              type="radio"
              value={id}
              className="absolute inset-0 h-full w-full cursor-pointer opacity-0"
              {...field}
            />
            <Silhouette airframe={airframe} className="h-16 w-full" />
            {kindEntry(id).title}
          </label>
        ))}
      </div>
    </fieldset>
  );
}
