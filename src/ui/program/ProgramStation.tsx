'use client';

import { X } from 'lucide-react';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import { WISH_TITLES } from '@/core/plan';
import type { WishId } from '@/core/setup';
import { FindingsOfRules } from '../findings/Findings';
import { Fold } from '../parts/Fold';
import { Pointing } from '../live/Pointing';
import { Yours } from './Yours';
import { OutOfStep } from './OutOfStep';
import { SENTENCES } from './sentences';
import { MIX_SENTENCES } from './sentences/mixes';
import { DEVICE_SENTENCES } from './sentences/spare';
import { TaggedFace } from './TaggedFace';
import { useWishes } from './useWishes';
import type { Sentence } from './wishing';
import { WhatElse } from './WhatElse';

const ReadIn = dynamic(() => import('./readin/ReadIn'), { ssr: false });
const ByHand = dynamic(() => import('./byhand/ByHand'), { ssr: false });

/** What is said of choices where they are made. */
const CHOICE_RULES = ['as-chosen', 'looks-like'];

/** A sentence with the choice it belongs to, and a name of its own. */
type Named = Sentence & { of: WishId; title: string };

const named = (of: WishId, sentence: Sentence): Named => ({
  title: WISH_TITLES[of],
  ...sentence,
  of,
});

const IN_ORDER: readonly Named[] = [
  ...Object.entries(SENTENCES).map(([id, sentence]) => named(id as WishId, sentence)),
  ...MIX_SENTENCES.map((sentence) => named('mixes', sentence)),
  ...DEVICE_SENTENCES.map((sentence) => named('devices', sentence)),
];

/** What each control does: on the transmitter's face, and as sentences whose words are changed in place. */
export function ProgramStation() {
  const wishing = useWishes();
  const { setup, wishes, wish, reasons, notes } = wishing;
  const [explained, explain] = useState<string>();
  const own = IN_ORDER.filter((s) => s.applies(setup));
  const said = own.filter((s) => s.wished(wishes));
  const offered = own.flatMap((s) => (s.offer && !s.wished(wishes) ? [s.offer] : []));
  /** Where a choice has several sentences, what is said of the choice stands under the first. */
  const firstOf = (s: Named) => said.find((other) => other.of === s.of) === s;
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
        {said.map((sentence) => {
          const { of, title, controls, Says, when, drop } = sentence;
          const why = when?.(wishes);
          return (
            <Pointing
              key={title}
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
                    aria-expanded={explained === title}
                    aria-label="Which to choose"
                    title="Which to choose"
                    onClick={() => explain(explained === title ? undefined : title)}
                  >
                    ?
                  </button>
                )}
                {drop && (
                  <button
                    type="button"
                    className="head-btn text-soft min-w-8"
                    aria-label={`Remove: ${title}`}
                    onClick={() => wish(drop(wishes), `Without: ${title}`)}
                  >
                    <X size={16} aria-hidden />
                  </button>
                )}
              </span>
              {firstOf(sentence) && <Yours setup={setup} of={of} take={wishing.take} />}
              {explained === title && <p className="text-soft text-base">{why}</p>}
            </Pointing>
          );
        })}
      </ol>
      {offered.length > 0 && (
        <p className="text-soft mt-2 flex flex-wrap items-center gap-x-3">
          Add
          {offered.map(({ words, first }) => (
            <button
              key={words}
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
