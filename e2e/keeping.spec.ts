import AxeBuilder from '@axe-core/playwright';
import { chromium } from '@playwright/test';
import config from '../playwright.config';
import { asphalt, disc, expect, MADE_TO_CRASH, openDemo, openEmpty, pathLength, saved, settled, test } from './app';

test('is isolated, allows no eval, and draws something', async ({ page }) => {
  const response = await page.goto('/?sample');
  await expect(page.getByRole('button', { name: /Laying.*32 laid/ })).toBeVisible();
  const policy = response!.headers()['content-security-policy'];
  expect(policy).toContain("script-src 'self'");
  expect(policy).not.toContain("'unsafe-eval'"); // WebAssembly alone is let through
  await settled(page);
  expect(await page.evaluate(() => crossOriginIsolated)).toBe(true);
  const colours = () =>
    page.evaluate(() => {
      const source = document.querySelector('canvas')!;
      const copy = document.createElement('canvas');
      [copy.width, copy.height] = [source.width, source.height];
      const context = copy.getContext('2d')!;
      context.drawImage(source, 0, 0);
      const { data } = context.getImageData(0, 0, copy.width, copy.height);
      const seen = new Set<number>();
      for (let i = 0; i < data.length; i += 4 * 97) seen.add((data[i] << 16) | (data[i + 1] << 8) | data[i + 2]);
      return seen.size;
    });
  await expect.poll(colours).toBeGreaterThan(50);
});

test('a second tab is told, saves nothing, and can take over or keep a copy', async ({ page, context }) => {
  await openDemo(page);
  const second = await context.newPage();
  await second.goto('/');
  await expect(second.getByText('Open in another tab: changes here are not saved')).toBeVisible();
  await disc(second, 3).focus();
  await second.keyboard.press('ArrowRight');
  await second.waitForTimeout(800);
  await page.reload();
  await settled(page);
  await disc(page, 3).focus();
  await expect(page.getByLabel('x', { exact: true })).toHaveValue('-11 m');
  await second.getByRole('button', { name: 'Edit here instead' }).click();
  await expect(second.getByText(/^Saved/)).toBeVisible();
  await expect(page.getByText('Open in another tab: changes here are not saved')).toBeVisible();
  await page.getByRole('button', { name: 'Keep as a copy' }).click();
  await expect(page.getByRole('button', { name: 'Saltgrass Landing (copy)' })).toBeVisible();
  await expect(page.getByText(/^Saved/)).toBeVisible();
});

test('a tab killed inside a write leaves the last good state', async ({ page, context, browser }) => {
  await openDemo(page);
  await disc(page, 3).focus();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByText(/^Saved/)).toBeVisible();
  const x = await page.getByLabel('x', { exact: true }).inputValue();
  // From here on the thread that saves stays inside a write: the record is put, the transaction cannot commit.
  const hold = () => {
    const put = IDBObjectStore.prototype.put;
    IDBObjectStore.prototype.put = function (...args) {
      const request = put.apply(this, args);
      console.log('inside a write');
      for (const end = Date.now() + 20_000; Date.now() < end;);
      return request;
    };
  };
  await Promise.all(page.workers().map((worker) => worker.evaluate(hold)));
  const inside = page.waitForEvent('console', (message) => message.text() === 'inside a write');
  await page.keyboard.press('ArrowRight');
  await inside;
  const { processInfo } = await (await browser.newBrowserCDPSession()).send('SystemInfo.getProcessInfo');
  const crash = page.waitForEvent('crash');
  // The page's own process is the one that has worked most; the browser keeps others in store for new pages.
  const renderers = processInfo.filter(({ type }) => type === 'renderer').sort((a, b) => b.cpuTime - a.cpuTime);
  process.kill(renderers[0].id, 'SIGKILL');
  await crash;
  const again = await context.newPage();
  await again.goto('/');
  await settled(again);
  await disc(again, 3).focus();
  await expect(again.getByLabel('x', { exact: true })).toHaveValue(x);
  await again.keyboard.press('ArrowRight'); // and it can be edited and saved again
  await expect(again.getByLabel('x', { exact: true })).not.toHaveValue(x);
  await expect(again.getByText(/^Saved/)).toBeVisible();
});

test('a crash of the worker is told, and the work goes on', async ({ page }) => {
  await openDemo(page);
  const workers = page.workers();
  expect(workers.length).toBeGreaterThan(0);
  const crash = (worker: (typeof workers)[0]) =>
    worker.evaluate((message) => {
      setTimeout(() => {
        throw new Error(message);
      }, 0);
    }, MADE_TO_CRASH);
  await Promise.all(workers.map(crash)); // those that compute, and the one that saves
  await expect.poll(() => page.workers().some((worker) => workers.includes(worker))).toBe(false); // new ones are there
  const before = await pathLength(page);
  await disc(page, 3).focus();
  await page.keyboard.press('ArrowUp');
  await expect.poll(() => pathLength(page)).not.toBe(before);
  await expect(page.getByText(/^Saved/)).toBeVisible();
});

test('a worker that ends without a word is told, and work goes on in a new one', async ({ page }) => {
  await openDemo(page);
  const all = page.workers();
  const before = await pathLength(page);
  // At the next thing that they are asked, before they answer: the one that computes and the one that saves.
  await Promise.all(all.map((worker) => worker.evaluate(() => self.addEventListener('message', () => self.close()))));
  await disc(page, 3).focus();
  await page.keyboard.press('ArrowUp');
  await expect(page.getByText(/stopped unexpectedly/).first()).toBeVisible();
  await expect.poll(() => pathLength(page)).not.toBe(before);
  await settled(page);
  await expect(page.getByText(/^Saved/)).toBeVisible();
  const kept = await page.getByLabel('x', { exact: true }).inputValue();
  await page.reload();
  await settled(page);
  await disc(page, 3).focus();
  await expect(page.getByLabel('x', { exact: true })).toHaveValue(kept);
});

test('graphics that are lost come back drawn; a dialog that does not load leaves the page alive', async ({
  page,
  context,
}) => {
  await openDemo(page);
  const before = await asphalt(page);
  await page.evaluate(() => {
    const extension = document.querySelector('canvas')!.getContext('webgl2')!.getExtension('WEBGL_lose_context')!;
    extension.loseContext();
    setTimeout(() => extension.restoreContext(), 1500);
  });
  await expect(page.getByText('The graphics were lost')).toBeVisible();
  await expect(page.getByText('The graphics were lost')).toBeHidden();
  await expect.poll(async () => Math.abs((await asphalt(page)) / before - 1)).toBeLessThan(0.02);
  await context.setOffline(true);
  await page.getByRole('button', { name: /^1\s*Segment/ }).click();
  await page.getByRole('button', { name: 'Prepare the segment' }).click();
  await expect(page.getByText(/could not be opened: A piece of the program could not be loaded/)).toBeVisible();
  await context.setOffline(false);
  await disc(page, 3).focus();
  await page.keyboard.press('ArrowUp');
  await expect(page.getByText(/^Saved/)).toBeVisible();
});

test('without WebGL the ticket, downloads and exports work, and the view says what is missing', async ({ baseURL }) => {
  const { executablePath, args } = config.use!.launchOptions!;
  const plain = await chromium.launch({ executablePath: executablePath!, args: [...args!, '--disable-3d-apis'] });
  const page = await plain.newPage({ viewport: { width: 1280, height: 800 }, baseURL: baseURL! });
  await page.goto('/?sample=causeway');
  await expect(page.getByText(/gives no WebGL/)).toBeVisible();
  await expect(page.getByRole('button', { name: /Laying.*32 laid/ })).toBeVisible();
  await page.getByRole('button', { name: 'Export' }).click();
  const { bytes } = await saved(page, () => page.getByRole('button', { name: 'Save file' }).click());
  expect(bytes.subarray(0, 4).toString()).toBe('glTF');
  await page.getByRole('button', { name: 'Saltgrass Landing' }).click();
  const file = await saved(page, () => page.getByRole('button', { name: 'Download Saltgrass Landing' }).click());
  expect(JSON.parse(file.bytes.toString()).project.runs).toHaveLength(2);
  await plain.close();
});

test('the shelf makes, renames, duplicates, deletes and brings back projects', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('button', { name: 'Saltgrass Landing' }).click();
  const name = page.getByLabel('Name of this project');
  await name.fill('Landing at the very far end of the salt marsh, second survey of the whole causeway');
  await name.press('Enter');
  const dialog = (await page.getByRole('dialog').boundingBox())!;
  const button = (await page.getByRole('button', { name: /^Duplicate Landing/ }).boundingBox())!;
  expect(button.x + button.width).toBeLessThan(dialog.x + dialog.width); // a long name pushes nothing out
  await page.getByRole('button', { name: /^Duplicate Landing/ }).click();
  await expect(page.getByRole('listitem')).toHaveCount(2);
  await page.getByRole('button', { name: /^Delete .*\(copy\)$/ }).click();
  await expect(page.getByRole('listitem')).toHaveCount(1);
  await page.getByRole('button', { name: 'Undo' }).last().click();
  await expect(page.getByRole('listitem')).toHaveCount(2);
  await page.getByRole('button', { name: 'New', exact: true }).click();
  await expect(page.getByText('Lay something along a path')).toBeVisible();
});

for (const theme of ['light', 'dark'] as const) {
  test(`axe finds no serious violation (${theme})`, async ({ page }) => {
    /** All of the page, or what has changed of it; the dark theme differs in its colours alone. */
    const check = async (within = 'body') => {
      const axe = new AxeBuilder({ page }).include(within);
      const { violations } = await (theme === 'dark' ? axe.withRules(['color-contrast']) : axe).analyze();
      const serious = violations.filter(({ impact }) => impact === 'serious' || impact === 'critical');
      expect(
        serious.map(({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html.slice(0, 160)).join(' | ')}`),
      ).toEqual([]);
    };
    await openEmpty(page);
    if (theme === 'dark') await page.getByRole('button', { name: 'Dark theme' }).click();
    await check();
    await page.getByRole('button', { name: 'Open the sample' }).click();
    await settled(page);
    await check();
    for (const step of ['1 Segment', '3 Laying', '4 Bending', '5 Motion', '6 Dressing', '2 Path']) {
      await page.getByRole('button', { name: new RegExp(`^${step.replace(' ', '\\s*')}`) }).click();
      await page.waitForTimeout(250);
      await check('aside');
    }
    await page
      .getByRole('navigation', { name: 'Runs' })
      .getByRole('button', { name: /^Lamp cord/ })
      .click();
    await page.getByRole('group', { name: 'The straight view shows' }).getByRole('button', { name: 'Time' }).click();
    await page.getByRole('slider', { name: 'Key of Point 4 at 1.00 s' }).click();
    await check();
    await page.getByRole('navigation', { name: 'Runs' }).getByRole('button', { name: /^Causeway/ }).first().click(); // prettier-ignore
    await page.getByRole('button', { name: 'Export' }).click();
    await page.waitForTimeout(400);
    await check('[role=dialog]');
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: /^1\s*Segment/ }).click();
    await page.getByRole('button', { name: 'Prepare the segment' }).click();
    for (const tab of ['Orientation and size', 'Clean', 'Stiff and ends', 'Colour']) {
      await page.getByRole('tab', { name: tab }).click();
      await expect(page.getByText(/high, .* wide/)).toBeVisible();
      await check('[role=dialog]');
    }
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: 'Turn into an outline to draw' }).click();
    await page.getByRole('button', { name: 'Corner 1', exact: true }).focus();
    await check('[role=dialog]');
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: 'Saltgrass Landing' }).click();
    await page.waitForTimeout(400);
    await check('[role=dialog]');
  });
}
