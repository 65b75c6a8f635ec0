'use client';

import { Download } from 'lucide-react';
import { toast } from '../parts/toast';
import { describeProblem } from '@/core/setup';
import type { Task } from '@/server/archive';
import { send } from '../open/send';
import { TaskBar } from './TaskBar';
import { useTask } from './useTask';

/** Packs the whole workshop, shows how far it is, and hands the file over. */
export function ArchiveOutButton() {
  const { task, follow, stop } = useTask(({ id, state, problems }) => {
    if (state === 'done') fetchFile(`/api/archive/tasks/${id}/file`);
    else if (state === 'failed') toast.error((problems ?? []).map(describeProblem).join('; '));
  });
  if (task) return <TaskBar task={task} onStop={() => void stop()} />;
  return (
    <button
      type="button"
      className="btn"
      onClick={async () => {
        const reply = await send<Task>('POST', '/api/archive/out', undefined);
        if (reply.ok) follow(reply.value);
        else toast.error(`No copy made: ${reply.problems.map((p) => p.reason).join('; ')}`);
      }}
    >
      <Download size={18} aria-hidden />
      Take a copy
    </button>
  );
}

/** The browser saves it as it saves any file a link leads to. */
function fetchFile(href: string): void {
  const link = document.createElement('a');
  link.href = href;
  link.download = '';
  link.click();
}
