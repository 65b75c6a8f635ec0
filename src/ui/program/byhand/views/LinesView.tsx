'use client';

import { nestingOf } from '@/core/edit';
import { LineSentence } from '../LineSentence';
import type { ViewProps } from './view';

/** Every line a sentence: what the channel does normally, what is added, what it does instead. */
export function LinesView({ own }: Pick<ViewProps, 'own'>) {
  const nesting = nestingOf(own);
  return own.map((line, i) => (
    <LineSentence
      key={line.id}
      line={line}
      first={i === 0}
      last={i === own.length - 1}
      depth={nesting[i]!}
    />
  ));
}
