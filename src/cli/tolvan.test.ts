import { spawnSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { makeSetup } from '../../tests/kit/setups';

const folder = mkdtempSync(join(tmpdir(), 'tolvan-cli-'));

function file(name: string, content: unknown): string {
  const path = join(folder, name);
  writeFileSync(path, typeof content === 'string' ? content : JSON.stringify(content));
  return path;
}

function tolvan(...words: string[]) {
  const { status, stdout, stderr } = spawnSync('npx', ['tsx', 'src/cli/tolvan.ts', ...words], {
    encoding: 'utf8',
  });
  const complaints = stderr.split('\n').filter((l) => l !== '' && !l.startsWith('npm warn'));
  return { status, stdout, complaints };
}

describe('tolvan', () => {
  it('validates a good file', () => {
    const { status, stdout } = tolvan('validate', file('good.json', makeSetup()));
    expect(status).toBe(0);
    expect(JSON.parse(stdout)).toMatchObject({ ok: true, name: 'Test model' });
  });
  it('checks directions and says what to change', () => {
    const setup = makeSetup();
    setup.program.outputs[1]!.reversed = true;
    const { status, stdout } = tolvan('check', file('wrong.json', setup));
    expect(status).toBe(1);
    const report = JSON.parse(stdout);
    expect(report.changes).toMatchObject([{ place: 'transmitter' }]);
    expect(tolvan('check', file('good.json', makeSetup())).status).toBe(0);
  });
  it.each<[string, unknown, string]>([
    ['not JSON', 'hello', 'whole file: not JSON'],
    ['a bad field', { ...makeSetup(), extra: 1 }, '/extra: unknown field'],
  ])('says in one line what is wrong: %s', (name, content, line) => {
    const { status, complaints, stdout } = tolvan('validate', file(`${name}.json`, content));
    expect(status).toBe(2);
    expect(stdout).toBe('');
    expect(complaints).toHaveLength(1);
    expect(complaints[0]).toContain(line);
  });
  it('refuses a missing file and a wrong word', () => {
    expect(tolvan('validate', join(folder, 'nowhere.json')).complaints[0]).toContain('cannot read');
    expect(tolvan('fly', file('good.json', makeSetup())).complaints[0]).toContain('usage');
    expect(tolvan().status).toBe(2);
  });
});
