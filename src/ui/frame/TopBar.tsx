'use client';

import { Moon, Sun, Lamp } from 'lucide-react';
import Link from 'next/link';
import { useState } from 'react';
import { THEMES, THEME_COOKIE, type Theme } from '../theme/themes';

const ICONS = { bench: Lamp, shed: Moon, field: Sun };

/** Name of the place, way home, and the light one works in. */
export function TopBar({ theme }: { theme: Theme }) {
  const [current, setCurrent] = useState(theme);
  const next = THEMES[(THEMES.indexOf(current) + 1) % THEMES.length]!;
  const Icon = ICONS[current];
  return (
    <header className="mx-auto flex max-w-7xl items-center justify-between px-4 py-2 print:hidden">
      <Link
        href="/"
        className="font-head flex min-h-11 items-center text-2xl font-bold tracking-tight"
      >
        Tolvan
      </Link>
      <nav aria-label="Places" className="flex items-center gap-1">
        <Link
          href="/"
          className="flex min-h-11 items-center px-3 underline-offset-4 hover:underline"
        >
          Shelf
        </Link>
        <Link
          href="/hangar"
          className="flex min-h-11 items-center px-3 underline-offset-4 hover:underline"
        >
          Hangar
        </Link>
        <button
          type="button"
          className="btn text-sm"
          aria-label={`Light: ${current}. Change to ${next}`}
          onClick={() => {
            document.documentElement.dataset.theme = next;
            document.cookie = `${THEME_COOKIE}=${next};path=/;max-age=31536000;samesite=strict`;
            setCurrent(next);
          }}
        >
          <Icon size={18} aria-hidden />
          <span className="max-sm:sr-only">{current} light</span>
        </button>
      </nav>
    </header>
  );
}
