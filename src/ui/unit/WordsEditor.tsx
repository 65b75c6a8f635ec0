'use client';

import { leafletWord, modeKey, putLeafletWord, type Unit } from '@/core/setup';
import { TextField } from '../fields/TextField';
import type { ChangeUnit } from './TraitQuestions';
import { MODE_WORDS } from './words';

/** What the person’s leaflet calls the modes: it stands first wherever a mode is said. */
export function WordsEditor({ unit, change }: { unit: Unit; change: ChangeUnit }) {
  return (
    <section aria-labelledby="words-title" className="flex flex-col gap-2">
      <h3 id="words-title" className="font-bold">
        In your leaflet’s words
      </h3>
      <p className="text-soft text-sm">
        What your leaflet calls each mode. Your word stands first wherever the mode is said or
        printed, ours behind it. Words for its settings are given at Unit settings.
      </p>
      <div className="grid gap-2 @lg:grid-cols-2">
        {unit.traits.modes.map((mode) => (
          <TextField
            key={mode}
            label={`its word for ${MODE_WORDS[mode]}`}
            value={leafletWord(unit, modeKey(mode)) ?? ''}
            onCommit={(word) =>
              change(
                putLeafletWord(unit, modeKey(mode), word),
                `Leaflet’s word for ${MODE_WORDS[mode]}`,
              )[0]?.reason
            }
          />
        ))}
      </div>
    </section>
  );
}
