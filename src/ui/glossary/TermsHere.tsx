'use client';

import { useEffect, useState } from 'react';
import type { Term } from '@/core/glossary';
import { useTermsIn, type Marked } from './useTermsIn';

/** A word that was only passed over is not asked about. */
const HOVER_MS = 350;

interface Shown {
  term: Term;
  left: number;
  top: number;
}

/** The marked word at a place on the screen. */
function at(marked: readonly Marked[], x: number, y: number): Marked | undefined {
  return marked.find(({ range }) =>
    [...range.getClientRects()].some(
      (r) => x >= r.left - 2 && x <= r.right + 2 && y >= r.top - 2 && y <= r.bottom + 2,
    ),
  );
}

/** Explains the trade words of the open station where they stand: pointed at, or tapped. */
export function TermsHere({ id }: { id: string }) {
  const marked = useTermsIn(id);
  const [shown, setShown] = useState<Shown>();
  useEffect(() => {
    const root = document.getElementById(id);
    if (!root) return;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const show = (found: Marked | undefined) => {
      const rect = found?.range.getBoundingClientRect();
      setShown(
        found && rect
          ? {
              term: found.term,
              left: Math.max(8, Math.min(rect.left, window.innerWidth - 328)),
              top: rect.bottom + 6,
            }
          : undefined,
      );
    };
    const move = (event: PointerEvent) => {
      if (event.pointerType !== 'mouse') return;
      clearTimeout(timer);
      const found = at(marked.current, event.clientX, event.clientY);
      if (found) timer = setTimeout(() => show(found), HOVER_MS);
      else show(undefined);
    };
    // What is shown or hidden on purpose is not overtaken by a pointer that came to rest before.
    const press = (event: MouseEvent) => {
      clearTimeout(timer);
      show(at(marked.current, event.clientX, event.clientY));
    };
    const hide = () => {
      clearTimeout(timer);
      show(undefined);
    };
    const key = (event: KeyboardEvent) => event.key === 'Escape' && hide();
    root.addEventListener('pointermove', move);
    root.addEventListener('click', press);
    root.addEventListener('scroll', hide);
    root.addEventListener('pointerleave', hide);
    window.addEventListener('keydown', key);
    return () => {
      clearTimeout(timer);
      root.removeEventListener('pointermove', move);
      root.removeEventListener('click', press);
      root.removeEventListener('scroll', hide);
      root.removeEventListener('pointerleave', hide);
      window.removeEventListener('keydown', key);
    };
  }, [id, marked]);
  if (!shown) return null;
  return (
    <div
      role="tooltip"
      className="card pointer-events-none fixed z-30 w-80 px-3 py-2 text-sm shadow-lg"
      style={{ left: shown.left, top: shown.top }}
    >
      <strong>{shown.term.title}.</strong> {shown.term.says}
    </div>
  );
}
