// Starts the built app for this machine alone; HOST=0.0.0.0 opens it to others, RATTAN_HOSTS names those by which they may call it.
import { spawn } from 'node:child_process';
import { ROOT } from './ensure.mjs';

const { HOST = 'localhost', PORT = '3000' } = process.env;
const args = ['node_modules/next/dist/bin/next', 'start', '-H', HOST, '-p', PORT, ...process.argv.slice(2)];
const server = spawn(process.execPath, args, { cwd: ROOT, stdio: 'inherit' });
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('exit', (code) => process.exit(code ?? 0));
