import { accountOf } from '../finding';
import { pointer } from '../../setup';
import type { Rule } from '../rule';
import { failuresOf } from '../proof';

export const launchElevator: Rule = {
  id: 'M38',
  title: 'Launch help moves the elevator the wrong way',
  why: 'Thrown with the elevator down, the model hits the ground before your hand is back on the stick.',
  explains: ['launch'],
  check(setup, proof) {
    const { lines } = setup.program;
    const own = lines.flatMap((l, i) =>
      l.purpose === 'launch' && l.effect === 'adds' && l.when?.kind === 'logic' ? [i] : [],
    );
    return failuresOf(proof, 'launch').map((failure) => ({
      ...accountOf(failure),
      remedies:
        failure.about.how === 'down'
          ? [
              {
                label: 'Reverse the launch elevator',
                patch: own.map((at) => ({
                  op: 'replace' as const,
                  path: pointer('program', 'lines', at, 'sharePct'),
                  value: -lines[at]!.sharePct,
                })),
              },
            ]
          : [],
    }));
  },
};
