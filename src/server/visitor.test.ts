import { afterEach, describe, expect, it, vi } from 'vitest';
import { strangerWords } from './visitor';

const visit = (method: string, path: string, headers: Record<string, string>) =>
  strangerWords({
    method,
    url: `http://127.0.0.1:4400${path}`,
    headers: new Headers({ host: '127.0.0.1:4400', ...headers }),
  });

afterEach(() => vi.unstubAllEnvs());

describe('who is let in', () => {
  it.each<[string, string, Record<string, string>]>([
    ['GET', '/', {}],
    ['GET', '/', { 'sec-fetch-site': 'cross-site' }],
    ['GET', '/api/archive', { 'sec-fetch-site': 'same-origin' }],
    ['GET', '/api/archive', { 'sec-fetch-site': 'none' }],
    ['POST', '/api/models', {}],
    ['POST', '/api/models', { origin: 'http://127.0.0.1:4400' }],
    ['PUT', '/api/models/a/setup', { host: 'localhost:1', origin: 'http://localhost:1' }],
    ['GET', '/', { host: '[::1]:4400' }],
  ])('%s %s %j', (method, path, headers) => {
    expect(visit(method, path, headers)).toBeUndefined();
  });
  it.each<[string, string, Record<string, string>]>([
    ['GET', '/', { host: 'elsewhere.example' }],
    ['GET', '/', { host: 'localhost.example' }],
    ['POST', '/api/models', { origin: 'http://elsewhere.example' }],
    ['POST', '/api/models', { origin: 'null' }],
    ['DELETE', '/api/hangar/x', { 'sec-fetch-site': 'cross-site' }],
    ['POST', '/api/archive/in', { 'sec-fetch-site': 'cross-site' }],
    ['GET', '/api/archive', { 'sec-fetch-site': 'cross-site' }],
    ['GET', '/api/models/a/log?as=csv', { 'sec-fetch-site': 'cross-site' }],
  ])('and who is not: %s %s %j', (method, path, headers) => {
    expect(visit(method, path, headers)).toMatch(/not served|another site/);
  });
  it('other names only where they were given', () => {
    vi.stubEnv('TOLVAN_HOSTS', 'bench.local');
    expect(visit('GET', '/', { host: 'bench.local:4400' })).toBeUndefined();
    expect(visit('GET', '/', {})).toContain('not served');
  });
});
