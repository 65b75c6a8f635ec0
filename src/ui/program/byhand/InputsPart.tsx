'use client';

import { Plus, Trash2 } from 'lucide-react';
import { addEntry, putEntry, removeEntry, withMoreRate, withRateWhen } from '@/core/edit';
import type { Input, Setup } from '@/core/setup';
import { NumberWord } from '../../fields/NumberWord';
import { useModel } from '../../open/modelStore';
import { PickWord } from '../../parts/PickWord';
import { ConditionWord } from './ConditionWord';
import { EntryRow, takeOut, usePut } from './EntryRow';
import { NameWord } from './NameWord';
import { Part } from './Part';

/** Sticks with their trims, rates and expo; the first rate whose condition holds counts. */
export function InputsPart() {
  const setup = useModel((s) => s.setup);
  const { inputs } = setup.program;
  const first = setup.transmitter.controls[0];
  return (
    <Part
      id="inputs"
      title="Inputs"
      says="A control with its trim, rates and expo. Of its rates, the first whose condition is true applies."
      add={
        first
          ? [
              {
                words: 'Add an input',
                patch: addEntry(setup, 'inputs', {
                  label: `Input ${inputs.length + 1}`,
                  control: first.id,
                  rates: [{ sharePct: 100, expoPct: 0 }],
                }),
              },
            ]
          : []
      }
    >
      {inputs.map((input, i) => (
        <EntryRow
          key={input.id}
          name={input.label}
          owner={input.owner}
          controls={[input.control]}
          acts={[takeOut(removeEntry(setup, 'inputs', input.id))]}
        >
          <Words setup={setup} input={input} at={i} />
        </EntryRow>
      ))}
    </Part>
  );
}

const NONE = 'none';

function Words({ setup, input, at }: { setup: Setup; input: Input; at: number }) {
  const put = usePut();
  const { label: name, rates } = input;
  const { controls } = setup.transmitter;
  const more = withMoreRate(setup, input);
  const change = (next: Partial<Input>, words: string) =>
    put(putEntry(setup, 'inputs', { ...input, ...next }), words);
  const rate = (i: number, next: Partial<Input['rates'][number]>, words: string) => {
    const { owner: _, ...old } = rates[i]!;
    return change({ rates: rates.with(i, { ...old, ...next }) }, words);
  };
  return (
    <>
      <NameWord
        label={`${name}: name`}
        value={name}
        onCommit={(label) => change({ label }, `is called ${label}`)}
      />{' '}
      is{' '}
      <PickWord
        label={`${name}: control`}
        value={input.control}
        options={controls.map((c) => ({ value: c.id, words: c.label }))}
        onPick={(control) => change({ control }, 'another control')}
      />{' '}
      with{' '}
      <PickWord
        label={`${name}: trim`}
        value={input.trim ?? NONE}
        options={[
          { value: NONE, words: 'no trim' },
          ...controls
            .filter((c) => c.kind === 'trim')
            .map((c) => ({ value: c.id, words: c.label })),
        ]}
        onPick={(id) => {
          const { trim: _, ...plain } = input;
          put(
            putEntry(setup, 'inputs', id === NONE ? plain : { ...plain, trim: id }),
            'another trim',
          );
        }}
      />
      {rates.map((r, i) => (
        <span key={i} className="block pl-4">
          {r.when ? 'When ' : ''}
          <ConditionWord
            setup={setup}
            label={`${name}: when rate ${i + 1} counts`}
            of={{ kind: 'input', id: input.id }}
            always="Always"
            value={r.when}
            onPut={(when) =>
              change({ rates: withRateWhen(rates, i, when) }, 'another condition of a rate')
            }
          />
          ,{' '}
          <NumberWord
            label={`${name}: rate ${i + 1}`}
            unit="%"
            at={`/program/inputs/${at}/rates/${i}/sharePct`}
            value={r.sharePct}
            onCommit={(v) => rate(i, { sharePct: v }, `rate ${v} %`)}
          />{' '}
          with{' '}
          <NumberWord
            label={`${name}: expo ${i + 1}`}
            unit="%"
            at={`/program/inputs/${at}/rates/${i}/expoPct`}
            value={r.expoPct}
            onCommit={(v) => rate(i, { expoPct: v }, `expo ${v} %`)}
          />{' '}
          expo
          {rates.length > 1 && (
            <button
              type="button"
              className="text-soft inline-flex min-h-6 items-center px-1 align-middle"
              aria-label={`Remove rate ${i + 1}: ${name}`}
              onClick={() => change({ rates: rates.toSpliced(i, 1) }, 'a rate removed')}
            >
              <Trash2 size={14} aria-hidden />
            </button>
          )}
        </span>
      ))}
      {rates.length < 6 && more && (
        <button
          type="button"
          className="text-accent inline-flex min-h-6 items-center gap-1 pl-4 text-sm font-semibold hover:underline"
          aria-label={`Add a rate: ${name}`}
          onClick={() => change({ rates: more }, 'rate added')}
        >
          <Plus size={14} aria-hidden />
          add a conditional rate
        </button>
      )}
    </>
  );
}
