// Kills browsers in the middle of editing and tells how much is lost. The app must be running: npm start, then npm run kills [rounds] [address].
import { chromium, type Page } from '@playwright/test';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { randomUniform } from 'd3-random';
import config from '../playwright.config';

const rounds = Number(process.argv[2] ?? 30);
const address = process.argv[3] ?? 'http://localhost:3000';
const folder = mkdtempSync(join(tmpdir(), 'rattan-kills-'));
const { executablePath, args } = config.use!.launchOptions!;
/** Milliseconds between two edits, and metres that each of them moves a point by. */
const EVERY = 100;
const STEP = 0.1;

const launch = () => chromium.launchPersistentContext(folder, { executablePath: executablePath!, args: args! });

/** Where point 3 of the one project is kept, read beside the app. */
const keptX = (page: Page): Promise<number> =>
  page.evaluate(
    () =>
      new Promise<number>((done, fail) => {
        const opening = indexedDB.open('rattan');
        opening.onerror = () => fail(opening.error);
        opening.onsuccess = () => {
          const all = opening.result.transaction('projects').objectStore('projects').getAll();
          all.onsuccess = () => {
            opening.result.close();
            done(all.result[0].project.paths[0].curve.points[2].position[0]);
          };
        };
      }),
  );

async function beside(): Promise<number> {
  const context = await launch();
  const page = await context.newPage();
  await page.goto(`${address}/icon.svg`);
  const x = await keptX(page);
  await context.close();
  return x;
}

const lost: number[] = [];
for (let round = 0; round < rounds; round++) {
  const context = await launch();
  const page = await context.newPage();
  await page.goto(round === 0 ? `${address}/?sample=causeway` : address);
  const point = page.getByRole('button', { name: /^Point 3 / });
  await point.focus();
  await page.getByText(/^Saved/).waitFor();
  const before = await keptX(page);
  const edits: number[] = [];
  const end = Date.now() + randomUniform(1500, 5000)();
  while (Date.now() < end) {
    const begun = Date.now();
    await page.keyboard.press(round % 2 === 0 ? 'ArrowRight' : 'ArrowLeft');
    edits.push(Date.now());
    await new Promise((done) => setTimeout(done, Math.max(0, EVERY - (Date.now() - begun))));
  }
  const session = await context.browser()!.newBrowserCDPSession();
  const { processInfo } = await session.send('SystemInfo.getProcessInfo');
  const killed = Date.now();
  for (const { id } of processInfo.sort((a) => (a.type === 'browser' ? -1 : 1))) {
    try {
      process.kill(id, 'SIGKILL');
    } catch {
      // ended with the browser
    }
  }
  await new Promise((done) => setTimeout(done, 500));
  const kept = Math.round(Math.abs((await beside()) - before) / STEP);
  lost.push(kept < edits.length ? killed - edits[kept] : 0);
  console.log(`${round + 1}: ${edits.length} edits, ${kept} kept, ${lost.at(-1)} ms lost`);
}
console.log(`The most lost in ${rounds} kills: ${Math.max(...lost)} ms`);
process.exit(Math.max(...lost) <= 1000 ? 0 : 1);
