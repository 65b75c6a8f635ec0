import { axisFunction, placesOf, stickOf } from '../chain';
import { authority } from '../model';
import { AXES, isSwitched, type Axis, type Setup } from '../setup';
import { coneOf } from '../verify';
import type { Act, Experiment } from './experiment';
import { wouldTeach } from './gestures';

/** How far a model is tilted, and how far where a limit is looked for. */
const TILT_DEG: Readonly<Record<Axis, number>> = { roll: 30, pitch: 25, yaw: 60 };
const FAR_DEG = 75;
const HELD_PCT = 60;
/** More positions of what chooses the mode than this are not tried one by one. */
const MOST_POSTURES = 9;

/** About how long each thing takes, seconds. */
const TAKES_S = { tilt: 10, stab: 15, lost: 30, fresh: 40, lead: 45 } as const;

type Controls = Readonly<Record<string, number>>;

/**
 * Everything that may be tried on the bench with this transmitter and program: in each position of what chooses the
 * mode, the model tilted both ways about each axis the unit may know, further, with its stick out, with other gains,
 * freshly powered, without the gain lead, and with the signal lost. Nothing that would teach a unit something.
 */
export function experimentsFor(setup: Setup): Experiment[] {
  const { unit, transmitter } = setup;
  const watched = AXES.flatMap((axis) => {
    const surface = watchFor(setup, axis);
    const at = stickOf(transmitter, axisFunction(setup, axis));
    const stick = transmitter.controls[at];
    return surface && stick ? [{ axis, surface, stick: stick.id }] : [];
  });
  const [first] = watched;
  if (!first) return [];
  const all: Experiment[] = [];
  const add = (
    controls: Controls,
    act: Act,
    watch: string,
    seconds: number,
    more: Partial<Pick<Experiment, 'fresh' | 'leadOut'>> = {},
  ) => {
    const away = Object.entries(controls)
      .filter(
        ([control, value]) => transmitter.controls.find((c) => c.id === control)?.rest !== value,
      )
      .toSorted();
    const id = JSON.stringify([away, act, watch, more]);
    const made = { act, watch, seconds, fresh: false, leadOut: false, ...more };
    if (all.some((e) => e.id === id)) return;
    const experiment: Experiment = { id, controls: Object.fromEntries(away), ...made };
    if (!wouldTeach(unit, transmitter, experiment)) all.push(experiment);
  };
  const gains = gainPlaces(setup);
  const full = gains.at(-1)!;
  for (const posture of posturesOf(setup)) {
    const on = { ...posture, ...full };
    for (const { axis, surface, stick } of watched)
      for (const side of [1, -1] as const) {
        const deg = side * TILT_DEG[axis];
        add(on, { kind: 'tilt', axis, deg }, surface, TAKES_S.tilt);
        if (axis === 'yaw') continue;
        add(on, { kind: 'stab', axis, deg, stick }, surface, TAKES_S.stab);
        if (axis === 'pitch') continue;
        add(on, { kind: 'tilt', axis, deg: side * FAR_DEG }, surface, TAKES_S.tilt);
      }
    for (const side of [1, -1] as const) {
      const act: Act = { kind: 'tilt', axis: first.axis, deg: side * TILT_DEG[first.axis] };
      add({ ...on, [first.stick]: 100 }, act, first.surface, TAKES_S.stab);
      for (const gain of gains.slice(0, -1))
        add({ ...posture, ...gain }, act, first.surface, TAKES_S.tilt);
      if (setup.airframe.motors.length > 0)
        add(on, act, first.surface, TAKES_S.fresh, { fresh: true });
      if (unit.traits.place !== 'receiver' && setup.installation.gainLead)
        add(on, act, first.surface, TAKES_S.lead, { leadOut: true });
    }
  }
  for (const { surface, stick } of watched)
    for (const pct of [HELD_PCT, -HELD_PCT])
      add(full, { kind: 'lost', stick, pct }, surface, TAKES_S.lost);
  return all;
}

/** The surface that turns the model most about an axis, of those the unit steadies or not. */
function watchFor({ airframe }: Setup, axis: Axis): string | undefined {
  const turns = airframe.surfaces
    .map((s) => ({ id: s.id, by: Math.abs(authority(airframe, s)[axis] ?? 0) }))
    .filter(({ by }) => by > 0);
  return turns.reduce<(typeof turns)[number] | undefined>(
    (a, b) => (a && a.by >= b.by ? a : b),
    undefined,
  )?.id;
}

/** Every combination of positions of the switches that choose the mode, as controls away from rest. */
function posturesOf(setup: Setup): Controls[] {
  const { transmitter, unit } = setup;
  const channels = unit.settings.inputs
    .filter((i) => i.carries === 'mode' || i.carries === 'mode2')
    .map((i) => i.channel);
  const switches = coneOf(setup, channels)
    .controls.map((at) => transmitter.controls[at]!)
    .filter(isSwitched);
  const rows = switches.reduce<Controls[]>(
    (list, control) =>
      list.flatMap((row) =>
        placesOf(control.kind).map(([, value]) => ({ ...row, [control.id]: value })),
      ),
    [{}],
  );
  return rows.slice(0, MOST_POSTURES);
}

/** Where the gain is at its least, in its middle and at its most, as far as a free control works it. */
function gainPlaces(setup: Setup): Controls[] {
  const { transmitter, unit } = setup;
  const channels = unit.settings.inputs.filter((i) => i.carries === 'gain').map((i) => i.channel);
  const free = coneOf(setup, channels)
    .controls.map((at) => transmitter.controls[at]!)
    .find((c) => !isSwitched(c) && c.kind !== 'trim' && c.kind !== 'stick');
  return free ? [-100, 0, 100].map((value) => ({ [free.id]: value })) : [{}];
}
