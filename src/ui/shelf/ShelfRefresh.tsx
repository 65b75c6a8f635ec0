'use client';

import { useRouter } from 'next/navigation';
import { useEffect } from 'react';

const EVERY_MS = 1500;

/** Looks again while lines of the shelf are still being worked out. */
export function ShelfRefresh({ pending }: { pending: number }) {
  const router = useRouter();
  useEffect(() => {
    if (pending === 0) return;
    const timer = setInterval(() => router.refresh(), EVERY_MS);
    return () => clearInterval(timer);
  }, [pending, router]);
  if (pending === 0) return null;
  return (
    <p role="status" className="text-soft mb-3 text-sm">
      {pending === 1 ? 'One model is' : `${pending} models are`} still being checked.
    </p>
  );
}
