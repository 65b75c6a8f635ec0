'use client';

import type { Witness } from '@/core/verify';
import { useRig } from './rigStore';

/** Puts the witness of a finding on the rig beside: the controls, then whatever has to be done in order. */
export function useShow(): (witness: Witness) => void {
  const play = useRig((s) => s.play);
  const setSheet = useRig((s) => s.setSheet);
  const sheet = useRig((s) => s.sheet);
  return ({ controls, steps }) => {
    play(steps ?? Object.entries(controls).map(([control, value]) => ({ control, value })));
    if (sheet === 'bar') setSheet('half');
  };
}
