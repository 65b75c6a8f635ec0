import { carriedChannels } from '../../chain';
import { functionOf, pointer } from '../../setup';
import type { Rule } from '../rule';

export const shortLink: Rule = {
  id: 'M26',
  title: 'A channel the link does not carry',
  why: 'The transmitter shows it moving, but it never reaches the receiver.',
  explains: ['sticks', 'corrections', 'devices', 'modes', 'gain', 'panic', 'link-lost', 'throttle'],
  check(setup) {
    const { transmitter, program } = setup;
    const carried = carriedChannels(setup);
    const at = transmitter.linkVariants.findIndex((v) => v.id === transmitter.link);
    return program.outputs.flatMap((o, i) => {
      if (o.channel <= carried) return [];
      const better = transmitter.linkVariants.find((v) => v.channels >= o.channel);
      return [
        {
          severity: 'stop' as const,
          says: `Channel ${o.channel} (${functionOf(o.carries).words}) is sent, and the link carries ${carried} channels.`,
          where: pointer('program', 'outputs', i, 'channel'),
          remedies: better
            ? [
                {
                  label: `Choose the link “${better.label}” by hand`,
                  patch: [{ op: 'replace' as const, path: '/transmitter/link', value: better.id }],
                },
              ]
            : [],
          without: [
            [
              {
                op: 'replace' as const,
                path: pointer('transmitter', 'linkVariants', at, 'channels'),
                value: transmitter.channels,
              },
            ],
          ],
        },
      ];
    });
  },
};
