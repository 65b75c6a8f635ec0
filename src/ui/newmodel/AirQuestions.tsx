import type { UseFormRegister } from 'react-hook-form';
import { kindOf, type AirframeKind } from '@/core/setup';
import type { NewModel } from '@/server/models';
import { Select } from '../parts/Select';
import { FormQuestion } from './FormQuestion';
import { MOTOR_WORDS, WHEEL_WORDS } from './words';

const EXTRAS = [
  ['flaps', 'flaps'],
  ['gear', 'retracts'],
  ['brake', 'a wheel brake'],
  ['recovery', 'panic recovery on a button'],
] as const;

/** What is asked of a model that flies. */
export function AirQuestions({
  register,
  kind,
  rudder,
}: {
  register: UseFormRegister<NewModel>;
  kind: AirframeKind;
  rudder: boolean;
}) {
  return (
    <>
      <div className="grid gap-4 sm:grid-cols-2">
        <FormQuestion words="How many motors?">
          <Select {...register('motors', { setValueAs: (v) => Number(v) as 0 | 1 | 2 })}>
            {Object.entries(MOTOR_WORDS).map(([id, words]) => (
              <option key={id} value={id}>
                {words}
              </option>
            ))}
          </Select>
        </FormQuestion>
        {(!kindOf({ kind }).pairedTail && !kindOf({ kind }).rudderOptional) || rudder ? (
          <FormQuestion words="Does a wheel steer?">
            <Select {...register('wheel')}>
              {Object.entries(WHEEL_WORDS).map(([id, words]) => (
                <option key={id} value={id}>
                  {words}
                </option>
              ))}
            </Select>
          </FormQuestion>
        ) : null}
      </div>
      <fieldset>
        <legend className="font-semibold">It also has</legend>
        <div className="flex flex-wrap gap-x-6">
          {kind === 'flying-wing' && (
            <label className="flex min-h-11 items-center gap-2">
              <input
                type="checkbox"
                className="h-5 w-5 accent-(--accent)"
                {...register('rudder')}
              />
              a rudder
            </label>
          )}
          {EXTRAS.map(([id, words]) => (
            <label key={id} className="flex min-h-11 items-center gap-2">
              <input type="checkbox" className="h-5 w-5 accent-(--accent)" {...register(id)} />
              {words}
            </label>
          ))}
        </div>
      </fieldset>
    </>
  );
}
