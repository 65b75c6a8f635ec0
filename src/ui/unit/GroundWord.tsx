'use client';

import { difference } from '@/core/patch';
import {
  groundOf,
  UNIT_GROUNDS,
  withGround,
  type GroundKey,
  type Unit,
  type UnitGround,
} from '@/core/setup';
import { PickWord } from '../parts/PickWord';
import type { ChangeUnit } from './change';

/** What a line of a unit's description stands on, in a word or two. */
export const UNIT_GROUND_WORDS: Record<UnitGround, string> = {
  seen: 'seen on the unit',
  leaflet: 'from the leaflet',
  assumed: 'only assumed',
};

/** What one line stands on, changed where it stands. */
export function GroundWord({
  unit,
  of,
  about,
  change,
}: {
  unit: Pick<Unit, 'grounds'>;
  of: GroundKey;
  /** The line it is said of, for those who hear it. */
  about: string;
  change: ChangeUnit;
}) {
  return (
    <span className="text-soft text-sm">
      <PickWord
        label={`${about}: what it stands on`}
        value={groundOf(unit, of)}
        options={UNIT_GROUNDS.map((value) => ({ value, words: UNIT_GROUND_WORDS[value] }))}
        onPick={(ground) =>
          void change(
            difference(unit, withGround(unit, [of], ground)),
            `Unit: ${about}, ${UNIT_GROUND_WORDS[ground]}`.slice(0, 80),
          )
        }
      />
    </span>
  );
}
