'use client';

import type { Unit } from '@/core/setup';
import { TextField } from '../fields/TextField';
import { BandsEditor } from './BandsEditor';
import { GestureEditor } from './GestureEditor';
import { OrderEditor } from './OrderEditor';
import { PortsEditor } from './PortsEditor';
import { SignsEditor } from './SignsEditor';
import { TraitQuestions, type ChangeUnit } from './TraitQuestions';
import { WordsEditor } from './WordsEditor';
import { YOUR_NAME_FOR_IT } from '../words';

/** A unit described from end to end: on a model's own page and in the hangar alike. */
export function UnitEditor({ unit, change }: { unit: Unit; change: ChangeUnit }) {
  return (
    <div className="flex flex-col gap-6">
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
      <TraitQuestions unit={unit} change={change} />
      <WordsEditor unit={unit} change={change} />
      <GestureEditor unit={unit} change={change} />
      <div className="grid gap-6 @4xl:grid-cols-2">
        <BandsEditor unit={unit} change={change} />
        <SignsEditor unit={unit} change={change} />
      </div>
      <OrderEditor unit={unit} change={change} />
      <PortsEditor unit={unit} change={change} />
    </div>
  );
}
