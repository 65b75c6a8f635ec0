import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, it } from 'vitest';
import { openWorkshop } from '@/server/workshop';
import { FULL } from '../kit/share';

const ROUNDS = FULL ? 10 : 3;

/** The last of each kind the writer said it had written. */
type Said = Record<'version' | 'seen' | 'note', number>;

/** Runs the writer until it has said so much, then kills it in the middle of something. */
function writeAndKill(folder: string, after: number): Promise<Said> {
  return new Promise((resolve, reject) => {
    const child = spawn(process.execPath, ['--import', 'tsx', 'tests/kit/writer.ts', folder]);
    let said = '';
    let complaint = '';
    child.stderr.on('data', (d: Buffer) => (complaint += d.toString()));
    child.stdout.on('data', (d: Buffer) => {
      said += d.toString();
      if (said.split('\n').length > after) child.kill('SIGKILL');
    });
    child.on('exit', (_, signal) => {
      if (signal !== 'SIGKILL')
        return reject(new Error(`the writer ended by itself: ${complaint}`));
      // Only whole lines were acknowledged.
      const lines = said.slice(0, said.lastIndexOf('\n')).split('\n');
      const last = (kind: string) =>
        Number(lines.findLast((l) => l.startsWith(kind))?.split(' ')[1] ?? 0);
      resolve({ version: last('version'), seen: last('seen'), note: last('note') });
    });
  });
}

it('nothing acknowledged is lost when the process is killed while writing', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'tolvan-kill-'));
  for (let round = 0; round < ROUNDS; round++) {
    const acknowledged = await writeAndKill(folder, 4 + 5 * round);
    const store = openWorkshop(folder);
    const [head] = store.shelf.heads();
    const id = head!.id;
    expect(head!.version).toBeGreaterThanOrEqual(acknowledged.version);
    for (let v = 2; v <= head!.version; v++)
      expect(store.models.version(id, v)!.setup.notes).toBe(`written as version ${v}`);
    const versionsSeen = store.evidence.of(id).map((e) => e.version);
    expect(Math.max(0, ...versionsSeen)).toBeGreaterThanOrEqual(acknowledged.seen);
    const notes = store.log.all(id).map((e) => Number(e.title.split(' ')[1]));
    expect(Math.max(0, ...notes)).toBeGreaterThanOrEqual(acknowledged.note);
    expect(new Set(notes).size).toBe(notes.length);
    expect(store.db.pragma('integrity_check', { simple: true })).toBe('ok');
    store.db.close();
  }
  rmSync(folder, { recursive: true });
}, 120_000);
