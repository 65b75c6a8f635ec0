import { parseSetup, type Setup } from '../core/setup';
import { Failure } from './failure';

/** A Setup that came from outside. @throws Failure 422 with the path of each problem */
export function validSetup(data: unknown): Setup {
  const result = parseSetup(data);
  if (!result.ok) throw new Failure(422, result.problems);
  return result.value;
}
