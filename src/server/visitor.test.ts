import { describe, expect, it } from 'vitest';
import { strangerWords, undeclaredWords } from './visitor';

const visit = (method: string, path: string, headers: Record<string, string>) =>
  strangerWords({
    method,
    url: `http://127.0.0.1:4400${path}`,
    headers: new Headers({ host: '127.0.0.1:4400', ...headers }),
  });

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
});

describe('what a change says it carries', () => {
  const says = (method: string, type: string | undefined, carries?: string) =>
    undeclaredWords(
      {
        method,
        url: 'http://127.0.0.1:4400/api/models',
        headers: new Headers(type === undefined ? {} : { 'content-type': type }),
      },
      carries,
    );
  it.each<[string, string | undefined, string?]>([
    ['POST', 'application/json'],
    ['PUT', 'application/json; charset=utf-8'],
    ['DELETE', 'Application/JSON'],
    ['GET', undefined],
    ['HEAD', 'text/plain'],
    ['POST', 'application/octet-stream', 'application/octet-stream'],
  ])('goes on: %s %s', (method, type, carries) => {
    expect(says(method, type, carries)).toBeUndefined();
  });
  it.each<[string, string | undefined, string?]>([
    ['POST', undefined],
    ['POST', 'text/plain'],
    ['POST', 'application/x-www-form-urlencoded'],
    ['DELETE', 'multipart/form-data; boundary=x'],
    ['PUT', 'application/json-patch+json'],
    ['POST', 'text/plain', 'application/octet-stream'],
  ])('is refused: %s %s', (method, type, carries) => {
    expect(says(method, type, carries)).toContain(carries ?? 'application/json');
  });
});
