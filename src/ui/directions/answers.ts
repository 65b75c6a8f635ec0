import { ArrowDown, ArrowLeft, ArrowRight, ArrowUp, CircleSlash } from 'lucide-react';
import type { AnswerId } from '@/core/asking';

/** How what may be seen of a surface is said and drawn. */
export const ANSWERS = {
  up: { words: 'up', icon: ArrowUp },
  down: { words: 'down', icon: ArrowDown },
  left: { words: 'left', icon: ArrowLeft },
  right: { words: 'right', icon: ArrowRight },
  centre: { words: 'did not move', icon: CircleSlash },
} as const satisfies Record<AnswerId, object>;

/** Keys that answer for one surface. */
export const KEYS: Record<string, AnswerId> = {
  ArrowUp: 'up',
  ArrowDown: 'down',
  ArrowLeft: 'left',
  ArrowRight: 'right',
  x: 'centre',
};
