import { parentPort, workerData } from 'node:worker_threads';
import { asFailure, Failure } from '../failure';
import { openInThread } from '../workshop';
import { importLog, previewLog } from './csv';
import type { Order, Report } from './index';

const { order, folder } = workerData as { order: Order; folder: string };

function work(): Report {
  const store = openInThread(folder);
  const does = { look: previewLog, in: importLog }[order.does];
  try {
    return { ok: true, value: does(order.id, order.text, order.dates, store) };
  } catch (thrown) {
    const error = asFailure(thrown);
    if (error instanceof Failure)
      return { ok: false, status: error.status, problems: error.problems };
    throw error;
  } finally {
    store.db.close();
  }
}

parentPort!.postMessage(work());
