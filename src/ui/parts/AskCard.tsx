'use client';

import { AlertDialog } from 'radix-ui';

import { OVER } from './overLook';

export interface Question {
  title: string;
  /** What would be lost; nothing while it is not known. */
  what: React.ReactNode;
  /** The safe answer, which comes first. */
  stay: string;
  go: string;
  onStay: () => void;
  onGo: () => void;
}

/** What `Ask` shows once it is open. */
export default function AskCard({ title, what, stay, go, onStay, onGo }: Question) {
  return (
    <AlertDialog.Root open onOpenChange={(now) => !now && onStay()}>
      <AlertDialog.Portal>
        <AlertDialog.Overlay className={OVER.ground} />
        <AlertDialog.Content className={`${OVER.place} ${OVER.narrow}`}>
          <AlertDialog.Title className="text-xl font-bold">{title}</AlertDialog.Title>
          <AlertDialog.Description className="mt-2">{what}</AlertDialog.Description>
          <div className="mt-4 flex flex-wrap gap-2">
            <AlertDialog.Cancel className="btn">{stay}</AlertDialog.Cancel>
            {/* Closed by whoever asked, once it is done. */}
            <button type="button" className="btn btn-main" onClick={onGo}>
              {go}
            </button>
          </div>
        </AlertDialog.Content>
      </AlertDialog.Portal>
    </AlertDialog.Root>
  );
}
