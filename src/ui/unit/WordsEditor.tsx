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
import { TextField } from '../fields/TextField';
import { Fold } from '../parts/Fold';
import type { ChangeUnit } from './change';
import { MODE_WORDS } from '../words/unit';

/** What the person’s leaflet calls modes, gestures and lights: it stands first wherever they are said. */
export function WordsEditor({ unit, change }: { unit: Unit; change: ChangeUnit }) {
  const { modes, captureGestures, levelCapture, lights } = unit.traits;
  const named: readonly (readonly [key: string, ours: string])[] = [
    ...modes.map((mode) => [modeKey(mode), MODE_WORDS[mode]] as const),
    ...captureGestures.map((way) => [gestureKey(way), HOW[way]] as const),
    ...(levelCapture ? [[gestureKey('level'), 'capture level'] as const] : []),
    ...lights
      .filter((l) => modes.includes(l.mode))
      .map(
        (l) => [lightKey(l.mode), `its light in ${MODE_WORDS[l.mode]}: ${plainLight(l)}`] as const,
      ),
  ];
  const sides = unit.traits.gainSides ?? { below: '', above: '' };
  const putSides = (next: typeof sides) =>
    // Both sides have words, or none has.
    change(
      next.below || next.above
        ? [
            {
              op: 'add',
              path: '/traits/gainSides',
              value: { below: next.below || 'below', above: next.above || 'above' },
            },
          ]
        : [{ op: 'remove', path: '/traits/gainSides' }],
      'Words for the two sides of the gain',
    )[0]?.reason;
  return (
    <Fold title="In your leaflet’s words">
      <p className="text-soft mb-2 text-sm">
        What your leaflet calls its modes, captures and lights. Your word comes first wherever they
        are shown or printed, ours after it. Words for its settings are given at Unit settings, its
        ports are named below.
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
      {unit.traits.gainLaw === 'sign-selects-set' && (
        <fieldset className="mt-3 grid gap-2 @lg:grid-cols-2">
          <legend className="font-semibold">What each side of the gain channel does</legend>
          {(['below', 'above'] as const).map((side) => (
            <TextField
              key={side}
              label={`${side} the centre`}
              value={sides[side]}
              onCommit={(v) => putSides({ ...sides, [side]: v.trim() })}
            />
          ))}
        </fieldset>
      )}
    </Fold>
  );
}
