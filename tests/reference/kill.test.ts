import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, it } from 'vitest';
import { openWorkshop } from '@/server/workshop';

const ROUNDS = 6;

/** Runs the writer until it has said a few versions, then kills it. @returns the last one it said */
function writeAndKill(folder: string, after: number): Promise<number> {
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
      resolve(Number(said.slice(0, said.lastIndexOf('\n')).split('\n').at(-1)));
    });
  });
}

it('nothing acknowledged is lost when the process is killed while writing', async () => {
  const folder = mkdtempSync(join(tmpdir(), 'tolvan-kill-'));
  for (let round = 0; round < ROUNDS; round++) {
    const acknowledged = await writeAndKill(folder, 3 + 7 * round);
    const store = openWorkshop(folder);
    const [head] = store.models.heads();
    expect(head!.version).toBeGreaterThanOrEqual(acknowledged);
    for (let v = 2; v <= head!.version; v++)
      expect(store.models.version(head!.modelId, v)!.setup.notes).toBe(`written as version ${v}`);
    expect(store.db.pragma('integrity_check', { simple: true })).toBe('ok');
    store.db.close();
  }
  rmSync(folder, { recursive: true });
}, 90_000);
