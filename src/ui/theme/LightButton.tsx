'use client';

import { Lamp, Moon, Sun } from 'lucide-react';
import { useState } from 'react';
import { THEMES, THEME_COOKIE, type Theme } from './themes';

const ICONS = { bench: Lamp, shed: Moon, field: Sun };

/** The light one works in: a press goes on to the next. */
export function LightButton({ theme, small = false }: { theme: Theme; small?: boolean }) {
  const [current, setCurrent] = useState(theme);
  const next = THEMES[(THEMES.indexOf(current) + 1) % THEMES.length]!;
  const Icon = ICONS[current];
  return (
    <button
      type="button"
      className={small ? 'head-btn' : 'btn text-sm'}
      aria-label={`Light: ${current}. Change to ${next}`}
      onClick={() => {
        document.documentElement.dataset.theme = next;
        document.cookie = `${THEME_COOKIE}=${next};path=/;max-age=31536000;samesite=strict`;
        setCurrent(next);
      }}
    >
      <Icon size={18} aria-hidden />
      <span className={small ? 'sr-only' : 'max-sm:sr-only'}>{current} light</span>
    </button>
  );
}
