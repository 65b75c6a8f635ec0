import { measured } from '../../core/setup';
import { buildAirframe, TRANSMITTERS, UNITS, usualAnswers } from '../../core/catalogue';
import { composeSetup } from '../../core/plan';
import { applyPatch } from '../../core/patch';
import { eventPatch } from '../../core/logbook';
import { identified, everything, withWishes, type DemoModel } from '../kit';
import { twoSeasons } from '../seasons';

/** The delta: proven, flown, and crashed in September; all that was seen of it is stale. */
export function delta(): DemoModel {
  const setup = withWishes(
    identified(
      composeSetup(
        'Skua, delta',
        measured(buildAirframe(usualAnswers('flying-wing'))),
        UNITS['menu-receiver']!,
        TRANSMITTERS['line-sixteen']!,
      ),
    ),
    { panic: { way: 'replace', control: 'sm', holdS: 0.3, gainPct: 60 }, voice: { modes: true } },
  );
  setup.unit.settings.angleLimitsDeg.roll = 40;
  setup.notes = 'Fast and small: gain low, and lower still for the long dives along the dam.';
  const crashed = applyPatch(setup, eventPatch(setup, 'crash'));
  return {
    versions: [
      { setup, label: 'As flown', at: '2025-04-20T17:00:00.000Z' },
      { setup: crashed, label: 'Crash or hard landing', at: '2026-09-19T14:12:00.000Z' },
    ],
    seen: everything(setup),
    log: [
      ...twoSeasons('skua', 21, [4, 5, 6, 7, 8, 9], ['dam', 'meadow'], '2026-09-18'),
      {
        uid: 'skua-crash-2026-09-19',
        version: 2,
        kind: 'event',
        at: '2026-09-19T14:12:00.000Z',
        title: 'Crash or hard landing',
        place: 'dam',
        wind: 'gusts to 8 m/s',
        seen: 'Cartwheeled in the heather. Left elevon servo ticks, unit loose on its tape.',
      },
    ],
  };
}
