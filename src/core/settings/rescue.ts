import { choiceRow, flagRow, inSettings, numberRow } from './lens';
import { modeOptions } from './modes';
import type { Setting } from './setting';

/*
 * What it does when panic is held, and when the signal is lost.
 */

export const recovery: Setting = {
  id: 'recovery',
  rows(setup) {
    const { traits, settings } = setup.unit;
    const own = settings.recovery;
    const heard = settings.inputs.some((i) => i.carries === 'recovery');
    if (!own || !heard || traits.panic === 'none' || traits.panic === 'mode-band') return [];
    const write = (field: keyof typeof own) => ({
      path: inSettings('recovery', field).path,
      write: (to: typeof settings, v: unknown) =>
        void (to.recovery = { ...own, ...to.recovery, [field]: v } as typeof own),
    });
    const row = (field: keyof typeof own, name: string, unit: string) =>
      numberRow(
        { id: `recovery ${field}`, about: 'Recovery', name, ...write(field) },
        own[field] as number,
        unit,
      );
    return [
      choiceRow(
        { id: 'recovery mode', about: 'Recovery', name: 'mode', ...write('mode') },
        own.mode,
        modeOptions(setup.unit),
      ),
      row('rollLimitDeg', 'maximum bank', '°'),
      row('pitchLimitDeg', 'maximum pitch', '°'),
      row('delayMs', 'after', ' ms'),
      row('thresholdUs', 'above', ' µs'),
    ];
  },
};

export const failsafe: Setting = {
  id: 'failsafe',
  rows(setup) {
    const { traits, settings } = setup.unit;
    if (!traits.failsafe.some((f) => f === 'unit-mode' || f === 'autopilot')) return [];
    const own = settings.failsafe;
    const fresh = {
      mode: traits.modes.includes('level') ? ('level' as const) : traits.modes[0]!,
      pitchDeg: 3,
      rollDeg: 0,
      cutThrottle: true,
    };
    const write = (field: keyof typeof fresh) => ({
      path: inSettings('failsafe', field).path,
      write: (to: typeof settings, v: unknown) =>
        void (to.failsafe = { ...fresh, ...to.failsafe, [field]: v } as typeof fresh),
    });
    const about = 'Failsafe of the unit';
    return [
      flagRow(
        {
          id: 'failsafe',
          about,
          name: 'is',
          path: '/unit/settings/failsafe',
          write(to, value) {
            if (value) to.failsafe ??= { ...fresh };
            else delete to.failsafe;
          },
        },
        own !== undefined,
        'on',
        'off',
      ),
      ...(own
        ? [
            choiceRow(
              { id: 'failsafe mode', about, name: 'mode', ...write('mode') },
              own.mode,
              modeOptions(setup.unit),
            ),
            numberRow(
              { id: 'failsafe pitch', about, name: 'nose up', ...write('pitchDeg') },
              own.pitchDeg,
              '°',
              0.5,
            ),
            numberRow(
              { id: 'failsafe roll', about, name: 'bank to the right', ...write('rollDeg') },
              own.rollDeg,
              '°',
            ),
            flagRow(
              { id: 'failsafe throttle', about, name: 'throttle', ...write('cutThrottle') },
              own.cutThrottle,
              'off',
              'unchanged',
            ),
          ]
        : []),
    ];
  },
};
