import { accountOf } from '../finding';
import { stickOf } from '../../chain';
import { freeControl, pointer, roleOf } from '../../setup';
import type { Remedy } from '../finding';
import type { Rule } from '../rule';
import { failuresOf } from '../proof';

export const throttleReversed: Rule = {
  id: 'M29',
  title: 'Motor runs with the throttle closed',
  why: 'A throttle reversed because a leaflet said so starts the motor when you connect the battery.',
  explains: ['motor-low'],
  check: (setup, proof) =>
    failuresOf(proof, 'motor-low').map((failure) => {
      const remedies = setup.program.outputs.flatMap((output, i): Remedy[] => {
        if (roleOf(output.carries) !== 'motor') return [];
        const at = (key: string) => pointer('program', 'outputs', i, key);
        return [
          {
            label: 'Reverse the throttle channel',
            patch: [{ op: 'replace', path: at('reversed'), value: !output.reversed }],
          },
          ...(output.subtrimPct === 0
            ? []
            : [
                {
                  label: 'Remove the subtrim from the throttle channel',
                  patch: [{ op: 'replace' as const, path: at('subtrimPct'), value: 0 }],
                },
              ]),
        ];
      });
      return { ...accountOf(failure), remedies };
    }),
};

export const noThrottleCut: Rule = {
  id: 'M42',
  title: 'No throttle cut while programming',
  why: 'A sleeve on the throttle starts the motor with your fingers in the way.',
  explains: ['motor-rest', 'motor-cut'],
  check(setup, proof) {
    const { controls } = setup.transmitter;
    const free = freeControl(setup, ['switch-2']);
    const channel = setup.program.outputs.find((o) => o.carries === 'throttle')?.channel;
    const low = controls[stickOf(setup.transmitter, 'throttle')]?.rest ?? -100;
    const remedies: Remedy[] =
      free && channel
        ? [
            {
              label: `Throttle cut on ${free.label}, on at rest`,
              patch: [
                {
                  op: 'add',
                  path: '/program/lines/-',
                  value: {
                    id: `cut-${free.id}`,
                    label: 'Throttle cut',
                    channel,
                    follows: { kind: 'fixed' },
                    sharePct: low,
                    shiftPct: 0,
                    when: { kind: 'switch', control: free.id, position: free.rest < 0 ? 0 : 1 },
                    effect: 'takes-over',
                    purpose: 'throttle-cut',
                  },
                },
              ],
            },
          ]
        : [];
    const last = lastCut(setup);
    return [
      ...failuresOf(proof, 'motor-rest').map((failure) => ({ ...accountOf(failure), remedies })),
      ...failuresOf(proof, 'motor-cut').map((failure) => ({
        ...accountOf(failure),
        remedies: last ? [last] : [],
      })),
    ];
  },
};

/** The cut as the last line of its channel, so that nothing after it adds to it. */
function lastCut({ program }: Parameters<Rule['check']>[0]): Remedy | undefined {
  const at = program.lines.findIndex((l) => l.purpose === 'throttle-cut');
  const line = program.lines[at];
  if (!line || !program.lines.slice(at + 1).some((l) => l.channel === line.channel))
    return undefined;
  return {
    label: 'Give the throttle cut the last word on its channel',
    patch: [
      { op: 'remove', path: pointer('program', 'lines', at) },
      { op: 'add', path: '/program/lines/-', value: line },
    ],
  };
}
