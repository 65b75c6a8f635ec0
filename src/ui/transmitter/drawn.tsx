'use client';

import dynamic from 'next/dynamic';
import { switchPosition, switchValue } from '@/core/chain';
import type { Control, ControlKind } from '@/core/setup';

// Every station has the front beside it; what turns on it comes after the first load.
const Slider = dynamic(() => import('../fields/Slider').then((m) => m.Slider), { ssr: false });

/** A control as it is drawn: where it stands, how it is put elsewhere, and what is said of it. */
export interface DrawnProps {
  control: Control;
  value: number;
  put: (value: number) => void;
  words: string;
}

const count = (kind: ControlKind) => (kind === 'switch-3' ? 3 : 2);

/** A lever in its slot: press where it is to go, or use the arrow keys. Far is up. */
function Lever({ control, value, put, words }: DrawnProps) {
  const positions = count(control.kind);
  const now = switchPosition(control.kind, value);
  const go = (to: number) =>
    put(switchValue(control.kind, Math.max(0, Math.min(positions - 1, to))));
  return (
    <button
      type="button"
      role="slider"
      aria-label={control.label}
      aria-orientation="vertical"
      aria-valuemin={0}
      aria-valuemax={positions - 1}
      aria-valuenow={now}
      aria-valuetext={words}
      className="flex h-9 w-11 cursor-pointer items-center justify-center pointer-coarse:h-11"
      onPointerDown={(e) => {
        const box = e.currentTarget.getBoundingClientRect();
        const share = (e.clientY - box.top) / box.height;
        const to = Math.min(positions - 1, Math.floor(share * positions));
        // A press on the place where it stands takes it on to the next.
        go(to === now ? (now + 1) % positions : to);
      }}
      onKeyDown={(e) => {
        const by = { ArrowUp: -1, ArrowLeft: -1, ArrowDown: 1, ArrowRight: 1 }[e.key];
        if (by === undefined) return;
        e.preventDefault();
        go(now + by);
      }}
    >
      <svg width={24} height={36} aria-hidden>
        <rect
          x={4}
          y={1}
          width={16}
          height={34}
          rx={8}
          fill="var(--card)"
          stroke="var(--ink)"
          strokeWidth={1.6}
        />
        {Array.from({ length: positions }, (_, i) => (
          <circle
            key={i}
            cx={12}
            cy={9 + (18 * i) / (positions - 1)}
            r={i === now ? 6.5 : 1.8}
            fill={i === now ? 'var(--accent)' : 'var(--line)'}
          />
        ))}
      </svg>
    </button>
  );
}

/** Acts while it is held. */
function Momentary({ control, value, put }: DrawnProps) {
  return (
    <button
      type="button"
      aria-label={`${control.label}: hold`}
      aria-pressed={value > 0}
      className="flex h-9 w-11 items-center justify-center pointer-coarse:h-11"
      onPointerDown={() => put(100)}
      onPointerUp={() => put(-100)}
      onPointerLeave={() => value > 0 && put(-100)}
      onKeyDown={(e) => (e.key === ' ' || e.key === 'Enter') && put(100)}
      onKeyUp={() => put(-100)}
      onBlur={() => value > 0 && put(-100)}
    >
      <svg width={32} height={32} aria-hidden>
        <circle cx={16} cy={16} r={13} fill="var(--card)" stroke="var(--ink)" strokeWidth={1.6} />
        <circle
          cx={16}
          cy={16}
          r={value > 0 ? 9 : 5}
          fill={value > 0 ? 'var(--accent)' : 'var(--ink)'}
        />
      </svg>
    </button>
  );
}

const KNOB_KEYS: Readonly<Record<string, number>> = {
  ArrowUp: 5,
  ArrowRight: 5,
  ArrowDown: -5,
  ArrowLeft: -5,
  PageUp: 25,
  PageDown: -25,
  End: 200,
  Home: -200,
};
/** How far a knob turns to either side, in degrees. */
const KNOB_DEG = 137;

/** A knob: dragged round its centre, or turned with the arrow keys. */
function Knob({ control, value, put, words }: DrawnProps) {
  const turn = (e: React.PointerEvent) => {
    const box = e.currentTarget.getBoundingClientRect();
    const deg =
      (Math.atan2(e.clientX - box.left - box.width / 2, box.top + box.height / 2 - e.clientY) *
        180) /
      Math.PI;
    put(Math.round(Math.max(-100, Math.min(100, (deg / KNOB_DEG) * 100))));
  };
  return (
    <button
      type="button"
      role="slider"
      aria-label={control.label}
      aria-valuemin={-100}
      aria-valuemax={100}
      aria-valuenow={Math.round(value)}
      aria-valuetext={words}
      className="flex size-11 cursor-pointer touch-none items-center justify-center"
      onPointerDown={(e) => {
        e.currentTarget.setPointerCapture(e.pointerId);
        turn(e);
      }}
      onPointerMove={(e) => {
        if (e.currentTarget.hasPointerCapture(e.pointerId)) turn(e);
      }}
      onKeyDown={(e) => {
        const by = KNOB_KEYS[e.key];
        if (by === undefined) return;
        e.preventDefault();
        put(Math.max(-100, Math.min(100, value + by)));
      }}
    >
      <svg width={38} height={38} viewBox="-19 -19 38 38" aria-hidden>
        <circle r={15} fill="var(--card)" stroke="var(--ink)" strokeWidth={1.6} />
        <line
          y1={-6}
          y2={-15}
          stroke="var(--accent)"
          strokeWidth={4}
          transform={`rotate(${(value / 100) * KNOB_DEG})`}
        />
      </svg>
    </button>
  );
}

function Turned({ control, value, put, words }: DrawnProps) {
  return (
    <div className="h-7 w-[min(5rem,19cqw)] pointer-coarse:h-11">
      <Slider
        label={control.label}
        words={words}
        value={value}
        onChange={put}
        className="h-full w-full"
      />
    </div>
  );
}

/** What each kind of control is drawn as; sticks are drawn together. */
export const DRAWN: Partial<Record<ControlKind, React.ComponentType<DrawnProps>>> = {
  'switch-2': Lever,
  'switch-3': Lever,
  momentary: Momentary,
  knob: Knob,
  slider: Turned,
};
