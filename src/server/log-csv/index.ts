import { Worker } from 'node:worker_threads';
import type { Problem } from '../../core/setup';
import { Failure } from '../failure';
import { workshop, type Workshop } from '../workshop';
import { exportLog, importLog, previewLog, type LogPreview } from './csv';

export type { LogPreview } from './csv';
export { exportLog } from './csv';

/** What a thread is to do with a CSV. */
export interface Order {
  does: 'look' | 'in';
  id: string;
  text: string;
  /** How its dates are written, where a person was asked. */
  dates: string | null;
}

export type Report =
  { ok: true; value: unknown } | { ok: false; status: Failure['status']; problems: Problem[] };

/** A text that is read in a few milliseconds; a thread takes longer than that to start. */
const SHORT_CHARS = 100_000;
/** The largest log of a workshop is far below this. */
export const MOST_CSV_BYTES = 200_000_000;

/** Looks at a CSV; a long one without keeping other requests waiting. @throws Failure 422 */
export const lookAtCsv = (id: string, text: string, dates: string | null): Promise<LogPreview> =>
  run({ does: 'look', id, text, dates }, previewLog);

/** Brings a Import CSV, all of it or nothing. @throws Failure 422 with the line and the reason */
export const takeCsv = (
  id: string,
  text: string,
  dates: string | null,
): Promise<{ added: number; known: number }> => run({ does: 'in', id, text, dates }, importLog);

type InPlace<T> = (id: string, text: string, dates: string | null, store: Workshop) => T;

async function run<T>(order: Order, inPlace: InPlace<T>): Promise<T> {
  const store = workshop();
  if (order.text.length <= SHORT_CHARS) return inPlace(order.id, order.text, order.dates, store);
  const worker = new Worker(new URL('./csv.worker.ts', import.meta.url), {
    workerData: { order, folder: store.folder },
  });
  const report = await new Promise<Report>((resolve, reject) => {
    worker.on('message', resolve);
    worker.on('error', reject);
    worker.on('exit', () => reject(new Error('its thread ended')));
  });
  if (report.ok) return report.value as T;
  throw new Failure(report.status, report.problems);
}

/** The log of a model as CSV, as it is sent: other requests come in between its pieces. */
export function streamLog(id: string): ReadableStream<Uint8Array> {
  const pieces = exportLog(id, workshop())[Symbol.iterator]();
  const encoder = new TextEncoder();
  return new ReadableStream({
    async pull(controller) {
      await new Promise((resolve) => setImmediate(resolve));
      const piece = pieces.next();
      if (piece.done) controller.close();
      else controller.enqueue(encoder.encode(piece.value));
    },
  });
}
