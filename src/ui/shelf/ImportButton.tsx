'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { describeProblem } from '@/core/setup';
import { FileButton } from '../fields/FileButton';
import { send } from '../frame/send';

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
          if (reply.ok) router.push(`/models/${reply.value.id}/directions`);
          else setProblems(reply.problems.slice(0, 8).map(describeProblem));
        }}
      />
      {problems.length > 0 && (
        <div role="alert" className="card border-stop mt-2 max-w-xl text-sm">
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
    </div>
  );
}
