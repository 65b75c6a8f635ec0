// From nothing installed to a page that answers.
import { createServer } from 'node:net';
import { build, install } from './prepare.mjs';
import { serve } from './serve.mjs';

/**
 * Installs and builds what is not there yet, fills the workshop, and serves it on this machine until it is ended.
 * @param fill what is done to the workshop once it can be opened; false ends it
 */
export async function ready(fill = () => true) {
  install();
  build();
  if (!fill()) process.exit(1);
  const port = await freePort(Number(process.env.PORT ?? 4400));
  const server = serve(port, { stdio: ['ignore', 'ignore', 'inherit'] });
  server.on('exit', (code) => process.exit(code ?? 0));

  const address = `http://127.0.0.1:${port}`;
  for (let tries = 0; tries < 150; tries++) {
    const up = await fetch(address).then(
      (r) => r.ok,
      () => false,
    );
    if (up) break;
    await new Promise((resolve) => setTimeout(resolve, 200));
  }
  console.log(`\nTolvan is ready. Open ${address}   (Ctrl+C ends it)`);
}

/** The wanted port, or the next one nobody uses. */
function freePort(port) {
  return new Promise((resolve) => {
    const probe = createServer();
    probe.once('error', () => resolve(freePort(port + 1)));
    probe.listen(port, '127.0.0.1', () => probe.close(() => resolve(port)));
  });
}
