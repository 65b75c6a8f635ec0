'use client';

import { Radio, RadioTower } from 'lucide-react';
import { useRig } from './rigStore';

/** Simulates the loss of the signal, and restores it. */
export function LinkButton() {
  const linkUp = useRig((s) => s.linkUp);
  const setLink = useRig((s) => s.setLink);
  const Icon = linkUp ? RadioTower : Radio;
  return (
    <button
      type="button"
      className="btn my-1 min-h-9 py-0 text-sm pointer-coarse:min-h-11"
      aria-pressed={!linkUp}
      onClick={() => setLink(!linkUp)}
    >
      <Icon size={16} aria-hidden />
      {linkUp ? 'Simulate signal loss' : 'Signal lost: restore it'}
    </button>
  );
}
