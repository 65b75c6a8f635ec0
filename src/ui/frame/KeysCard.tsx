'use client';

import { TermList } from '../glossary/TermList';
import { Over, OverClose } from '../parts/Over';

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

/** The trade words of the page explained, and every key. */
export default function KeysCard({ onClose }: { onClose: () => void }) {
  return (
    <Over open onClose={onClose} title="Keys and words">
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
