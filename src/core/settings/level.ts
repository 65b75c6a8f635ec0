import type { Setup } from '../setup';
import { choiceRow, inSettings, numberRow } from './lens';
import { meansOf } from './means';
import type { Setting } from './setting';

/*
 * What levelling is for it, and how far it goes.
 */

const levels = ({ unit }: Setup) =>
  unit.traits.modes.includes('level') || unit.traits.modes.includes('home');

export const levelling: Setting = {
  id: 'levelling',
  rows: (setup) =>
    levels(setup) && setup.unit.traits.extras.includes('roll-through')
      ? [
          choiceRow(
            { id: 'levelling', about: '', name: 'levelling', ...inSettings('levelKind') },
            setup.unit.settings.levelKind ?? 'limits',
            [
              ['limits', 'limits the angle'],
              ['rolls-through', 'rolls through at full stick'],
            ],
          ),
        ]
      : [],
};

export const LIMITS = ['roll', 'pitchUp', 'pitchDown'] as const;
export const LIMIT_WORDS = { roll: 'roll', pitchUp: 'nose up', pitchDown: 'nose down' } as const;

export const limits: Setting = {
  id: 'limits',
  rows(setup) {
    const { traits, settings } = setup.unit;
    if (!levels(setup) && !traits.modes.includes('trainer')) return [];
    return LIMITS.map((field) =>
      numberRow(
        {
          id: `limits ${field}`,
          about: 'Angle limits',
          name: LIMIT_WORDS[field],
          ...inSettings('angleLimitsDeg', field),
        },
        settings.angleLimitsDeg[field],
        '°',
      ),
    );
  },
};

export const levelOffset: Setting = {
  id: 'level-offset',
  rows(setup) {
    if (!levels(setup)) return [];
    const { levelOffsetDeg } = setup.unit.settings;
    const row = (axis: 'roll' | 'pitch', name: string) =>
      numberRow(
        {
          id: `level-offset ${axis}`,
          about: 'Level',
          name,
          how:
            meansOf(setup.unit) === 'menu'
              ? undefined
              : 'set by the attitude in which you capture level',
          ...(meansOf(setup.unit) === 'menu' ? {} : { isGiven: true as const }),
          ...inSettings('levelOffsetDeg', axis),
        },
        levelOffsetDeg[axis],
        '°',
        0.5,
      );
    return [
      row('roll', 'offset in roll, right wing down'),
      row('pitch', 'offset in pitch, nose up'),
    ];
  },
};
