import { axisFunction, mixesItself, placesOf, showsMode, stickOf } from '../chain';
import { authority } from '../model';
import { AXES, type Axis, type Control, type Setup } from '../setup';
import { capturingLevel } from './capturing';
import { looksOf, rewrites, SIGN, type Experiment, type Step } from './experiment';
import { teaching } from './gestures';
import { gainPlaces, modeSwitches, posturesOf, type Controls } from './postures';

/** How far a model is tilted, and how far where a limit is looked for. */
const TILT_DEG: Readonly<Record<Axis, number>> = { roll: 30, pitch: 25, yaw: 60 };
const FAR_DEG = 75;
const HELD_PCT = 60;
/** An experiment with more looks than this is not repeated in every position. */
const MOST_ROUND_LOOKS = 3;

/** About how long each thing takes, seconds; the second and third thing done to a model that is held already less. */
const TAKES_S = {
  tilt: 20,
  corner: 22,
  /** Saved where the same is repeated in another position. */
  less: 15,
  stab: 5,
  further: 4,
  stick: 24,
  lost: 40,
  fresh: 50,
  lead: 60,
  teach: 45,
  /** In each position. */
  light: 3,
} as const;

/**
 * Everything that may be tried on the bench with this transmitter and program: in each position of what chooses the
 * mode, the model tilted both ways about each axis the unit may know, by a corner, further, with its stick given
 * meanwhile, with its stick out, with other gains, freshly powered, without the gain lead, and with the signal lost.
 * Nothing that would teach a unit something, but for level captured in the way of its description.
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
  const all = new Map<string, Experiment>();
  const teaches = teaching(setup);
  const add = (
    controls: Controls,
    steps: readonly Step[],
    seconds: number,
    more: Partial<Pick<Experiment, 'fresh' | 'leadOut'>> = {},
  ) => {
    const away = Object.entries(controls)
      .filter(
        ([control, value]) => transmitter.controls.find((c) => c.id === control)?.rest !== value,
      )
      .toSorted();
    const id = JSON.stringify([away, steps, more]);
    const made = { steps, seconds, fresh: false, leadOut: false, ...more };
    const experiment: Experiment = { id, controls: Object.fromEntries(away), ...made };
    if (!teaches(experiment)) all.set(id, experiment);
  };
  const tilt = (by: Readonly<Partial<Record<Axis, number>>>, ...watch: string[]): Step => ({
    act: { kind: 'tilt', deg: by },
    watch,
  });
  const gains = gainPlaces(setup);
  const full = gains.at(-1)!;
  const roll = watched.find(({ axis }) => axis === 'roll');
  const pitch = watched.find(({ axis }) => axis === 'pitch');
  const hands = capturingLevel(setup);
  for (const posture of posturesOf(setup)) {
    const on = { ...posture, ...full };
    for (const side of [1, -1] as const)
      for (const { axis, surface, stick } of watched) {
        const deg = side * TILT_DEG[axis];
        const tilted = tilt({ [axis]: deg }, surface);
        const stab: Step = { act: { kind: 'stab', stick }, watch: [surface] };
        // One corner lifted asks two surfaces at once.
        if (axis === 'pitch' && roll && roll.surface !== surface)
          add(
            on,
            [tilt({ roll: side * TILT_DEG.roll, pitch: deg }, roll.surface, surface)],
            TAKES_S.corner,
          );
        else add(on, [tilted], TAKES_S.tilt);
        if (axis === 'yaw') continue;
        add(on, [tilted, stab], TAKES_S.tilt + TAKES_S.stab);
        if (axis === 'pitch') continue;
        const far = tilt({ [axis]: side * FAR_DEG }, surface);
        add(on, [tilted, far], TAKES_S.tilt + TAKES_S.further);
        add(on, [tilted, stab, far], TAKES_S.tilt + TAKES_S.stab + TAKES_S.further);
      }
    // What mixes shows on a surface that has nothing to do with the tilt.
    for (const [i, { axis, surface }] of mixesItself(unit.traits) ? watched.entries() : []) {
      const other = watched[i + 1]?.surface;
      if (other && other !== surface)
        add(on, [tilt({ [axis]: TILT_DEG[axis] }, surface, other)], TAKES_S.corner);
    }
    if (hands && pitch)
      add(
        on,
        [{ act: { kind: 'teach', deg: { pitch: TILT_DEG.pitch }, hands }, watch: [pitch.surface] }],
        TAKES_S.teach,
      );
    for (const side of [1, -1] as const) {
      const steps = [tilt({ [first.axis]: side * TILT_DEG[first.axis] }, first.surface)];
      add({ ...on, [first.stick]: 100 }, steps, TAKES_S.stick);
      for (const gain of gains.slice(0, -1)) add({ ...posture, ...gain }, steps, TAKES_S.tilt);
      const fresh = { act: { kind: 'power-up' }, watch: [SIGN] } as const;
      add(on, [fresh, ...steps], TAKES_S.fresh, { fresh: true });
      if (unit.traits.place !== 'receiver' && setup.installation.gainLead)
        add(on, steps, TAKES_S.lead, { leadOut: true });
    }
  }
  for (const { surface, stick } of watched)
    for (const pct of [HELD_PCT, -HELD_PCT])
      add(full, [{ act: { kind: 'lost', stick, pct }, watch: [surface] }], TAKES_S.lost);
  const [along] = modeSwitches(setup).toSorted(
    (a, b) => placesOf(b.kind).length - placesOf(a.kind).length,
  );
  if (!along) return [...all.values()];
  const single = [...all.values()];
  const [start, ...others] = placesOf(along.kind).map(([, value]) => ({ [along.id]: value }));
  // What the light shows in one position against the one before; the model is left alone.
  if (showsMode(unit))
    for (const posture of posturesOf(setup))
      add(
        { ...posture, ...full, ...start },
        others.map((put) => ({ put, act: { kind: 'light' }, watch: [SIGN] })),
        TAKES_S.light * (1 + others.length),
      );
  for (const round of roundsOf(along, single)) if (!teaches(round)) all.set(round.id, round);
  return [...all.values()];
}

/**
 * The same in each position of a switch, as one experiment: the model is levelled between them, which takes less time
 * than to begin again.
 */
function roundsOf(along: Control, single: readonly Experiment[]): Experiment[] {
  const places = placesOf(along.kind).map(([, value]) => value);
  const placeOf = (e: Experiment) => e.controls[along.id] ?? along.rest;
  const rows = new Map<string, Experiment[]>();
  for (const e of single) {
    if (e.fresh || e.leadOut || rewrites(e) || looksOf(e).length > MOST_ROUND_LOOKS) continue;
    if (e.steps.some(({ put }) => put !== undefined)) continue;
    const { [along.id]: _, ...others } = e.controls;
    const key = JSON.stringify([others, e.steps]);
    rows.set(key, [...(rows.get(key) ?? []), e]);
  }
  return [...rows.values()].flatMap((row): Experiment[] => {
    const parts = places.flatMap((value) => row.find((e) => placeOf(e) === value) ?? []);
    const [start, ...others] = parts;
    const stabs = start?.steps.flatMap(({ act }) => (act.kind === 'stab' ? [act.stick] : []));
    if (!start || parts.length < places.length) return [];
    return [
      {
        ...start,
        id: JSON.stringify(parts.map(({ id }) => id)),
        steps: [
          ...start.steps,
          ...others.flatMap((e) =>
            e.steps.map((step, i) =>
              // A stick moved while the model is tilted gives attitude hold a new reference.
              i > 0 ? step : { ...step, put: { [along.id]: placeOf(e) }, settle: stabs?.[0] },
            ),
          ),
        ],
        seconds: parts.reduce((sum, e) => sum + e.seconds, -others.length * TAKES_S.less),
        parts: parts.map(({ id }) => id),
      },
    ];
  });
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
