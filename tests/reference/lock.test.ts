import { readFileSync } from 'node:fs';
import { expect, it } from 'vitest';

interface LockedPackage {
  version?: string;
  resolved?: string;
  dependencies?: Record<string, string>;
  optionalDependencies?: Record<string, string>;
}

const read = (file: string) => JSON.parse(readFileSync(file, 'utf8')) as Record<string, unknown>;
const lock = read('package-lock.json') as { packages: Record<string, LockedPackage> };

/** Where the package at a place finds another one: in its own folder, or in one further out. */
function placeOf(name: string, from: string): string | undefined {
  for (let at = from; ; at = at.replace(/(^|\/)node_modules\/(@[^/]+\/)?[^/]+$/, '')) {
    const place = `${at === '' ? '' : `${at}/`}node_modules/${name}`;
    if (lock.packages[place]) return place;
    if (at === '') return undefined;
  }
}

it('the lock is complete: every package, the optional ones of other platforms too, is in it', () => {
  const missing = Object.entries(lock.packages).flatMap(([at, own]) =>
    Object.keys({ ...own.dependencies, ...own.optionalDependencies })
      .filter((name) => placeOf(name, at) === undefined)
      .map((name) => `${at || 'the project'} wants ${name}`),
  );
  expect(missing).toEqual([]);
  // Without them a clean install is refused on every machine but the one the lock was written on.
  const platforms = Object.keys(lock.packages).filter((p) => /(darwin|win32|linux)-/.test(p));
  expect(platforms.length).toBeGreaterThan(40);
});

it('it is the lock of this project as it stands, and names no download address', () => {
  const own = read('package.json') as { dependencies: object; devDependencies: object };
  const locked = lock.packages['']! as unknown as typeof own;
  expect(locked.dependencies).toEqual(own.dependencies);
  expect(locked.devDependencies).toEqual(own.devDependencies);
  expect(Object.values(lock.packages).filter((p) => p.resolved !== undefined)).toEqual([]);
});
