'use client';

import { usePointing, type Pointed } from './rigStore';

/** Anything on a station that speaks of parts of the rig: looked at or focused, they are shown there. */
export function Pointing({
  as: Element = 'div',
  at,
  className = '',
  children,
}: {
  as?: 'div' | 'li' | 'tr' | 'section';
  at: Pointed;
  className?: string;
  children: React.ReactNode;
}) {
  const pointing = usePointing();
  return (
    <Element
      className={`${className} hover:bg-(--card) hover:shadow-[inset_3px_0_var(--accent)] focus-within:bg-(--card) focus-within:shadow-[inset_3px_0_var(--accent)]`}
      {...pointing(at)}
    >
      {children}
    </Element>
  );
}
