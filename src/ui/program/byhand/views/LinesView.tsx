'use client';

import { LineSentence } from '../LineSentence';
import type { ViewProps } from './view';

/** Every line a sentence. */
export const LinesView = ({ own }: Pick<ViewProps, 'own'>) =>
  own.map((line, i) => (
    <LineSentence key={line.id} line={line} first={i === 0} last={i === own.length - 1} />
  ));
