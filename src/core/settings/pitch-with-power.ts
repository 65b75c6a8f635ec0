import { flagRow, inSettings, numberRow } from './lens';
import type { Setting } from './setting';

/** Figures to begin with. Common practice, no source. */
const PITCH_WITH_POWER = {
  aboveThrottlePct: 51,
  fullThrottlePitchDeg: 15,
  belowThrottlePct: 30,
  idlePitchDeg: -2,
};

export const pitchWithPower: Setting = {
  id: 'pitch-with-power',
  rows({ unit: { traits, settings } }) {
    if (!traits.extras.includes('pitch-with-throttle')) return [];
    const own = settings.pitchWithThrottle;
    const row = (field: keyof NonNullable<typeof own>, name: string, unit: string) =>
      numberRow(
        {
          id: `pitch-with-power ${field}`,
          about: 'Pitch with power',
          name,
          path: inSettings('pitchWithThrottle', field).path,
          write: (to, v) =>
            void (to.pitchWithThrottle = {
              ...PITCH_WITH_POWER,
              ...to.pitchWithThrottle,
              [field]: v as number,
            }),
        },
        own![field],
        unit,
        unit === '°' ? 0.5 : 1,
      );
    return [
      flagRow(
        {
          id: 'pitch-with-power',
          about: 'Pitch with power',
          name: 'is',
          path: '/unit/settings/pitchWithThrottle',
          write(to, value) {
            if (value) to.pitchWithThrottle ??= { ...PITCH_WITH_POWER };
            else delete to.pitchWithThrottle;
          },
        },
        own !== undefined,
        'on',
        'off',
      ),
      ...(own
        ? [
            row('aboveThrottlePct', 'nose rises above throttle', ' %'),
            row('fullThrottlePitchDeg', 'at full throttle, nose up', '°'),
            row('belowThrottlePct', 'nose falls below throttle', ' %'),
            row('idlePitchDeg', 'at idle, nose up', '°'),
          ]
        : []),
    ];
  },
};
