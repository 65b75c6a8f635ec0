import { buildAirframe, TRANSMITTERS, UNITS, usualAnswers } from '../core/catalogue';
import { allExpectations, predictAll } from '../core/directions';
import type { Evidence } from '../core/logbook';
import { composeSetup, usualWishes, writeWishes } from '../core/plan';
import { failsafeScript, panicScript } from '../core/recovery';
import type { ProgramWishes, Setup } from '../core/setup';
import { readBacksOf } from '../core/sheets';

/** A model of the Lake Hollow club: invented, like everything in this folder. */
export interface DemoModel {
  setup: Setup;
  label: string;
  /** What its owner has already seen. */
  seen: Pick<Evidence, 'check' | 'surface' | 'seen'>[];
}

/** What the model on the bench does when looked at, by the chain. */
function everythingSeen(setup: Setup): DemoModel['seen'] {
  const predictions = predictAll(setup);
  return allExpectations(setup).map(({ check, surface }) => ({
    check: check.id,
    surface: surface.id,
    seen: predictions.get(check.id)!.get(surface.id)!.movement,
  }));
}

/** What the monitor shows when everything was entered as it stands on the sheet. */
const everythingRead = (setup: Setup): DemoModel['seen'] =>
  readBacksOf(setup).map((r) => ({
    check: `read:${r.id}`,
    surface: `ch${r.channel}`,
    seen: `${Math.round(r.predictedPct)}%`,
  }));

/** Panic and failsafe tried with the model held. */
const everythingTested = (setup: Setup): DemoModel['seen'] =>
  [...panicScript(setup), ...failsafeScript(setup)].map((s) => ({
    check: s.check,
    surface: s.item,
    seen: 'pass',
  }));

function withWishes(setup: Setup, change: Partial<ProgramWishes>): Setup {
  const next = writeWishes(setup, { ...usualWishes(setup), ...change });
  if (!next.ok) throw new Error(next.reasons.join('; '));
  return next.setup;
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
  const plain = composeSetup(
    'Loon, floatplane',
    airframe,
    UNITS['menu-receiver']!,
    TRANSMITTERS['line-sixteen']!,
  );
  plain.unit.settings.angleLimitsDeg.roll = 35;
  plain.installation.unitHardware = '2';
  plain.installation.unitFirmware = '3.1';
  const setup = withWishes(plain, {
    panic: { way: 'replace', control: 'sm', holdS: 0.3, gainPct: 60 },
    rates: { offPct: 60, offExpoPct: 30, onPct: 100, onExpoPct: 20 },
    callouts: true,
    timerMin: 9,
  });
  setup.notes =
    'Off the north shore when the ice is gone. Damping in the middle, level near for the glide home.';
  return {
    setup,
    label: 'As flown in October',
    seen: [...everythingSeen(setup), ...everythingRead(setup), ...everythingTested(setup)],
  };
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

/** The sailplane with a hole in its panic: the amount for the far position was never entered. */
function sailplane(): DemoModel {
  const airframe = buildAirframe(usualAnswers('v-tail'));
  airframe.measures = {
    ...airframe.measures,
    spanMm: 2400,
    lengthMm: 1210,
    chordMm: 175,
    massG: 1380,
    glideRatio: 18,
  };
  const setup = withWishes(
    composeSetup(
      'Tern, V-tail sailplane',
      airframe,
      UNITS['menu-receiver']!,
      TRANSMITTERS['function-eight']!,
    ),
    {
      panic: { way: 'offsets', control: 'sm', holdS: 0, gainPct: 60 },
      launch: { control: 'sd', holdS: 1, elevatorPct: 25, releasePct: 10 },
    },
  );
  const far = setup.program.lines.findIndex(
    (l) => l.id.startsWith('panic-') && l.id.endsWith('-1'),
  );
  setup.program.lines.splice(far, 1);
  setup.notes = 'Thrown from the shore by one person. Panic was entered from memory.';
  return { setup, label: 'Program entered', seen: [] };
}

export const LAKE_HOLLOW: readonly (() => DemoModel)[] = [sailplane, skiTug, floatplane];
