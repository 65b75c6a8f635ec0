/** Runs once when the server has begun to listen, before it answers anybody. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs') return;
  (await import('./server/listening')).stayHere();
  const { workshop, workshopProblem } = await import('./server/workshop');
  if (workshopProblem() === undefined) void (await import('./server/warmUp')).warmUp(workshop());
}
