import { measured } from '../../core/setup';
import { buildAirframe, TRANSMITTERS, UNITS, usualAnswers } from '../../core/catalogue';
import { composeSetup } from '../../core/plan';
import { identified, type DemoModel } from '../kit';

/** The tug with two faults: roll correction reversed in the unit, elevator channel reversed. */
export function skiTug(): DemoModel {
  const airframe = measured(buildAirframe(usualAnswers('conventional')));
  airframe.measures = {
    ...airframe.measures,
    spanMm: 1820,
    lengthMm: 1330,
    chordMm: 300,
    massG: 3900,
    stance: 'skis',
    standingPitchDeg: 7,
  };
  const setup = identified(
    composeSetup(
      'Otter, ski-equipped tug',
      airframe,
      UNITS['switch-receiver']!,
      TRANSMITTERS['function-eight']!,
    ),
  );
  setup.unit.settings.axes.roll.reversed = true;
  setup.program.outputs.find((o) => o.carries === 'elevator')!.reversed = true;
  setup.notes = 'New receiver this winter. Directions not looked at yet.';
  return {
    versions: [{ setup, label: 'Fitted on the bench', at: '2026-11-15T19:05:00.000Z' }],
    seen: [],
    log: [],
  };
}
