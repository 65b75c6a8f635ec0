import { pointer, type Condition } from '../../setup';
import type { Finding, Rule } from '../finding';

const controlsOf = (c: Condition): string[] =>
  c.kind === 'switch'
    ? [c.control]
    : c.kind === 'logic'
      ? []
      : c.kind === 'not'
        ? controlsOf(c.of)
        : c.of.flatMap(controlsOf);

export const givenTwice: Rule = {
  id: 'M46',
  title: 'One switch for two things, or one channel for two functions',
  why: 'Moving it for one does the other unasked.',
  check(setup) {
    const { program, unit, transmitter } = setup;
    const findings: Finding[] = [];
    const inputs = unit.settings.inputs;
    inputs.forEach((input, i) => {
      const other = inputs.slice(0, i).find((o) => o.channel === input.channel);
      if (other)
        findings.push({
          rule: 'M46',
          severity: 'stop',
          says: `Channel ${input.channel} is given to ${other.carries} and to ${input.carries}.`,
          where: pointer('unit', 'settings', 'inputs', i, 'channel'),
          remedies: [],
        });
    });
    for (const control of transmitter.controls) {
      if (!control.kind.startsWith('switch') && control.kind !== 'momentary') continue;
      const uses = program.lines.flatMap((line, i) => {
        // Panic and launch help reach into several channels on purpose.
        if (line.purpose === 'panic' || line.purpose === 'launch') return [];
        const own = line.source.kind === 'control' && line.source.id === control.id;
        const asked = line.when !== undefined && controlsOf(line.when).includes(control.id);
        const carries = program.outputs.find((o) => o.channel === line.channel)?.carries;
        // A pair of flaperons, or flap and gear put together on purpose, is one thing to the hand.
        return own || asked
          ? [{ i, what: carries?.replace(/-(left|right)$|2$/, '') ?? `channel ${line.channel}` }]
          : [];
      });
      const what = [...new Set(uses.map((u) => u.what))];
      if (what.length > 1)
        findings.push({
          rule: 'M46',
          severity: 'caution',
          says: `${control.label} works ${what.join(' and ')}. If that is not on purpose, give one of them another switch.`,
          where: pointer('program', 'lines', uses.at(-1)!.i),
          witness: { controls: { [control.id]: 100 }, words: `${control.label} moved` },
          remedies: [],
        });
    }
    return findings;
  },
};
