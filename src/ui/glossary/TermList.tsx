'use client';

import { useState } from 'react';
import { markedIn } from './useTermsIn';
import { Section } from '../parts/Section';

/** The trade words of an element and what they mean, for those who neither point nor tap. */
export function TermList({ id }: { id: string }) {
  // Read once, when it is asked for.
  const [terms] = useState(() => {
    const root = document.getElementById(id);
    return root ? markedIn(root).map((m) => m.term) : [];
  });
  if (terms.length === 0) return null;
  return (
    <Section title="Words on this page" level={3} className="mb-4">
      <dl className="mt-1 flex flex-col gap-1">
        {terms.map((term) => (
          <div key={term.id}>
            <dt className="inline font-semibold">{term.title}: </dt>
            <dd className="inline">{term.says}</dd>
          </div>
        ))}
      </dl>
    </Section>
  );
}
