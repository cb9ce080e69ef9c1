import { expect, look, middleOf, openDemo, openEmpty, pathLength, saved, settled, test } from './app';
import type { Page } from '@playwright/test';

const CLICKS = [
  [240, 400],
  [380, 290],
  [520, 330],
  [640, 220],
  [800, 270],
] as const;

const viewOf = async (page: Page) => (await page.getByRole('region', { name: 'Bent view' }).boundingBox())!;
const pressed = (page: Page, name: string) =>
  page.getByRole('button', { name, exact: true }).getAttribute('aria-pressed');

for (const view of ['Free', 'Above', 'Front', 'Side'] as const) {
  test(`five clicks of the pen lie where they were clicked, seen from ${view}`, async ({ page }) => {
    await openEmpty(page);
    await page.getByRole('button', { name: 'Draw a road' }).click();
    await look(page, view);
    await page.waitForTimeout(800); // the view takes the segment's size once it is known
    await settled(page);
    const { x: left, y: top } = await viewOf(page);
    for (const [x, y] of CLICKS) {
      await page.mouse.move(left + x, top + y, { steps: 3 });
      await page.mouse.click(left + x, top + y);
      await settled(page);
    }
    await page.waitForTimeout(500);
    for (const [i, [x, y]] of CLICKS.entries()) {
      const at = await middleOf(page, i + 1);
      expect(Math.hypot(at.x - left - x, at.y - top - y)).toBeLessThan(1.5);
    }
    await page.keyboard.press('Enter');
    expect(await pressed(page, 'Shape path')).toBe('true');
  });
}

test('the pen says what comes out, warns of a bend too tight, takes a point back and closes on the first one', async ({
  page,
}) => {
  await openEmpty(page);
  await page.getByRole('button', { name: 'Draw a road' }).click();
  await look(page, 'Above');
  await page.waitForTimeout(800);
  const { x: left, y: top } = await viewOf(page);
  const note = page.getByRole('status', { name: 'Pen' });
  const click = async (x: number, y: number) => {
    await page.mouse.move(left + x, top + y, { steps: 3 });
    await page.mouse.click(left + x, top + y);
    await settled(page);
  };
  await click(300, 420);
  await click(640, 420);
  await page.mouse.move(left + 700, top + 250, { steps: 3 });
  await expect(note).toContainText(/^leg [\d.]+ m · total [\d.]+ m · radius [\d.]+ m$/);
  await page.mouse.move(left + 600, top + 424, { steps: 3 });
  await expect(note).toContainText(/too tight, it needs 4\.\d m/);
  await click(700, 250);
  await click(760, 180);
  await page.keyboard.press('Backspace');
  await expect(page.getByText('Point 3 of 3')).toBeVisible();
  await click(400, 150);
  const first = await middleOf(page, 1);
  await page.mouse.click(first.x, first.y);
  await expect(page.getByLabel('Closed')).toBeChecked();
  expect(await pressed(page, 'Shape path')).toBe('true');
  await page.keyboard.press('Control+z');
  await expect(page.getByLabel('Closed')).not.toBeChecked();
});

test('a double click ends drawing and puts one point', async ({ page }) => {
  await openEmpty(page);
  await page.getByRole('button', { name: 'Draw a road' }).click();
  await page.waitForTimeout(800);
  const { x: left, y: top } = await viewOf(page);
  await page.mouse.click(left + 300, top + 400);
  await page.mouse.click(left + 500, top + 350);
  await page.mouse.dblclick(left + 650, top + 250);
  expect(await pressed(page, 'Shape path')).toBe('true');
  await settled(page);
  await expect(page.getByText(/in plan, 3 points/)).toBeVisible();
});

test('a road by keyboard alone, from the empty start to the exported file', async ({ page }) => {
  await openEmpty(page);
  const press = async (key: string, times = 1) => {
    for (let i = 0; i < times; i++) await page.keyboard.press(key);
  };
  const tabTo = async (name: string) => {
    for (let i = 0; i < 60; i++) {
      const own = await page.evaluate(() => document.activeElement?.textContent);
      if (own === name) return;
      await press('Tab');
    }
    throw new Error(`${name} is not reached`);
  };
  await tabTo('Draw a road');
  await press('Enter');
  await page.waitForTimeout(1000);
  await press('ArrowLeft', 8);
  await press('Enter');
  await press('ArrowRight', 8);
  await press('ArrowUp', 3);
  await press('Enter');
  await press('ArrowRight', 7);
  await press('Shift+ArrowDown', 5);
  await expect(page.getByRole('img', { name: 'Place mark' })).toBeVisible();
  await press('Enter');
  await press('Enter');
  await settled(page);
  await expect(page.getByText(/in plan, 3 points/)).toBeVisible();
  expect(await pathLength(page)).toBeGreaterThan(10);
  await tabTo('Export');
  await press('Enter');
  const dialog = page.getByRole('dialog');
  await expect(dialog).toBeVisible();
  await tabTo('Save file');
  const { name, bytes } = await saved(page, () => press('Enter'));
  expect(name).toMatch(/\.glb$/);
  expect(bytes.subarray(0, 4).toString('latin1')).toBe('glTF');
});

test('a freehand stroke goes on from an end, redraws a part, or is a run of its own; it never draws over a path', async ({
  page,
}) => {
  await openDemo(page);
  await look(page, 'Above');
  await settled(page);
  await page.waitForTimeout(500);
  const runs = page.getByRole('navigation', { name: 'Runs' }).getByRole('button', { name: /^Hide / });
  const count = await runs.count();
  const stroke = async (places: readonly (readonly [number, number])[]) => {
    await page.getByRole('button', { name: 'Freehand' }).click();
    await page.mouse.move(...places[0]);
    await page.mouse.down();
    for (const place of places.slice(1)) await page.mouse.move(...place, { steps: 8 });
    await page.mouse.up();
    await settled(page);
  };
  const before = await pathLength(page);
  const end = await middleOf(page, 8);
  await stroke([[end.x, end.y], [end.x + 40, end.y + 60], [end.x + 20, end.y + 120]]); // prettier-ignore
  expect(await pathLength(page)).toBeGreaterThan(before + 5);
  expect(await runs.count()).toBe(count);
  const { x, y } = await viewOf(page);
  await stroke([[x + 300, y + 480], [x + 420, y + 510], [x + 560, y + 480]]); // prettier-ignore
  expect(await runs.count()).toBe(count + 1);
  await page.keyboard.press('Control+z');
  await expect(runs).toHaveCount(count);
});
