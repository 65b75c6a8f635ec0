import { parentPort, workerData } from 'node:worker_threads';
import { asFailure, Failure } from '../failure';
import { openInThread } from '../workshop';
import type { Watcher } from './format';
import { previewStaged, takeInStaged } from './merge';
import { stageArchive } from './read';
import type { Order, Report } from './tasks';
import { writeArchive } from './write';

const { order, folder, flag } = workerData as {
  order: Order;
  folder: string;
  flag: Int32Array;
};

const tell = (report: Report) => parentPort!.postMessage(report);
const watcher: Watcher = {
  progress: (phase, done, total) => tell({ kind: 'progress', phase, done, total }),
  ended: () => Atomics.load(flag, 0) === 1,
};

async function work(): Promise<Report> {
  const store = openInThread(folder);
  try {
    if (order.does === 'out') {
      await writeArchive(store, order.zip, order.at, watcher);
      store.shelf.archived(order.at);
      return { kind: 'done' };
    }
    if (order.does === 'look') {
      const { madeAt } = await stageArchive(order.zip, order.staging, watcher);
      return { kind: 'done', preview: previewStaged(store, order.staging, madeAt, watcher) };
    }
    return {
      kind: 'done',
      preview: takeInStaged(store, order.staging, order.madeAt, watcher),
    };
  } finally {
    store.db.close();
  }
}

void work().then(tell, (thrown: unknown) => {
  const error = asFailure(thrown);
  if ((error as { code?: unknown }).code === 'ENDED') tell({ kind: 'ended' });
  else if (error instanceof Failure)
    tell({ kind: 'failed', status: error.status, problems: error.problems });
  else {
    console.error(error);
    tell({
      kind: 'failed',
      status: 500,
      problems: [{ path: '', reason: 'something went wrong here; nothing was changed' }],
    });
  }
});
