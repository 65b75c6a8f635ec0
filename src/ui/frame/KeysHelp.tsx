'use client';

import { Dialog } from 'radix-ui';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { useKeys } from './keys';

const KEYS: readonly (readonly [string, string])[] = [
  ['?', 'this list'],
  ['R', 'to the rig'],
  ['D', 'to the directions'],
  ['P', 'to the plain model'],
  ['1 … 9', 'rig: flip the switch with that number'],
  ['← →', 'rig: tilt the wings · directions: answer left, right'],
  ['↑ ↓', 'rig: tail or nose up · directions: answer up, down'],
  ['Q E', 'rig: swing the nose left, right'],
  ['C', 'rig: put the model back level'],
  ['Space', 'rig: hold the momentary switch'],
  ['L', 'rig: cut the link, restore it'],
  ['N', 'directions: it did not move'],
  ['U', 'directions: could not tell, show me how'],
  ['S', 'directions: later'],
  ['I', 'directions: look at it in the other mode'],
  ['Backspace', 'directions: take the last answer back'],
];

/** Keys that work at every station, and the list of all of them. */
export function KeysHelp({ modelId }: { modelId: string }) {
  const router = useRouter();
  const [open, setOpen] = useState(false);
  useKeys((event, phase) => {
    if (phase === 'up') return;
    const go: Record<string, string> = { r: 'rig', d: 'directions', p: 'plain' };
    const station = go[event.key.toLowerCase()];
    if (event.key === '?') setOpen(true);
    else if (station) router.push(`/models/${modelId}/${station}`);
  });
  return (
    <Dialog.Root open={open} onOpenChange={setOpen}>
      <Dialog.Trigger className="btn mt-8 text-sm print:hidden">Keys: press ?</Dialog.Trigger>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-black/50" />
        <Dialog.Content
          aria-describedby={undefined}
          className="card fixed top-1/2 left-1/2 z-50 max-h-[85vh] w-[min(28rem,92vw)] -translate-x-1/2 -translate-y-1/2 overflow-y-auto"
        >
          <Dialog.Title className="mb-2 text-xl font-bold">Keys</Dialog.Title>
          <dl className="grid grid-cols-[7rem_1fr] gap-x-4 gap-y-1">
            {KEYS.map(([key, meaning]) => (
              <div key={key} className="contents">
                <dt className="font-num font-semibold">{key}</dt>
                <dd>{meaning}</dd>
              </div>
            ))}
          </dl>
          <Dialog.Close className="btn mt-4">Close</Dialog.Close>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
