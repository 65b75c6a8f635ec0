import { MIXED_AXES } from '../chain';
import type { PatchOperation } from '../patch';
import {
  AXES,
  LEFT_FIRST,
  pointer,
  taughtByDriving,
  roleOf,
  type Axis,
  type ChannelFunction,
  type Setup,
} from '../setup';

/** Where a change is made. */
export type Place = 'transmitter' | 'unit' | 'servo' | 'linkage' | 'mounting' | 'plug';

/** One elementary change to a Setup that turns something round. */
export interface Atom {
  id: string;
  place: Place;
  /** As an order: "Reverse channel 2 (elevator) in the transmitter". */
  title: string;
  /** Work it takes: settings are cheapest, moving a rod dearest. */
  cost: number;
  patch: PatchOperation[];
}

const replace = (path: string, value: unknown): PatchOperation[] => [
  { op: 'replace', path, value },
];

/**
 * Facts nobody can read off a screen: rod side, what the unit takes a longer pulse for, and which way
 * its mixer takes a stick, where it mixes as planned.
 * @param planned the wing it is meant to mix for
 */
export function factAtoms(setup: Setup, planned = setup.unit.settings.wingType): Atom[] {
  const { traits } = setup.unit;
  const taught =
    traits.correctionDirection === 'learned' ? setup.installation.travelCapture : undefined;
  const facts = AXES.flatMap((axis): Atom[] => {
    if (!traits.axes.includes(axis)) return [];
    if (!taught)
      return [
        {
          id: `sense-${axis}`,
          place: 'unit',
          title: `This unit works ${axis} the opposite way to its description`,
          cost: 1,
          patch: replace(
            pointer('unit', 'traits', 'nominalSense', axis),
            -traits.nominalSense[axis],
          ),
        },
      ];
    const at = taught.findIndex((t) => t.carries === TAUGHT_AS[axis]);
    return at < 0
      ? []
      : [
          {
            id: `taught-${axis}`,
            place: 'unit',
            title: taughtByDriving(setup.unit)
              ? 'The unit learned the right side first'
              : `The unit learned ${axis} reversed`,
            cost: 1,
            patch: replace(
              pointer('installation', 'travelCapture', at, 'sense'),
              -taught[at]!.sense,
            ),
          },
        ];
  });
  const { wingType } = setup.unit.settings;
  for (const axis of wingType === planned ? (MIXED_AXES[wingType] ?? []) : [])
    facts.push({
      id: `mix-${axis}`,
      place: 'unit',
      title: `The unit’s mixer takes the ${axis} stick the opposite way`,
      cost: 1,
      patch: [
        {
          op: 'add',
          path: '/unit/traits/mixSense',
          value: { ...traits.mixSense, [axis]: -(traits.mixSense?.[axis] ?? 1) },
        },
      ],
    });
  setup.airframe.surfaces.forEach((surface, i) =>
    facts.push({
      id: `rod-${surface.id}`,
      place: 'linkage',
      title: `${surface.label} is linked opposite to the Setup`,
      cost: 1,
      patch: replace(
        pointer('airframe', 'surfaces', i, 'linkage', 'sense'),
        surface.linkage.sense === 'same' ? 'opposite' : 'same',
      ),
    }),
  );
  return facts;
}

/** What a learning unit files each axis under. */
const TAUGHT_AS: Record<Axis, ChannelFunction> = {
  roll: 'aileron',
  pitch: 'elevator',
  yaw: 'rudder',
};

const HOW_IN_UNIT: Record<string, string> = {
  menu: 'in the unit’s menu',
  switches: 'with its small switch on the unit',
  button: 'with the unit’s button',
  gestures: 'with its stick gesture',
  'dial-side': 'by turning its dial to the other side of centre',
};

/** Everything the person can turn round, in the transmitter, in the unit and after it. */
export function settingAtoms(setup: Setup): Atom[] {
  const { program, unit, airframe } = setup;
  const atoms: Atom[] = [];
  program.outputs.forEach((output, i) => {
    if (roleOf(output.carries) !== 'steering') return;
    atoms.push({
      id: `channel-${output.channel}`,
      place: 'transmitter',
      title:
        `${output.reversed ? 'Set' : 'Reverse'} channel ${output.channel} (${output.carries}) ${output.reversed ? 'to normal' : ''} in the transmitter`.replace(
          / {2}/,
          ' ',
        ),
      cost: 1,
      patch: replace(pointer('program', 'outputs', i, 'reversed'), !output.reversed),
    });
  });
  const how = HOW_IN_UNIT[unit.traits.correctionDirection];
  if (how)
    unit.traits.axes.forEach((axis: Axis) =>
      atoms.push({
        id: `axis-${axis}`,
        place: 'unit',
        title: `Reverse the ${axis} correction ${how}`,
        cost: 1,
        patch: replace(
          pointer('unit', 'settings', 'axes', axis, 'reversed'),
          !unit.settings.axes[axis].reversed,
        ),
      }),
    );
  if (unit.traits.correctionDirection === 'learned')
    setup.installation.travelCapture?.forEach(({ carries, sense }, i) =>
      atoms.push({
        id: `teach-${carries}`,
        place: 'unit',
        title: taughtByDriving(unit)
          ? `Let it learn again, left first: ${LEFT_FIRST}`
          : `Let the unit learn its travel again, ${carries} stick as it is now`,
        cost: 1.05,
        patch: replace(pointer('installation', 'travelCapture', i, 'sense'), -sense),
      }),
    );
  if (unit.traits.portReverse)
    unit.settings.outputs.forEach((output, i) => {
      const port = unit.traits.ports.find((p) => p.id === output.port)!;
      atoms.push({
        id: `port-${output.port}`,
        place: 'servo',
        title: `Reverse the servo on ${port.label} (${output.carries}) in the unit’s output menu`,
        cost: 1.1,
        patch: replace(pointer('unit', 'settings', 'outputs', i, 'reversed'), !output.reversed),
      });
    });
  airframe.servos.forEach((servo, i) => {
    if (!servo.reversible) return;
    atoms.push({
      id: `servo-${servo.id}`,
      place: 'servo',
      title: `Reverse the ${servo.label.toLowerCase()} itself`,
      cost: 1.2,
      patch: replace(
        pointer('airframe', 'servos', i, 'rotation'),
        servo.rotation === 'normal' ? 'reversed' : 'normal',
      ),
    });
  });
  airframe.surfaces.forEach((surface, i) =>
    atoms.push({
      id: `move-rod-${surface.id}`,
      place: 'linkage',
      title: `Move the rod of the ${surface.label.toLowerCase()} to the other side of its servo arm`,
      cost: 3,
      patch: replace(
        pointer('airframe', 'surfaces', i, 'linkage', 'sense'),
        surface.linkage.sense === 'same' ? 'opposite' : 'same',
      ),
    }),
  );
  return atoms;
}
