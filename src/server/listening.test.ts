import { createServer, type Server } from 'node:net';
import { afterEach, expect, it } from 'vitest';
import { foreignAddress } from './listening';

const open: Server[] = [];
afterEach(() => open.splice(0).forEach((server) => server.close()));

const listening = (host: string) =>
  new Promise<Server>((resolve) => {
    const server = createServer();
    open.push(server);
    server.listen(0, host, () => resolve(server));
  });

it.each([
  ['127.0.0.1', undefined],
  ['127.0.0.2', undefined],
  ['0.0.0.0', '0.0.0.0'],
])('a server on %s is beyond this machine: %s', async (host, expected) => {
  const server = await listening(host);
  expect(foreignAddress([server, 'something else'])).toBe(expected);
});

it('a server of this process is found without being shown', async () => {
  await listening('0.0.0.0');
  expect(foreignAddress()).toBe('0.0.0.0');
});
