import { expect, test as base, type Page } from '@playwright/test';
import { decode } from 'fast-png';

/** What a worker throws that a test makes crash. */
export const MADE_TO_CRASH = 'made to crash';

/** A page that must not log errors or warnings of its own, nor ask anything of another host. */
export const test = base.extend<{ quiet: void }>({
  quiet: [
    async ({ page, baseURL }, use) => {
      const noise: string[] = [];
      page.on('console', (message) => {
        // The software renderer of the test machine tells of its own slowness.
        const isDriver = /GPU stall due to ReadPixels|GL Driver Message/.test(message.text());
        // What belonged to graphics that were lost is thrown away when they are back; a test that goes offline misses pieces.
        const isMade = message.text().includes(MADE_TO_CRASH);
        const isLost = /object does not belong to this context|ERR_INTERNET_DISCONNECTED|ChunkLoadError/.test(
          message.text(),
        );
        if (['error', 'warning'].includes(message.type()) && !isDriver && !isLost && !isMade)
          noise.push(message.text());
      });
      // Tests that make a worker crash throw this.
      page.on('pageerror', (error) => error.message !== MADE_TO_CRASH && noise.push(error.message));
      page.on('request', (request) => {
        const url = request.url();
        if (!url.startsWith(baseURL!) && !/^(blob|data):/.test(url)) noise.push(`foreign request: ${url}`);
      });
      // The plain picture, without shadows: all else takes long under software rendering.
      await page.addInitScript(() => {
        localStorage['rattan-picture'] ??= JSON.stringify({ state: { picture: 'work', isFine: false }, version: 0 });
      });
      await use();
      expect(noise).toEqual([]);
    },
    { auto: true },
  ],
});

export { expect };

/** Draws the path in another way. */
export async function choosePathKind(page: Page, kind: string): Promise<void> {
  await page.getByRole('combobox', { name: /^Kind of path/ }).click();
  await page.getByRole('option', { name: new RegExp(`^${kind}`) }).click();
}

/** Looks from somewhere else. */
export async function look(page: Page, view: 'Free' | 'Above' | 'Front' | 'Side'): Promise<void> {
  await page.getByRole('button', { name: /^Looking:/ }).click();
  await page.getByRole('button', { name: view, exact: true }).click();
  await expect(page.getByRole('dialog', { name: 'Looking' })).toBeHidden();
}

/** Opens the demo's causeway in a fresh browser, or the whole landing, and waits until its runs are there. */
export async function openDemo(page: Page, part: 'causeway' | 'landing' = 'causeway'): Promise<void> {
  await page.goto(`/?sample=${part}`);
  await expect(page.getByRole('button', { name: /Laying.*32 laid/ })).toBeVisible();
  await settled(page);
}

export async function openEmpty(page: Page): Promise<void> {
  await page.goto('/');
  await expect(page.getByText('Lay something along a path')).toBeVisible();
}

/** Nothing is being computed, and what was computed has been drawn. */
export async function settled(page: Page): Promise<void> {
  await expect(page.getByRole('region', { name: 'Bent view' })).toHaveAttribute('aria-busy', 'false');
  await page.evaluate(() => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done))));
}

export const disc = (page: Page, point: number) =>
  page.getByRole('button', { name: new RegExp(`^Point ${point}( |$)`) });

export async function middleOf(page: Page, point: number): Promise<{ x: number; y: number }> {
  const box = (await disc(page, point).boundingBox())!;
  return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
}

/** How many pixels of the bent view show asphalt: grey, where ground, kerbs and bank are warm. */
export async function asphalt(page: Page): Promise<number> {
  await settled(page);
  const { data, channels } = decode(await page.getByRole('region', { name: 'Bent view' }).screenshot());
  let count = 0;
  for (let i = 0; i < data.length; i += channels) {
    const [r, g, b] = [data[i], data[i + 1], data[i + 2]];
    if (Math.max(r, g, b) - Math.min(r, g, b) < 10 && g > 70 && g < 190) count++;
  }
  return count;
}

/** The length that the path step states, metres. */
export async function pathLength(page: Page): Promise<number> {
  const text = await page.getByRole('button', { name: /^2\s*Path/ }).textContent();
  return Number(/([\d.]+) m/.exec(text ?? '')?.[1]);
}

/** All files that a click saves, by name. */
export async function saved(page: Page, click: () => Promise<void>): Promise<{ name: string; bytes: Buffer }> {
  const [download] = await Promise.all([page.waitForEvent('download'), click()]);
  const chunks: Buffer[] = [];
  for await (const chunk of await download.createReadStream()) chunks.push(chunk as Buffer);
  return { name: download.suggestedFilename(), bytes: Buffer.concat(chunks) };
}
