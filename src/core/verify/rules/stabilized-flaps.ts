import { isSteadied } from '../../chain';
import { pointer, roleOf, type FunctionRole, type Port, type Setup } from '../../setup';
import type { Found, Remedy } from '../finding';
import type { Rule } from '../rule';

const NEVER: readonly FunctionRole[] = ['device', 'motor'];

export const stabilizedFlaps: Rule = {
  id: 'M14',
  title: 'Flaps, gear or motor on a stabilized output',
  why: 'The unit would move them in every gust.',
  explains: ['corrections'],
  check(setup) {
    const { unit, installation, airframe } = setup;
    return installation.plugs.flatMap((plug): Found[] => {
      const i = unit.settings.outputs.findIndex(
        (o) => o.port === plug.port && isSteadied(setup, o),
      );
      const actuator = [...airframe.servos, ...airframe.motors].find(
        (a) => plug.drives.includes(a.id) && NEVER.includes(roleOf(a.carries)),
      );
      if (i < 0 || !actuator) return [];
      const port = unit.traits.ports.find((p) => p.id === plug.port)!;
      return [
        {
          severity: 'stop',
          says: `The ${actuator.label.toLowerCase()} is plugged into ${port.label}, which the unit stabilizes.`,
          where: pointer('unit', 'settings', 'outputs', i, 'stabilized'),
          remedies: offBy(setup, i, port),
          without: [
            [
              {
                op: 'replace',
                path: pointer('unit', 'settings', 'outputs', i, 'stabilized'),
                value: false,
              },
            ],
          ],
        },
      ];
    });
  },
};

/** Taking an output off what is stabilized, where the unit lets that be chosen: alone, or with its bank. */
function offBy({ unit }: Setup, output: number, { label, bank }: Port): Remedy[] {
  switch (unit.traits.stabilizedOutputs) {
    case 'all':
      return [];
    case 'chosen':
      return [
        {
          label: `Remove ${label} off the stabilized outputs`,
          patch: [
            {
              op: 'replace',
              path: pointer('unit', 'settings', 'outputs', output, 'stabilized'),
              value: false,
            },
          ],
        },
      ];
    case 'two-banks': {
      const all = unit.traits.ports.flatMap((p) => (p.bank ? [p.bank] : []));
      const on = unit.settings.banks ?? [...new Set(all)];
      return bank === undefined
        ? []
        : [
            {
              label: `Pass bank ${bank} through unstabilized`,
              patch: [
                { op: 'add', path: '/unit/settings/banks', value: on.filter((b) => b !== bank) },
              ],
            },
          ];
    }
  }
}
