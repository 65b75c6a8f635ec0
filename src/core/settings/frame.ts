import { inSettings, numberRow } from './lens';
import type { Setting } from './setting';

export const frame: Setting = {
  id: 'frame',
  rows: ({ unit: { traits, settings } }) =>
    traits.extras.includes('frame-rate')
      ? [
          numberRow(
            { id: 'frame', about: '', name: 'servo frame', ...inSettings('servoFrameMs') },
            settings.servoFrameMs,
            ' ms',
          ),
        ]
      : [],
};
