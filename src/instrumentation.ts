import { foreignAddress } from './server/listening';

/** Runs once when the server has begun to listen, before it answers anybody. */
export function register(): void {
  if (process.env.NEXT_RUNTIME !== 'nodejs') return;
  const address = foreignAddress();
  if (address === undefined) return;
  console.error(
    `\nTolvan listens on this machine only, and was told to listen on ${address}: anybody there could read and change everything. Start it with "npm start", or with -H 127.0.0.1.`,
  );
  process.exit(1);
}
