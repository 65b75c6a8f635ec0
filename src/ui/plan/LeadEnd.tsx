'use client';

import { useDraggable } from '@dnd-kit/core';
import { isMovedBy } from '@/core/setup';
import type { Lead } from '@/core/wiring';
import { useModel } from '../open/modelStore';
import { Pointing } from '../live/Pointing';

/** A servo or a motor at the end of its lead: dragged, the lead goes into another plug. */
export function LeadEnd({ lead, end }: { lead: Lead; end: string }) {
  const airframe = useModel((s) => s.setup.airframe);
  const servo = airframe.servos.find((s) => s.label === end);
  const surfaces = airframe.surfaces.filter((s) => servo && isMovedBy(s, servo.id));
  const first = lead.ends[0] === end;
  return (
    <Pointing as="li" at={{ surfaces: surfaces.map((x) => x.id) }} className="py-0.5">
      <div
        data-end={end}
        className="rounded-[3px_10px_3px_3px] border border-(--line) bg-(--card) px-2 leading-tight"
      >
        {first ? <Handle port={lead.port} end={end} /> : <span className="block py-2">{end}</span>}
        {lead.yLead && <span className="text-soft block pb-1 text-sm">on a Y-lead</span>}
      </div>
    </Pointing>
  );
}

function Handle({ port, end }: { port: string; end: string }) {
  const { attributes, listeners, setNodeRef, transform, isDragging } = useDraggable({
    id: `lead:${port}`,
  });
  return (
    <button
      ref={setNodeRef}
      type="button"
      className={`min-h-9 w-full cursor-grab touch-none text-left pointer-coarse:min-h-11 ${isDragging ? 'relative z-20 bg-(--card) shadow-lg' : ''}`}
      style={{ transform: transform ? `translate(${transform.x}px, ${transform.y}px)` : undefined }}
      {...listeners}
      {...attributes}
      aria-label={`Move the lead of ${end} to another plug`}
    >
      {end}
    </button>
  );
}
