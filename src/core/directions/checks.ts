import { AXES, type Axis, type Sense, type Setup, type Surface } from '../setup';
import { movementOf, type Movement } from '../chain';
import { authority } from './authority';

/** One thing to do with a stick or with the model while watching the surfaces. */
export interface Check {
  id: string;
  kind: 'stick' | 'correction';
  axis: Axis;
  /** Direction of the wish (stick) or of the rotation (correction): roll right, nose up, nose right = 1. */
  sense: Sense;
  /** What to do, as an order. */
  instruction: string;
  /** The same, in the past, for sentences about what was seen. */
  done: string;
}

const INSTRUCTIONS: Record<Check['kind'], Record<Axis, readonly [string, string]>> = {
  stick: {
    roll: ['Move the aileron stick right and hold it', 'moved the aileron stick right'],
    pitch: ['Pull the elevator stick back and hold it', 'pulled the elevator stick back'],
    yaw: ['Move the rudder stick right and hold it', 'moved the rudder stick right'],
  },
  correction: {
    roll: ['Raise the left wing, quickly', 'raised the left wing'],
    pitch: ['Raise the nose, quickly', 'raised the nose'],
    yaw: ['Swing the nose to the right, quickly', 'swung the nose right'],
  },
};
const STEER = ['Steer right and hold it', 'steered right'] as const;

/** A surface a check asks about, and which way it must go. */
export interface Expectation {
  check: Check;
  surface: Surface;
  /** Wanted sign of the deflection: trailing edge down or left is positive. */
  sign: Sense;
  movement: Movement;
}

/** The checks that make sense for this airframe and unit: sticks on every axis it can turn about. */
export function checksFor(setup: Setup): Check[] {
  const { airframe, unit } = setup;
  const surface = airframe.kind === 'car' || airframe.kind === 'boat';
  const checks: Check[] = [];
  for (const kind of ['stick', 'correction'] as const)
    for (const axis of AXES) {
      if (!airframe.surfaces.some((s) => authority(airframe.kind, s)[axis])) continue;
      if (kind === 'correction' && !unit.traits.axes.includes(axis)) continue;
      const [instruction, done] = surface && kind === 'stick' ? STEER : INSTRUCTIONS[kind][axis];
      checks.push({ id: `${kind}-${axis}`, kind, axis, sense: 1, instruction, done });
    }
  return checks;
}

/** Whether the unit is meant to move this surface: plugged into a stabilized output. */
export function isStabilized(setup: Setup, surface: Surface): boolean {
  const plug = setup.installation.plugs.find((p) => p.drives.includes(surface.servo));
  return setup.unit.settings.outputs.some((o) => o.port === plug?.port && o.stabilized);
}

/** Everything that must be seen, surface by surface, for one check. */
export function expectationsOf(setup: Setup, check: Check): Expectation[] {
  return setup.airframe.surfaces.flatMap((surface) => {
    const moment = authority(setup.airframe.kind, surface)[check.axis];
    if (!moment) return [];
    if (check.kind === 'correction' && !isStabilized(setup, surface)) return [];
    const wanted = check.kind === 'stick' ? check.sense : -check.sense;
    const sign = (wanted * moment) as Sense;
    return [{ check, surface, sign, movement: movementOf(surface, sign * 10) }];
  });
}

/** All expectations of all checks, in the order they are asked. */
export function allExpectations(setup: Setup): Expectation[] {
  return checksFor(setup).flatMap((check) => expectationsOf(setup, check));
}
