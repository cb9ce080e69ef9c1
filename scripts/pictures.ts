// Takes the pictures in docs/screenshots from the demo data. The app must be running: npm run demo, then npm run pictures [address].
import { chromium, type Page } from '@playwright/test';
import config from '../playwright.config';

const address = process.argv[2] ?? 'http://localhost:3000';
const { executablePath, args } = config.use!.launchOptions!;
const browser = await chromium.launch({ executablePath: executablePath!, args: args! });

async function picture(name: string, arrange: (page: Page) => Promise<void>): Promise<void> {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(`${address}/?sample`);
  await page.getByRole('button', { name: /Laying.*32 laid/ }).waitFor();
  await page.waitForTimeout(4000);
  await arrange(page);
  await page.waitForTimeout(3000);
  await page.screenshot({ path: `docs/screenshots/${name}.png` });
  await page.close();
}

await picture('screen', async (page) => {
  await page.getByRole('button', { name: /^3\s*Laying/ }).click();
  await page.getByRole('button', { name: /^Point 6/ }).focus();
  await page.mouse.move(400, 560);
});
await picture('straight-view', async (page) => {
  await page.getByRole('radio', { name: 'Straight legs' }).click();
  await page.getByRole('button', { name: /^Point 6/ }).click();
  await page.getByLabel('Rounding radius').fill('2.4 m');
  await page.keyboard.press('Enter');
  const edge = (await page.getByRole('separator').last().boundingBox())!;
  await page.mouse.move(700, edge.y);
  await page.mouse.down();
  await page.mouse.move(700, edge.y - 120, { steps: 4 });
  await page.mouse.up();
  await page.mouse.move(1010, 640);
});
await picture('export', (page) => page.getByRole('button', { name: 'Export' }).click());
await picture('shelf', (page) => page.getByRole('button', { name: 'Saltgrass Landing' }).click());
await picture('dark', async (page) => {
  await page.getByRole('button', { name: 'Dark theme' }).click();
  await page.mouse.move(400, 560);
});
await browser.close();
