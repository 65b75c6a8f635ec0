import { axisFunction, axisWeights } from '../../chain';
import { kindOf, type Axis, type Line, type Setup, type UnitSettings } from '../../setup';
import { replaced, type Structure, type StructuralRemedy } from './structure';

const WINGS: Record<UnitSettings['wingType'], string> = {
  normal: 'normal: nothing mixed',
  delta: 'delta',
  'v-tail': 'V-tail',
  steering: 'steering',
};

/** The unit set to another wing: mixed twice, or not at all. */
function otherWings({ unit, airframe }: Setup): Structure[] {
  if (unit.traits.mixer === 'transmitter' || unit.settings.wingType === 'steering') return [];
  if (kindOf(airframe).onSurface) return [];
  return (['normal', 'delta', 'v-tail'] as const)
    .filter((wing) => wing !== unit.settings.wingType)
    .map((wing) => ({
      id: `wing-${wing}`,
      place: 'unit',
      title: `The wing type in the unit is set to ${WINGS[wing]}`,
      why: 'It mixes where it must not, or fails to mix where it must.',
      cost: 1,
      patch: replaced('/unit/settings/wingType', wing),
    }));
}

/** Transmitter mixes that are written down but were not entered: each channel follows one stick. */
function mixNotEntered({ program }: Setup): Structure[] {
  const mixed = program.outputs.filter((o) => Object.keys(axisWeights(o.carries)).length > 1);
  if (mixed.length === 0) return [];
  const channels = new Set(mixed.map((o) => o.channel));
  const first = new Map(
    program.lines.filter((l) => l.purpose === 'stick').map((l) => [l.channel, l.id]),
  );
  const ids = new Set(first.values());
  const kept = program.lines.filter(
    (l) => !channels.has(l.channel) || l.purpose !== 'stick' || ids.has(l.id),
  );
  return [
    {
      id: 'mix-missing',
      place: 'transmitter',
      title: 'The mix is not in the transmitter: each of its channels follows one stick',
      why: 'Both surfaces of a mixed pair must follow both sticks.',
      cost: 1,
      patch: replaced('/program/lines', kept),
    },
  ];
}

/** The transmitter mixes although the unit does: two sticks on each channel of the pair. */
function mixedInBoth(setup: Setup): Structure[] {
  const { wingType } = setup.unit.settings;
  if (wingType !== 'delta' && wingType !== 'v-tail') return [];
  const [a, b] = (wingType === 'delta' ? ['roll', 'pitch'] : ['pitch', 'yaw']) as [Axis, Axis];
  const { lines, outputs } = setup.program;
  const lineOf = (axis: Axis) => {
    const channel = outputs.find((o) => o.carries === axisFunction(setup, axis))?.channel;
    return lines.find((l) => l.channel === channel && l.purpose === 'stick');
  };
  const one = lineOf(a);
  const two = lineOf(b);
  if (!one || !two) return [];
  const added = (onto: Line, from: Line, sign: 1 | -1): Line => ({
    ...from,
    id: `again-${onto.id}`,
    channel: onto.channel,
    sharePct: sign * from.sharePct,
  });
  return ([1, -1] as const).map((sign) => ({
    id: `mix-twice-${sign > 0 ? 'sum' : 'difference'}`,
    place: 'transmitter',
    title: 'The transmitter mixes as well as the unit',
    why: 'Mixed twice, one stick moves one surface and the other stick the other.',
    cost: 1,
    patch: replaced('/program/lines', [
      ...lines,
      added(one, two, sign),
      added(two, one, -sign as 1),
    ]),
  }));
}

/** Everything that can be wrong about who mixes what. */
export const otherMixing = (setup: Setup): Structure[] => [
  ...otherWings(setup),
  ...mixNotEntered(setup),
  ...mixedInBoth(setup),
];

/** The mix put where the plan has it. */
export function mixingRemedy(written: Setup, known: Setup): StructuralRemedy[] {
  const remedies: StructuralRemedy[] = [];
  const { wingType } = written.unit.settings;
  if (known.unit.settings.wingType !== wingType)
    remedies.push({
      id: 'wing-back',
      place: 'unit',
      title: `Set the wing type in the unit to ${WINGS[wingType]}`,
      why: 'The plan relies on this mix in the unit.',
      patch: replaced('/unit/settings/wingType', wingType),
    });
  const lines = written.program.lines;
  if (known.program.lines.length !== lines.length)
    remedies.push({
      id: 'mix-back',
      place: 'transmitter',
      title:
        known.program.lines.length < lines.length
          ? 'Enter the mix in the transmitter as the sheet has it'
          : 'Take the mix out of the transmitter',
      why: 'A mixed pair is mixed once.',
      patch: replaced('/program/lines', lines),
    });
  return remedies;
}
