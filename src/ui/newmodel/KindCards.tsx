import { useMemo } from 'react';
import type { UseFormRegisterReturn } from 'react-hook-form';
import { buildAirframe, usualAnswers } from '@/core/catalogue';
import { AIRFRAME_KINDS, kindEntry } from '@/core/setup';
import { Silhouette } from '../drawing/Silhouette';
import { RadioCard } from './RadioCard';

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
          <RadioCard
            key={id}
            field={field}
            value={id}
            className="flex-col items-center gap-1 text-center"
          >
            <Silhouette airframe={airframe} className="h-16 w-full" />
            {kindEntry(id).title}
          </RadioCard>
        ))}
      </div>
    </fieldset>
  );
}
