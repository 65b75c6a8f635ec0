'use client';

import { ArrowDown, ArrowUp, Copy, EyeOff } from 'lucide-react';
import { changeLine, duplicateLine, moveLine, removeLine, setAside, writerOf } from '@/core/edit';
import { allReads, readsOfLine, type Line, type Setup } from '@/core/setup';
import { sourceWords } from '@/core/sheets';
import { NumberWord } from '../../fields/NumberWord';
import { useModel } from '../../open/modelStore';
import { PickWord } from '../../parts/PickWord';
import { EntryRow, takeOut, usePut, type RowAct } from './EntryRow';
import { LineWhen } from './LineWhen';
import { NoteLine } from './NoteLine';
import { Grip } from './Ordered';
import { SourceWord } from './SourceWord';

const EFFECTS: readonly { value: Line['effect']; words: string; more: string }[] = [
  { value: 'adds', words: 'And', more: 'Added to the rest: both count.' },
  { value: 'scales', words: 'Scaled', more: 'The rest times this: 100 % leaves it as it is.' },
  { value: 'takes-over', words: 'Instead', more: 'Only this counts while it is on.' },
];

/** What a line is for decides what is proved of it. */
const PURPOSES: readonly { value: NonNullable<Line['purpose']>; words: string; more?: string }[] = [
  { value: 'mix', words: 'a mix' },
  { value: 'stick', words: 'a stick', more: 'Its surfaces must go the right way.' },
  { value: 'mode', words: 'the mode', more: 'Every mode must be reached, and stay.' },
  { value: 'gain', words: 'the gain', more: 'It must reach from nothing to full.' },
  { value: 'panic', words: 'panic', more: 'It must level the model from everywhere.' },
  { value: 'throttle-cut', words: 'the throttle cut', more: 'The motor must stand still.' },
  { value: 'launch', words: 'hand launch', more: 'Any stick must end it.' },
  { value: 'other', words: 'something else' },
];

/**
 * One line as a sentence; every word is changed where it stands.
 * @param depth how many other lines of its channel take over from it
 */
export function LineSentence({
  line,
  first,
  last,
  depth = 0,
}: {
  line: Line;
  first: boolean;
  last: boolean;
  depth?: number;
}) {
  const setup = useModel((s) => s.setup);
  return (
    <EntryRow
      name={nameOf(setup, line)}
      owner={writerOf(line)}
      controls={controlsOf(setup, line)}
      acts={lineActs(setup, line, first, last)}
      more={<NoteLine line={line} name={nameOf(setup, line)} />}
      grip={first && last ? undefined : <Grip line={line.id} />}
      depth={depth}
    >
      <Words setup={setup} line={line} first={first} />
    </EntryRow>
  );
}

/** What can be done with a line as a whole. */
export const lineActs = (setup: Setup, { id }: Line, first: boolean, last: boolean): RowAct[] => [
  { label: 'Up', Icon: ArrowUp, patch: moveLine(setup, id, -1), words: 'moved up', off: first },
  { label: 'Down', Icon: ArrowDown, patch: moveLine(setup, id, 1), words: 'moved down', off: last },
  { label: 'Copy it', Icon: Copy, patch: duplicateLine(setup, id), words: 'copied' },
  {
    label: 'Switch off, and keep',
    Icon: EyeOff,
    patch: setAside(setup, id),
    words: 'switched off',
  },
  takeOut(removeLine(setup, id)),
];

function Words({ setup, line, first }: { setup: Setup; line: Line; first: boolean }) {
  const put = usePut();
  const name = nameOf(setup, line);
  const plain = first && line.effect === 'adds';
  const change = (next: Partial<Line>, words: string) =>
    put(changeLine(setup, line.id, next), words);
  const number = (key: 'sharePct' | 'shiftPct', label: string) => (
    <NumberWord
      label={`${name}: ${label}`}
      unit="%"
      at={`/program/lines/0/${key}`}
      step={setup.transmitter.stepPct ?? 1}
      value={line[key]}
      onCommit={(v) => change({ [key]: v }, `${label} ${v} %`)}
    />
  );
  return (
    <>
      {!plain && (
        <>
          <PickWord
            label={`${name}: effect`}
            value={line.effect}
            options={EFFECTS}
            onPick={(effect) => change({ effect }, EFFECTS.find((e) => e.value === effect)!.more)}
          />{' '}
        </>
      )}
      {line.when && (line.effect === 'takes-over' ? 'while ' : plain ? 'When ' : 'when ')}
      <LineWhen
        setup={setup}
        line={line}
        name={name}
        always={plain ? 'Normally' : 'always'}
      />, {number('sharePct', 'share')} of{' '}
      <SourceWord
        setup={setup}
        label={`${name}: follows`}
        of={{ kind: 'channel', channel: line.channel }}
        value={line.follows}
        onPut={(follows) => change({ follows }, 'follows something else')}
      />{' '}
      {setup.program.shapes.length > 0 && (
        <>
          <PickWord
            label={`${name}: shape`}
            value={line.shape ?? 'none'}
            options={[
              { value: 'none', words: 'in a straight line' },
              ...setup.program.shapes.map((s) => ({ value: s.id, words: `through ${s.label}` })),
            ]}
            onPick={(id) => change({ shape: id === 'none' ? undefined : id }, 'another shape')}
          />{' '}
        </>
      )}
      shifted by {number('shiftPct', 'shift')}.
      {!line.owner && (
        <>
          {' '}
          It is for{' '}
          <PickWord
            label={`${name}: for`}
            value={line.purpose ?? 'other'}
            options={PURPOSES}
            onPick={(purpose) => change({ purpose }, 'what it is for')}
          />
          .
        </>
      )}
    </>
  );
}

export const nameOf = (setup: Setup, line: Line): string =>
  line.label ?? `Channel ${line.channel}, ${sourceWords(setup, line.follows)}`;

/** The controls a line listens to, for the rig beside it. */
export const controlsOf = ({ program }: Setup, line: Line): string[] =>
  allReads(program, readsOfLine(line)).flatMap((r) => (r.kind === 'control' ? [r.id] : []));
