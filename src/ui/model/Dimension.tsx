'use client';

import { useRef } from 'react';
import { Measured } from '../measure/Measured';
import { rangeOf } from '../open/reading';
import { DRAWN_WORDS, type Drawn } from './measures';

const STEP_MM = 10;
/** Room for a figure and its unit, in widths of a stroke. */
const FIGURE = 48;
/** What a key changes it by, for a line that lies and one that stands. */
const KEYS: Readonly<Record<string, number>> = {
  ArrowRight: STEP_MM,
  ArrowUp: STEP_MM,
  ArrowLeft: -STEP_MM,
  ArrowDown: -STEP_MM,
  PageUp: 10 * STEP_MM,
  PageDown: -10 * STEP_MM,
};

/**
 * A measure as a line beside the model, with its figure: pulled by hand, or changed by key. Dashed while it is assumed.
 * `from` is where the line begins, `at` how far to the side it lies, in millimetres on the drawing.
 */
export function Dimension({
  measure,
  value,
  assumed,
  from,
  at,
  strokeMm,
  mmPerPx,
  onPull,
  onSet,
}: {
  measure: Drawn;
  value: number;
  assumed: boolean;
  from: number;
  at: number;
  strokeMm: number;
  mmPerPx: () => number;
  /** While it is pulled; undefined when it is left again. */
  onPull: (value: number | undefined) => void;
  onSet: (value: number) => void;
}) {
  const pull = useRef<{ px: number; from: number; to: number } | undefined>(undefined);
  const { min, max } = rangeOf(`/airframe/measures/${measure}`);
  const within = (mm: number) => Math.min(max, Math.max(min, Math.round(mm / STEP_MM) * STEP_MM));
  const across = measure === 'spanMm';
  const point = (along: number, off: number) => (across ? [along, at + off] : [at + off, along]);
  const line = (one: readonly number[], other: readonly number[]) =>
    `M ${one.join(' ')} L ${other.join(' ')}`;
  const to = from + value;
  const middle = from + value / 2;
  const [x, y] = point(middle, 0) as [number, number];
  const tick = 4 * strokeMm;
  const wide = FIGURE * strokeMm;
  // Beside a line that is hardly longer than its figure.
  const beside = value > 1.5 * wide ? 0 : across ? 10 * strokeMm : -10 * strokeMm;
  return (
    <g
      role="slider"
      tabIndex={0}
      aria-label={DRAWN_WORDS[measure]}
      aria-orientation={across ? 'horizontal' : 'vertical'}
      aria-valuenow={value}
      aria-valuemin={Number.isFinite(min) ? min : 0}
      aria-valuemax={Number.isFinite(max) ? max : value}
      aria-valuetext={assumed ? `${value} mm, assumed` : `${value} mm`}
      className={`${across ? 'cursor-ew-resize' : 'cursor-ns-resize'} touch-none focus-visible:outline-3 focus-visible:outline-(--focus)`}
      onKeyDown={(e) => {
        const by = KEYS[e.key];
        if (by === undefined) return;
        e.preventDefault();
        e.stopPropagation();
        onSet(within(value + by));
      }}
      onPointerDown={(e) => {
        e.currentTarget.setPointerCapture(e.pointerId);
        pull.current = { px: across ? e.clientX : e.clientY, from: value, to: value };
      }}
      onPointerMove={(e) => {
        const now = pull.current;
        if (!now) return;
        const px = (across ? e.clientX : e.clientY) - now.px;
        // Whichever end is taken, outwards is longer, and the other end goes out as far.
        const box = e.currentTarget.getBoundingClientRect();
        const centre = across ? box.left + box.width / 2 : box.top + box.height / 2;
        const outwards = now.px < centre ? -px : px;
        now.to = within(now.from + 2 * outwards * mmPerPx());
        onPull(now.to);
      }}
      onPointerUp={() => {
        const now = pull.current;
        pull.current = undefined;
        onPull(undefined);
        if (now && now.to !== now.from) onSet(now.to);
      }}
      onPointerCancel={() => {
        pull.current = undefined;
        onPull(undefined);
      }}
    >
      {/* Wide enough for a finger. */}
      <path
        d={line(point(from, 0), point(to, 0))}
        stroke="transparent"
        strokeLinecap="square"
        strokeWidth={16 * strokeMm}
      />
      <path
        d={[
          line(point(from, 0), point(to, 0)),
          ...[from, to].map((end) => line(point(end, -tick), point(end, tick))),
        ].join(' ')}
        fill="none"
        stroke="var(--ink-soft)"
        strokeWidth={strokeMm}
        strokeDasharray={assumed ? `${4 * strokeMm} ${2 * strokeMm}` : undefined}
      />
      <g transform={across ? undefined : `rotate(-90 ${x} ${y})`}>
        <rect
          x={x - wide / 2}
          y={y + beside - 6 * strokeMm}
          width={wide}
          height={12 * strokeMm}
          fill="var(--card)"
        />
        <text
          x={x}
          y={y + beside}
          fontSize={9 * strokeMm}
          textAnchor="middle"
          dominantBaseline="central"
          className="font-num select-none"
          fill="var(--ink)"
        >
          <Measured value={value} unit="mm" />
        </text>
      </g>
    </g>
  );
}
