'use client';

import { ArrowDown, ArrowUp, Copy, Trash2 } from 'lucide-react';
import {
  changeLine,
  conditionKey,
  conditionsFor,
  duplicateLine,
  moveLine,
  removeLine,
  sourceKey,
  sourcesFor,
  writerOf,
} from '@/core/edit';
import type { PatchOperation } from '@/core/patch';
import { WISH_TITLES } from '@/core/plan';
import { allReads, readsOfLine, type Line, type Setup } from '@/core/setup';
import { conditionWords, sourceWords } from '@/core/sheets';
import { NumberWord } from '../../fields/NumberWord';
import { useModel } from '../../frame/modelStore';
import { PickWord } from '../../parts/PickWord';
import { Pointing } from '../../rig/Pointing';

const EFFECTS: readonly { value: Line['effect']; words: string; more: string }[] = [
  { value: 'adds', words: 'added to what is above', more: 'Both count.' },
  { value: 'scales', words: 'scaling what is above', more: '100 % leaves it as it is.' },
  { value: 'takes-over', words: 'in place of what is above', more: 'Only this counts.' },
];

const OTHER = 'other';

/** One line as a sentence; every word is changed where it stands. */
export function LineSentence({ line, first, last }: { line: Line; first: boolean; last: boolean }) {
  const setup = useModel((s) => s.setup);
  const edit = useModel((s) => s.edit);
  const put = (patch: PatchOperation[], words: string) => {
    const [problem] = edit(patch, `${nameOf(setup, line)}: ${words}`.slice(0, 80));
    return problem?.reason;
  };
  const change = (next: Partial<Line>, words: string) =>
    put(changeLine(setup, line.id, next), words);
  const sources = sourcesFor(setup, line.channel);
  const conditions = conditionsFor(setup);
  const when = conditionKey(line.when);
  const writer = writerOf(line);
  const name = nameOf(setup, line);
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
  const button = (
    label: string,
    Icon: typeof ArrowUp,
    patch: PatchOperation[],
    words: string,
    off = false,
  ) => (
    <button
      type="button"
      className="head-btn text-soft min-w-8"
      aria-label={`${label}: ${name}`}
      title={label}
      disabled={off}
      onClick={() => void put(patch, words)}
    >
      <Icon size={15} aria-hidden />
    </button>
  );
  return (
    <Pointing
      as="li"
      at={{ controls: controlsOf(setup, line) }}
      className="flex flex-wrap items-start justify-between gap-x-2 border-t border-(--card-edge) py-1 pl-2"
    >
      <p className="min-w-60 flex-1 leading-relaxed">
        <PickWord
          label={`${name}: when`}
          value={when ?? OTHER}
          options={[
            ...(when === undefined
              ? [{ value: OTHER, words: `When ${conditionWords(setup, line.when!)},` }]
              : []),
            ...conditions.map(({ key, condition }) => ({
              value: key,
              words: condition ? `When ${conditionWords(setup, condition)},` : 'Always,',
            })),
          ]}
          onPick={(key) => {
            const found = conditions.find((c) => c.key === key);
            if (found) change({ when: found.condition }, 'another condition');
          }}
        />{' '}
        {number('sharePct', 'share')} of{' '}
        <PickWord
          label={`${name}: follows`}
          value={sourceKey(line.follows)}
          options={sources.map(({ key, source }) => ({
            value: key,
            words: sourceWords(setup, source),
          }))}
          onPick={(key) => {
            const found = sources.find((s) => s.key === key);
            if (found) change({ follows: found.source }, 'follows something else');
          }}
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
        shifted by {number('shiftPct', 'shift')}
        {(!first || line.effect !== 'adds') && (
          <>
            ,{' '}
            <PickWord
              label={`${name}: effect`}
              value={line.effect}
              options={EFFECTS}
              onPick={(effect) =>
                change({ effect }, EFFECTS.find((e) => e.value === effect)!.words)
              }
            />
          </>
        )}
        .{' '}
        <span className="text-soft text-sm">
          {writer ? `Written by ${WISH_TITLES[writer]}.` : 'Your own.'}
        </span>
      </p>
      <span className="flex">
        {button('Up', ArrowUp, moveLine(setup, line.id, -1), 'moved up', first)}
        {button('Down', ArrowDown, moveLine(setup, line.id, 1), 'moved down', last)}
        {button('Once more', Copy, duplicateLine(setup, line.id), 'once more')}
        {button('Take out', Trash2, removeLine(setup, line.id), 'taken out')}
      </span>
    </Pointing>
  );
}

const nameOf = (setup: Setup, line: Line): string =>
  line.label ?? `Channel ${line.channel}, ${sourceWords(setup, line.follows)}`;

/** The controls a line listens to, for the rig beside it. */
const controlsOf = ({ program }: Setup, line: Line): string[] =>
  allReads(program, readsOfLine(line)).flatMap((r) => (r.kind === 'control' ? [r.id] : []));
