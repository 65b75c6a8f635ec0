import type { Line, Output, Setup } from '@/core/setup';

/** What every view of a channel is given: its lines, in order. */
export interface ViewProps {
  setup: Setup;
  output: Output;
  own: readonly Line[];
}
