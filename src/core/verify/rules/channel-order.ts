import { mixedFunction } from '../../chain';
import type { PatchOperation } from '../../patch';
import { functionOf, pointer, type ChannelFunction, type Setup } from '../../setup';
import type { Found } from '../finding';
import type { Rule } from '../rule';

export const channelOrder: Rule = {
  id: 'M7',
  title: 'Channel or plug not where the unit expects it',
  why: 'The unit stabilizes what it believes is there: the wrong surface answers.',
  explains: ['sticks', 'sticks-alone', 'corrections', 'devices'],
  check(setup) {
    const { unit, program, installation, airframe } = setup;
    const findings: Found[] = [];
    unit.settings.inputs.forEach((input, i) => {
      const sent = program.outputs.find((o) => o.channel === input.channel)?.carries;
      if (sent === undefined || sent === input.carries) return;
      const own = program.outputs.find((o) => o.carries === input.carries);
      findings.push({
        severity: 'stop',
        says: `The unit takes channel ${input.channel} for ${functionOf(input.carries).words}, and the transmitter sends ${functionOf(sent).words} there.`,
        where: pointer('unit', 'settings', 'inputs', i, 'channel'),
        remedies:
          own && unit.traits.inputOrder.kind === 'free'
            ? [
                {
                  label: `Tell the unit that ${functionOf(input.carries).words} is on channel ${own.channel}`,
                  patch: [
                    {
                      op: 'replace',
                      path: pointer('unit', 'settings', 'inputs', i, 'channel'),
                      value: own.channel,
                    },
                  ],
                },
              ]
            : [],
        without: own
          ? [
              [
                {
                  op: 'replace',
                  path: pointer('unit', 'settings', 'inputs', i, 'channel'),
                  value: own.channel,
                },
              ],
            ]
          : [],
      });
    });
    const { inputOrder } = unit.traits;
    if (inputOrder.kind === 'fixed')
      unit.settings.inputs.forEach((input, i) => {
        const at = inputOrder.order.indexOf(input.carries) + 1;
        if (at > 0 && at !== input.channel)
          findings.push({
            severity: 'stop',
            says: `This unit wants ${functionOf(input.carries).words} on channel ${at}, not ${input.channel}, and this cannot be changed.`,
            where: pointer('unit', 'settings', 'inputs', i, 'channel'),
            remedies: [],
            without: [
              [
                {
                  op: 'replace',
                  path: pointer('unit', 'settings', 'inputs', i, 'channel'),
                  value: at,
                },
              ],
            ],
          });
      });
    installation.plugs.forEach((plug, i) => {
      const output = unit.settings.outputs.find((o) => o.port === plug.port);
      const carries = output && mixedFunction(unit.settings.wingType, output.carries);
      plug.drives.forEach((id, j) => {
        const actuator = [...airframe.servos, ...airframe.motors].find((a) => a.id === id)!;
        // A second aileron may share the first one's signal.
        const same = (f: string) => f.replace(/2$/, '');
        if (carries === undefined || same(carries) === same(actuator.carries)) return;
        const port = unit.traits.ports.find((p) => p.id === plug.port)!;
        findings.push({
          severity: 'stop',
          says: `The ${actuator.label.toLowerCase()} is plugged into ${port.label}, which gives ${functionOf(carries).words}.`,
          where: pointer('installation', 'plugs', i, 'drives', j),
          remedies: [],
          without: plugged(setup),
        });
      });
    });
    return findings;
  },
};

/** Every actuator in a plug that gives what it is for, as far as there is one; as one change of all of them. */
function plugged({ unit, installation, airframe }: Setup): PatchOperation[][] {
  const portFor = (carries: ChannelFunction) =>
    unit.settings.outputs.find((o) => mixedFunction(unit.settings.wingType, o.carries) === carries)
      ?.port;
  const drives = new Map<string, string[]>();
  for (const plug of installation.plugs)
    for (const id of plug.drives) {
      const { carries } = [...airframe.servos, ...airframe.motors].find((a) => a.id === id)!;
      const port = portFor(carries) ?? portFor(functionOf(carries).standIn ?? carries) ?? plug.port;
      drives.set(port, [...(drives.get(port) ?? []), id]);
    }
  const plugs = [...drives].map(([port, own]) => ({
    ...(installation.plugs.find((p) => p.port === port) ?? {}),
    port,
    drives: own,
  }));
  return [[{ op: 'replace', path: '/installation/plugs', value: plugs }]];
}
