// Passes all tests from a clean checkout: type check, lint, unit tests, build, browser tests. The last line counts them.
import { execFile, spawnSync } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ensureBuild, ensureChromium, ensurePackages, ROOT } from './ensure.mjs';

process.env.NEXT_TELEMETRY_DISABLED = '1';
const folder = mkdtempSync(join(tmpdir(), 'rattan-'));
let passed = 0;
let failed = 0;

function step(name, command, args, env = {}) {
  console.log(`\n== ${name}`);
  const { status } = spawnSync(command, args, { cwd: ROOT, stdio: 'inherit', env: { ...process.env, ...env } });
  return status === 0;
}

/** Steps that are one test each, two at a time: each keeps one core busy. What they print comes together. */
async function checks(steps) {
  const left = [...steps];
  const next = async () => {
    for (let own = left.shift(); own; own = left.shift()) {
      const [name, ...args] = own;
      const { ok, printed } = await new Promise((done) =>
        execFile(process.execPath, args, { cwd: ROOT, maxBuffer: 1e8 }, (error, out, err) =>
          done({ ok: !error, printed: out + err }),
        ),
      );
      console.log(`\n== ${name}\n${printed}`);
      if (ok) passed++;
      else failed++;
    }
  };
  await Promise.all([next(), next()]);
}

ensurePackages();
const chromium = ensureChromium();
const node = process.execPath;
await checks([
  ['Lint', 'node_modules/eslint/bin/eslint.js', '.', '--max-warnings', '0'],
  ['Types', 'node_modules/typescript/bin/tsc', '--noEmit'],
  ['Types of the core alone', 'node_modules/typescript/bin/tsc', '-p', 'tsconfig.core.json', '--noEmit'],
  ['Imports', 'node_modules/dependency-cruiser/bin/dependency-cruise.mjs', 'src', 'cli', '--config', '.dependency-cruiser.mjs', '--output-type', 'err'], // prettier-ignore
  ['Format', 'node_modules/prettier/bin/prettier.cjs', '--check', '--log-level', 'warn', '.'],
]);

const unit = join(folder, 'unit.json');
const unitDone = step('Unit tests', node, ['node_modules/jest/bin/jest.js', '--json', `--outputFile=${unit}`]);
if (existsSync(unit)) {
  const { numPassedTests, numFailedTests, numRuntimeErrorTestSuites } = JSON.parse(readFileSync(unit, 'utf8'));
  passed += numPassedTests;
  failed += numFailedTests + numRuntimeErrorTestSuites;
  if (!unitDone && numFailedTests + numRuntimeErrorTestSuites === 0) failed++;
} else failed++;

try {
  ensureBuild();
  const browser = join(folder, 'browser.json');
  const done = step('Browser tests', node, ['node_modules/@playwright/test/cli.js', 'test', '--reporter=list,json'], {
    PLAYWRIGHT_JSON_OUTPUT_NAME: browser,
    CHROMIUM: chromium,
  });
  const {
    expected = 0,
    flaky = 0,
    unexpected = 0,
  } = existsSync(browser) ? JSON.parse(readFileSync(browser, 'utf8')).stats : {};
  passed += expected + flaky;
  failed += unexpected;
  if (!done && unexpected === 0) failed++;
} catch (error) {
  console.error(error instanceof Error ? error.message : error);
  failed++;
}

console.log(`\n${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);
