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
const choose = async (page: Page, run: string) => {
  const row = page.getByRole('navigation', { name: 'Runs' }).getByRole('button', { name: new RegExp(`^${run}`) });
  await row.click();
  await page.getByRole('button', { name: 'Frame this run' }).click();
  await page.getByRole('button', { name: /^1\s*Segment/ }).click();
  await page.mouse.move(700, 560);
};
const prepare = async (page: Page, tab: string) => {
  await page.getByRole('button', { name: 'Prepare the segment' }).click();
  await page.getByRole('tab', { name: tab }).click();
  await page.waitForTimeout(4000);
};
await picture('section', async (page) => {
  await page.getByRole('button', { name: 'Add a run' }).click();
  await page.getByRole('combobox', { name: 'Path' }).click();
  await page.getByRole('option', { name: 'that of Causeway' }).click();
  await page.getByRole('button', { name: 'Own cross-section' }).click();
  await page.getByRole('button', { name: 'Draw the cross-section' }).click();
  await page.getByRole('button', { name: 'Corner 2' }).focus();
});
await picture('profile', async (page) => {
  await page.getByRole('button', { name: 'Add a run' }).click();
  await page.getByRole('combobox', { name: 'Path' }).click();
  await page.getByRole('option', { name: 'that of Causeway' }).click();
  await page.getByRole('button', { name: 'Own turned profile' }).click();
  await page.getByRole('button', { name: 'Draw the profile' }).click();
  await page.getByRole('button', { name: 'Corner 2' }).focus();
});
await picture('belt', async (page) => {
  await choose(page, 'Bucket chain');
  await page.getByRole('button', { name: /^2\s*Path/ }).click();
  await page.getByRole('button', { name: /^Point 2/ }).click();
});
await picture('rope', async (page) => {
  await choose(page, 'Mooring line');
  await page.mouse.move(760, 450);
  for (let i = 0; i < 14; i++) await page.mouse.wheel(0, -300);
});
await picture('prepare', async (page) => {
  await choose(page, 'Driftwood');
  await prepare(page, 'Lie and size');
});
await picture('colour', async (page) => {
  await choose(page, 'Mooring line');
  await prepare(page, 'Colour');
});
await browser.close();
