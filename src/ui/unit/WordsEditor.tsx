'use client';

import { HOW } from '@/core/capture';
import { plainLight } from '@/core/chain';
import {
  gestureKey,
  leafletWord,
  lightKey,
  modeKey,
  putLeafletWord,
  type Unit,
} from '@/core/setup';
import { OwnWords } from '../fields/OwnWords';
import { Fold } from '../parts/Fold';
import type { ChangeUnit } from './TraitQuestions';
import { MODE_WORDS } from './words';

/** What the person’s leaflet calls modes, gestures and lights: it stands first wherever they are said. */
export function WordsEditor({ unit, change }: { unit: Unit; change: ChangeUnit }) {
  const { modes, captureGestures, levelCapture, lights } = unit.traits;
  const named: readonly (readonly [key: string, ours: string])[] = [
    ...modes.map((mode) => [modeKey(mode), MODE_WORDS[mode]] as const),
    ...captureGestures.map((way) => [gestureKey(way), HOW[way]] as const),
    ...(levelCapture ? [[gestureKey('level'), 'teach it what level is'] as const] : []),
    ...lights
      .filter((l) => modes.includes(l.mode))
      .map(
        (l) => [lightKey(l.mode), `its light in ${MODE_WORDS[l.mode]}: ${plainLight(l)}`] as const,
      ),
  ];
  return (
    <Fold title="In your leaflet’s words">
      <p className="text-soft mb-2 text-sm">
        What your leaflet calls its modes, ways of teaching it and lights. Your word stands first
        wherever they are said or printed, ours behind it. Words for its settings are given at Unit
        settings, its ports are named below.
      </p>
      <OwnWords
        words={named.map(([key, ours]) => ({
          key,
          ours,
          value: leafletWord(unit, key),
          put: (word) =>
            change(putLeafletWord(unit, key, word), `Leaflet’s word for ${ours}`.slice(0, 80))[0]
              ?.reason,
        }))}
      />
    </Fold>
  );
}
