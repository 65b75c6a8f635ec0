'use client';

import { Dialog } from 'radix-ui';
import { countOf, useJob } from '../open/job';
import { LightButton } from '../theme/LightButton';
import type { Theme } from '../theme/themes';
import { WayList } from './Way';

/** On a small screen: the way on a sheet pulled from the bottom edge. */
export function WaySheet({ theme, close }: { theme: Theme; close: () => void }) {
  const { way } = useJob();
  const { done, places } = countOf(way);
  return (
    <Dialog.Root open onOpenChange={(open) => !open && close()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-black/40" />
        <Dialog.Content
          aria-describedby={undefined}
          className="bg-paper border-ink fixed inset-x-0 bottom-0 z-50 max-h-[85dvh] overflow-y-auto rounded-t-2xl border-t-2 px-4 pb-6"
        >
          <div className="flex items-center justify-between pt-3">
            <Dialog.Title className="font-head text-lg font-bold">
              The way{' '}
              <span className="text-soft text-sm font-normal">
                {done} of {places} proven
              </span>
            </Dialog.Title>
            <LightButton theme={theme} small />
          </div>
          <nav aria-label="Stations of the job" onClick={close}>
            <WayList here={undefined} tall />
          </nav>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
