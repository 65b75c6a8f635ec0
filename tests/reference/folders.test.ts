import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join, relative } from 'node:path';
import ts from 'typescript';
import { describe, expect, it } from 'vitest';

type Graph = ReadonlyMap<string, ReadonlySet<string>>;

/** Which folder right below a root imports from which other one; tests aside. */
function folders(root: string): Graph {
  const graph = new Map<string, Set<string>>();
  for (const file of readdirSync(root, { recursive: true, encoding: 'utf8' })) {
    if (!/\.tsx?$/.test(file) || /\.test\.tsx?$/.test(file) || !file.includes('/')) continue;
    const from = file.split('/')[0]!;
    const to = graph.get(from) ?? new Set();
    graph.set(from, to);
    const { importedFiles } = ts.preProcessFile(readFileSync(join(root, file), 'utf8'), true, true);
    for (const { fileName } of importedFiles) {
      const path = fileName.startsWith('@/')
        ? relative(root, join('src', fileName.slice(2)))
        : fileName.startsWith('.')
          ? relative(root, join(dirname(join(root, file)), fileName))
          : '..';
      const other = path.split('/')[0]!;
      if (other !== '..' && other !== from) to.add(other);
    }
  }
  return graph;
}

/** Folders that are left when, again and again, one that imports none of the others is taken away. */
function circle(graph: Graph): string[] {
  const left = new Set(graph.keys());
  for (;;) {
    const free = [...left].find((f) => ![...graph.get(f)!].some((to) => left.has(to)));
    if (free === undefined) return [...left].toSorted();
    left.delete(free);
  }
}

describe('folders', () => {
  it.each(['src', 'src/core', 'src/ui', 'src/server'])('of %s import in one direction', (root) => {
    const graph = folders(root);
    expect(graph.size).toBeGreaterThan(1);
    expect(circle(graph)).toEqual([]);
  });
  it('a circle is found, and what only leads to it is named as well', () => {
    const graph = new Map([
      ['a', new Set(['b'])],
      ['b', new Set(['c'])],
      ['c', new Set(['b'])],
      ['d', new Set<string>()],
    ]);
    expect(circle(graph)).toEqual(['a', 'b', 'c']);
  });
  it('the frame stands on everything, and the open model on nothing', () => {
    const graph = folders('src/ui');
    expect([...graph].filter(([, to]) => to.has('frame')).map(([from]) => from)).toEqual([]);
    expect([...graph.get('open')!]).toEqual([]);
  });
});
