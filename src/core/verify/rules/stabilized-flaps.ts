import { pointer, roleOf, type FunctionRole } from '../../setup';
import type { Found } from '../finding';
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
      const i = unit.settings.outputs.findIndex((o) => o.port === plug.port && o.stabilized);
      const actuator = [...airframe.servos, ...airframe.motors].find(
        (a) => plug.drives.includes(a.id) && NEVER.includes(roleOf(a.carries)),
      );
      if (i < 0 || !actuator) return [];
      const port = unit.traits.ports.find((p) => p.id === plug.port)!;
      const { stabilizedOutputs } = unit.traits;
      return [
        {
          severity: 'stop',
          says: `The ${actuator.label.toLowerCase()} sits on ${port.label}, which the unit steadies.`,
          where: pointer('unit', 'settings', 'outputs', i, 'stabilized'),
          remedies:
            stabilizedOutputs === 'all'
              ? []
              : [
                  {
                    label: `Take ${port.label} off the stabilized outputs`,
                    patch: unit.settings.outputs.flatMap((o, j) => {
                      const bank = unit.traits.ports.find((p) => p.id === o.port)?.bank;
                      const together = stabilizedOutputs === 'two-banks' && bank === port.bank;
                      return j === i || together
                        ? [
                            {
                              op: 'replace' as const,
                              path: pointer('unit', 'settings', 'outputs', j, 'stabilized'),
                              value: false,
                            },
                          ]
                        : [];
                    }),
                  },
                ],
        },
      ];
    });
  },
};
