import { pointer } from '../../setup';
import { accountOf } from '../finding';
import { failuresOf } from '../proof';
import { replanned } from '../repair';
import type { Rule } from '../rule';

/** Endpoints of a full stick, percent. */
const FULL_PCT = 100;

export const gestureUnheard: Rule = {
  id: 'gesture-unheard',
  title: 'A gesture the unit does not hear',
  why: 'The unit looks at pulses. A stick without a channel, or with short endpoints, never reaches the corner, and nothing is captured or set however long you hold it.',
  explains: ['gesture'],
  check: (setup, proof) =>
    failuresOf(proof, 'gesture')
      .filter((failure) => failure.about.how === 'short')
      .map((failure) => {
        const at = setup.program.outputs.findIndex(
          (_, i) => failure.where === pointer('program', 'outputs', i),
        );
        const ends = (['minPct', 'maxPct'] as const).map((end) => ({
          op: 'replace' as const,
          path: pointer('program', 'outputs', at, end),
          value: end === 'minPct' ? -FULL_PCT : FULL_PCT,
        }));
        return {
          ...accountOf(failure),
          remedies:
            at < 0
              ? replanned(setup, 'Plan the channels again')
              : [{ label: `Set both endpoints of its channel to ${FULL_PCT} %`, patch: ends }],
        };
      }),
};
