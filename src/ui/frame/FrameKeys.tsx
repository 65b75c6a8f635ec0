'use client';

import dynamic from 'next/dynamic';
import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import type { StationId } from '@/core/procedure';
import { useFind } from './Find';
import { isTyping, useKeys } from '../open/keys';
import { useModel } from '../open/modelStore';
import { useGoNext } from './NextUp';
import { WAY_ID } from './Way';

// Read by few, and seldom.
const KeysCard = dynamic(() => import('./KeysCard'), { ssr: false });

/** Keys that work at every station, and the list of all of them. */
export function FrameKeys({ here }: { here: StationId | undefined }) {
  const router = useRouter();
  const id = useModel((s) => s.id);
  const goNext = useGoNext();
  const { show } = useFind();
  const undo = useModel((s) => s.undo);
  const [open, setOpen] = useState(false);
  useKeys((event, phase) => {
    if (phase === 'up') return;
    const go = (station: string) => router.push(`/models/${id}/${station}`);
    const key = event.key.toLowerCase();
    if (event.key === '?') setOpen(true);
    else if (key === 'n') goNext();
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
  return open && <KeysCard onClose={() => setOpen(false)} />;
}
