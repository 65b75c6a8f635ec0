// Serves a finished build on this machine only: node scripts/serve.mjs [PORT]
import { spawn } from 'node:child_process';

/**
 * Idle connections are kept longer than any client keeps them. A server that closes first meets the next
 * request of a client that does not know yet, and that request is lost with "connection reset".
 */
const KEEP_ALIVE_MS = 15 * 60_000;

/** What Node is started with to serve the build. @param port where to listen, on the loopback address */
export const serveArgs = (port) => [
  'node_modules/next/dist/bin/next',
  'start',
  ...['-H', '127.0.0.1', '-p', String(port)],
  ...['--keepAliveTimeout', String(KEEP_ALIVE_MS)],
];

/** Starts the server as a child that ends with this process. */
export function serve(port, options = {}) {
  const server = spawn(process.execPath, serveArgs(port), options);
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
  return server;
}

if (import.meta.url === `file://${process.argv[1]}`)
  serve(Number(process.argv[2] ?? process.env.PORT ?? 4400), { stdio: 'inherit' }).on(
    'exit',
    (code) => process.exit(code ?? 0),
  );
