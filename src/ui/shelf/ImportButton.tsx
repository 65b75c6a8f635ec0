'use client';

import { FileUp } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useRef, useState } from 'react';
import { describeProblem } from '@/core/setup';
import { send } from '../frame/send';

/** Takes a Setup file as a new model; what is wrong with it is said here, path by path. */
export function ImportButton() {
  const router = useRouter();
  const input = useRef<HTMLInputElement>(null);
  const [problems, setProblems] = useState<string[]>([]);
  return (
    <div className="flex flex-col items-end">
      <button type="button" className="btn" onClick={() => input.current?.click()}>
        <FileUp size={18} aria-hidden />
        Open a Setup file
      </button>
      <input
        ref={input}
        type="file"
        accept="application/json,.json"
        aria-label="Setup file"
        className="sr-only"
        tabIndex={-1}
        onChange={async (event) => {
          const file = event.target.files?.[0];
          event.target.value = '';
          if (!file) return;
          const reply = await send<{ id: string }>('POST', '/api/import', await file.text());
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
