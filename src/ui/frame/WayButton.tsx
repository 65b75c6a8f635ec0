'use client';

import { ListChecks } from 'lucide-react';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import type { Theme } from '../theme/themes';

const WaySheet = dynamic(() => import('./WaySheet').then((m) => m.WaySheet), { ssr: false });

/** On a small screen: opens the way. */
export function WayButton({ theme }: { theme: Theme }) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <button
        type="button"
        className="head-btn lg:hidden"
        aria-label="The way: all stations"
        aria-expanded={open}
        aria-haspopup="dialog"
        onClick={() => setOpen(true)}
      >
        <ListChecks size={20} aria-hidden />
      </button>
      {open && <WaySheet theme={theme} close={() => setOpen(false)} />}
    </>
  );
}
