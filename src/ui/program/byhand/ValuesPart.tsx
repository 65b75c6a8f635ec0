'use client';

import { addEntry, putEntry, removeEntry } from '@/core/edit';
import type { Setup, Variable } from '@/core/setup';
import { NumberWord } from '../../fields/NumberWord';
import { useModel } from '../../open/modelStore';
import { PickWord } from '../../parts/PickWord';
import { EntryRow, takeOut, usePut } from './EntryRow';
import { NameWord } from './NameWord';
import { Part } from './Part';

/** Numbers with a name, which lines may follow and a trim may shift. */
export function ValuesPart() {
  const setup = useModel((s) => s.setup);
  const { variables } = setup.program;
  return (
    <Part
      id="values"
      title="Values"
      says="Numbers with a name of their own: lines follow them, a trim may shift them."
      add={[
        {
          words: 'Add a value',
          patch: addEntry(setup, 'variables', {
            label: `Value ${variables.length + 1}`,
            valuePct: 0,
          }),
        },
      ]}
    >
      {variables.map((v, i) => (
        <EntryRow
          key={v.id}
          name={v.label}
          owner={v.owner}
          controls={v.adjust ? [v.adjust.control] : []}
          acts={[takeOut(removeEntry(setup, 'variables', v.id))]}
        >
          <Words setup={setup} variable={v} at={i} />
        </EntryRow>
      ))}
    </Part>
  );
}

const NONE = 'none';
/** What a trim shifts a value by where nothing else was said: common practice, no source. */
const USUAL_RANGE_PCT = 20;

function Words({ setup, variable, at }: { setup: Setup; variable: Variable; at: number }) {
  const put = usePut();
  const { label: name, adjust } = variable;
  const change = (next: Variable, words: string) => put(putEntry(setup, 'variables', next), words);
  return (
    <>
      <NameWord
        label={`${name}: name`}
        value={name}
        onCommit={(label) => change({ ...variable, label }, `is called ${label}`)}
      />{' '}
      is{' '}
      <NumberWord
        label={`${name}: value`}
        unit="%"
        at={`/program/variables/${at}/valuePct`}
        value={variable.valuePct}
        onCommit={(valuePct) => change({ ...variable, valuePct }, `${valuePct} %`)}
      />
      , shifted by{' '}
      <PickWord
        label={`${name}: trim`}
        value={adjust?.control ?? NONE}
        options={[
          { value: NONE, words: 'nothing' },
          ...setup.transmitter.controls
            .filter((c) => c.kind !== 'stick' && !c.kind.startsWith('switch'))
            .map((c) => ({ value: c.id, words: c.label })),
        ]}
        onPick={(control) => {
          const { adjust: was, ...plain } = variable;
          change(
            control === NONE
              ? plain
              : { ...plain, adjust: { control, rangePct: was?.rangePct ?? USUAL_RANGE_PCT } },
            'another trim',
          );
        }}
      />
      {adjust && (
        <>
          {' '}
          by up to{' '}
          <NumberWord
            label={`${name}: range of the trim`}
            unit="%"
            at={`/program/variables/${at}/adjust/rangePct`}
            value={adjust.rangePct}
            onCommit={(rangePct) =>
              change({ ...variable, adjust: { ...adjust, rangePct } }, `trim by ${rangePct} %`)
            }
          />{' '}
          either way
        </>
      )}
      .
    </>
  );
}
