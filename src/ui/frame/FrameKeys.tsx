'use client';

import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import type { StationId } from '@/core/procedure';
import { Over, OverClose } from '../parts/Over';
import { TermList } from '../glossary/TermList';
import { useFind } from './Find';
import { isTyping, useKeys } from '../open/keys';
import { useModel } from '../open/modelStore';
import { useNextFrom } from './NextUp';
import { WAY_ID } from './Way';

const KEYS: readonly (readonly [string, string])[] = [
  ['n', 'on to the next step'],
  ['/ or Ctrl K', 'find anything'],
  ['Ctrl Z', 'undo the last change'],
  ['w', 'to the list of stations'],
  ['r', 'the rig in full, and back'],
  ['?', 'this list, and the words of this page explained'],
  ['1 … 9', 'flip the switch with that number'],
  ['← →', 'tilt the wings · at a question: left, right'],
  ['↑ ↓', 'tail or nose up · at a question: up, down'],
  ['q e', 'swing the nose left, right'],
  ['c', 'put the model back level'],
  ['space', 'hold the momentary switch'],
  ['l', 'simulate signal loss, restore the signal'],
  ['x', 'at a question: no, or it did not move'],
  ['y', 'at a question: yes'],
  ['a', 'at a list: confirm all'],
  ['o', 'at a question about both sides: one at a time'],
  ['u', 'at a question: could not tell, show me how'],
  ['s', 'at a question: later'],
  ['i', 'at a question: look at it in the other mode'],
  ['Backspace', 'at a question: take the last answer back'],
];

/** Keys that work at every station, and the list of all of them. */
export function FrameKeys({ here }: { here: StationId | undefined }) {
  const router = useRouter();
  const id = useModel((s) => s.id);
  const next = useNextFrom();
  const { show } = useFind();
  const undo = useModel((s) => s.undo);
  const [open, setOpen] = useState(false);
  useKeys((event, phase) => {
    if (phase === 'up') return;
    const go = (station: string) => router.push(`/models/${id}/${station}`);
    const key = event.key.toLowerCase();
    if (event.key === '?') setOpen(true);
    else if (key === 'n' && next) go(next.step.station);
    else if (key === '/') {
      event.preventDefault();
      show();
    } else if (key === 'w') {
      const way = document.getElementById(WAY_ID);
      (way?.querySelector<HTMLElement>('[aria-current]') ?? way?.querySelector('a'))?.focus();
    } else if (key === 'r') {
      if (here === 'rig') router.back();
      else go('rig');
    }
  });
  useEffect(() => {
    const heard = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey) || event.shiftKey) return;
      const key = event.key.toLowerCase();
      // In a field it takes back what is being typed there.
      if (key !== 'k' && (key !== 'z' || isTyping(event.target))) return;
      event.preventDefault();
      if (key === 'k') show();
      else undo();
    };
    window.addEventListener('keydown', heard);
    return () => window.removeEventListener('keydown', heard);
  }, [show, undo]);
  return (
    <Over open={open} onClose={() => setOpen(false)} title="Keys and words">
      <TermList id="main" />
      <h3 className="font-bold">Keys</h3>
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
  );
}
