import { measured } from '../../core/setup';
import { buildAirframe, TRANSMITTERS, UNITS, usualAnswers } from '../../core/catalogue';
import { composeSetup } from '../../core/plan';
import { identified, withWishes, type DemoModel } from '../kit';

/** The sailplane with a hole in its panic: the amount for the far position was never entered. */
export function sailplane(): DemoModel {
  const airframe = measured(buildAirframe(usualAnswers('v-tail')));
  airframe.measures = {
    ...airframe.measures,
    spanMm: 2400,
    lengthMm: 1210,
    chordMm: 175,
    massG: 1380,
    glideRatio: 18,
  };
  const setup = withWishes(
    identified(
      composeSetup(
        'Tern, V-tail sailplane',
        airframe,
        UNITS['menu-receiver']!,
        TRANSMITTERS['function-eight']!,
      ),
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
  return {
    versions: [{ setup, label: 'Program entered', at: '2026-11-08T16:40:00.000Z' }],
    seen: [],
    log: [],
  };
}
