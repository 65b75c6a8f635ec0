'use client';

import {
  changeLine,
  putSides,
  putValue,
  sidesOf,
  valueOf,
  writerOf,
  type Sides,
} from '@/core/edit';
import type { Line, Setup } from '@/core/setup';
import { asMixes } from '@/core/sheets';
import { NumberWord } from '../../../fields/NumberWord';
import { EntryRow, usePut } from '../EntryRow';
import { controlsOf, lineActs, nameOf } from '../LineSentence';
import { LineWhen } from '../LineWhen';
import { NoteLine } from '../NoteLine';
import { Grip } from '../Ordered';
import { SourceWord } from '../SourceWord';
import type { ViewProps } from './view';

const COLUMNS = 'grid grid-cols-2 gap-x-3 @lg:grid-cols-[1.7fr_4.6rem_4.6rem_4.6rem_2fr]';
const TITLES = ['Follows', 'Low side', 'High side', 'Offset', 'On when'] as const;

/** A channel as a sum of mixes: a share for each side, an offset, when it is on. */
export function MixesView({ setup, output: { channel }, own }: ViewProps) {
  const mixes = asMixes(setup, channel);
  return (
    <>
      <li
        aria-hidden
        // Above the rows, which begin with a grip where there are several.
        className={`text-soft text-sm @max-lg:hidden ${COLUMNS} pr-42 ${own.length > 1 ? 'pl-9' : 'pl-4'}`}
      >
        {own.length > 0 && TITLES.map((t) => <span key={t}>{t}</span>)}
      </li>
      {own.map((line, i) => (
        <EntryRow
          key={line.id}
          name={nameOf(setup, line)}
          owner={writerOf(line)}
          controls={controlsOf(setup, line)}
          acts={lineActs(setup, line, i === 0, i === own.length - 1)}
          grip={own.length > 1 && <Grip line={line.id} />}
          more={
            <>
              <Effect line={line} first={i === 0} />
              <NoteLine line={line} name={nameOf(setup, line)} />
            </>
          }
        >
          <MixRow setup={setup} line={line} />
        </EntryRow>
      ))}
      {mixes === undefined ? (
        <Aside>
          A transmitter of functions and mixes only adds: it cannot scale one thing by another.
          Enter this channel on one that has lines.
        </Aside>
      ) : (
        mixes.length > own.length && (
          <Aside>
            Entered as {mixes.length} mixes: what is taken out of the way needs a mix of its own
            with the sign reversed.
          </Aside>
        )
      )}
    </>
  );
}

const Aside = ({ children }: { children: React.ReactNode }) => (
  <li className="text-soft border-t border-(--card-edge) py-1 pl-2 text-sm">{children}</li>
);

const EFFECTS: Record<Line['effect'], string | undefined> = {
  adds: undefined,
  scales: 'Scales the rest.',
  'takes-over': 'While it is on, only this counts.',
};

const Effect = ({ line: { effect, label }, first }: { line: Line; first: boolean }) => (
  <p className="text-soft text-sm">
    {[label, first ? undefined : EFFECTS[effect]].filter(Boolean).join('. ')}
  </p>
);

function MixRow({ setup, line }: { setup: Setup; line: Line }) {
  const put = usePut();
  const name = nameOf(setup, line);
  const fixed = valueOf(line);
  const sides = sidesOf(setup, line);
  const number = (label: string, value: number, onCommit: (v: number) => string | undefined) => (
    <NumberWord
      label={`${name}: ${label}`}
      unit="%"
      at="/program/lines/0/sharePct"
      step={setup.transmitter.stepPct ?? 1}
      value={value}
      onCommit={onCommit}
    />
  );
  const side = (key: keyof Sides, label: string) =>
    sides &&
    number(label, sides[key], (v) =>
      put(putSides(setup, line.id, { ...sides, [key]: v }), `${label} ${v} %`),
    );
  const cells =
    fixed === undefined
      ? [
          side('lowPct', 'low side') ?? 'by its curve',
          side('highPct', 'high side') ?? '',
          number('offset', line.shiftPct, (v) =>
            put(changeLine(setup, line.id, { shiftPct: v }), `offset ${v} %`),
          ),
        ]
      : ['', '', number('value', fixed, (v) => put(putValue(setup, line.id, v), `value ${v} %`))];
  return (
    <span className={COLUMNS}>
      <Cell title={TITLES[0]}>
        <SourceWord
          setup={setup}
          label={`${name}: follows`}
          of={{ kind: 'channel', channel: line.channel }}
          value={line.follows}
          onPut={(follows) =>
            put(changeLine(setup, line.id, { follows }), 'follows something else')
          }
        />
      </Cell>
      {cells.map((cell, i) => (
        <Cell
          key={TITLES[i + 1]}
          title={fixed === undefined ? TITLES[i + 1]! : 'Value'}
          empty={cell === ''}
        >
          {cell}
        </Cell>
      ))}
      <Cell title={TITLES[4]}>
        <LineWhen setup={setup} line={line} name={name} />
      </Cell>
    </span>
  );
}

/** A cell of the row; where the columns have no room for their titles it carries its own. */
const Cell = ({
  title,
  empty = false,
  children,
}: {
  title: string;
  empty?: boolean;
  children: React.ReactNode;
}) => (
  <span className={empty ? '@max-lg:hidden' : ''}>
    <span className="text-soft text-sm @lg:hidden">{title}: </span>
    {children}
  </span>
);
