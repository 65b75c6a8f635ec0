'use client';

import { useEffect, useRef } from 'react';

/** Whether keys belong to a field or control just now, and so not to the bench. */
export function isTyping(target: EventTarget | null): boolean {
  const element = target instanceof HTMLElement ? target : null;
  if (!element) return false;
  return (
    element.isContentEditable ||
    element.closest('input, select, textarea, [role="slider"], [role="radio"], [role="dialog"]') !==
      null
  );
}

/** Calls `act` for keys pressed anywhere but in a field. Keys with Ctrl, Alt or Meta pass by. */
export function useKeys(act: (event: KeyboardEvent, phase: 'down' | 'up') => void): void {
  const latest = useRef(act);
  useEffect(() => {
    latest.current = act;
  });
  useEffect(() => {
    const handle = (phase: 'down' | 'up') => (event: KeyboardEvent) => {
      if (event.ctrlKey || event.altKey || event.metaKey || isTyping(event.target)) return;
      latest.current(event, phase);
    };
    const down = handle('down');
    const up = handle('up');
    window.addEventListener('keydown', down);
    window.addEventListener('keyup', up);
    return () => {
      window.removeEventListener('keydown', down);
      window.removeEventListener('keyup', up);
    };
  }, []);
}
