'use client';

import {
  DndContext,
  PointerSensor,
  closestCenter,
  useDraggable,
  useDroppable,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import { GripVertical } from 'lucide-react';
import { useId } from 'react';
import { moveLineTo } from '@/core/edit';
import { useModel } from '../../open/modelStore';

/** Lines that are dragged into another order by their grips; keys have Up and Down. */
export function Ordered({ children }: { children: React.ReactNode }) {
  const id = useId();
  const setup = useModel((s) => s.setup);
  const edit = useModel((s) => s.edit);
  const sensors = useSensors(useSensor(PointerSensor, { activationConstraint: { distance: 4 } }));
  return (
    <DndContext
      id={id}
      sensors={sensors}
      collisionDetection={closestCenter}
      onDragEnd={({ active, over }) => {
        const patch = over ? moveLineTo(setup, String(active.id), String(over.id)) : [];
        if (patch.length > 0) void edit(patch, 'A line moved');
      }}
    >
      {children}
    </DndContext>
  );
}

/** What a line is dragged by. */
export function Grip({ line }: { line: string }) {
  const { listeners, setNodeRef, transform, isDragging } = useDraggable({ id: line });
  const { setNodeRef: setPlace, isOver } = useDroppable({ id: line });
  return (
    <span
      ref={setPlace}
      aria-hidden
      className={`mr-1 shrink-0 border-t-2 ${isOver && !isDragging ? 'border-accent' : 'border-transparent'}`}
    >
      <span
        ref={setNodeRef}
        className={`text-soft block cursor-grab touch-none py-1 ${isDragging ? 'relative z-20' : ''}`}
        style={{ transform: transform ? `translateY(${transform.y}px)` : undefined }}
        data-grip={line}
        {...listeners}
      >
        <GripVertical size={16} />
      </span>
    </span>
  );
}
