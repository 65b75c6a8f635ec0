import { measured } from '../../core/setup';
import { buildAirframe, TRANSMITTERS, UNITS, usualAnswers } from '../../core/catalogue';
import { composeSetup } from '../../core/plan';
import { identified, everything, type DemoModel } from '../kit';
import { twoSeasons } from '../seasons';

/** The pilot boat: everything seen but what happens when the signal is lost. */
export function pilotBoat(): DemoModel {
  const setup = identified(
    composeSetup(
      'Pike, harbour pilot boat',
      measured(buildAirframe(usualAnswers('boat'))),
      UNITS['steering-receiver']!,
      TRANSMITTERS['surface-four']!,
    ),
  );
  setup.notes =
    'Runs straight in the wash of the ferry since the gyro is in. Failsafe never tried.';
  return {
    versions: [{ setup, label: 'As run', at: '2025-05-02T10:00:00.000Z' }],
    seen: everything(setup, 'failsafe', 'preflight'),
    log: twoSeasons(
      'pike',
      33,
      [5, 6, 7, 8, 9],
      ['harbour', 'ferry steps'],
      '2026-08-30',
      'ground',
    ).filter((e) => e.kind === 'flight'),
  };
}
