'use client';

import {
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useDraggable,
  useSensor,
  useSensors,
  type DragEndEvent,
} from '@dnd-kit/core';
import { useId, useRef } from 'react';
import { padsOf, type Pad } from '@/core/controls';
import { pointer, type Control, type Transmitter } from '@/core/setup';
import { KIND_WORDS } from './ControlRow';
import { ControlMark } from './ControlMark';
import { layoutOf, PADS, within, type Spot } from './layout';
import type { ChangeTransmitter } from './change';
import { HandMark, handKind } from './HandMark';

/** The front of the transmitter, drawn: every control where the hand finds it. Drag, or use keys. */
export function TransmitterFace({
  transmitter,
  change,
}: {
  transmitter: Transmitter;
  change: ChangeTransmitter;
}) {
  const front = useRef<HTMLDivElement>(null);
  const id = useId();
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, {
      coordinateGetter: (event, { currentCoordinates: { x, y } }) => {
        const step = event.shiftKey ? 30 : 6;
        const by: Record<string, Spot> = {
          ArrowLeft: { x: -step, y: 0 },
          ArrowRight: { x: step, y: 0 },
          ArrowUp: { x: 0, y: -step },
          ArrowDown: { x: 0, y: step },
        };
        const move = by[event.code];
        return move && { x: x + move.x, y: y + move.y };
      },
    }),
  );
  const spots = layoutOf(transmitter);
  const end = ({ active, delta }: DragEndEvent) => {
    const box = front.current?.getBoundingClientRect();
    const i = transmitter.controls.findIndex((c) => c.id === active.id);
    const from = spots.get(String(active.id));
    if (!box || !from || i < 0 || (delta.x === 0 && delta.y === 0)) return;
    const to = within({
      x: from.x + (delta.x / box.width) * 100,
      y: from.y + (delta.y / box.height) * 100,
    });
    change(
      [{ op: 'add', path: pointer('controls', i, 'at'), value: to }],
      `${transmitter.controls[i]!.label} moved on the drawing`,
    );
  };
  return (
    <section className="card" aria-labelledby={`${id}-title`}>
      <h2 id={`${id}-title`} className="text-lg font-bold">
        The front of it
      </h2>
      <p className="text-soft text-sm">
        Drag each control to where it is on yours. With keys: space picks it up, arrows move it,
        space puts it down.
      </p>
      <DndContext id={id} sensors={sensors} onDragEnd={end}>
        <div
          ref={front}
          className="relative mt-2 aspect-[5/2] w-full overflow-hidden rounded-[2.5rem] border-2 border-(--line) bg-(--shade) @max-lg:aspect-[4/5]"
        >
          {transmitter.controls
            .filter((c) => c.kind !== 'stick' && c.kind !== 'trim')
            .map((control) => (
              <Knob key={control.id} control={control} spot={spots.get(control.id)!} />
            ))}
          {padsOf(transmitter).map((pad) => (
            <span
              key={pad.side}
              className="text-soft absolute flex -translate-x-1/2 -translate-y-1/2 flex-col items-center text-xs"
              style={{ left: `${PADS[pad.side].x}%`, top: `${PADS[pad.side].y}%` }}
            >
              <PadOf pad={pad} transmitter={transmitter} />
              <span className="line-clamp-2 max-w-36 text-center wrap-break-word">
                {[pad.across, pad.along].flatMap((c) => (c ? [c.label] : [])).join(' · ')}
              </span>
            </span>
          ))}
        </div>
      </DndContext>
    </section>
  );
}

/** A stick, or on a pistol grip the wheel or the trigger. */
function PadOf({ pad, transmitter }: { pad: Pad; transmitter: Transmitter }) {
  const kind = handKind(pad, transmitter);
  return kind === 'stick' ? (
    <ControlMark kind="stick" rest={0} />
  ) : (
    <span className="size-16">
      <HandMark kind={kind} value={0} />
    </span>
  );
}

function Knob({ control, spot }: { control: Control; spot: Spot }) {
  const { attributes, listeners, setNodeRef, transform, isDragging } = useDraggable({
    id: control.id,
  });
  return (
    <button
      ref={setNodeRef}
      type="button"
      aria-label={`${control.label}, ${KIND_WORDS[control.kind]}`}
      className={`absolute flex min-h-11 min-w-11 cursor-grab touch-none flex-col items-center text-xs ${isDragging ? 'z-10' : ''}`}
      style={{
        left: `${spot.x}%`,
        top: `${spot.y}%`,
        transform: `translate(calc(-50% + ${transform?.x ?? 0}px), calc(-50% + ${transform?.y ?? 0}px))`,
      }}
      {...listeners}
      {...attributes}
    >
      <ControlMark kind={control.kind} rest={control.rest} />
      <span className="line-clamp-2 max-w-20 leading-tight wrap-break-word" title={control.label}>
        {control.label}
      </span>
    </button>
  );
}
