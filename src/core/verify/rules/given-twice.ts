import { functionOf, pointer, usesOf } from '../../setup';
import type { Found } from '../finding';
import type { Rule } from '../rule';

export const givenTwice: Rule = {
  id: 'M46',
  title: 'One switch for two things, or one channel for two functions',
  why: 'Moving it for one also does the other.',
  explains: ['sticks', 'sticks-alone', 'corrections', 'gain'],
  check(setup) {
    const { unit, transmitter } = setup;
    const findings: Found[] = [];
    const inputs = unit.settings.inputs;
    inputs.forEach((input, i) => {
      const other = inputs.slice(0, i).find((o) => o.channel === input.channel);
      if (other)
        findings.push({
          severity: 'stop',
          says: `Channel ${input.channel} is given to ${functionOf(other.carries).words} and to ${functionOf(input.carries).words}.`,
          where: pointer('unit', 'settings', 'inputs', i, 'channel'),
          remedies: [],
          without: [[{ op: 'remove', path: pointer('unit', 'settings', 'inputs', i) }]],
        });
    });
    const { gain } = setup.intents.program;
    for (const control of transmitter.controls) {
      // Gain that comes with the flaps is asked for.
      const withFlaps = gain?.by === 'flap' && gain.control === control.id;
      if (!control.kind.startsWith('switch') && control.kind !== 'momentary') continue;
      const uses = (usesOf(setup).get(control.id) ?? []).flatMap((use) => {
        // Panic and launch help reach into several channels on purpose.
        if (use.indirect || use.of !== 'channel') return [];
        if (use.purpose === 'panic' || use.purpose === 'launch') return [];
        if (withFlaps && use.purpose === 'gain') return [];
        // A pair, and flaps that the ailerons help, are one thing to the switch.
        const what =
          use.carries?.replace(/-(left|right)$|2$/, '').replace(/^flaperon$/, 'flap') ??
          `channel ${use.channel}`;
        return [{ where: use.where, what }];
      });
      const what = [...new Set(uses.map((u) => u.what))];
      if (what.length > 1)
        findings.push({
          severity: 'caution',
          says: `${control.label} works ${what.join(' and ')}. If that is not on purpose, give one of them another switch.`,
          where: uses.at(-1)!.where,
          witness: { controls: { [control.id]: 100 }, words: `${control.label} moved` },
          remedies: [],
          // Each of the things it does taken off it in turn.
          without: what.map((own) =>
            uses
              .filter((u) => u.what === own)
              .map((u) => ({ op: 'remove' as const, path: u.where }))
              .toReversed(),
          ),
        });
    }
    return findings;
  },
};
