import { kindOf, pointer } from '../../setup';
import type { Found } from '../finding';
import type { Rule } from '../rule';
import { stateIn } from './state-in';

export const rudderHold: Rule = {
  id: 'M33',
  title: 'Hold on the rudder',
  why: 'In every turn the nose must swing; a rudder that holds its heading fights it.',
  check(setup, proof): Found[] {
    const { traits, settings } = setup.unit;
    // A lost signal and a recovery have modes of their own.
    const chosen = [
      ...settings.slots,
      ...(settings.failsafe ? [settings.failsafe.mode] : []),
      ...(settings.recovery ? [settings.recovery.mode] : []),
    ];
    const holds = chosen.filter((m) => m === 'hold' || m === 'hover');
    const steers = kindOf(setup.airframe).onSurface;
    if (!settings.axes.yaw.holdAllowed || holds.length === 0 || steers) return [];
    if (!traits.axes.includes('yaw')) return [];
    const path = pointer('unit', 'settings', 'axes', 'yaw', 'holdAllowed');
    const inFlight = holds.includes('hold');
    return [
      {
        severity: inFlight ? 'caution' : 'note',
        says: inFlight
          ? 'In hold the unit also holds the heading with the rudder. Leave that to hover.'
          : 'The rudder holds in hover, as it should; see that no other mode lets it.',
        where: path,
        ...(inFlight ? stateIn(setup, proof, 'hold', 'hold, the model banked') : {}),
        remedies: inFlight
          ? [
              {
                label: 'Switch hold off for yaw',
                patch: [{ op: 'replace', path, value: false }],
              },
            ]
          : [],
      },
    ];
  },
};
