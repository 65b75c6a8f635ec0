'use client';

import { useDroppable } from '@dnd-kit/core';
import type { Setup } from '@/core/setup';
import type { Lead } from '@/core/wiring';
import { overClass, type Over } from './ChannelSlot';

/** A plug of the unit, or of the receiver beside it, and what it outputs. */
export function PlugSlot({
  port,
  lead,
  over,
}: {
  port: Setup['unit']['traits']['ports'][number];
  lead: Lead | undefined;
  over: Over | undefined;
}) {
  const id = `plug:${port.id}`;
  const { setNodeRef } = useDroppable({ id });
  return (
    <li
      ref={setNodeRef}
      data-plug={port.id}
      className={`flex min-h-10 flex-col justify-center border-b border-(--card-edge) px-2 leading-tight last:border-b-0 ${overClass(over, id)}`}
    >
      <strong>
        {port.label}
        {port.on === 'receiver' && (
          <span className="text-soft text-sm font-normal"> on the receiver</span>
        )}
      </strong>
      <span className="text-soft text-sm">
        {lead ? `${lead.carries}${lead.steadied ? ', stabilized' : ''}` : 'empty'}
      </span>
    </li>
  );
}
