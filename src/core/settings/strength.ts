import { choiceRow, inSettings, numberRow } from './lens';
import type { Setting } from './setting';

/*
 * How strongly and how soon it answers.
 */

/** Kept, printed and compared; what it does in the air nobody has written down. */
const UNSEEN = 'the rig does not simulate this: change it in small steps';

export const sensitivity: Setting = {
  id: 'sensitivity',
  rows: ({ unit: { traits, settings } }) =>
    traits.extras.includes('sensitivity-class')
      ? [
          {
            ...choiceRow(
              {
                id: 'sensitivity',
                about: '',
                name: 'sensitivity',
                path: inSettings('sensitivity').path,
                write: (to, value) => void (to.sensitivity = Number(value) as 1 | 2 | 4),
              },
              String(settings.sensitivity),
              [
                ['1', '×1, jets and aerobatic models'],
                ['2', '×2, most models'],
                ['4', '×4, slow flyers'],
              ],
            ),
            words: `×${settings.sensitivity}`,
          },
        ]
      : [],
};

export const response: Setting = {
  id: 'response',
  rows({ unit: { traits, settings } }) {
    if (!traits.extras.includes('response')) return [];
    const { character, stop } = settings.response ?? { character: 3, stop: 3 };
    const row = (field: 'character' | 'stop', name: string, value: number) =>
      numberRow(
        {
          id: `response ${field}`,
          about: 'Response',
          name,
          how: field === 'stop' ? UNSEEN : undefined,
          path: inSettings('response', field).path,
          write: (to, v) =>
            void (to.response = { character, stop, ...to.response, [field]: v as number }),
        },
        value,
        '',
      );
    return [
      row('character', 'soft to hard', character),
      row('stop', 'how hard it stops after a stick movement', stop),
    ];
  },
};

export const speedGain: Setting = {
  id: 'speed-gain',
  rows({ unit: { traits, settings } }) {
    if (!traits.extras.includes('speed-gain')) return [];
    const now = settings.speedGain ?? { fromMps: 20, lessPct: 0 };
    const row = (field: keyof typeof now, name: string, unit: string) =>
      numberRow(
        {
          id: `speed-gain ${field}`,
          about: 'Gain and speed',
          name,
          how: field === 'lessPct' ? UNSEEN : undefined,
          path: inSettings('speedGain', field).path,
          write: (to, v) => void (to.speedGain = { ...now, ...to.speedGain, [field]: v as number }),
        },
        now[field],
        unit,
      );
    return [
      row('fromMps', 'reduced above', ' m/s'),
      row('lessPct', 'reduction at twice that speed', ' %'),
    ];
  },
};
