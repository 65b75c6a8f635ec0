import type { UseFormRegisterReturn } from 'react-hook-form';

const ANSWERS = [
  ['yes', 'Yes, or I know the unit'],
  ['no', 'No: second-hand, or the leaflet is lost'],
] as const;

/** Whether anything is written about the unit; without it everything in its description is assumed, and asked later. */
export const Leaflet = ({ field }: { field: UseFormRegisterReturn<'leaflet'> }) => (
  <fieldset>
    <legend className="font-semibold">Have you the leaflet of the unit?</legend>
    <div className="mt-1 flex flex-wrap gap-x-6 gap-y-1">
      {ANSWERS.map(([value, words]) => (
        <label key={value} className="flex items-center gap-2">
          <input type="radio" value={value} {...field} />
          {words}
        </label>
      ))}
    </div>
    <p className="text-soft mt-1 text-sm">
      Without one, choose the unit that looks most like yours. What it does is only assumed then; on
      the bench, with the motor disconnected, you ask the unit itself.
    </p>
  </fieldset>
);
