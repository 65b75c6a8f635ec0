import { compileChain } from '../../chain';
import { poseFor } from '../../directions';
import { freeControl, pointer } from '../../setup';
import type { Rule } from '../finding';

export const skippedMode: Rule = {
  id: 'M24',
  title: 'A mode no switch position reaches',
  why: 'A two-position switch sends its two ends and skips what lies between.',
  check(setup) {
    const { program, transmitter, unit } = setup;
    const chain = compileChain(setup);
    const missing = [...new Set(unit.settings.slots)].filter((mode) => !poseFor(chain, [mode]));
    const channel = unit.settings.inputs.find((i) => i.carries === 'mode')?.channel;
    const at = program.lines.findIndex((l) => l.channel === channel && l.source.kind === 'control');
    const line = program.lines[at];
    const now = transmitter.controls.find(
      (c) => line?.source.kind === 'control' && c.id === line.source.id,
    );
    const free = freeControl(setup, ['switch-3']);
    return missing.map((mode) => ({
      severity: 'caution' as const,
      says: `The unit has a position for ${mode}, and nothing on the transmitter reaches it.`,
      where: at < 0 ? '/unit/settings/slots' : pointer('program', 'lines', at, 'source'),
      remedies:
        line && free && now?.kind !== 'switch-3'
          ? [
              {
                label: `Put the mode on ${free.label}, which has three positions`,
                patch: [
                  {
                    op: 'replace' as const,
                    path: pointer('program', 'lines', at, 'source'),
                    value: { kind: 'control', id: free.id },
                  },
                ],
              },
            ]
          : [],
    }));
  },
};
