import type { Axis, Mode } from '@/core/setup';

export const AXIS_WORDS: Record<Axis, string> = { roll: 'Roll', pitch: 'Pitch', yaw: 'Yaw' };

export const MODE_WORDS: Record<Mode, string> = {
  off: 'off',
  rate: 'rate damping',
  hold: 'attitude hold',
  level: 'self-levelling',
  trainer: 'level trainer',
  home: 'return home',
  hover: 'hover',
};
