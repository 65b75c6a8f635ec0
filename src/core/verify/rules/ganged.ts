import { gangedOf, type Ganged } from '../../chain';
import { applyPatch, type PatchOperation } from '../../patch';
import { pointer, type Setup } from '../../setup';
import { accountOf, type Remedy } from '../finding';
import { failuresOf } from '../proof';
import type { Rule } from '../rule';

export const gangedApart: Rule = {
  id: 'ganged',
  title: 'Servos on one part pull against each other',
  why: 'Both draw full current until one burns out or strips its gears; the part goes where neither stick nor correction asks, and the receiver may lose its supply.',
  explains: ['ganged'],
  check: (setup, proof) =>
    failuresOf(proof, 'ganged').map((failure) => {
      const own = gangedOf(setup.airframe).find(
        ({ surface, at }) =>
          failure.where === pointer('airframe', 'surfaces', surface, 'ganged', at),
      )!;
      return {
        ...accountOf(failure),
        remedies: different(setup, [
          ...outputRemedies(setup, own),
          ...rodRemedies(setup, own),
          ...togetherRemedy(setup, own),
        ]),
      };
    }),
};

/** Those that change something, each change once. */
function different(setup: Setup, remedies: readonly Remedy[]): Remedy[] {
  const made = new Set([JSON.stringify(setup)]);
  return remedies.filter(({ patch }) => {
    const after = JSON.stringify(applyPatch(setup, patch));
    return made.size < made.add(after).size;
  });
}

const replace = (path: string, value: unknown): PatchOperation[] => [
  { op: 'replace', path, value },
];

/** The plug a servo is in, by position. */
const plugOf = ({ installation }: Setup, servo: string): number =>
  installation.plugs.findIndex((p) => p.drives.includes(servo));

/** Where the two have channels or outputs of their own: one reversed, or set as the other is. */
function outputRemedies(setup: Setup, { surface, servo }: Ganged): Remedy[] {
  const { airframe, installation, unit, program } = setup;
  const first = airframe.surfaces[surface]!.servo;
  const firstServo = airframe.servos.find((s) => s.id === first)!;
  const [own, other] = [servo.id, first].map((id) => {
    const port = installation.plugs[plugOf(setup, id)]?.port;
    return unit.settings.outputs.findIndex((o) => o.port === port);
  }) as [number, number];
  const remedies: Remedy[] = [];
  if (own >= 0 && own !== other) {
    const output = unit.settings.outputs[own]!;
    const name = unit.traits.ports.find((p) => p.id === output.port)!.label;
    const at = pointer('unit', 'settings', 'outputs', own);
    if (unit.traits.portReverse)
      remedies.push({
        label: `Reverse the ${servo.label.toLowerCase()} on ${name} in the unit’s output menu`,
        patch: replace(`${at}/reversed`, !output.reversed),
      });
    if (other >= 0) {
      const { port: _, ...like } = unit.settings.outputs[other]!;
      for (const reversed of [output.reversed, like.reversed])
        remedies.push({
          label: `Set ${name} in the unit as ${unit.traits.ports.find((p) => p.id === unit.settings.outputs[other]!.port)!.label} is set`,
          patch: replace(at, { ...like, port: output.port, carries: output.carries, reversed }),
        });
    }
  }
  const sent = program.outputs.findIndex((o) => o.carries === servo.carries);
  if (sent >= 0 && firstServo.carries !== servo.carries) {
    const { channel, carries, reversed } = program.outputs[sent]!;
    const at = pointer('program', 'outputs', sent);
    remedies.push({
      label: `Reverse channel ${channel} in the transmitter, the one of the ${servo.label.toLowerCase()}`,
      patch: replace(`${at}/reversed`, !reversed),
    });
    const like = program.outputs.find((o) => o.carries === firstServo.carries);
    if (like)
      remedies.push({
        label: `Set channel ${channel} in the transmitter as channel ${like.channel} is set`,
        patch: replace(at, { ...like, channel, carries }),
      });
  }
  return remedies;
}

/** At the servo itself and at its rod. */
function rodRemedies({ airframe }: Setup, { surface, at, servo }: Ganged): Remedy[] {
  const own = airframe.surfaces[surface]!;
  const { linkage } = own.ganged![at]!;
  const first = airframe.servos.find((s) => s.id === own.servo)!;
  const index = airframe.servos.indexOf(servo);
  const where = pointer('airframe', 'surfaces', surface, 'ganged', at, 'linkage');
  const name = servo.label.toLowerCase();
  const turned = linkage.sense === 'same' ? ('opposite' as const) : ('same' as const);
  const asFirst = (sense: typeof turned) => ({ ...own.linkage, sense });
  return [
    ...(servo.reversible
      ? [
          {
            label: `Reverse the ${name} itself`,
            patch: replace(
              pointer('airframe', 'servos', index, 'rotation'),
              servo.rotation === 'normal' ? 'reversed' : 'normal',
            ),
          },
        ]
      : []),
    {
      label: `Move the rod of the ${name} to the other side of its arm`,
      patch: replace(where, { ...linkage, sense: turned }),
    },
    ...[linkage.sense, turned].map((sense) => ({
      label: `Give the ${name} the arm, the horn and the rod that the first servo has`,
      patch: replace(where, asFirst(sense)),
    })),
    {
      label: `Set the ${name} to turn as far as the first servo does`,
      patch: [
        ...replace(pointer('airframe', 'servos', index, 'degAt500Us'), first.degAt500Us),
        ...replace(pointer('airframe', 'servos', index, 'limitDeg'), first.limitDeg),
      ],
    },
  ];
}

/** Both on one output: then whatever is sent is sent to both. */
function togetherRemedy(setup: Setup, { surface, servo }: Ganged): Remedy[] {
  const { airframe, installation } = setup;
  const first = airframe.servos.find((s) => s.id === airframe.surfaces[surface]!.servo)!;
  const [from, to] = [plugOf(setup, servo.id), plugOf(setup, first.id)];
  if (to < 0 || from === to) return [];
  const plugs = installation.plugs
    .map((plug, i) => {
      const others = plug.drives.filter((id) => id !== servo.id);
      return i === to
        ? { ...plug, lead: 'y-lead' as const, drives: [...others, servo.id] }
        : { ...plug, drives: others, lead: others.length > 1 ? plug.lead : ('plain' as const) };
    })
    .filter((plug) => plug.drives.length > 0);
  return [
    {
      label: `Put the ${servo.label.toLowerCase()} on a Y-lead with the ${first.label.toLowerCase()}`,
      patch: [
        ...replace('/installation/plugs', plugs),
        ...replace(
          pointer('airframe', 'servos', airframe.servos.indexOf(servo), 'carries'),
          first.carries,
        ),
      ],
    },
  ];
}
