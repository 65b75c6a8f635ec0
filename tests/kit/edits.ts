import { applyPatch } from '@/core/patch';
import { parseSetup, type Setup } from '@/core/setup';

/** One thing changed in a Setup by dice, and what it was. */
export interface Edit {
  setup: Setup;
  words: string;
}

function leavesOf(value: unknown, path: string, out: [string, unknown][]): void {
  if (Array.isArray(value)) value.forEach((v, i) => leavesOf(v, `${path}/${i}`, out));
  else if (typeof value === 'object' && value !== null)
    for (const [key, v] of Object.entries(value)) leavesOf(v, `${path}/${key}`, out);
  else out.push([path, value]);
}

/** Names, and what no surface or motor can feel. */
const DEAD = /label|\/id$|callouts|timers|chordMm|secondsPer|\/pulse$/;
const OTHER: Record<string, string> = {
  add: 'multiply',
  replace: 'add',
  same: 'opposite',
  opposite: 'same',
  normal: 'reversed',
};

/** Changes one number, switch or name of a Setup, or takes one entry out. */
export function editOf(setup: Setup, random: () => number): Edit | undefined {
  const pick = <T>(list: readonly T[]): T | undefined => list[Math.floor(random() * list.length)];
  if (random() < 0.25) {
    const list = pick([
      ['program', 'lines'],
      ['program', 'logic'],
      ['program', 'outputs'],
      ['program', 'failsafe'],
      ['installation', 'plugs'],
      ['unit', 'settings', 'inputs'],
      ['unit', 'settings', 'outputs'],
    ])!;
    const entries = list.reduce<unknown>(
      (at, key) => (at as Record<string, unknown>)[key],
      setup,
    ) as unknown[];
    if (entries.length === 0) return undefined;
    const at = Math.floor(random() * entries.length);
    return tried(setup, `/${list.join('/')}/${at}`, undefined);
  }
  const leaves: [string, unknown][] = [];
  leavesOf(setup.program, '/program', leaves);
  leavesOf(setup.unit.settings, '/unit/settings', leaves);
  leavesOf(setup.installation.plugs, '/installation/plugs', leaves);
  leavesOf(setup.airframe.servos, '/airframe/servos', leaves);
  leavesOf(setup.airframe.surfaces, '/airframe/surfaces', leaves);
  leavesOf(setup.airframe.motors, '/airframe/motors', leaves);
  const [path, value] = pick(leaves.filter(([p]) => !DEAD.test(p)))!;
  if (typeof value === 'boolean') return tried(setup, path, !value);
  if (typeof value === 'number')
    return tried(
      setup,
      path,
      pick([-value, value * 0.3, value + 50, value - 50, 0, 100, -100, value + 1, value * 2]),
    );
  const alike = leaves
    .filter(([p, v]) => p.replace(/\d+/g, '*') === path.replace(/\d+/g, '*') && v !== value)
    .map(([, v]) => v);
  const named = OTHER[String(value)];
  return tried(setup, path, pick([...alike, ...(named ? [named] : [])]));
}

function tried(setup: Setup, path: string, value: unknown): Edit | undefined {
  const edited = applyPatch(setup, [
    value === undefined ? { op: 'remove', path } : { op: 'replace', path, value },
  ]);
  const read = parseSetup(edited);
  return read.ok
    ? {
        setup: read.value,
        words: `${path} ${value === undefined ? 'removed' : `is ${String(value)}`}`,
      }
    : undefined;
}
