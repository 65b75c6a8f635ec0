import { AXES, kindOf, type Axis, type Mode, type Sense, type Setup, type Surface } from '../setup';
import { isSteadied, movementOf, type Movement } from '../chain';
import { authority, oneWayOf, rearTurnsAt } from '../model';
import { handsOf } from './pose';

/** One thing to do with a stick or with the model while watching the surfaces. */
export interface Check {
  id: string;
  kind: 'stick' | 'correction';
  axis: Axis;
  /** Direction asked for (stick) or of the rotation (correction): roll right, nose up, nose right = 1. */
  sense: Sense;
  /** Mode a correction is checked in. */
  mode?: Mode;
  /** Not the first mode: looked at again because every mode can be set differently. */
  again: boolean;
  /** Turned quickly and watched while it turns, or turned far over and watched while it is kept there. */
  way: 'quick' | 'held';
  /** What to do, as an order. */
  instruction: string;
  /** The same, in the past, for sentences about what was seen. */
  done: string;
}

/** How far over the model is tipped and kept, so that levelling cannot be mistaken for damping. */
export const HAND_TILT_DEG = { roll: 80, pitch: 65 } as const;

type Words = Record<Axis, readonly [string, string]>;

const STICK: Words = {
  roll: ['Move the aileron stick right and hold it', 'moved the aileron stick right'],
  pitch: ['Pull the elevator stick back and hold it', 'pulled the elevator stick back'],
  yaw: ['Move the rudder stick right and hold it', 'moved the rudder stick right'],
};
const STEER = ['Steer right and hold it', 'steered right'] as const;
/** The other way as well, where a rudder moves to its own side only. */
const YAW_LEFT = ['Move the rudder stick left and hold it', 'moved the rudder stick left'] as const;
const STEER_LEFT = ['Steer left and hold it', 'steered left'] as const;
const QUICK: Words = {
  roll: ['Raise the left wing, quickly', 'raised the left wing'],
  pitch: ['Raise the nose, quickly', 'raised the nose'],
  yaw: ['Swing the nose to the right, quickly', 'swung the nose right'],
};
const HELD: Words = {
  roll: [
    'Raise the left wing straight up, almost on edge, and keep it there',
    'held the left wing straight up',
  ],
  pitch: ['Point the nose steeply up and keep it there', 'held the nose steeply up'],
  yaw: ['Turn the nose to the right and keep it there', 'held the nose turned right'],
};

/** A surface a check asks about, and which way it must go. */
export interface Expectation {
  check: Check;
  surface: Surface;
  /** Wanted sign of the deflection: trailing edge down or left is positive; 0: it has no part in it. */
  sign: Sense | 0;
  movement: Movement;
}

/** Whether there is a correction to look at: some surface turns the model about an axis the unit corrects, and it is not locked off. */
export const hasCorrections = ({ airframe, unit, intents }: Setup): boolean =>
  intents.program.lock === undefined &&
  unit.traits.axes.some((axis) => airframe.surfaces.some((s) => authority(airframe, s)[axis]));

/** The checks that make sense for this airframe and unit: sticks, then corrections in every mode. */
export function checksFor(setup: Setup): Check[] {
  const { airframe, unit } = setup;
  const { onSurface: ground, front } = kindOf(airframe);
  const has = (axis: Axis) => airframe.surfaces.some((s) => authority(airframe, s)[axis]);
  const stick = (
    axis: Axis,
    sense: Sense,
    [instruction, done]: readonly [string, string],
  ): Check => ({
    id: sense > 0 ? `stick-${axis}` : `stick-${axis}-left`,
    kind: 'stick',
    axis,
    sense,
    again: false,
    way: 'quick',
    instruction,
    done,
  });
  const sticks = AXES.filter(has).flatMap((axis): Check[] => {
    const right = stick(axis, 1, ground ? STEER : STICK[axis]);
    const oneSided = axis === 'yaw' && airframe.surfaces.some((s) => oneWayOf(setup, s));
    return oneSided ? [right, stick(axis, -1, ground ? STEER_LEFT : YAW_LEFT)] : [right];
  });
  // With its gain locked at off there is nothing of it to see.
  if (setup.intents.program.lock) return sticks;
  const corrected = AXES.filter((axis) => has(axis) && unit.traits.axes.includes(axis));
  const { corrections } = handsOf(setup);
  const modes: (Mode | undefined)[] =
    corrections.length > 0 ? corrections.map((p) => p.mode) : [undefined];
  const turned = modes.flatMap((mode, nth) =>
    corrected.map((axis): Check => {
      const way = mode && isHeld(setup, mode, axis) ? 'held' : 'quick';
      const [instruction, done] = (way === 'held' ? HELD : QUICK)[axis].map((w) =>
        w.replace('nose', front),
      ) as [string, string];
      const again = nth > 0;
      return {
        id: again ? `correction-${axis}-${mode}` : `correction-${axis}`,
        kind: 'correction',
        axis,
        sense: 1,
        ...(mode ? { mode } : {}),
        again,
        way,
        instruction,
        done,
      };
    }),
  );
  return [...sticks, ...turned];
}

/** Whether a surface stays over in this mode for as long as the model is kept turned. */
function isHeld({ unit }: Setup, mode: Mode, axis: Axis): boolean {
  const { axes, angleLimitsDeg } = unit.settings;
  if (mode === 'hold' || mode === 'hover') return axes[axis].holdAllowed;
  if (axis === 'yaw' || mode === 'rate' || mode === 'off') return false;
  if (mode !== 'trainer') return true;
  return axis === 'roll'
    ? HAND_TILT_DEG.roll > angleLimitsDeg.roll + 5
    : HAND_TILT_DEG.pitch > angleLimitsDeg.pitchUp + 5;
}

/** Whether the unit is meant to move this surface: plugged into a stabilized output. */
export function isStabilized(setup: Setup, surface: Surface): boolean {
  const plug = setup.installation.plugs.find((p) => p.drives.includes(surface.servo));
  return setup.unit.settings.outputs.some((o) => o.port === plug?.port && isSteadied(setup, o));
}

/** Everything that must be seen, surface by surface, for one check. */
export function expectationsOf(setup: Setup, check: Check): Expectation[] {
  return setup.airframe.surfaces.flatMap((surface) => {
    const moment = authority(setup.airframe, surface)[check.axis];
    if (!moment) return [];
    if (check.kind === 'correction' && !isStabilized(setup, surface)) return [];
    const wanted = check.kind === 'stick' ? check.sense : -check.sense;
    const sign = (wanted * moment) as Sense;
    if (check.kind === 'stick') {
      if (rearTurnsAt(setup, surface) === 'never') return [];
      const oneWay = oneWayOf(setup, surface);
      if (oneWay && oneWay !== sign) return [];
    }
    return [{ check, surface, sign, movement: movementOf(surface, sign * 10) }];
  });
}

/** All expectations of all checks, in the order they are asked. */
export function allExpectations(setup: Setup): Expectation[] {
  return checksFor(setup).flatMap((check) => expectationsOf(setup, check));
}

/**
 * Surfaces that must stay still in a check. In a stick check all that steer; in a correction those the
 * unit stabilizes. They are asked about by themselves only when that would tell something: one look at
 * the model while a stick moves answers for all of them.
 */
export function crossExpectations(setup: Setup): Expectation[] {
  const steers = (surface: Surface) => Object.keys(authority(setup.airframe, surface)).length > 0;
  return checksFor(setup).flatMap((check) =>
    check.again
      ? []
      : setup.airframe.surfaces
          .filter(
            (s) =>
              steers(s) &&
              (check.kind === 'stick' || isStabilized(setup, s)) &&
              !authority(setup.airframe, s)[check.axis],
          )
          .map((surface): Expectation => ({ check, surface, sign: 0, movement: 'centre' })),
  );
}
