'use client';

import { Dialog } from 'radix-ui';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { toast } from 'sonner';
import { describeProblem } from '@/core/setup';
import type { ArchiveChange, ArchivePreview } from '@/server/archive';
import { FileButton } from '../fields/FileButton';
import { send } from '../frame/send';
import { StatusMark } from '../status/StatusMark';

const MARKS: Record<ArchiveChange['does'], { status: 'proven' | 'todo' | 'stop'; words: string }> =
  {
    add: { status: 'proven', words: 'comes in' },
    extend: { status: 'proven', words: 'goes on' },
    nothing: { status: 'todo', words: 'nothing new' },
    refuse: { status: 'stop', words: 'refused' },
  };

/** Brings a whole workshop in: first what it would do, then, when that is wanted, it is done. */
export function ArchiveButton() {
  const router = useRouter();
  const [file, setFile] = useState<File>();
  const [preview, setPreview] = useState<ArchivePreview>();
  const [problems, setProblems] = useState<string[]>([]);
  const look = async (chosen: File) => {
    setProblems([]);
    const reply = await send<ArchivePreview>('POST', '/api/archive', chosen);
    if (!reply.ok) return setProblems(reply.problems.slice(0, 8).map(describeProblem));
    setFile(chosen);
    setPreview(reply.value);
  };
  const take = async () => {
    const reply = await send<ArchivePreview>('POST', '/api/archive?confirm=yes', file);
    setPreview(undefined);
    if (!reply.ok) return setProblems(reply.problems.slice(0, 8).map(describeProblem));
    toast.success('Brought in.');
    router.refresh();
  };
  const changes = preview ? [...preview.models, ...preview.hangar] : [];
  const some = changes.some((c) => c.does === 'add' || c.does === 'extend');
  return (
    <>
      <FileButton
        words="Bring a copy in"
        label="Workshop archive"
        accept="application/zip,.zip"
        onFile={look}
      />
      {problems.length > 0 && (
        <div role="alert" className="w-full text-sm">
          <p className="text-stop font-semibold">This file was not taken in. Nothing changed.</p>
          <ul className="mt-1 list-disc pl-5">
            {problems.map((p) => (
              <li key={p} className="wrap-anywhere">
                {p}
              </li>
            ))}
          </ul>
        </div>
      )}
      <Dialog.Root open={preview !== undefined} onOpenChange={() => setPreview(undefined)}>
        <Dialog.Portal>
          <Dialog.Overlay className="fixed inset-0 z-40 bg-black/50" />
          <Dialog.Content
            aria-describedby={undefined}
            className="card fixed top-1/2 left-1/2 z-50 max-h-[85vh] w-[min(40rem,94vw)] -translate-x-1/2 -translate-y-1/2 overflow-y-auto"
          >
            <Dialog.Title className="text-xl font-bold">What it would do</Dialog.Title>
            <p className="text-soft text-sm">
              Copy of {preview?.madeAt.slice(0, 10)}. Nothing here is taken away or written over.
            </p>
            <ul className="mt-2 divide-y divide-(--card-edge)">
              {changes.map((c) => (
                <li key={c.id} className="flex flex-wrap justify-between gap-2 py-2">
                  <span>
                    <strong className="wrap-anywhere">{c.name}</strong>
                    <br />
                    <span className="text-soft text-sm">{c.words}</span>
                  </span>
                  <StatusMark {...MARKS[c.does]} />
                </li>
              ))}
            </ul>
            <div className="mt-3 flex gap-2">
              <button type="button" className="btn btn-main" disabled={!some} onClick={take}>
                {some ? 'Bring it in' : 'Nothing to bring in'}
              </button>
              <Dialog.Close className="btn">Leave it</Dialog.Close>
            </div>
          </Dialog.Content>
        </Dialog.Portal>
      </Dialog.Root>
    </>
  );
}
