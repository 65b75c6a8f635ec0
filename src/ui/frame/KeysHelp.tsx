'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { Over, OverClose } from '../parts/Over';
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
    <>
      <button type="button" className="btn mt-8 text-sm print:hidden" onClick={() => setOpen(true)}>
        Keys: press ?
      </button>
      <Over open={open} onClose={() => setOpen(false)} title="Keys">
        <dl className="mt-2 mb-4 grid grid-cols-[7rem_1fr] gap-x-4 gap-y-1">
          {KEYS.map(([key, meaning]) => (
            <div key={key} className="contents">
              <dt className="font-num font-semibold">{key}</dt>
              <dd>{meaning}</dd>
            </div>
          ))}
        </dl>
        <OverClose>Close</OverClose>
      </Over>
    </>
  );
}
