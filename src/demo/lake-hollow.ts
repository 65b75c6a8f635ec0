import { buildAirframe, TRANSMITTERS, UNITS, usualAnswers } from '../core/catalogue';
import { allExpectations, predictAll, type Observation } from '../core/directions';
import { composeSetup } from '../core/plan';
import type { Setup } from '../core/setup';

/** A model of the Lake Hollow club: invented, like everything in this folder. */
export interface DemoModel {
  setup: Setup;
  label: string;
  /** What its owner has already seen. */
  seen: Observation[];
}

/** What the model on the bench does when looked at, by the chain. */
function everythingSeen(setup: Setup): Observation[] {
  const predictions = predictAll(setup);
  return allExpectations(setup).map(({ check, surface }) => ({
    check: check.id,
    surface: surface.id,
    seen: predictions.get(check.id)!.get(surface.id)!.movement,
  }));
}

function floatplane(): DemoModel {
  const airframe = buildAirframe({ ...usualAnswers('conventional'), wheel: 'none' });
  airframe.measures = {
    ...airframe.measures,
    spanMm: 1520,
    lengthMm: 1180,
    chordMm: 255,
    massG: 2150,
    stance: 'floats',
    standingPitchDeg: 3,
  };
  const setup = composeSetup(
    'Loon, floatplane',
    airframe,
    UNITS['menu-receiver']!,
    TRANSMITTERS['line-sixteen']!,
  );
  setup.notes =
    'Off the north shore when the ice is gone. Damping in the middle, level near for the glide home.';
  return { setup, label: 'As flown in October', seen: everythingSeen(setup) };
}

/** The tug with two faults: roll correction reversed in the unit, elevator channel reversed. */
function skiTug(): DemoModel {
  const airframe = buildAirframe(usualAnswers('conventional'));
  airframe.measures = {
    ...airframe.measures,
    spanMm: 1820,
    lengthMm: 1330,
    chordMm: 300,
    massG: 3900,
    stance: 'skis',
    standingPitchDeg: 7,
  };
  const setup = composeSetup(
    'Otter, ski-equipped tug',
    airframe,
    UNITS['switch-receiver']!,
    TRANSMITTERS['function-eight']!,
  );
  setup.unit.settings.axes.roll.reversed = true;
  setup.program.outputs.find((o) => o.carries === 'elevator')!.reversed = true;
  setup.notes = 'New receiver this winter. Directions not looked at yet.';
  return { setup, label: 'Fitted on the bench', seen: [] };
}

export const LAKE_HOLLOW: readonly (() => DemoModel)[] = [floatplane, skiTug];
