import { randomUUID } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { Worker } from 'node:worker_threads';
import type { Problem } from '../../core/setup';
import { Failure, notFound } from '../failure';
import { dataFolder, workshop } from '../workshop';
import type { ArchivePreview } from './format';

/** What a thread is to do. */
export type Order =
  | { does: 'out'; zip: string; at: string }
  | { does: 'look'; zip: string; staging: string }
  | { does: 'in'; staging: string; madeAt: string };

/** What a thread says while it works and at its end. */
export type Report =
  | { kind: 'progress'; phase: string; done: number; total: number }
  | { kind: 'done'; preview?: ArchivePreview }
  | { kind: 'failed'; status: number; problems: Problem[] }
  | { kind: 'ended' };

/** An archive on its way out or in, as the page follows it. */
export interface Task {
  id: string;
  does: Order['does'];
  state: 'working' | 'done' | 'failed' | 'ended';
  phase: string;
  done: number;
  total: number;
  /** What it would do, or has done. */
  preview?: ArchivePreview;
  status?: number;
  problems?: Problem[];
}

interface Kept {
  task: Task;
  /** Set to 1 when somebody ends it. */
  flag: Int32Array;
  worker: Worker | undefined;
  finished: Promise<void>;
  forgetAt: number;
}

/** A finished archive waits this long to be fetched or confirmed. */
const KEPT_MS = 3_600_000;
/** Enough for the longest log of one model that is merged line by line. */
const MOST_HEAP_MB = 320;
/** A thread that was asked to end and does not is ended. */
const GRACE_MS = 3000;

const shared = globalThis as { tolvanTasks?: Map<string, Kept> };

const EXCHANGE = 'exchange';
/** Each server has a folder of its own: two may work on one database. */
const folderOf = () => join(dataFolder(), EXCHANGE, String(process.pid));
const zipOf = (id: string) => join(folderOf(), `${id}.zip`);
const stagingOf = (id: string) => join(folderOf(), `${id}.staging`);

function tasks(): Map<string, Kept> {
  if (!shared.tolvanTasks) {
    shared.tolvanTasks = new Map();
    sweep();
  }
  mkdirSync(folderOf(), { recursive: true });
  for (const [id, kept] of shared.tolvanTasks)
    if (kept.task.state !== 'working' && kept.forgetAt < Date.now()) forget(id);
  return shared.tolvanTasks;
}

/** What servers that are gone left behind is of no use to anybody. */
function sweep(): void {
  const all = join(dataFolder(), EXCHANGE);
  if (!existsSync(all)) return;
  for (const name of readdirSync(all)) {
    const pid = Number(name);
    if (pid === process.pid || !isRunning(pid))
      rmSync(join(all, name), { recursive: true, force: true });
  }
}

function isRunning(pid: number): boolean {
  try {
    return pid > 0 && process.kill(pid, 0);
  } catch (error) {
    // It is somebody else's, and so it is there.
    return (error as NodeJS.ErrnoException).code === 'EPERM';
  }
}

function forget(id: string): void {
  shared.tolvanTasks?.delete(id);
  for (const file of [zipOf(id), `${zipOf(id)}.db`, stagingOf(id)]) rmSync(file, { force: true });
}

/** Where the bytes of an archive are put before anything looks at them. */
export function newUpload(): { id: string; zip: string } {
  tasks();
  const id = randomUUID();
  return { id, zip: zipOf(id) };
}

export const dropUpload = forget;

/** Starts what is to be done with an archive, in a thread of its own. */
function start(id: string, order: Order): Task {
  const flag = new Int32Array(new SharedArrayBuffer(4));
  const task: Task = {
    id,
    does: order.does,
    state: 'working',
    phase: 'starting',
    done: 0,
    total: 1,
  };
  // Fails here, in words, where the database cannot be used.
  const { folder } = workshop();
  const worker = new Worker(new URL('./archive.worker.ts', import.meta.url), {
    workerData: { order, folder, flag },
    // One model at a time is all it holds; what it has read must not pile up beside the server.
    resourceLimits: { maxOldGenerationSizeMb: MOST_HEAP_MB },
  });
  const finished = new Promise<void>((resolve) => {
    worker.on('message', (report: Report) => {
      if (report.kind === 'progress') {
        task.phase = report.phase;
        task.done = report.done;
        task.total = report.total;
        return;
      }
      task.state = report.kind;
      if (report.kind === 'done' && report.preview) task.preview = report.preview;
      if (report.kind === 'failed') {
        task.status = report.status;
        task.problems = report.problems;
      }
      resolve();
    });
    const gone = (reason: string) => {
      if (task.state === 'working') {
        task.state = Atomics.load(flag, 0) === 1 ? 'ended' : 'failed';
        task.status = 500;
        task.problems = [{ path: '', reason: `it stopped (${reason}); nothing was changed` }];
      }
      resolve();
    };
    worker.on('error', (error) => gone(error.message));
    worker.on('exit', () => gone('its thread ended'));
  });
  tasks().set(id, { task, flag, worker, finished, forgetAt: Date.now() + KEPT_MS });
  return task;
}

/** Begins to pack the whole workshop. */
export const startOut = (): Task => {
  const id = newUpload().id;
  return start(id, { does: 'out', zip: zipOf(id), at: new Date().toISOString() });
};

/** Begins to look at an archive that was uploaded. */
export const startLook = (id: string): Task =>
  start(id, { does: 'look', zip: zipOf(id), staging: stagingOf(id) });

/** Begins to bring in what was checked. */
export function startIn(id: string): Task {
  const { task } = kept(id);
  if (task.does !== 'look' || task.state !== 'done')
    throw new Failure(409, [{ path: '', reason: 'no archive has been checked yet' }]);
  return start(id, { does: 'in', staging: stagingOf(id), madeAt: task.preview!.madeAt });
}

function kept(id: string): Kept {
  const found = tasks().get(id);
  if (!found) throw notFound('this archive');
  return found;
}

export const taskOf = (id: string): Task => kept(id).task;

/** Waits until it is done. @throws Failure with what went wrong */
export async function finished(id: string): Promise<Task> {
  const { task, finished: end } = kept(id);
  await end;
  if (task.state === 'done') return task;
  throw new Failure((task.status ?? 409) as 422, task.problems ?? [{ path: '', reason: 'ended' }]);
}

/** Where a packed workshop lies. @throws Failure 404, 409 */
export function packedFile(id: string): string {
  const { task } = kept(id);
  if (task.does !== 'out' || task.state !== 'done')
    throw new Failure(409, [{ path: '', reason: 'it is not packed yet' }]);
  return zipOf(id);
}

/** Ends what is going on and takes its files away; where it had begun to write, nothing is kept. */
export async function endTask(id: string): Promise<Task> {
  const { task, flag, worker, finished: end } = kept(id);
  if (task.state === 'working') {
    Atomics.store(flag, 0, 1);
    const timer = setTimeout(() => void worker?.terminate(), GRACE_MS);
    await end;
    clearTimeout(timer);
  }
  const { state } = task;
  forget(id);
  return { ...task, state: state === 'done' ? 'ended' : state };
}
