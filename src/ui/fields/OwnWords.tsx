'use client';

import { TextField } from './TextField';

/** A thing, what we call it, and what the person's leaflet does. */
export interface OwnWord {
  key: string;
  ours: string;
  value: string | undefined;
  /** @returns what is wrong with it, or nothing */
  put: (word: string) => string | undefined;
}

/** One's own words for things, a field each; empty is ours. */
export const OwnWords = ({ words }: { words: readonly OwnWord[] }) => (
  <div className="grid gap-2 @lg:grid-cols-2">
    {words.map(({ key, ours, value, put }) => (
      <TextField key={key} label={`its word for “${ours}”`} value={value ?? ''} onCommit={put} />
    ))}
  </div>
);
