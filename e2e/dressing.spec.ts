import type { Page } from '@playwright/test';
import { decode } from 'fast-png';
import { expect, openDemo, saved, settled, test } from './app';

const step = (page: Page) => page.getByRole('button', { name: /^6\s*Dressing/ });
const choose = async (page: Page, field: string, choice: string | RegExp) => {
  await page.getByRole('combobox', { name: new RegExp(`^${field}`) }).click();
  await page.getByRole('option', { name: choice }).click();
};

async function add(page: Page, thing: string): Promise<void> {
  await page.getByRole('button', { name: 'Add something' }).click();
  await page.getByRole('dialog', { name: 'Dress the run' }).getByRole('button', { name: thing, exact: true }).click();
}

/** How many there are of something that dresses the run. */
const count = async (page: Page, thing: string): Promise<number> => {
  const row = page.getByRole('button', { name: new RegExp(`^${thing}`) });
  return Number((await row.textContent())!.replace(/\D/g, ''));
};

/** How many pixels of the bent view are greener than anything that is not grown. */
async function green(page: Page): Promise<number> {
  await settled(page);
  const { data, channels } = decode(await page.getByRole('region', { name: 'Bent view' }).screenshot());
  let count = 0;
  for (let i = 0; i < data.length; i += channels)
    if (data[i + 1] > data[i] + 12 && data[i + 1] > data[i + 2] + 25) count++;
  return count;
}

/** The names of nodes, and of materials that are seen through, of a GLB (glTF 2.0, section 4.4). */
function namesIn(bytes: Buffer): { readonly nodes: readonly string[]; readonly coats: readonly string[] } {
  const json = JSON.parse(bytes.subarray(20, 20 + bytes.readUInt32LE(12)).toString()) as {
    nodes: { name: string }[];
    materials: { name: string; alphaMode?: string }[];
  };
  const coats = json.materials.filter(({ alphaMode }) => alphaMode === 'BLEND').map(({ name }) => name);
  return { nodes: json.nodes.map(({ name }) => name), coats };
}

test('a road is dressed with what stands on it and what grows on it, and all of it is in the file', async ({
  page,
}) => {
  await openDemo(page);
  await expect(step(page)).toContainText('nothing on it yet');
  await step(page).click();
  // (1) Lamps stand at stations: closer together there are more.
  await add(page, 'Lamp');
  await expect.poll(() => count(page, 'Lamp')).toBe(20);
  await page.getByLabel('Gap (negative overlaps)').fill('1.5');
  await page.keyboard.press('Enter');
  await expect.poll(() => count(page, 'Lamp')).toBeGreaterThan(60);
  // (2) Moss is strewn over the bank alone.
  const before = await green(page);
  await add(page, 'Moss cushion');
  const moss = page.getByRole('button', { name: /^Moss cushion/ });
  await expect.poll(() => count(page, 'Moss cushion')).toBeGreaterThan(500);
  const all = await count(page, 'Moss cushion');
  await choose(page, 'On its part', 'Bank');
  await expect.poll(() => count(page, 'Moss cushion')).toBeLessThan(all / 2);
  // (3) A coat lies where it looks up.
  await choose(page, 'A coat lies', 'where it looks up');
  await expect(step(page)).toContainText('2 kinds, 1 coat');
  expect(await green(page)).toBeGreaterThan(before + 500);
  // (4) What dresses a run is not among its courses, until it is opened.
  const courses = page.getByRole('button', { name: /^Course .* of Causeway/ });
  await expect(courses).toHaveCount(0);
  await page.getByRole('button', { name: 'Its segment and laying' }).click();
  await expect(courses).toHaveCount(2);
  await expect(page.getByRole('button', { name: /^1\s*Segment/ })).toContainText('Moss cushion');
  await page.getByRole('button', { name: /^Course Kerbed road/ }).click();
  await expect(courses).toHaveCount(0);
  // (5) The file has them.
  await page.getByRole('button', { name: 'Export' }).click();
  const { bytes } = await saved(page, () => page.getByRole('button', { name: 'Save file' }).click());
  const { nodes, coats } = namesIn(bytes);
  expect(nodes.some((name) => name.includes('Lamp'))).toBe(true);
  expect(nodes.some((name) => name.includes('Moss cushion'))).toBe(true);
  expect(coats).toHaveLength(1);
  await page.keyboard.press('Escape');
  // (6) It is taken away, and comes back.
  await moss.click();
  await page.getByRole('button', { name: 'Delete Moss cushion' }).click();
  await expect(moss).toBeHidden();
  await page.keyboard.press('Control+z');
  await expect(moss).toBeVisible();
});

test('what a run is dressed with is as it was when the page is loaded again', async ({ page }) => {
  await openDemo(page, 'landing');
  await page
    .getByRole('navigation', { name: 'Runs' })
    .getByRole('button', { name: /^Driftwood / })
    .first()
    .click();
  await expect(step(page)).toContainText('1 kind, 1 coat');
  await step(page).click();
  await page.getByRole('button', { name: /^Moss on the log/ }).click();
  const were = await count(page, 'Moss on the log');
  await page.getByLabel('A square metre', { exact: true }).fill('60');
  await page.keyboard.press('Enter');
  await expect.poll(() => count(page, 'Moss on the log')).toBeGreaterThan(were * 1.8);
  const now = await count(page, 'Moss on the log');
  await expect(page.getByText(/^Saved/)).toBeVisible();
  await page.reload();
  await settled(page);
  await page
    .getByRole('navigation', { name: 'Runs' })
    .getByRole('button', { name: /^Driftwood / })
    .first()
    .click();
  await step(page).click();
  await expect.poll(() => count(page, 'Moss on the log')).toBe(now);
});
