'use client';

import dynamic from 'next/dynamic';
import { useMemo, useRef } from 'react';
import { controlWords, switchPosition, switchValue } from '@/core/chain';
import { padsOf, tagsOf, type Pad, type Tag } from '@/core/controls';
import type { Control, ControlKind } from '@/core/setup';
import { useRig } from '../live/rigStore';
import { switchesOf } from '../live/switches';
import { labelClass, layoutOf, PAD_ROOM, PADS, roomsOf } from './layout';
import { HandMark, handKind } from './HandMark';

// Every station has this front beside it; what turns on it comes after the first load.
const Slider = dynamic(() => import('../fields/Slider').then((m) => m.Slider), { ssr: false });

/** "Switch A" is "A" on the drawing, "Left slider" stays what it is. */
const shortLabel = ({ label }: Control): string =>
  /^(?:Switch|Momentary|Button|Knob) (\S{1,3})$/.exec(label)?.[1] ?? label;

/** What stands below a control on the front. */
export interface LabelProps {
  tag: Tag;
  /** Its name as short as the drawing has it. */
  short: string;
  /** Room there is, in percent of the front. */
  room: number;
}

/**
 * The transmitter's front under the hands: every control where it sits, alive.
 * @param Label what stands below each control; its name and what it does where nothing is given
 */
export function LiveFace({
  className = '',
  Label = PlainLabel,
}: {
  className?: string;
  Label?: React.ComponentType<LabelProps>;
}) {
  const setup = useRig((s) => s.setup);
  const spots = useMemo(() => layoutOf(setup.transmitter), [setup.transmitter]);
  const rooms = useMemo(() => roomsOf(spots), [spots]);
  const tags = useMemo(() => tagsOf(setup), [setup]);
  const switches = switchesOf(setup.transmitter.controls);
  return (
    <div
      role="group"
      aria-label="Transmitter"
      className={`@container relative rounded-[2rem_2rem_1.2rem_1.2rem] border-2 border-(--line) bg-(--shade) ${className}`}
    >
      {tags.map((tag) => {
        const at = spots.get(tag.control.id)!;
        return (
          <div
            key={tag.control.id}
            className="absolute -mt-1.5 -translate-x-1/2 -translate-y-1/2"
            style={{ left: `${at.x}%`, top: `${at.y}%` }}
          >
            <LiveControl
              tag={tag}
              room={rooms.get(tag.control.id)!}
              digit={switches.indexOf(tag.control) + 1}
              Label={Label}
            />
          </div>
        );
      })}
      {padsOf(setup.transmitter).map((pad) => (
        <div
          key={pad.side}
          className="absolute -translate-x-1/2 -translate-y-1/2"
          style={{ left: `${PADS[pad.side].x}%`, top: `${PADS[pad.side].y}%` }}
        >
          <LivePad pad={pad} />
        </div>
      ))}
    </div>
  );
}

function PlainLabel({ tag, short, room }: LabelProps) {
  const used = tag.purposes.length > 0;
  return (
    <span
      className={`${labelClass(short)} ${used ? 'font-bold' : 'text-soft'}`}
      style={{ width: `${room}cqw` }}
    >
      {short}
      {used && <span className="text-accent font-normal"> {tag.purposes[0]}</span>}
    </span>
  );
}

function LiveControl({
  tag,
  room,
  digit,
  Label,
}: {
  tag: Tag;
  room: number;
  digit: number;
  Label: React.ComponentType<LabelProps>;
}) {
  const { control } = tag;
  const value = useRig((s) => s.controls[control.id] ?? control.rest);
  const marked = useRig(
    (s) => s.pointed?.controls?.includes(control.id) || s.touched?.controls?.includes(control.id),
  );
  const setControl = useRig((s) => s.setControl);
  const touch = useRig((s) => s.touch);
  const put = (to: number) => {
    touch({ controls: [control.id] });
    setControl(control.id, to);
  };
  const used = tag.purposes.length > 0;
  const Drawn = DRAWN[control.kind];
  if (!Drawn) return null;
  return (
    <div
      data-control={control.id}
      className={`relative flex flex-col items-center rounded-md px-0.5 leading-none ${marked ? 'bg-card outline-3 outline-(--accent)' : ''}`}
      title={`${control.label}${digit >= 1 && digit <= 9 ? `, key ${digit}` : ''}${used ? `: ${tag.purposes.join(', ')}` : ', not used'}`}
    >
      <Drawn control={control} value={value} put={put} words={wordsAt(tag, value)} />
      <Label tag={tag} short={shortLabel(control)} room={room} />
    </div>
  );
}

/** "near: self-levelling" */
function wordsAt({ control, places }: Tag, value: number): string {
  const place = places.find((p) => p.value === value);
  const does = place && place.does.length > 0 ? `: ${place.does.join(', ')}` : '';
  return `${controlWords(control, value).slice(control.label.length).trim()}${does}`;
}

interface DrawnProps {
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

const DRAWN: Partial<Record<ControlKind, React.ComponentType<DrawnProps>>> = {
  'switch-2': Lever,
  'switch-3': Lever,
  momentary: Momentary,
  knob: Knob,
  slider: Turned,
};

/** A stick: dragged, or moved with the arrow keys; centred ones spring back. */
function LivePad({ pad }: { pad: Pad }) {
  const { across, along } = pad;
  const ground = useRef<HTMLDivElement>(null);
  const x = useRig((s) => (across ? (s.controls[across.id] ?? 0) : 0));
  const y = useRig((s) => (along ? (s.controls[along.id] ?? 0) : 0));
  const setControl = useRig((s) => s.setControl);
  const marked = useRig((s) =>
    [across, along].some((c) => c && s.pointed?.controls?.includes(c.id)),
  );
  const place = (e: React.PointerEvent) => {
    const box = ground.current!.getBoundingClientRect();
    const share = (v: number) => Math.round(Math.max(-100, Math.min(100, v * 230)));
    if (across) setControl(across.id, share((e.clientX - box.left) / box.width - 0.5));
    if (along) setControl(along.id, share(0.5 - (e.clientY - box.top) / box.height));
  };
  const kind = handKind(
    pad,
    useRig((s) => s.setup.transmitter),
  );
  const named = (c: Control) => c.label.replace(' stick', '').toLowerCase();
  return (
    <div className="relative -mt-3 flex flex-col items-center">
      <div
        ref={ground}
        data-pad={pad.side}
        className={`relative size-21 touch-none rounded-2xl border-2 bg-(--card) focus-within:outline-3 focus-within:outline-(--focus) ${marked ? 'border-accent' : 'border-(--line)'}`}
        onPointerDown={(e) => {
          e.currentTarget.setPointerCapture(e.pointerId);
          place(e);
        }}
        onPointerMove={(e) => {
          if (e.currentTarget.hasPointerCapture(e.pointerId)) place(e);
        }}
        onPointerUp={() => {
          if (across) setControl(across.id, across.rest);
          if (along && along.rest === 0) setControl(along.id, 0);
        }}
      >
        {kind === 'stick' ? (
          <>
            <span className="absolute top-1/2 right-2 left-2 border-t border-(--line)" />
            <span className="absolute top-2 bottom-2 left-1/2 border-l border-(--line)" />
            <span
              className="bg-accent absolute size-6 -translate-x-1/2 -translate-y-1/2 rounded-full"
              style={{ left: `${50 + x * 0.38}%`, top: `${50 - y * 0.38}%` }}
            />
          </>
        ) : (
          <HandMark kind={kind} value={kind === 'wheel' ? x : y} />
        )}
        {[across, along].map(
          (c) =>
            c && (
              <input
                key={c.id}
                type="range"
                className="sr-only"
                aria-label={c.label}
                min={-100}
                max={100}
                step={5}
                value={c === across ? x : y}
                onChange={(e) => setControl(c.id, Number(e.target.value))}
              />
            ),
        )}
      </div>
      <span
        className={`${labelClass('')} text-soft`}
        style={{ width: `${PAD_ROOM}cqw` }}
        title={[across, along].flatMap((c) => (c ? [c.label] : [])).join(' · ')}
      >
        {[across, along].flatMap((c) => (c ? [named(c)] : [])).join(' · ')}
      </span>
    </div>
  );
}
