// Starts the app with the demo project: installs what is missing, builds, and prints the address.
import { spawn } from 'node:child_process';
import { createServer } from 'node:net';
import { ensureBuild, ensurePackages, ROOT } from './ensure.mjs';

process.env.NEXT_TELEMETRY_DISABLED = '1';
ensurePackages();
ensureBuild();

/** The first free port from `port` on. */
async function freePort(port) {
  const isFree = await new Promise((resolve) => {
    const probe = createServer()
      .once('error', () => resolve(false))
      .listen(port, () => probe.close(() => resolve(true)));
  });
  return isFree ? port : freePort(port + 1);
}

const port = await freePort(Number(process.env.PORT ?? 3000));
const server = spawn(
  process.execPath,
  ['node_modules/next/dist/bin/next', 'start', '-H', process.env.HOST ?? 'localhost', '-p', String(port)],
  {
    cwd: ROOT,
    stdio: ['ignore', 'pipe', 'inherit'],
  },
);
server.stdout.on('data', (chunk) => {
  if (String(chunk).includes('Ready')) {
    console.log(`\nRattan is ready: http://localhost:${port}/?sample\nStop it with Ctrl C.`);
  }
});
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('exit', (code) => process.exit(code ?? 0));
