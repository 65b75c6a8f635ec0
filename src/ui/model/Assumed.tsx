'use client';

import { isAssumed, measureTaken, type Measures } from '@/core/setup';
import { useModel } from '../open/modelStore';

/** Says of a measure that it is only the usual one so far, and takes it as right when told so. */
export function Assumed({ measure, words }: { measure: keyof Measures; words: string }) {
  const airframe = useModel((s) => s.setup.airframe);
  const edit = useModel((s) => s.edit);
  if (!isAssumed(airframe, measure)) return null;
  return (
    <button
      type="button"
      className="text-soft min-h-11 text-left text-sm underline decoration-dotted"
      onClick={() => void edit(measureTaken(airframe, measure), `${words}: right as assumed`)}
    >
      assumed: confirm?
    </button>
  );
}
