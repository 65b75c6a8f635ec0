import type { Finding, Rule } from '../finding';

export const bumpedGain: Rule = {
  id: 'M23',
  title: 'Gain hangs on a knob',
  why: 'Right while it is being found. Later a sleeve turns it, and nobody notices until the model shakes or does nothing.',
  check(setup): Finding[] {
    const { controls } = setup.transmitter;
    const at = setup.program.lines.findIndex(
      (l) =>
        l.purpose === 'gain' &&
        l.source.kind === 'control' &&
        ['knob', 'slider'].includes(
          controls.find((c) => l.source.kind === 'control' && c.id === l.source.id)?.kind ?? '',
        ),
    );
    const source = setup.program.lines[at]?.source;
    if (source?.kind !== 'control') return [];
    const name = controls.find((c) => c.id === source.id)!.label;
    return [
      {
        rule: 'M23',
        severity: 'note',
        says: `${name} sets the gain in flight. When the right value is found, read it off and put fixed values on a switch.`,
        where: `/program/lines/${at}`,
        remedies: [],
      },
    ];
  },
};
