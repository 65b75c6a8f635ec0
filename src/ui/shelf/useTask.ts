'use client';

import { useEffect, useRef, useState } from 'react';
import type { Task } from '@/server/archive';
import { send, type Reply } from '../open/send';

const EVERY_MS = 300;

/** Follows an archive on its way out or in until it is done, failed or ended. */
export function useTask(onEnd: (task: Task) => void) {
  const [task, setTask] = useState<Task>();
  const end = useRef(onEnd);
  useEffect(() => {
    end.current = onEnd;
  });
  const working = task?.state === 'working' ? task.id : undefined;
  useEffect(() => {
    if (working === undefined) return;
    let gone = false;
    const take = (reply: Reply<Task>) => {
      if (gone) return;
      // A server that does not answer just now is asked again; one that forgot it has ended it.
      if (reply.ok) {
        setTask(reply.value);
        if (reply.value.state !== 'working') end.current(reply.value);
      } else if (reply.status === 404) setTask(undefined);
    };
    const timer = setInterval(
      () => void send<Task>('GET', `/api/archive/tasks/${working}`, undefined).then(take),
      EVERY_MS,
    );
    return () => {
      gone = true;
      clearInterval(timer);
    };
  }, [working]);
  return {
    task: working === undefined ? undefined : task,
    follow: setTask,
    async stop() {
      setTask(undefined);
      if (working !== undefined) await send('DELETE', `/api/archive/tasks/${working}`, undefined);
    },
  };
}
