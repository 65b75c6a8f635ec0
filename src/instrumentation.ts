/** Runs once when the server has begun to listen, before it answers anybody. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME === 'nodejs') (await import('./server/listening')).stayHere();
}
