'use client';

import { useEffect, useRef } from 'react';
import { useGateOpen } from './Gate';

/** Whether keys belong to a field or control just now, and so not to the bench. */
export function isTyping(target: EventTarget | null): boolean {
  const element = target instanceof HTMLElement ? target : null;
  if (!element) return false;
  return (
    element.isContentEditable ||
    element.closest(
      'input, select, textarea, [role="slider"], [role="radio"], [role="dialog"], [role="alertdialog"], [role="menu"]',
    ) !== null
  );
}

/** @returns true where the key was meant for it: nobody else hears it then */
type Act = (event: KeyboardEvent, phase: 'down' | 'up') => boolean | void;

/**
 * Calls `act` for keys pressed anywhere but in a field. Keys with Ctrl, Alt or Meta pass by.
 * @param first the station in hand hears a key before the rig and the frame do
 */
export function useKeys(act: Act, first = false): void {
  const waits = useGateOpen();
  const latest = useRef(act);
  useEffect(() => {
    latest.current = waits ? () => false : act;
  });
  useEffect(() => {
    const handle = (phase: 'down' | 'up') => (event: KeyboardEvent) => {
      if (event.ctrlKey || event.altKey || event.metaKey || isTyping(event.target)) return;
      if (latest.current(event, phase)) event.stopImmediatePropagation();
    };
    const down = handle('down');
    const up = handle('up');
    window.addEventListener('keydown', down, first);
    window.addEventListener('keyup', up, first);
    return () => {
      window.removeEventListener('keydown', down, first);
      window.removeEventListener('keyup', up, first);
    };
  }, [first]);
}
