'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { toast } from '../parts/toast';
import { describeProblem } from '@/core/setup';
import type { ArchiveChange, Task } from '@/server/archive';
import { FileButton } from '../fields/FileButton';
import { send } from '../open/send';
import { Over, OverClose } from '../parts/Over';
import { StatusMark } from '../status/StatusMark';
import { TaskBar } from './TaskBar';
import { useTask } from './useTask';
import { NotTaken } from '../parts/NotTaken';

const MARKS: Record<ArchiveChange['does'], { status: 'proven' | 'todo' | 'stop'; words: string }> =
  {
    add: { status: 'proven', words: 'imported' },
    extend: { status: 'proven', words: 'continued' },
    nothing: { status: 'todo', words: 'nothing new' },
    refuse: { status: 'stop', words: 'refused' },
  };

/** More than this many lines nobody reads; what is refused comes first. */
const MOST_SHOWN = 60;

/** Brings a whole workshop in: first what it would do, then, when that is wanted, it is done. */
export function ArchiveInButton() {
  const router = useRouter();
  const [looked, setLooked] = useState<Task>();
  const [problems, setProblems] = useState<string[]>([]);
  const { task, follow, stop } = useTask((ended) => {
    if (ended.state === 'failed') setProblems((ended.problems ?? []).map(describeProblem));
    else if (ended.state === 'done' && ended.does === 'look') setLooked(ended);
    else if (ended.state === 'done') {
      toast.success('Imported.');
      void send('DELETE', `/api/archive/tasks/${ended.id}`, undefined);
      router.refresh();
    }
  });
  const begin = async (path: string, body?: File) => {
    setProblems([]);
    const reply = await send<Task>('POST', path, body);
    if (reply.ok) follow(reply.value);
    else setProblems(reply.problems.map(describeProblem));
  };
  const leave = () => {
    if (looked) void send('DELETE', `/api/archive/tasks/${looked.id}`, undefined);
    setLooked(undefined);
  };
  const take = () => {
    const { id } = looked!;
    setLooked(undefined);
    void begin(`/api/archive/tasks/${id}`);
  };
  if (task) return <TaskBar task={task} onStop={() => void stop()} />;
  const preview = looked?.preview;
  const changes = preview
    ? [...preview.models, ...preview.hangar].toSorted((a, b) => order(a) - order(b))
    : [];
  const some = changes.some((c) => c.does === 'add' || c.does === 'extend');
  return (
    <>
      <FileButton
        words="Import an archive"
        label="Workshop archive"
        accept="application/zip,.zip"
        onFile={(file) => begin('/api/archive/in', file)}
      />
      <NotTaken problems={problems} />
      <Over open={preview !== undefined} onClose={leave} title="What it would do" wide>
        <p className="text-soft text-sm">
          Copy of {preview?.madeAt.slice(0, 10)}. Nothing here is taken away or written over.
        </p>
        <ul className="mt-2 divide-y divide-(--card-edge)">
          {changes.slice(0, MOST_SHOWN).map((c) => (
            <li key={c.id} className="flex flex-wrap justify-between gap-2 py-2">
              <span>
                <strong>{c.name}</strong>
                <br />
                <span className="text-soft text-sm">{c.words}</span>
              </span>
              <StatusMark {...MARKS[c.does]} />
            </li>
          ))}
        </ul>
        {changes.length > MOST_SHOWN && <p>… and {changes.length - MOST_SHOWN} more.</p>}
        <div className="mt-3 flex gap-2">
          <button type="button" className="btn btn-main" disabled={!some} onClick={take}>
            {some ? 'Import it' : 'Nothing to import'}
          </button>
          <OverClose>Cancel</OverClose>
        </div>
      </Over>
    </>
  );
}

/** What is refused first, then what comes in. */
const order = ({ does }: ArchiveChange) => ['refuse', 'extend', 'add', 'nothing'].indexOf(does);
