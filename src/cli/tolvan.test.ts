import { spawnSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import Papa from 'papaparse';
import { wished } from '../../tests/kit/order-faults';
import { makeSetup } from '../../tests/kit/setups';
import { run } from './run';

const folder = mkdtempSync(join(tmpdir(), 'tolvan-cli-'));

function file(name: string, content: unknown): string {
  const path = join(folder, name);
  writeFileSync(path, typeof content === 'string' ? content : JSON.stringify(content));
  return path;
}

function tolvan(...words: string[]) {
  const { status, stdout, stderr } = run(words);
  return { status, stdout, complaints: stderr.split('\n').filter((l) => l !== '') };
}

describe('tolvan', () => {
  it('says on the command line what it found, and ends with how it went', () => {
    const ask = (...words: string[]) =>
      spawnSync(process.execPath, ['--import', 'tsx', 'src/cli/tolvan.ts', ...words], {
        encoding: 'utf8',
      });
    const good = ask('validate', file('good.json', makeSetup()));
    expect(good).toMatchObject({ status: 0, stderr: '' });
    expect(JSON.parse(good.stdout)).toMatchObject({ ok: true, name: 'Test model' });
    const bad = ask('validate', join(folder, 'nowhere.json'));
    expect(bad).toMatchObject({ status: 2, stdout: '' });
    expect(bad.stderr).toContain('cannot read');
  });
  it('says in words what one file has otherwise than another', () => {
    const before = makeSetup();
    const after = structuredClone(before);
    after.program.outputs[1]!.reversed = true;
    after.name = 'Renamed';
    const [a, b] = [file('before.json', before), file('after.json', after)];
    const { status, stdout } = tolvan('diff', a, b);
    expect(status).toBe(1);
    expect(stdout).toMatch(/Test model → Renamed/);
    expect(stdout).toMatch(/channel 2.*revers/i);
    expect(tolvan('diff', a, a)).toMatchObject({ status: 0, stdout: '' });
    expect(tolvan('diff', a)).toMatchObject({ status: 2, stdout: '' });
    expect(tolvan('diff', a, join(folder, 'nowhere.json')).status).toBe(2);
  });
  it('puts a file in order: fields shuffled come out as they were, and once more the same', () => {
    const setup = makeSetup();
    const shuffled = (value: unknown): unknown =>
      Array.isArray(value)
        ? value.map(shuffled)
        : value !== null && typeof value === 'object'
          ? Object.fromEntries(
              Object.entries(value)
                .toReversed()
                .map(([k, v]) => [k, shuffled(v)]),
            )
          : value;
    const tidy = tolvan('fmt', file('shuffled.json', shuffled(setup)));
    expect(tidy.status).toBe(0);
    expect(JSON.parse(tidy.stdout)).toEqual(setup);
    expect(tolvan('fmt', file('tidy.json', tidy.stdout)).stdout).toBe(tidy.stdout);
    expect(tolvan('fmt', file('plain.json', setup)).stdout).toBe(tidy.stdout);
  });
  it('finds the lines behind what a monitor shows; what is wrong with the readings it says by row and column', () => {
    const setup = file('mine.json', makeSetup());
    const csv = (...rows: string[]) => file('readings.csv', rows.join('\n'));
    const found = tolvan(
      'infer',
      setup,
      csv(
        'sa,k1,ch5',
        '-100,,-80',
        '0,,10',
        '100,,10',
        '100,100,60',
        '100,-100,-40',
        '0,100,10',
        '0,50,10',
        '-100,70,-80',
      ),
    );
    expect(found.status).toBe(0);
    const { channels } = JSON.parse(found.stdout) as {
      channels: { channel: number; lines: { when?: { position: number }; sharePct: number }[] }[];
    };
    expect(channels).toMatchObject([{ channel: 5 }]);
    // Each in its place, over what stands elsewhere.
    expect(channels[0]!.lines.map((l) => [l.when?.position, l.sharePct])).toEqual([
      [undefined, -80],
      [1, 10],
      [2, 50],
    ]);
    expect(tolvan('infer', setup, csv('k1,ch1', '50,1', '50,20')).status).toBe(1);
    expect(tolvan('infer', setup, csv('k9,ch1', '50,1')).complaints[0]).toMatch(/column "k9"/);
    expect(tolvan('infer', setup, csv('k1,ch1', '50,lots')).complaints[0]).toMatch(
      /row 1, column ch1: "lots" is not a percentage/,
    );
    expect(tolvan('infer', setup).status).toBe(2);
  });
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
  it('prints every combination, as JSON and as CSV that reads back the same', () => {
    const path = file(
      'wished.json',
      wished({ panic: { way: 'replace', control: 'sm', holdS: 0 } }),
    );
    const table = JSON.parse(tolvan('table', path).stdout);
    expect(table).toMatchObject({ complete: true, visited: table.rows.length });
    expect(table.rows.length).toBeGreaterThan(8);
    expect(table.rows.some((r: { panicRighted: boolean }) => r.panicRighted === false)).toBe(true);
    const csv = tolvan('table', path, '--csv').stdout;
    expect(csv).toContain('\r\n');
    const back = Papa.parse<Record<string, string>>(csv.trim(), { header: true });
    expect(back.errors).toEqual([]);
    expect(back.data).toHaveLength(table.rows.length);
    expect(Number(back.data[3]!.gainRollPct)).toBe(table.rows[3].gainRollPct);
  });
  it('plans a program from wishes, and says where a wish cannot be', () => {
    const setup = makeSetup();
    setup.intents.program = {
      modes: { switches: ['sa'], table: ['off', 'rate', 'level'] },
      rates: { by: 'one', pct: 100, expoPct: 20 },
      panic: { way: 'offsets', control: 'sm', holdS: 0.2, gainPct: 50 },
      voice: { modes: true },
    };
    const planned = JSON.parse(tolvan('plan', file('wishes.json', setup)).stdout) as typeof setup;
    expect(planned.program.lines.filter((l) => l.purpose === 'panic').length).toBeGreaterThan(2);
    expect(planned.program.callouts).toHaveLength(3);
    const bad = makeSetup('conventional', 'button-stabilizer');
    bad.intents.program = {
      rates: { by: 'one', pct: 100, expoPct: 20 },
      panic: { way: 'replace', control: 'sm', holdS: 0 },
    };
    const refused = tolvan('plan', file('bad.json', bad));
    expect(refused.status).toBe(2);
    expect(refused.complaints[0]).toContain('the unit cannot level the model');
  });
  it('prints the sheet in a style, and knows no others', () => {
    const path = file('sheet.json', wished());
    expect(tolvan('sheet', path).stdout).toContain('follows Switch A, share +100 %');
    expect(tolvan('sheet', path, '--style', 'switch-value').stdout).toContain(
      'Position 1: Switch A',
    );
    expect(tolvan('sheet', path, '--style', 'poem').status).toBe(2);
  });
  it('flies a scenario: rows over time, an answer, or in words where it is wrong', () => {
    const setup = file('flies.json', makeSetup());
    const pass = file('pass.json', { start: { heightM: 40, rollDeg: 20 }, seconds: 2 });
    const rows = tolvan('move', setup, pass, '--csv').stdout.trim().split('\r\n');
    expect(rows[0]).toMatch(
      /^time_s,north_m,east_m,height_m,roll_deg,.*,mode,gain_pct,aileron-left_deg,/,
    );
    expect(rows.length).toBe(22);
    const settled = tolvan('move', setup, pass, '--observe', 'ending');
    expect(JSON.parse(settled.stdout)).toMatchObject({ flying: true });
    expect(JSON.parse(tolvan('move', setup, pass).stdout)).toMatchObject({
      story: expect.stringContaining('still flying') as string,
    });
    const bad = file('bad.json', { start: { heightM: 40, controls: { zz: 1 } }, seconds: 2 });
    expect(tolvan('move', setup, bad).complaints[0]).toContain('/start/controls/zz');
    expect(tolvan('move', setup, pass, '--observe', 'luck').complaints[0]).toContain(
      'must be one of',
    );
    expect(tolvan('move', setup, join(folder, 'none.json')).status).toBe(2);
    const car = file('car.json', makeSetup('car', 'steering-menu', 'surface-six'));
    expect(tolvan('move', car, pass).complaints[0]).toContain('it does not fly');
  });

  it('asks a unit as if nobody knew it, and says what it found', () => {
    const setup = file('asked.json', makeSetup('conventional', 'dial-gyro'));
    const { status, stdout } = tolvan('ask', setup);
    expect(status).toBe(0);
    const report = JSON.parse(stdout) as {
      experiments: { does: string[]; watch: string; answer: string }[];
      facts: { fact: string; is: string[]; by: string }[];
      doubted: number[];
    };
    expect(report.experiments.length).toBeGreaterThan(4);
    expect(report.doubted).toEqual([]);
    expect(report.facts.find((f) => f.fact === 'which way it corrects roll')).toEqual({
      fact: 'which way it corrects roll',
      is: ['it corrects roll as described'],
      by: 'seen',
    });
    // The same eyes see the same twice.
    const dim = ['ask', setup, '--wrong', '0.05', '--unsure', '0.3', '--seed', '7'];
    expect(tolvan(...dim)).toEqual(tolvan(...dim));
    expect(tolvan('ask', setup, '--wrong', '2').complaints[0]).toContain(
      '--wrong must be a number from 0 to 0.5',
    );
  });
});
