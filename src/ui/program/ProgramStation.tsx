'use client';

import { X } from 'lucide-react';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import { WISH_TITLES } from '@/core/plan';
import { FindingsOfRules } from '../findings/Findings';
import { Fold } from '../parts/Fold';
import { Pointing } from '../live/Pointing';
import { Yours } from './Yours';
import { OutOfStep } from './OutOfStep';
import { SENTENCES } from './sentences';
import { TaggedFace } from './TaggedFace';
import { useWishes } from './useWishes';
import type { Sentence, SentenceId } from './wishing';
import { WhatElse } from './WhatElse';

const ReadIn = dynamic(() => import('./readin/ReadIn'), { ssr: false });
const ByHand = dynamic(() => import('./byhand/ByHand'), { ssr: false });

/** What is said of choices where they are made. */
const CHOICE_RULES = ['as-chosen', 'looks-like'];

const IN_ORDER = Object.entries(SENTENCES) as [SentenceId, Sentence][];

/** What each control does: on the transmitter's face, and as sentences whose words are changed in place. */
export function ProgramStation() {
  const wishing = useWishes();
  const { setup, wishes, wish, reasons, notes } = wishing;
  const [explained, explain] = useState<string>();
  const own = IN_ORDER.filter(([, s]) => s.applies(setup));
  const said = own.filter(([, s]) => s.wished(wishes));
  const offered = own.flatMap(([id, s]) =>
    s.offer && !s.wished(wishes) ? [{ id, ...s.offer }] : [],
  );
  const props = { setup, wishes, wish };
  return (
    <>
      <TaggedFace {...props} />
      <WhatElse {...wishing} />
      <OutOfStep {...wishing} />
      {notes.length > 0 && reasons.length === 0 && (
        <div
          role="status"
          className="border-caution bg-card text-caution mb-2 border-l-4 px-3 py-1"
        >
          {notes.map((n) => (
            <p key={n}>{n}</p>
          ))}
        </div>
      )}
      <ol aria-label="The program in words">
        {said.map(([id, { controls, Says, when, drop }]) => {
          const why = when?.(wishes);
          return (
            <Pointing
              key={id}
              as="li"
              at={{ controls: controls(wishes).filter((c) => c !== undefined) }}
              className="relative border-t border-(--card-edge) py-1.5 pr-18 pl-3 text-lg leading-relaxed last:border-b"
            >
              <Says {...props} />
              <span className="absolute top-1 right-0 flex">
                {why && (
                  <button
                    type="button"
                    className="head-btn text-soft font-head min-w-8 text-base"
                    aria-expanded={explained === id}
                    aria-label="Which to choose"
                    title="Which to choose"
                    onClick={() => explain(explained === id ? undefined : id)}
                  >
                    ?
                  </button>
                )}
                {drop && (
                  <button
                    type="button"
                    className="head-btn text-soft min-w-8"
                    aria-label={`Remove: ${WISH_TITLES[id]}`}
                    onClick={() => wish(drop(wishes), `Without: ${WISH_TITLES[id]}`)}
                  >
                    <X size={16} aria-hidden />
                  </button>
                )}
              </span>
              <Yours setup={setup} of={id} take={wishing.take} />
              {explained === id && <p className="text-soft text-base">{why}</p>}
            </Pointing>
          );
        })}
      </ol>
      {offered.length > 0 && (
        <p className="text-soft mt-2 flex flex-wrap items-center gap-x-3">
          Add
          {offered.map(({ id, words, first }) => (
            <button
              key={id}
              type="button"
              className="text-accent min-h-8 font-semibold hover:underline pointer-coarse:min-h-11"
              onClick={() => wish(first(setup, wishes), `With ${words}`)}
            >
              {words}
            </button>
          ))}
        </p>
      )}
      <Fold className="mt-4" title="By hand, line by line">
        <ByHand />
      </Fold>
      <Fold title="It is already programmed: read it in">
        <ReadIn />
      </Fold>
      {/* At the end: it comes with the verdict, and must move nothing that is being worked on. */}
      <FindingsOfRules rules={CHOICE_RULES} />
    </>
  );
}
