import { describe, expect, it } from 'vitest';
import { cleanCases } from '../../../tests/kit/clean';
import { share } from '../../../tests/kit/share';
import type { Setup } from '../setup';
import { prove } from './index';

/** Far beyond any program here. What was looked at as far as another bound counts for nothing. */
const FAR = 10_000_000;

/** The Setup with one line reversed. */
function turned(setup: Setup, at: number): Setup {
  const next = structuredClone(setup);
  next.program.lines[at]!.sharePct *= -1;
  return next;
}

const verdicts = (setup: Setup, limit?: number) =>
  prove(setup, limit === undefined ? {} : { limit }).results.map(({ id, failures, leftOut }) => ({
    id,
    leftOut,
    says: failures.map((f) => [f.severity, f.where, f.says]),
  }));

describe('what is known of a requirement from another program', () => {
  it.each(share(cleanCases(48), 12))(
    '$name: says the same as looking, whichever line is reversed',
    ({ setup }) => {
      verdicts(setup);
      setup.program.lines.forEach((line, at) => {
        const other = turned(setup, at);
        expect(verdicts(other), line.id).toEqual(verdicts(other, FAR + at));
      });
    },
  );
});
