'use client';

import dynamic from 'next/dynamic';
import { createContext, useContext } from 'react';

// Nothing of it is needed before something is asked.
const OverCard = dynamic(() => import('./OverCard'), { ssr: false });

const CloseContext = createContext<() => void>(() => undefined);

/** A card laid over the page: a question, or something to look at before going on. */
export function Over({
  open,
  onClose,
  title,
  wide = false,
  children,
}: {
  open: boolean;
  onClose: () => void;
  title: string;
  wide?: boolean;
  children: React.ReactNode;
}) {
  if (!open) return null;
  return (
    <CloseContext value={onClose}>
      <OverCard onClose={onClose} title={title} wide={wide}>
        {children}
      </OverCard>
    </CloseContext>
  );
}

/** Ends what an `Over` asks without anything being done. */
export function OverClose({ children }: { children: React.ReactNode }) {
  return (
    <button type="button" className="btn" onClick={useContext(CloseContext)}>
      {children}
    </button>
  );
}
