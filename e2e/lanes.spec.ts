import type { Page } from '@playwright/test';
import { asphalt, expect, openDemo, settled, test } from './app';

/** The band of a lane of the straight view. */
const lane = async (page: Page, name: string) =>
  (await page.locator(`[data-lane="${name}"] > rect`).first().boundingBox())!;
const keys = (page: Page, name: string) => page.getByRole('slider', { name: new RegExp(`^Key of ${name} at`) });

test('a lane is given keys where it is seen: set, pulled, typed, shaped, copied to another lane, undone and kept', async ({
  page,
}) => {
  await openDemo(page);
  const wide = await asphalt(page);
  const { x, y, width, height } = await lane(page, 'gauge');
  await page.mouse.dblclick(x + width / 2, y + height * 0.4);
  await expect(keys(page, 'Gauge')).toHaveCount(3); // the ends stay as they were
  const key = keys(page, 'Gauge').nth(1);
  const box = (await key.boundingBox())!;
  await page.mouse.move(box.x + 5, box.y + 5);
  await page.mouse.down();
  await page.mouse.move(box.x + 65, box.y + 5, { steps: 4 });
  await page.mouse.up();
  const fields = page.getByRole('region', { name: 'Key of a lane' });
  await fields.getByLabel('Station').fill('60 m');
  await page.keyboard.press('Enter');
  await fields.getByLabel('Times as thick').fill('2');
  await page.keyboard.press('Enter');
  await expect(key).toHaveAttribute('aria-valuetext', '2 at 60.00 m');
  await expect.poll(() => asphalt(page)).toBeGreaterThan(wide * 1.15);
  await key.focus();
  await page.keyboard.press('ArrowUp');
  await expect(key).toHaveAttribute('aria-valuetext', '2.05 at 60.00 m');
  await page.keyboard.press('Control+z');
  await expect(key).toHaveAttribute('aria-valuetext', '2 at 60.00 m');
  const shapes = page.getByRole('dialog', { name: 'Shapes of Gauge' });
  const openShapes = async () => {
    await page.getByRole('button', { name: 'Gauge: lane' }).click();
    await page.getByRole('menuitem', { name: 'Shapes and presets' }).click();
  };
  await openShapes();
  await shapes.getByLabel('Name to keep this lane by').fill('Lay-by');
  await shapes.getByRole('button', { name: 'Keep' }).click();
  await shapes.getByRole('button', { name: 'Pointed' }).click();
  await shapes.getByLabel('Tip').fill('50 %');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Escape');
  await expect(keys(page, 'Gauge').last()).toHaveAttribute('aria-valuetext', /^0.5 at 128/);
  await openShapes();
  await shapes.getByRole('button', { name: 'Lay-by', exact: true }).click();
  await page.keyboard.press('Escape');
  await expect(keys(page, 'Gauge')).toHaveCount(3);
  await page.reload();
  await expect(keys(page, 'Gauge').nth(1)).toHaveAttribute('aria-valuetext', '2 at 60.00 m');
  await keys(page, 'Gauge').nth(1).focus();
  await page.keyboard.press('Delete');
  await expect(keys(page, 'Gauge')).toHaveCount(2);
});

test('the straight view is zoomed and moved along, lanes are chosen and ordered, and a stiff zone is dragged in it', async ({
  page,
}) => {
  await openDemo(page);
  const view = page.getByRole('group', { name: 'Causeway unrolled' });
  const { x, y, width } = await lane(page, 'roll');
  await page.mouse.move(x + width / 2, y + 5);
  for (let i = 0; i < 4; i++) await page.mouse.wheel(0, -300);
  await expect(page.getByLabel('All of the length')).toBeVisible();
  await expect(view.getByText('0 m', { exact: true })).toBeHidden();
  await view.focus();
  await page.keyboard.press('0');
  await expect(page.getByLabel('All of the length')).toBeHidden();
  await page.getByRole('button', { name: 'Stretch: lane' }).click();
  await page.getByRole('menuitemcheckbox', { name: 'Twist' }).click();
  await page.getByRole('menuitem', { name: 'Move up' }).click();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('button', { name: 'Twist: lane' })).toBeVisible();
  await page.getByRole('button', { name: /^4\s*Bending/ }).click();
  await page.getByText('Stiff zones', { exact: true }).click();
  await page.getByRole('button', { name: 'Add a stiff zone' }).click();
  await expect(page.getByText(/The sharpest place beside them/)).toBeVisible();
  const zone = page.getByRole('slider', { name: /^Stiff from/ });
  await zone.focus();
  const before = await zone.getAttribute('aria-label');
  await page.keyboard.press('ArrowRight');
  await expect(zone).not.toHaveAttribute('aria-label', before!);
  await page.keyboard.press('Delete');
  await expect(zone).toBeHidden();
});

test('the ring turns and swells the run where it is, and a bank follows the bends', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('button', { name: 'Ring', exact: true }).click();
  const grip = page.getByRole('button', { name: /^Gauge sideways/ });
  const middle = page.getByRole('button', { name: /^Gauge \d/ });
  const [a, b] = [(await middle.boundingBox())!, (await grip.boundingBox())!];
  await page.mouse.move(b.x + 6, b.y + 6);
  await page.mouse.down();
  await page.mouse.move(b.x + 6 + (b.x - a.x) * 0.5, b.y + 6 + (b.y - a.y) * 0.5, { steps: 4 });
  await page.mouse.up();
  await settled(page);
  await expect(grip).not.toHaveAttribute('aria-label', 'Gauge sideways 1');
  await expect(keys(page, 'Gauge, sideways')).toHaveCount(3);
  const ring = page.getByRole('img', { name: /^Roll at this station/ });
  const line = await ring.locator('polyline').last().getAttribute('points');
  const [from, to] = [8, 14].map((i) => line!.split(' ')[i].split(',').map(Number)) as [number[], number[]];
  const view = (await page.getByRole('region', { name: 'Bent view' }).boundingBox())!;
  await page.mouse.move(view.x + from[0], view.y + from[1]);
  await page.mouse.down();
  await page.mouse.move(view.x + to[0], view.y + to[1], { steps: 4 });
  await page.mouse.up();
  await settled(page);
  await expect(ring).not.toHaveAttribute('aria-label', /: 0°/);
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: /^4\s*Bending/ }).click();
  await page.getByRole('switch', { name: 'Banked in bends' }).click();
  await expect(page.getByLabel('For a speed of')).toHaveValue('14 m/s');
  await page.getByText('Twist', { exact: true }).first().click();
  await page.getByRole('button', { name: 'Make the twist even' }).click();
  await expect(page.getByText(/The twist was off by .* and is by/)).toBeVisible();
});

test('a state is held beside what comes of it: wiped, switched, with what changed in figures', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('button', { name: 'Hold this state to compare' }).click();
  const reach = page.getByRole('slider', { name: 'End of the reach' });
  await reach.focus();
  for (let i = 0; i < 20; i++) await page.keyboard.press('ArrowLeft');
  const figures = page.getByRole('region', { name: 'A and B' });
  await expect(figures.getByRole('row', { name: /^Pieces/ })).toContainText('32');
  await expect(figures.getByRole('row', { name: /^Length/ })).not.toContainText('same');
  const edge = page.getByRole('slider', { name: 'Edge between A and B' });
  await edge.focus();
  await page.keyboard.press('ArrowLeft');
  await expect(edge).toHaveAttribute('aria-valuenow', '48');
  const now = await asphalt(page);
  await page.getByRole('button', { name: /^A, / }).click();
  await expect.poll(() => asphalt(page)).toBeGreaterThan(now);
  await figures.getByRole('button', { name: 'Let it go' }).click();
  await expect(edge).toBeHidden();
});

test('a run that lies in another one is found at rest and moved aside', async ({ page }) => {
  await openDemo(page);
  const runs = page.getByRole('navigation', { name: 'Runs' });
  await runs
    .getByRole('button', { name: /^Causeway/ })
    .first()
    .focus();
  await page.keyboard.press('d');
  const findings = page.getByRole('region', { name: 'Findings' });
  await expect(findings.getByText('Passes through another run')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Widen it there' })).toBeVisible();
  await page.getByRole('button', { name: 'Move it aside there' }).click();
  await expect(page.getByRole('button', { name: 'Undo' })).toBeEnabled();
});
