'use client';

import { useDraggable, useDroppable } from '@dnd-kit/core';
import { GripVertical, Pin } from 'lucide-react';
import type { ChannelPlan } from '@/core/plan';
import { functionOf, type ChannelFunction, type Setup } from '@/core/setup';
import { handsOn } from '@/core/verify';
import { portFor } from '@/core/wiring';
import { useModel } from '../open/modelStore';
import { Pointing } from '../live/Pointing';
import { useReplan } from './useReplan';

export interface Over {
  at: string;
  /** Why what is held cannot go there. */
  no: string | undefined;
}

/** How a place looks while something is held over it. */
export const overClass = (over: Over | undefined, at: string): string =>
  over?.at !== at ? '' : over.no ? 'outline-3 outline-(--stop)' : 'outline-3 outline-(--proven)';

/** A channel and the function on it, with why it is there and what works it; a free one is a place to put it. */
export function ChannelSlot({
  channel,
  plan,
  over,
}: {
  channel: number;
  plan: ChannelPlan;
  over: Over | undefined;
}) {
  const setup = useModel((s) => s.setup);
  const id = `channel:${channel}`;
  const { setNodeRef } = useDroppable({ id });
  const output = setup.program.outputs.find((o) => o.channel === channel);
  if (!output)
    return (
      <li
        ref={setNodeRef}
        className={`num flex min-h-8 min-w-8 items-center justify-center rounded border border-dashed border-(--line) ${overClass(over, id)}`}
      >
        {channel}
      </li>
    );
  const hands = handsOn(setup, channel);
  const row = plan.rows.find((r) => r.carries === output.carries);
  return (
    <Pointing as="li" at={{ controls: hands.map((c) => c.id) }}>
      <div
        ref={setNodeRef}
        className={`grid min-h-10 grid-cols-[1.6rem_1fr_auto] items-center gap-1 border-b border-(--card-edge) ${overClass(over, id)}`}
      >
        <span className="num text-lg font-semibold">{channel}</span>
        <FunctionChip carries={output.carries} />
        <span className="flex items-center gap-1">
          <span className="text-soft text-sm @lg:hidden">{plugOf(setup, output.carries)}</span>
          <PinButton carries={output.carries} channel={channel} />
        </span>
        <span className="text-soft col-span-2 col-start-2 pb-1 text-sm leading-tight @max-lg:hidden">
          {hands.length > 0 && `${hands.map((c) => c.label).join(', ')}. `}
          {row?.channel === channel
            ? row.reason
            : row
              ? `The plan would put it on channel ${row.channel}.`
              : 'Not in the plan, but used here.'}
        </span>
      </div>
    </Pointing>
  );
}

/** The plug a function comes out of, in the unit's own word; an order is used inside it. */
function plugOf({ unit }: Setup, carries: ChannelFunction): string {
  const port = portFor({ unit }, carries);
  return unit.traits.ports.find((p) => p.id === port)?.label ?? 'inside the unit';
}

function FunctionChip({ carries }: { carries: ChannelFunction }) {
  const { attributes, listeners, setNodeRef, transform, isDragging } = useDraggable({
    id: `function:${carries}`,
  });
  const words = functionOf(carries).words;
  return (
    <button
      ref={setNodeRef}
      type="button"
      className={`flex min-h-9 min-w-0 cursor-grab touch-none items-center gap-1 rounded-[3px_10px_3px_3px] border border-(--line) bg-(--card) pr-2 text-left font-semibold pointer-coarse:min-h-11 ${isDragging ? 'relative z-20 shadow-lg' : ''}`}
      style={{ transform: transform ? `translate(${transform.x}px, ${transform.y}px)` : undefined }}
      {...listeners}
      {...attributes}
      aria-label={`Move ${words} to another channel`}
    >
      <GripVertical size={14} aria-hidden className="text-soft shrink-0" />
      <span className="min-w-0 wrap-break-word">{words}</span>
    </button>
  );
}

function PinButton({ carries, channel }: { carries: ChannelFunction; channel: number }) {
  const isPinned = useModel((s) => s.setup.intents.pins.some((p) => p.carries === carries));
  const { pin, unpin } = useReplan();
  const words = functionOf(carries).words;
  return (
    <button
      type="button"
      data-channel={channel}
      className="head-btn min-w-8 px-1 aria-pressed:text-(--accent)"
      aria-pressed={isPinned}
      aria-label={isPinned ? `Unpin ${words}` : `Pin ${words} here`}
      onClick={() => (isPinned ? unpin(carries) : pin(carries, channel))}
    >
      <Pin size={16} aria-hidden fill={isPinned ? 'currentColor' : 'none'} />
    </button>
  );
}
