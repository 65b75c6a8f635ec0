'use client';

import dynamic from 'next/dynamic';
import { createContext, useCallback, useContext, useMemo, useState } from 'react';

const FindList = dynamic(() => import('./FindList').then((m) => m.FindList), { ssr: false });

const FindContext = createContext<{ show: () => void }>({ show: () => undefined });
export const useFind = () => useContext(FindContext);

/** Find anything: loaded when it is first asked for. */
export function FindProvider({ children }: { children: React.ReactNode }) {
  const [open, setOpen] = useState(false);
  const show = useCallback(() => setOpen(true), []);
  const value = useMemo(() => ({ show }), [show]);
  return (
    <FindContext value={value}>
      {children}
      {open && <FindList onClose={() => setOpen(false)} />}
    </FindContext>
  );
}
