import { Link } from '../parts/Link';
import { useState } from 'react';
import { panicMapWords } from '@/core/motion';
import type { Setup } from '@/core/setup';
import { useModel } from '../open/modelStore';
import { Section } from '../parts/Section';
import { DRAWS, usePanicMap } from './useFlights';

/** What panic costs in height: flown from everywhere, with every model it may be. */
export function PanicFlown({ setup }: { setup: Setup }) {
  const id = useModel((s) => s.id);
  const [asked, setAsked] = useState(false);
  const found = usePanicMap(setup, asked);
  return (
    <Section title="From everywhere to level" className="card flex flex-col gap-2">
      {!asked && (
        <button type="button" className="btn self-start" onClick={() => setAsked(true)}>
          Fly it from everywhere
        </button>
      )}
      {asked && !found && <p aria-live="polite">Flying …</p>}
      {found?.failed !== undefined && <p role="alert">Not flown: {found.failed}.</p>}
      {found?.so && (
        <ul className="list-disc pl-5" aria-live="polite">
          {panicMapWords(found.so).map((words) => (
            <li key={words}>{words}</li>
          ))}
          {!found.done && (
            <li className="text-soft">
              {found.so.draws} of {DRAWS} models it may be: still flying.
            </li>
          )}
        </ul>
      )}
      <p className="text-soft text-sm">
        From seven attitudes at five speeds, from every state of the program. Not a promise: fly
        high enough to be wrong about it.{' '}
        <Link className="underline" href={`/models/${id}/fly`}>
          See each of them at Fly
        </Link>
      </p>
    </Section>
  );
}
