'use client';

import { leafletWord, putLeafletWord } from '@/core/setup';
import { useModel } from '../open/modelStore';
import { prefixed } from '../open/prefixed';

/** What the person's leaflet calls a setting. */
export function LeafletWord({ setting, name }: { setting: string; name: string }) {
  const unit = useModel((s) => s.setup.unit);
  const edit = useModel((s) => s.edit);
  const now = leafletWord(unit, setting) ?? '';
  const keep = (word: string) => {
    const patch = putLeafletWord(unit, setting, word);
    if (patch.length > 0) edit(prefixed('/unit', patch), `Leaflet’s word for ${name}`);
  };
  return (
    <label className="flex flex-wrap items-baseline gap-x-2 text-sm">
      your leaflet’s word for {name}
      <input
        className="field w-48 py-0.5"
        defaultValue={now}
        key={now}
        maxLength={80}
        onBlur={(e) => keep(e.target.value)}
        onKeyDown={(e) => e.key === 'Enter' && keep(e.currentTarget.value)}
      />
    </label>
  );
}
