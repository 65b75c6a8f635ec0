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

/** A channel as a sum of ramps: what each comes to at either end of what it follows, and when it is on. */
export function MixesView({ setup, output: { channel }, own }: ViewProps) {
  const mixes = asMixes(setup, channel);
  return (
    <>
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
          A transmitter with mixes only adds: it cannot scale one thing by another. Enter this
          channel on one that has lines.
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
  const from = (
    <SourceWord
      setup={setup}
      label={`${name}: follows`}
      of={{ kind: 'channel', channel: line.channel }}
      value={line.follows}
      onPut={(follows) => put(changeLine(setup, line.id, { follows }), 'follows something else')}
    />
  );
  return (
    <span className="flex flex-wrap items-center gap-x-3 gap-y-1">
      <span className="min-w-28">{from}</span>
      {fixed !== undefined ? (
        number('value', fixed, (v) => put(putValue(setup, line.id, v), `value ${v} %`))
      ) : (
        <span className="flex items-center gap-2">
          {side('lowPct', 'low side')}
          {sides && <Ramp {...sides} shiftPct={line.shiftPct} />}
          {side('highPct', 'high side') ?? 'by its curve'}
        </span>
      )}
      {fixed === undefined && (
        <span>
          shifted by{' '}
          {number('offset', line.shiftPct, (v) =>
            put(changeLine(setup, line.id, { shiftPct: v }), `offset ${v} %`),
          )}
        </span>
      )}
      <span className="min-w-0">
        <LineWhen setup={setup} line={line} name={name} />
      </span>
    </span>
  );
}

/** What comes out over the travel of what goes in: two straight halves through the offset. */
function Ramp({ lowPct, highPct, shiftPct }: Sides & { shiftPct: number }) {
  const y = (pct: number) => 16 - (Math.max(-150, Math.min(150, pct)) / 150) * 14;
  return (
    <svg viewBox="0 0 64 32" className="h-8 w-16 shrink-0" aria-hidden>
      <path d="M2 16H62M32 2V30" stroke="var(--card-edge)" strokeWidth={1} />
      <polyline
        points={`2,${y(shiftPct - lowPct)} 32,${y(shiftPct)} 62,${y(shiftPct + highPct)}`}
        fill="none"
        stroke="var(--accent)"
        strokeWidth={2.5}
        strokeLinejoin="round"
      />
    </svg>
  );
}
