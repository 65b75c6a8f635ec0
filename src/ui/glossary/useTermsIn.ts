'use client';

import { useEffect, useRef } from 'react';
import { termsIn, type Term } from '@/core/glossary';

/** Where a trade word stands on the page. */
export interface Marked {
  term: Term;
  range: Range;
}

/** What answers a press itself, and what nobody reads: no word is marked there. */
const NOT_THERE =
  'button, a, input, select, textarea, label, svg, canvas, [role="slider"], [role="combobox"], .sr-only, [aria-hidden="true"]';
const REST_MS = 400;

/** The first time each trade word stands in an element, in reading order. */
export function markedIn(root: Element): Marked[] {
  const seen = new Set<string>();
  const found: Marked[] = [];
  const texts = document.createTreeWalker(root, NodeFilter.SHOW_TEXT);
  for (let node = texts.nextNode(); node; node = texts.nextNode()) {
    const text = node.textContent ?? '';
    if (text.trim().length < 3 || node.parentElement?.closest(NOT_THERE)) continue;
    for (const { term, from, to } of termsIn(text)) {
      if (seen.has(term.id)) continue;
      seen.add(term.id);
      const range = new Range();
      range.setStart(node, from);
      range.setEnd(node, to);
      found.push({ term, range });
    }
  }
  return found;
}

/**
 * Keeps the trade words of an element marked while it changes, as the highlight “term”: the page itself is
 * left as it is. A browser that cannot highlight shows the page unmarked.
 * @returns what is marked now
 */
export function useTermsIn(id: string): React.RefObject<readonly Marked[]> {
  const marked = useRef<readonly Marked[]>([]);
  useEffect(() => {
    const root = document.getElementById(id);
    if (!root || !('highlights' in CSS)) return;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const mark = () => {
      timer = undefined;
      marked.current = markedIn(root);
      CSS.highlights.set('term', new Highlight(...marked.current.map((m) => m.range)));
    };
    const soon = () => (timer ??= setTimeout(mark, REST_MS));
    const observer = new MutationObserver(soon);
    observer.observe(root, { childList: true, subtree: true, characterData: true });
    soon();
    return () => {
      observer.disconnect();
      clearTimeout(timer);
      CSS.highlights.delete('term');
    };
  }, [id]);
  return marked;
}
