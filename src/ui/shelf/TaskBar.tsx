'use client';

import type { Task } from '@/server/archive';

/** How far an archive is, and a way to end it. */
export function TaskBar({ task, onStop }: { task: Task; onStop: () => void }) {
  const share = task.total > 0 ? Math.round((100 * task.done) / task.total) : 0;
  return (
    <div className="flex w-full flex-wrap items-center gap-3" role="status">
      <span className="min-w-40 text-sm">{task.phase} …</span>
      <progress className="h-3 min-w-40 flex-1" max={100} value={share} aria-label={task.phase} />
      <span className="num w-12 text-right text-sm">{share} %</span>
      <button type="button" className="btn" onClick={onStop}>
        Stop
      </button>
    </div>
  );
}
