import { freeControl, pointer } from '../../setup';
import type { Rule } from '../rule';

export const skippedMode: Rule = {
  id: 'M24',
  title: 'A mode no switch position reaches',
  why: 'A two-position switch sends its two ends and skips what lies between.',
  check(setup, proof) {
    const { program, transmitter, unit } = setup;
    // With its lead out a unit whose modes are on it is in one of them for good: M47 says so.
    const led = unit.traits.modeSelect.by !== 'gain-sign' || setup.installation.gainLead;
    if (proof.rows.length === 0 || !led) return [];
    const reached = new Set(proof.rows.map((r) => r.mode));
    const missing = [...new Set(unit.settings.slots)].filter((mode) => !reached.has(mode));
    const channel = unit.settings.inputs.find((i) => i.carries === 'mode')?.channel;
    const at = program.lines.findIndex(
      (l) => l.channel === channel && l.follows.kind === 'control',
    );
    const line = program.lines[at];
    const now = transmitter.controls.find(
      (c) => line?.follows.kind === 'control' && c.id === line.follows.id,
    );
    const free = freeControl(setup, ['switch-3']);
    // A mode on a slot nobody chosen is a choice, not a mistake.
    const { modes, gain } = setup.intents.program ?? {};
    const wished = gain?.by === 'sets' ? ['off' as const] : modes?.table;
    return missing
      .filter((mode) => !wished || wished.includes(mode))
      .map((mode) => ({
        severity: 'caution' as const,
        says: `The unit has a position for ${mode}, and nothing on the transmitter reaches it.`,
        where: at < 0 ? '/unit/settings/slots' : pointer('program', 'lines', at, 'follows'),
        about: { mode },
        remedies:
          line && free && now?.kind !== 'switch-3'
            ? [
                {
                  label: `Put the mode on ${free.label}, which has three positions`,
                  patch: [
                    {
                      op: 'replace' as const,
                      path: pointer('program', 'lines', at, 'follows'),
                      value: { kind: 'control', id: free.id },
                    },
                  ],
                },
              ]
            : [],
      }));
  },
};
