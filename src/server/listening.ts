import { Server } from 'node:net';

const isLoopback = (address: string): boolean =>
  address === '::1' || /^(::ffff:)?127\./.test(address);

/** What this process holds open; Node lists it for debugging, without a promise to keep the name. */
const handles = (): unknown[] =>
  (process as unknown as { _getActiveHandles?: () => unknown[] })._getActiveHandles?.() ?? [];

/** An address beyond this machine that a server of this process listens on; undefined where there is none. */
export function foreignAddress(open: readonly unknown[] = handles()): string | undefined {
  return open
    .flatMap((handle) => (handle instanceof Server ? [handle.address()] : []))
    .flatMap((at) => (at && typeof at === 'object' ? [at.address] : []))
    .find((address) => !isLoopback(address));
}

/** Ends a server that would be heard beyond this machine: whoever gives its name there could read and change everything. */
export function stayHere(): void {
  const address = foreignAddress();
  if (address === undefined) return;
  console.error(
    `\nTolvan listens on this machine only, but it was started to listen on ${address}: anyone there could read and change everything. Start it with "npm start", or with -H 127.0.0.1.`,
  );
  process.exit(1);
}
