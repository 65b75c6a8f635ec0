'use client';

import { Dialog } from 'radix-ui';

/** How what lies over the page looks, and the ground under it. */
export const OVER = {
  ground: 'fixed inset-0 z-40 bg-black/50',
  place:
    'card fixed top-1/2 left-1/2 z-50 max-h-[85vh] -translate-x-1/2 -translate-y-1/2 overflow-y-auto wrap-anywhere',
  narrow: 'w-[min(28rem,92vw)]',
  wide: 'w-[min(40rem,94vw)]',
} as const;

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
  return (
    <Dialog.Root open={open} onOpenChange={(now) => !now && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className={OVER.ground} />
        <Dialog.Content
          aria-describedby={undefined}
          className={`${OVER.place} ${wide ? OVER.wide : OVER.narrow}`}
        >
          <Dialog.Title className="text-xl font-bold">{title}</Dialog.Title>
          {children}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

/** Ends what an `Over` asks without anything being done. */
export const OverClose = ({ children }: { children: React.ReactNode }) => (
  <Dialog.Close className="btn">{children}</Dialog.Close>
);
