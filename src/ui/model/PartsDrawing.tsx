'use client';

import { useRef, useState } from 'react';
import { motorPlaceOf, movedMotor, movedPart, placeOf } from '@/core/model';
import { isAssumed, type Airframe } from '@/core/setup';
import { planView } from '../drawing/planView';
import { Dimension } from './Dimension';
import type { Drawn } from './measures';

/** Where a part is put by hand: to whole steps of this. */
const STEP_MM = 5;
const KEY_MM = 10;
/** A hand that moves less than this presses. */
const STILL_PX = 4;

const ARROWS: Readonly<Record<string, readonly [forward: number, right: number]>> = {
  ArrowUp: [KEY_MM, 0],
  ArrowDown: [-KEY_MM, 0],
  ArrowLeft: [0, -KEY_MM],
  ArrowRight: [0, KEY_MM],
};

interface Drag {
  id: string;
  from: readonly [x: number, y: number];
  forwardMm: number;
  rightMm: number;
  moved: boolean;
}

/** Something that can be put elsewhere. */
interface Item {
  id: string;
  label: string;
  forwardMm: number;
  rightMm: number;
  /** Its place was said, not assumed. */
  said: boolean;
  /** It stays in the middle while it is dragged. */
  central: boolean;
  outlines: readonly string[];
}

type Outlined = readonly string[];
type Standing = { id: string; label: string; place?: unknown };
type At = Pick<Item, 'forwardMm' | 'rightMm'>;

const itemOf = (
  { id, label, place }: Standing,
  { forwardMm, rightMm }: At,
  central: boolean,
  outlines: Outlined,
): Item => ({ id, label, forwardMm, rightMm, said: place !== undefined, central, outlines });

/** Surfaces and motors alike, each where it is in the airframe; `view` may be of one that is still being dragged. */
const itemsOf = (airframe: Airframe, { moving, motors }: ReturnType<typeof planView>): Item[] => [
  ...moving.map(({ surface: { id }, outlines }) => {
    const surface = airframe.surfaces.find((s) => s.id === id)!;
    return itemOf(surface, placeOf(airframe, surface), surface.side === 'centre', outlines);
  }),
  ...motors.map(({ motor: { id }, outlines }) => {
    const motor = airframe.motors.find((m) => m.id === id)!;
    return itemOf(motor, motorPlaceOf(airframe, motor), airframe.motors.length < 2, outlines);
  }),
];

/** The airframe with a part or a motor put elsewhere; nothing where it cannot be there. */
function movedTo(airframe: Airframe, { id, forwardMm, rightMm }: Drag): Airframe | undefined {
  if (airframe.motors.some((m) => m.id === id))
    return movedMotor(airframe, id, { forwardMm, rightMm });
  const moved = movedPart(airframe, id, { forwardMm, rightMm });
  return moved.ok ? moved.airframe : undefined;
}

/** Room beside the model for the lines of its measures, in widths of a stroke. */
const MARGIN = 30;

const DRAWN: readonly Drawn[] = ['spanMm', 'lengthMm'];

/**
 * The model from above, with its measures: a part is pressed to be looked at, dragged or pushed with the arrow keys to be put
 * elsewhere; a measure is pulled.
 */
export function PartsDrawing({
  airframe,
  open,
  onOpen,
  onMove,
  onMeasure,
}: {
  airframe: Airframe;
  open: string | undefined;
  onOpen: (id: string) => void;
  onMove: (id: string, to: { forwardMm: number; rightMm: number }) => void;
  onMeasure: (measure: Drawn, value: number) => void;
}) {
  const [drag, setDrag] = useState<Drag>();
  const svg = useRef<SVGSVGElement>(null);
  const [pulled, setPulled] = useState<Partial<Record<Drawn, number>>>({});
  const measures = { ...airframe.measures, ...pulled };
  const shown = drag?.moved ? movedTo(airframe, drag) : undefined;
  // The frame stays as it was: what is dragged must not move under the hand.
  const { box, strokeMm } = planView(airframe);
  const view = planView(shown ?? { ...airframe, measures });
  const { body, fixed, over, noseMm } = view;
  const margin = MARGIN * strokeMm;
  const [left, top, width, height] = box;
  const [frameLeft, frameBottom] = [left - margin / 2, top + height + margin / 3];
  const mmPerPx = () => {
    const scale = svg.current?.getScreenCTM()?.a;
    return scale ? 1 / scale : 1;
  };
  const stepped = (mm: number) => Math.round(mm / STEP_MM) * STEP_MM;
  return (
    <svg
      ref={svg}
      viewBox={[left - margin, top, width + margin, height + margin].join(' ')}
      className="h-80 w-full"
      preserveAspectRatio="xMidYMid meet"
      role="group"
      aria-label="The model from above"
    >
      <g fill="var(--shade)" stroke="var(--ink-soft)" strokeWidth={strokeMm} strokeLinejoin="round">
        {fixed.map((outline, i) => (
          <polygon key={i} points={outline} />
        ))}
        <polygon points={body} />
        {over.map((outline, i) => (
          <polygon key={i} points={outline} fill="var(--card)" />
        ))}
      </g>
      <g aria-hidden stroke="var(--ink)" strokeWidth={strokeMm} fill="none">
        <circle r={strokeMm * 5} />
        <path d={`M ${-strokeMm * 9} 0 H ${strokeMm * 9} M 0 ${-strokeMm * 9} V ${strokeMm * 9}`} />
      </g>
      {DRAWN.map((measure) => (
        <Dimension
          key={measure}
          measure={measure}
          value={measures[measure]}
          assumed={isAssumed(airframe, measure)}
          from={measure === 'spanMm' ? -measures.spanMm / 2 : noseMm}
          at={measure === 'spanMm' ? frameBottom : frameLeft}
          strokeMm={strokeMm}
          mmPerPx={mmPerPx}
          onPull={(value) => setPulled(value === undefined ? {} : { [measure]: value })}
          onSet={(value) => onMeasure(measure, value)}
        />
      ))}
      {itemsOf(airframe, view).map(({ id, label, forwardMm, rightMm, said, central, outlines }) => {
        return (
          <g
            key={id}
            role="button"
            tabIndex={0}
            aria-pressed={open === id}
            aria-label={`${label}, ${forwardMm} mm ahead, ${rightMm} mm to the right`}
            className="cursor-grab touch-none focus-visible:outline-3 focus-visible:outline-(--focus)"
            fill="var(--accent)"
            fillOpacity={open === undefined || open === id ? 1 : 0.55}
            stroke={open === id ? 'var(--ink)' : 'var(--ink-soft)'}
            strokeWidth={strokeMm}
            strokeDasharray={said ? undefined : `${4 * strokeMm} ${2 * strokeMm}`}
            onKeyDown={(e) => {
              const by = ARROWS[e.key];
              if (e.key === 'Enter' || e.key === ' ') onOpen(id);
              else if (by) onMove(id, { forwardMm: forwardMm + by[0], rightMm: rightMm + by[1] });
              else return;
              e.preventDefault();
              e.stopPropagation();
            }}
            onPointerDown={(e) => {
              e.currentTarget.setPointerCapture(e.pointerId);
              setDrag({
                id: id,
                from: [e.clientX, e.clientY],
                forwardMm,
                rightMm,
                moved: false,
              });
            }}
            onPointerMove={(e) => {
              if (drag?.id !== id) return;
              const [dx, dy] = [e.clientX - drag.from[0], e.clientY - drag.from[1]];
              if (!drag.moved && Math.hypot(dx, dy) < STILL_PX) return;
              setDrag({
                ...drag,
                moved: true,
                forwardMm: stepped(forwardMm - dy * mmPerPx()),
                rightMm: central ? rightMm : stepped(rightMm + dx * mmPerPx()),
              });
            }}
            onPointerUp={() => {
              if (drag?.moved)
                onMove(drag.id, { forwardMm: drag.forwardMm, rightMm: drag.rightMm });
              else onOpen(id);
              setDrag(undefined);
            }}
            onPointerCancel={() => setDrag(undefined)}
          >
            {outlines.map((outline, i) => (
              <polygon key={i} points={outline} />
            ))}
          </g>
        );
      })}
    </svg>
  );
}
