import { MIXED_AXES } from '../chain';
import type { PatchOperation } from '../patch';
import {
  AXES,
  driveAt,
  drivesOf,
  functionOf,
  isMovedBy,
  LEFT_FIRST,
  pointer,
  taughtByDriving,
  roleOf,
  type Airframe,
  type Axis,
  type ChannelFunction,
  type Servo,
  type Setup,
  type Surface,
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
      patch: rodsTurned(surface, i),
    }),
  );
  return facts;
}

/** Every rod of a part on the other side of its arm: ganged servos are reversed together. */
const rodsTurned = (surface: Surface, at: number): PatchOperation[] =>
  drivesOf(surface).flatMap(({ linkage }, d) =>
    replace(
      pointer('airframe', 'surfaces', at, ...driveAt(d), 'linkage', 'sense'),
      linkage.sense === 'same' ? 'opposite' : 'same',
    ),
  );

/** A servo and those ganged with it, in their order: reversed alone it would pull against them. */
function gangOf({ surfaces, servos }: Airframe, id: string): readonly Servo[] {
  const gang = surfaces.find((s) => s.ganged && isMovedBy(s, id));
  return servos.filter((s) => (gang ? isMovedBy(gang, s.id) : s.id === id));
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
    const together = channelsWith(setup, output.carries);
    if (together[0] !== i) return;
    const own = together.map((o) => program.outputs[o]!);
    const channels = own.map((o) => o.channel).join(' and ');
    const names = own.map((o) => functionOf(o.carries).words).join(', ');
    const word = own.length > 1 ? 'channels' : 'channel';
    atoms.push({
      id: `channel-${output.channel}`,
      place: 'transmitter',
      title: output.reversed
        ? `Set ${word} ${channels} (${names}) to normal in the transmitter`
        : `Reverse ${word} ${channels} (${names}) in the transmitter`,
      cost: own.length,
      patch: together.flatMap((o) =>
        replace(pointer('program', 'outputs', o, 'reversed'), !program.outputs[o]!.reversed),
      ),
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
          : `Let the unit learn its travel again, ${functionOf(carries).words} stick as it is now`,
        cost: 1.05,
        patch: replace(pointer('installation', 'travelCapture', i, 'sense'), -sense),
      }),
    );
  if (unit.traits.portReverse)
    unit.settings.outputs.forEach((output, i) => {
      const outputs = outputsWith(setup, output.port);
      if (outputs[0] !== i) return;
      const names = outputs.map((o) => portNamed(setup, unit.settings.outputs[o]!.port));
      atoms.push({
        id: `port-${output.port}`,
        place: 'servo',
        title:
          names.length === 1
            ? `Reverse the servo on ${names[0]} (${functionOf(output.carries).words}) in the unit’s output menu`
            : `Reverse the servos on ${names.join(' and ')} (${functionOf(output.carries).words}) in the unit’s output menu`,
        cost: 1.1 * names.length,
        patch: outputs.flatMap((o) =>
          replace(
            pointer('unit', 'settings', 'outputs', o, 'reversed'),
            !unit.settings.outputs[o]!.reversed,
          ),
        ),
      });
    });
  airframe.servos.forEach((servo) => {
    const gang = gangOf(airframe, servo.id);
    if (gang[0] !== servo || gang.some((s) => !s.reversible)) return;
    atoms.push({
      id: `servo-${servo.id}`,
      place: 'servo',
      title: `Reverse the ${gang.map((s) => s.label.toLowerCase()).join(' and the ')} ${gang.length > 1 ? 'themselves' : 'itself'}`,
      cost: 1.2 * gang.length,
      patch: gang.flatMap((s) =>
        replace(
          pointer('airframe', 'servos', airframe.servos.indexOf(s), 'rotation'),
          s.rotation === 'normal' ? 'reversed' : 'normal',
        ),
      ),
    });
  });
  airframe.surfaces.forEach((surface, i) =>
    atoms.push({
      id: `move-rod-${surface.id}`,
      place: 'linkage',
      title: surface.ganged
        ? `Move every rod of the ${surface.label.toLowerCase()} to the other side of its servo arm`
        : `Move the rod of the ${surface.label.toLowerCase()} to the other side of its servo arm`,
      cost: 3 * drivesOf(surface).length,
      patch: rodsTurned(surface, i),
    }),
  );
  return atoms;
}

const portNamed = (setup: Setup, port: string): string =>
  setup.unit.traits.ports.find((p) => p.id === port)!.label;

/** The outputs of the unit, by position, that must be reversed together with that of a port: ganged servos are plugged into them. */
function outputsWith({ unit, airframe, installation }: Setup, port: string): number[] {
  const driven = (at: string) => installation.plugs.find((p) => p.port === at)?.drives ?? [];
  const gang = new Set(driven(port).flatMap((id) => gangOf(airframe, id).map((servo) => servo.id)));
  return unit.settings.outputs.flatMap((o, i) =>
    o.port === port || driven(o.port).some((id) => gang.has(id)) ? [i] : [],
  );
}

/** The outputs of the transmitter, by position, that must be reversed together: they control ganged servos. */
function channelsWith({ program, airframe }: Setup, carries: ChannelFunction): number[] {
  const gang = airframe.servos
    .filter((s) => s.carries === carries)
    .flatMap((s) => gangOf(airframe, s.id).map((servo) => servo.carries));
  return program.outputs.flatMap((o, i) =>
    o.carries === carries || gang.includes(o.carries) ? [i] : [],
  );
}
