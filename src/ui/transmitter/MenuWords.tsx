'use client';

import { menuWord, putMenuWord, type Transmitter } from '@/core/setup';
import { MENU_WORDS, STYLES } from '@/core/sheets';
import { OwnWords } from '../fields/OwnWords';
import { Fold } from '../parts/Fold';
import type { ChangeTransmitter } from './change';

/** What the person’s transmitter calls its menus and the fields in them: it stands first on the sheet. */
export function MenuWords({
  transmitter,
  change,
}: {
  transmitter: Transmitter;
  change: ChangeTransmitter;
}) {
  return (
    <Fold className="card" title="In your transmitter’s words">
      <p className="text-soft mb-2 text-sm">
        What its menus are called on its own screen. Your word comes first wherever something is
        entered, ours after it.
      </p>
      <OwnWords
        words={STYLES[transmitter.style].menus.map((item) => ({
          key: item,
          ours: MENU_WORDS[item],
          value: menuWord(transmitter, item),
          put: (word) =>
            change(
              putMenuWord(transmitter, item, word),
              `Transmitter’s word for ${MENU_WORDS[item]}`,
            )[0]?.reason,
        }))}
      />
    </Fold>
  );
}
