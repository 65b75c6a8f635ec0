'use client';

import { addEntry, atomsFor, putEntry, removeEntry } from '@/core/edit';
import type { Program, Setup } from '@/core/setup';
import { NumberWord } from '../../fields/NumberWord';
import { useModel } from '../../open/modelStore';
import { PickWord } from '../../parts/PickWord';
import { ConditionWord } from './ConditionWord';
import { EntryRow, takeOut, usePut } from './EntryRow';
import { NameWord } from './NameWord';
import { Part } from './Part';
import { SourceWord } from './SourceWord';

type Callout = Program['callouts'][number];
type Timer = Program['timers'][number];

/** What is spoken, and timers. */
export function VoicePart() {
  const setup = useModel((s) => s.setup);
  const { callouts, timers } = setup.program;
  const [first] = atomsFor(setup);
  const control = setup.transmitter.controls.find((c) => c.kind === 'knob' || c.kind === 'slider');
  return (
    <Part
      id="voice"
      title="Call-outs and timers"
      add={[
        ...(first
          ? [
              {
                words: 'Add a call-out for a switch position',
                patch: addEntry(setup, 'callouts', { when: first, say: 'Say this' }),
              },
            ]
          : []),
        ...(control
          ? [
              {
                words: 'Add a call-out for a moved control',
                patch: addEntry(setup, 'callouts', {
                  moved: {
                    follows: { kind: 'control', id: control.id },
                    byPct: 2,
                    settledS: 0.5,
                  },
                  say: control.label,
                  reading: { kind: 'control', id: control.id },
                }),
              },
            ]
          : []),
        ...(first
          ? [
              {
                words: 'Add a timer',
                patch: addEntry(setup, 'timers', {
                  label: `Timer ${timers.length + 1}`,
                  when: first,
                  seconds: 360,
                }),
              },
            ]
          : []),
      ]}
    >
      {callouts.map((c) => (
        <EntryRow
          key={c.id}
          name={c.say}
          owner={c.owner}
          acts={[takeOut(removeEntry(setup, 'callouts', c.id))]}
        >
          <CalloutWords setup={setup} callout={c} />
        </EntryRow>
      ))}
      {timers.map((t) => (
        <EntryRow
          key={t.id}
          name={t.label}
          owner={t.owner}
          acts={[takeOut(removeEntry(setup, 'timers', t.id))]}
        >
          <TimerWords setup={setup} timer={t} />
        </EntryRow>
      ))}
    </Part>
  );
}

function CalloutWords({ setup, callout }: { setup: Setup; callout: Callout }) {
  const put = usePut();
  const { say: name, when, moved, reading } = callout;
  const change = (next: Callout, words: string) => put(putEntry(setup, 'callouts', next), words);
  const without = (key: 'when' | 'moved' | 'reading'): Callout => {
    const { [key]: _, ...rest } = callout;
    return rest;
  };
  return (
    <>
      {(when || !moved) && (
        <>
          When{' '}
          <ConditionWord
            setup={setup}
            label={`${name}: when`}
            {...(moved ? { always: 'whatever else is set' } : {})}
            value={when}
            onPut={(c) =>
              change(c ? { ...callout, when: c } : without('when'), 'another condition')
            }
          />
          {moved ? ', and ' : ' '}
        </>
      )}
      {moved && (
        <>
          {when ? 'once' : 'Once'}{' '}
          <SourceWord
            setup={setup}
            label={`${name}: what was moved`}
            value={moved.follows}
            onPut={(follows) =>
              change({ ...callout, moved: { ...moved, follows } }, 'something else moved')
            }
          />{' '}
          has moved by more than{' '}
          <NumberWord
            label={`${name}: moved by`}
            unit="%"
            at="/program/callouts/0/moved/byPct"
            step={0.5}
            value={moved.byPct}
            onCommit={(byPct) =>
              change({ ...callout, moved: { ...moved, byPct } }, `by ${byPct} %`)
            }
          />{' '}
          and stood still for{' '}
          <NumberWord
            label={`${name}: still for`}
            unit="s"
            at="/program/callouts/0/moved/settledS"
            step={0.1}
            value={moved.settledS}
            onCommit={(settledS) =>
              change({ ...callout, moved: { ...moved, settledS } }, `still for ${settledS} s`)
            }
          />
        </>
      )}
      , say “
      <NameWord
        label={`${name}: words`}
        value={name}
        onCommit={(say) => change({ ...callout, say }, `says ${say}`)}
      />
      ”{' '}
      <PickWord
        label={`${name}: and a value`}
        value={reading ? 'value' : 'alone'}
        options={[
          { value: 'alone', words: 'and no more' },
          { value: 'value', words: 'and the value of' },
        ]}
        onPick={(v) =>
          change(
            v === 'alone'
              ? without('reading')
              : { ...callout, reading: moved?.follows ?? { kind: 'fixed' } },
            v === 'alone' ? 'no value' : 'with a value',
          )
        }
      />
      {reading && (
        <>
          {' '}
          <SourceWord
            setup={setup}
            label={`${name}: value of`}
            value={reading}
            onPut={(source) => change({ ...callout, reading: source }, 'another value')}
          />
        </>
      )}
      .
    </>
  );
}

function TimerWords({ setup, timer }: { setup: Setup; timer: Timer }) {
  const put = usePut();
  const name = timer.label;
  const change = (next: Timer, words: string) => put(putEntry(setup, 'timers', next), words);
  return (
    <>
      <NameWord
        label={`${name}: name`}
        value={name}
        onCommit={(label) => change({ ...timer, label }, `is called ${label}`)}
      />{' '}
      runs while{' '}
      <ConditionWord
        setup={setup}
        label={`${name}: while`}
        value={timer.when}
        onPut={(when) => when && change({ ...timer, when }, 'another condition')}
      />
      , and ends after{' '}
      <NumberWord
        label={`${name}: seconds`}
        unit="s"
        at="/program/timers/0/seconds"
        step={10}
        value={timer.seconds}
        onCommit={(seconds) => change({ ...timer, seconds }, `${seconds} s`)}
      />
      .
    </>
  );
}
