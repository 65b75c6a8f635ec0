// One command from nothing to the demo club in the browser.
import { createServer } from 'node:net';
import { build, install, run } from './prepare.mjs';
import { serve } from './serve.mjs';

install();
build();
process.env.TOLVAN_DATA ??= 'data/demo';
if (!run('npx', ['tsx', 'src/demo/fill.ts'])) process.exit(1);

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

/** The wanted port, or the next one nobody uses. */
function freePort(port) {
  return new Promise((resolve) => {
    const probe = createServer();
    probe.once('error', () => resolve(freePort(port + 1)));
    probe.listen(port, '127.0.0.1', () => probe.close(() => resolve(port)));
  });
}
