'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { describeProblem } from '@/core/setup';
import { FileButton } from '../fields/FileButton';
import { send } from '../open/send';
import { NotTaken } from '../parts/NotTaken';

/** Takes a Setup file as a new model; what is wrong with it is said here, path by path. */
export function ImportButton() {
  const router = useRouter();
  const [problems, setProblems] = useState<string[]>([]);
  return (
    <div className="flex flex-col items-end">
      <FileButton
        words="Open a Setup file"
        label="Setup file"
        onFile={async (file) => {
          const text = await file.text();
          const reply = await send<{ id: string }>('POST', '/api/import', text);
          if (reply.ok) router.push(`/models/${reply.value.id}/job`);
          else setProblems(reply.problems.map(describeProblem));
        }}
      />
      <NotTaken problems={problems} card />
    </div>
  );
}
