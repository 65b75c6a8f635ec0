import { z } from 'zod';
import {
  CAUTIONS,
  gateWords,
  openGates,
  SESSIONS,
  type BenchSaid,
  type Step,
} from '../core/procedure';
import type { Setup } from '../core/setup';
import { Failure } from './failure';

/** What a person said of the bench, as it comes with every answer. */
export const BenchSaidSchema = z.strictObject({
  session: z.enum(SESSIONS),
  sure: z.array(z.strictObject({ caution: z.enum(CAUTIONS), at: z.iso.datetime() })).max(8),
}) satisfies z.ZodType<BenchSaid>;

/** An answer that claims to have been given later than this server's clock says is given now. */
const given = (at: string | undefined, nowMs: number): number =>
  at === undefined ? nowMs : Math.min(Date.parse(at), nowMs);

/**
 * Refuses an answer to a step before which somebody can be hurt, unless it was said of the bench that
 * nobody can be: within the hour before the answer was given, and for the bench as it is set up then.
 * @throws Failure 428 with what was not said
 */
export function mustBeSafe(
  step: Step | undefined,
  setup: Setup,
  said: BenchSaid | undefined,
  at: string | undefined,
  nowMs = Date.now(),
): void {
  const open = step ? openGates(step, setup, said, given(at, nowMs)) : [];
  if (open.length === 0) return;
  const words = open.map((c) => gateWords(c, setup.airframe)).join(' ');
  throw new Failure(428, [{ path: '/bench', reason: `confirm first: ${words}` }]);
}
