'use client';

import { FileUp } from 'lucide-react';
import { useRef } from 'react';

/** A button that asks for a file and hands it over. */
export function FileButton({
  words,
  label,
  accept = 'application/json,.json',
  onFile,
}: {
  words: string;
  /** Name of the field behind it, for those who do not see the button. */
  label: string;
  accept?: string;
  onFile: (file: File) => Promise<void>;
}) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <button type="button" className="btn" onClick={() => input.current?.click()}>
        <FileUp size={18} aria-hidden />
        {words}
      </button>
      <input
        ref={input}
        type="file"
        accept={accept}
        aria-label={label}
        className="sr-only"
        tabIndex={-1}
        onChange={async (event) => {
          const file = event.target.files?.[0];
          event.target.value = '';
          if (file) await onFile(file);
        }}
      />
    </>
  );
}
