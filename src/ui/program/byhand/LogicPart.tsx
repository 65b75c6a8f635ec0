'use client';

import { addEntry, freshLogic, putEntry, removeEntry } from '@/core/edit';
import { allReads, readsOfLogic, type Condition, type Logic, type Setup } from '@/core/setup';
import { NumberWord } from '../../fields/NumberWord';
import { useModel } from '../../open/modelStore';
import { PickWord } from '../../parts/PickWord';
import { useRig } from '../../live/rigStore';
import { ConditionWord } from './ConditionWord';
import { EntryRow, takeOut, usePut } from './EntryRow';
import { NameWord } from './NameWord';
import { Part } from './Part';
import { SourceWord } from './SourceWord';

type Op = Logic['op'];

/** What each kind of logic is for, as it is offered. */
const KINDS: Record<Op, string> = {
  when: 'while something holds',
  near: 'while a value is near another',
  greater: 'while a value is above another',
  latch: 'a latch: set by one thing, reset by another',
  edge: 'for the moment something begins',
  delay: 'when something has held for a while',
  toggles: 'when something happens several times in a row',
};

/** Logic with memory, which lines, rates and call-outs may wait for. */
export function LogicPart() {
  const setup = useModel((s) => s.setup);
  const edit = useModel((s) => s.edit);
  const { logic } = setup.program;
  return (
    <Part
      id="logic"
      title="Logic"
      says="True or false from moment to moment; lines, rates and call-outs can wait for it."
      add={[]}
    >
      {logic.map((l) => (
        <EntryRow
          key={l.id}
          name={l.label}
          owner={l.owner}
          controls={allReads(setup.program, readsOfLogic(l)).flatMap((r) =>
            r.kind === 'control' ? [r.id] : [],
          )}
          acts={[takeOut(removeEntry(setup, 'logic', l.id))]}
        >
          <Words setup={setup} logic={l} />
        </EntryRow>
      ))}
      <li className="list-none py-1">
        <PickWord
          label="Add logic"
          value={undefined}
          none="add logic …"
          options={(Object.keys(KINDS) as Op[]).map((value) => ({ value, words: KINDS[value] }))}
          onPick={(op) => {
            const fresh = freshLogic(setup, op, `Logic ${logic.length + 1}`);
            if (fresh) edit(addEntry(setup, 'logic', fresh), 'Logic of your own');
          }}
        />
      </li>
    </Part>
  );
}

function Words({ setup, logic }: { setup: Setup; logic: Logic }) {
  const put = usePut();
  const name = logic.label;
  const change = (next: Logic, words: string) => put(putEntry(setup, 'logic', next), words);
  const condition = (label: string, value: Condition, of: (c: Condition) => Logic) => (
    <ConditionWord
      setup={setup}
      label={`${name}: ${label}`}
      of={{ kind: 'logic', id: logic.id }}
      value={value}
      onPut={(c) => c && change(of(c), 'another condition')}
    />
  );
  const number = (
    label: string,
    unit: string,
    key: string,
    value: number,
    of: (v: number) => Logic,
    step = 1,
  ) => (
    <NumberWord
      label={`${name}: ${label}`}
      unit={unit}
      at={`/program/logic/0/${key}`}
      step={step}
      value={value}
      onCommit={(v) => change(of(v), `${label} ${v} ${unit}`)}
    />
  );
  return (
    <>
      <NameWord
        label={`${name}: name`}
        value={name}
        onCommit={(label) => change({ ...logic, label }, `is called ${label}`)}
      />{' '}
      {says()} <Now id={logic.id} />
    </>
  );

  function says(): React.ReactNode {
    switch (logic.op) {
      case 'when':
        return (
          <>holds while {condition('holds while', logic.when, (when) => ({ ...logic, when }))}.</>
        );
      case 'near':
      case 'greater':
        return (
          <>
            holds while{' '}
            <SourceWord
              setup={setup}
              label={`${name}: follows`}
              of={{ kind: 'logic', id: logic.id }}
              value={logic.follows}
              onPut={(follows) => change({ ...logic, follows }, 'follows something else')}
            />{' '}
            {logic.op === 'near' ? (
              <>
                is within{' '}
                {number('within', '%', 'withinPct', logic.withinPct, (withinPct) => ({
                  ...logic,
                  withinPct,
                }))}{' '}
                of{' '}
              </>
            ) : (
              'is above '
            )}
            {number('value', '%', 'valuePct', logic.valuePct, (valuePct) => ({
              ...logic,
              valuePct,
            }))}
            .
          </>
        );
      case 'latch':
        return (
          <>
            is set by {condition('set by', logic.set, (set) => ({ ...logic, set }))} and reset by{' '}
            {condition('reset by', logic.reset, (reset) => ({ ...logic, reset }))}; when both hold,
            it is reset.
          </>
        );
      case 'edge':
        return (
          <>
            holds for the moment in which{' '}
            {condition('begins', logic.of, (of) => ({ ...logic, of }))} begins.
          </>
        );
      case 'delay':
        return (
          <>
            holds once {condition('has held', logic.of, (of) => ({ ...logic, of }))} has held for{' '}
            {number('on after', 's', 'onS', logic.onS, (onS) => ({ ...logic, onS }), 0.1)}, until it
            has not for{' '}
            {number('off after', 's', 'offS', logic.offS, (offS) => ({ ...logic, offS }), 0.1)}.
          </>
        );
      case 'toggles':
        return (
          <>
            holds for the moment in which{' '}
            {condition('begins', logic.of, (of) => ({ ...logic, of }))} has begun{' '}
            {number('times', '×', 'count', logic.count, (count) => ({ ...logic, count }))} within{' '}
            {number('within', 's', 'withinS', logic.withinS, (withinS) => ({ ...logic, withinS }))}.
          </>
        );
    }
  }
}

/** Whether it holds just now, with the hands of the rig. */
function Now({ id }: { id: string }) {
  const at = useModel((s) => s.setup.program.logic.findIndex((l) => l.id === id));
  const on = useRig((s) => s.snapshot?.logic[at]);
  return on ? <span className="text-accent text-sm font-semibold">◂ now</span> : null;
}
