'use client';

import { useState } from 'react';
import type { Unit } from '@/core/setup';
import { TextField } from '../fields/TextField';
import { Fold } from '../parts/Fold';
import { YOUR_NAME_FOR_IT } from '../words';
import { BandsEditor } from './BandsEditor';
import { GestureEditor } from './GestureEditor';
import { OrderEditor } from './OrderEditor';
import { PortsEditor } from './PortsEditor';
import { PARTS, summaryOf, type PartId } from './questions';
import { SignsEditor } from './SignsEditor';
import type { ChangeUnit } from './change';
import { TraitQuestions } from './TraitQuestions';
import { WordsEditor } from './WordsEditor';

/** A unit described from end to end, its parts folded: on a model's own page and in the hangar alike. */
export function UnitEditor({ unit, change }: { unit: Unit; change: ChangeUnit }) {
  const [open, setOpen] = useState<readonly PartId[]>(['is']);
  return (
    <div className="flex flex-col">
      {PARTS.map(([part, title]) => (
        <Fold
          key={part}
          className="border-t border-(--card-edge) first:border-t-0"
          title={
            <span className="min-w-0 py-1">
              {title}
              {!open.includes(part) && (
                <span className="text-soft line-clamp-1 block text-sm font-normal">
                  {summaryOf(part, unit.traits)}
                </span>
              )}
            </span>
          }
          open={open.includes(part)}
          onOpen={(now) => setOpen((all) => (now ? [...all, part] : all.filter((p) => p !== part)))}
        >
          <div className="flex flex-col gap-4 pb-4 pl-6 max-sm:pl-0">
            {part === 'is' && <Names unit={unit} change={change} />}
            <TraitQuestions part={part} unit={unit} change={change} />
            <More part={part} unit={unit} change={change} />
          </div>
        </Fold>
      ))}
    </div>
  );
}

/** What is more than a question and its answer. */
function More({ part, ...unit }: { part: PartId; unit: Unit; change: ChangeUnit }) {
  switch (part) {
    case 'told':
      return (
        <>
          <BandsEditor {...unit} />
          <OrderEditor {...unit} />
        </>
      );
    case 'set':
      return <GestureEditor {...unit} />;
    case 'out':
      return <PortsEditor {...unit} />;
    case 'signs':
      return (
        <>
          <SignsEditor {...unit} />
          <WordsEditor {...unit} />
        </>
      );
    case 'is':
    case 'wrong':
      return null;
  }
}

function Names({ unit, change }: { unit: Unit; change: ChangeUnit }) {
  return (
    <div className="grid gap-3 @lg:grid-cols-2">
      <TextField
        label={YOUR_NAME_FOR_IT}
        value={unit.name}
        onCommit={(v) =>
          change([{ op: 'replace', path: '/name', value: v }], 'Unit renamed')[0]?.reason
        }
      />
      <TextField
        long
        label="In a few words"
        value={unit.description}
        onCommit={(v) =>
          change([{ op: 'replace', path: '/description', value: v }], 'Unit described')[0]?.reason
        }
      />
    </div>
  );
}
