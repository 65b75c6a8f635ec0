'use client';

import { kindOf } from '@/core/setup';
import type { Sentence } from '../wishing';

export const lock: Sentence = {
  applies: (setup) => kindOf(setup.airframe).onSurface && setup.unit.traits.gainLaw !== 'fixed',
  wished: (w) => w.lock !== undefined,
  controls: () => [],
  offer: { words: 'gain locked at off', first: (_, w) => ({ ...w, lock: { until: 'chassis' } }) },
  drop: ({ lock: _, ...w }) => w,
  Says: ({ setup }) => (
    <>
      The gain is locked at off until{' '}
      {kindOf(setup.airframe).moves === 'water' ? 'the hull is' : 'the chassis is'} right without
      the gyro.
    </>
  ),
};
