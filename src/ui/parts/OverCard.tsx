'use client';

import { Dialog } from 'radix-ui';
import { OVER } from './overLook';

/** What `Over` shows once it is open. */
export default function OverCard({
  onClose,
  title,
  wide = false,
  children,
}: {
  onClose: () => void;
  title: string;
  wide?: boolean;
  children: React.ReactNode;
}) {
  return (
    <Dialog.Root open onOpenChange={(now) => !now && onClose()}>
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
