'use client';

import dynamic from 'next/dynamic';
import type { Term } from '@/core/glossary';
import { Over, OverClose } from '../parts/Over';
import { createContext, useCallback, useContext, useMemo, useState } from 'react';

const FindList = dynamic(() => import('./FindList').then((m) => m.FindList), { ssr: false });

const FindContext = createContext<{ show: () => void }>({ show: () => undefined });
export const useFind = () => useContext(FindContext);

/** Find anything: loaded when it is first asked for. */
export function FindProvider({ children }: { children: React.ReactNode }) {
  const [open, setOpen] = useState(false);
  const [term, setTerm] = useState<Term>();
  const show = useCallback(() => setOpen(true), []);
  const value = useMemo(() => ({ show }), [show]);
  return (
    <FindContext value={value}>
      {children}
      {open && <FindList onClose={() => setOpen(false)} onExplain={setTerm} />}
      <Over open={term !== undefined} onClose={() => setTerm(undefined)} title={term?.title ?? ''}>
        <p className="mt-2 mb-4">{term?.says}</p>
        <OverClose>Close</OverClose>
      </Over>
    </FindContext>
  );
}
