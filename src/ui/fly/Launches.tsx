import { useState } from 'react';
import { thrownWords } from '@/core/motion';
import type { Setup } from '@/core/setup';
import { Section } from '../parts/Section';
import { DRAWS, useLaunches } from './useFlights';

/** Thrown by hand, slow and fast, with the launch help of the program. */
export function Launches({ setup }: { setup: Setup }) {
  const [asked, setAsked] = useState(false);
  const found = useLaunches(setup, asked);
  return (
    <Section title="Thrown by hand, slow and fast" className="card @4xl:col-span-2">
      <p className="text-soft text-sm">
        Nobody touches the sticks for 8 s; {DRAWS} models it may be.
      </p>
      {!asked && (
        <button type="button" className="btn mt-1" onClick={() => setAsked(true)}>
          Throw it
        </button>
      )}
      {asked && !found && <p aria-live="polite">Flying …</p>}
      {found?.failed !== undefined && <p role="alert">Not flown: {found.failed}.</p>}
      {found?.so && (
        <ul className="mt-1 list-disc pl-5" aria-live="polite">
          {found.so.map((thrown) => (
            <li key={thrown.speedMps} className={thrown.lost > 0 ? 'text-stop' : ''}>
              {thrownWords(thrown)}
            </li>
          ))}
        </ul>
      )}
    </Section>
  );
}
