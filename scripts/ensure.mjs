// Installs what a command needs and does not find: npm packages, and Debian's Chromium.
import { execFileSync, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const ROOT = dirname(dirname(fileURLToPath(import.meta.url)));

const run = (command, args) => execFileSync(command, args, { cwd: ROOT, stdio: 'inherit' });

/** Installs the packages of the lock file when it has changed since the last time. */
export function ensurePackages() {
  const stamp = join(ROOT, 'node_modules', '.rattan-lock');
  const lock = createHash('sha256')
    .update(readFileSync(join(ROOT, 'package-lock.json')))
    .digest('hex');
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === lock) return;
  console.log('Installing npm packages');
  run('npm', ['ci', '--no-audit', '--no-fund']);
  mkdirSync(dirname(stamp), { recursive: true });
  writeFileSync(stamp, lock);
}

/** The path of Chromium; installs Debian's when there is none. */
export function ensureChromium() {
  const find = () =>
    ['/usr/bin/chromium', '/usr/bin/chromium-browser', '/usr/bin/google-chrome'].find((path) => existsSync(path));
  const found = find();
  if (found) return found;
  if (process.getuid?.() !== 0) {
    console.error('The browser tests need Chromium. Install it as root: apt-get update && apt-get install -y chromium');
    process.exit(1);
  }
  console.log('Installing Chromium');
  run('apt-get', ['update', '-qq']);
  run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', 'chromium']);
  return find();
}

/** Builds the app unless the build is newer than every source file. */
export function ensureBuild() {
  const stamp = join(ROOT, '.next', 'rattan-sources');
  const listed = spawnSync(
    'git',
    ['ls-files', '-s', '-co', '--exclude-standard', 'src', 'next.config.ts', 'package-lock.json'],
    {
      cwd: ROOT,
      encoding: 'utf8',
    },
  ).stdout;
  const hash = createHash('sha256').update(listed ?? '');
  for (const line of (listed ?? '').split('\n')) {
    const file = join(ROOT, line.split('\t').pop() ?? '');
    if (line && existsSync(file)) hash.update(readFileSync(file));
  }
  const sources = hash.digest('hex');
  if (listed && existsSync(stamp) && readFileSync(stamp, 'utf8') === sources) return;
  run(process.execPath, ['node_modules/next/dist/bin/next', 'build']);
  writeFileSync(stamp, sources);
}
