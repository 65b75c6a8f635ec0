'use client';

import { sourceKey, sourcesFor } from '@/core/edit';
import type { Setup, Source, Worked } from '@/core/setup';
import { sourceWords } from '@/core/sheets';
import { PickWord } from '../../parts/PickWord';

/** What a line, a comparison or a call-out follows. */
export function SourceWord({
  setup,
  label,
  value,
  of,
  onPut,
}: {
  setup: Setup;
  label: string;
  value: Source;
  /** What it must not come back to. */
  of?: Worked;
  onPut: (source: Source) => void;
}) {
  const sources = sourcesFor(setup, of);
  return (
    <PickWord
      label={label}
      value={sourceKey(value)}
      options={sources.map(({ key, source }) => ({
        value: key,
        words: sourceWords(setup, source),
      }))}
      onPick={(key) => {
        const found = sources.find((s) => s.key === key);
        if (found) onPut(found.source);
      }}
    />
  );
}
