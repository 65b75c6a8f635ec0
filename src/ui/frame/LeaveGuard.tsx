'use client';

import { usePathname, useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import { Ask } from '../parts/Ask';
import { notTaken } from '../open/modelState';
import { useModel } from '../open/modelStore';

/** Asks before the model, or the page, is left with something that is not saved. */
export function LeaveGuard() {
  const router = useRouter();
  const id = useModel((s) => s.id);
  const saving = useModel((s) => s.saving > 0);
  const waiting = useModel(
    (s) => notTaken(s) !== undefined || s.conflict !== undefined || s.answers.length > 0,
  );
  const [wanted, setWanted] = useState<string>();
  const here = usePathname();
  useEffect(() => {
    if (!waiting && !saving) return;
    const ask = (event: BeforeUnloadEvent) => event.preventDefault();
    window.addEventListener('beforeunload', ask);
    return () => window.removeEventListener('beforeunload', ask);
  }, [waiting, saving]);
  useEffect(() => {
    if (!waiting) return;
    const ask = (event: MouseEvent) => {
      const link = event.target instanceof Element ? event.target.closest('a[href]') : null;
      const href = link?.getAttribute('href');
      const plain = !event.ctrlKey && !event.metaKey && !event.shiftKey && event.button === 0;
      // Stations of this model share what is open.
      if (!href?.startsWith('/') || !plain || href.startsWith(`/models/${id}`)) return;
      if (href.startsWith('/api/')) return;
      event.preventDefault();
      event.stopPropagation();
      setWanted(href);
    };
    document.addEventListener('click', ask, true);
    return () => document.removeEventListener('click', ask, true);
  }, [waiting, id, here]);
  return (
    <Ask
      open={wanted !== undefined}
      title="Something is not saved yet"
      what="It stays in this tab and is tried again while the tab is open. Close the tab, and it is lost."
      stay="Stay here"
      go="Leave anyway"
      onStay={() => setWanted(undefined)}
      onGo={() => {
        const to = wanted!;
        setWanted(undefined);
        router.push(to);
      }}
    />
  );
}
