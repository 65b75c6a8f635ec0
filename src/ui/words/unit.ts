import type { Axis } from '@/core/setup';

export const AXIS_WORDS: Record<Axis, string> = { roll: 'Roll', pitch: 'Pitch', yaw: 'Yaw' };

export { MODE_WORDS, modeName, modeWords } from '@/core/chain';
