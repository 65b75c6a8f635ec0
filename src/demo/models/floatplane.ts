import { measured } from '../../core/setup';
import { buildAirframe, TRANSMITTERS, UNITS, usualAnswers } from '../../core/catalogue';
import { composeSetup } from '../../core/plan';
import { everything, withWishes, type DemoModel } from '../kit';
import { twoSeasons } from '../seasons';

/** The floatplane, proven in every step: two seasons off the lake. */
export function floatplane(): DemoModel {
  const airframe = measured(buildAirframe({ ...usualAnswers('conventional'), wheel: 'none' }));
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
    rates: {
      by: 'mode',
      off: { pct: 60, expoPct: 30 },
      on: { pct: 100, expoPct: 20 },
    },
    voice: { modes: true },
    timer: { minutes: 9 },
  });
  setup.notes =
    'Off the north shore when the ice is gone. Damping in the middle, level near for the glide home.';
  setup.installation.transmitterFirmware = '2.10';
  return {
    versions: [{ setup, label: 'As flown in October', at: '2025-04-05T18:20:00.000Z' }],
    seen: everything(setup),
    log: twoSeasons('loon', 7, [5, 6, 7, 8, 9, 10], ['north shore', 'boathouse bay'], '2026-10-11'),
  };
}
