'use client';

import { ChevronRight } from 'lucide-react';
import { Collapsible } from 'radix-ui';

/** Something that is only looked at when it is wanted: a line to press, and what opens under it. */
export function Fold({
  title,
  quiet = false,
  open,
  onOpen,
  printed = false,
  className = '',
  children,
}: {
  title: React.ReactNode;
  /** A remark rather than a part of the work. */
  quiet?: boolean;
  /** Held from outside, together with `onOpen`. */
  open?: boolean;
  onOpen?: (open: boolean) => void;
  /** On paper it stands open. */
  printed?: boolean;
  className?: string;
  children: React.ReactNode;
}) {
  return (
    <Collapsible.Root
      className={className}
      {...(open === undefined ? {} : { open })}
      {...(onOpen ? { onOpenChange: onOpen } : {})}
    >
      <Collapsible.Trigger
        data-fold
        className={`group flex min-h-9 w-full cursor-pointer items-center gap-1.5 text-left pointer-coarse:min-h-11 ${
          quiet ? 'text-soft text-sm' : 'font-bold'
        }`}
      >
        <ChevronRight
          size={16}
          aria-hidden
          className="shrink-0 group-data-[state=open]:rotate-90 print:hidden"
        />
        {title}
      </Collapsible.Trigger>
      <Collapsible.Content
        {...(printed ? { forceMount: true } : {})}
        className={printed ? 'data-[state=closed]:hidden print:block!' : ''}
      >
        {children}
      </Collapsible.Content>
    </Collapsible.Root>
  );
}
