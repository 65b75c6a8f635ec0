import type { Control } from '@/core/setup';

/** Switches in the order the digit keys count them. */
export const switchesOf = (controls: readonly Control[]) =>
  controls.filter((c) => c.kind === 'switch-2' || c.kind === 'switch-3');
