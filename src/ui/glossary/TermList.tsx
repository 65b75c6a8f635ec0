'use client';

import { useState } from 'react';
import { markedIn } from './useTermsIn';

/** The trade words of an element and what they mean, for those who neither point nor tap. */
export function TermList({ id }: { id: string }) {
  // Read once, when it is asked for.
  const [terms] = useState(() => {
    const root = document.getElementById(id);
    return root ? markedIn(root).map((m) => m.term) : [];
  });
  if (terms.length === 0) return null;
  return (
    <section aria-labelledby="terms-title" className="mb-4">
      <h3 id="terms-title" className="font-bold">
        Words on this page
      </h3>
      <dl className="mt-1 flex flex-col gap-1">
        {terms.map((term) => (
          <div key={term.id}>
            <dt className="inline font-semibold">{term.title}: </dt>
            <dd className="inline">{term.says}</dd>
          </div>
        ))}
      </dl>
    </section>
  );
}
