import { choosePathKind, disc, expect, look, middleOf, openDemo, settled, test } from './app';

test('nothing on the page is marked or dragged by the browser, and Ctrl A chooses points wherever the focus is', async ({
  page,
}) => {
  await openDemo(page);
  await page.getByRole('button', { name: 'Undo' }).focus(); // it is off; the focus goes nowhere near the view
  await page.getByLabel('Closed').focus();
  await page.keyboard.press('Control+a');
  await expect(page.getByText('8 points', { exact: true })).toBeVisible();
  expect(await page.evaluate(() => window.getSelection()!.toString())).toBe('');
  await page.mouse.move(640, 610);
  await page.mouse.down();
  await page.mouse.move(1100, 40, { steps: 5 }); // over headings and words
  await page.mouse.up();
  expect(await page.evaluate(() => window.getSelection()!.toString())).toBe('');
  await page.keyboard.press('Escape');
  const from = await middleOf(page, 6);
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  for (let i = 1; i <= 8; i++) await page.mouse.move(from.x + i * 6, from.y - i * 4);
  await settled(page);
  await page.mouse.up();
  await settled(page);
  const to = await middleOf(page, 6);
  expect(Math.hypot(to.x - from.x - 48, to.y - from.y + 32)).toBeLessThan(1.5);
});

test('a notch of the wheel is about 12 %, and the place under the pointer stays', async ({ page }) => {
  await openDemo(page);
  await look(page, 'Above');
  await settled(page);
  await page.waitForTimeout(500);
  const apart = async () => {
    const [a, b] = [await middleOf(page, 4), await middleOf(page, 5)];
    return Math.hypot(a.x - b.x, a.y - b.y);
  };
  const [before, held] = [await apart(), await middleOf(page, 4)];
  await page.mouse.move(held.x, held.y);
  await page.mouse.wheel(0, -100);
  await settled(page);
  await page.waitForTimeout(300);
  expect((await apart()) / before).toBeCloseTo(1.12, 1);
  const now = await middleOf(page, 4);
  expect(Math.hypot(now.x - held.x, now.y - held.y)).toBeLessThan(1.5);
});

test('what is typed out of the picture is brought into it', async ({ page }) => {
  await openDemo(page);
  await disc(page, 8).focus();
  await page.getByLabel('x', { exact: true }).fill('2*200 m');
  await page.keyboard.press('Enter');
  await settled(page);
  const view = (await page.getByRole('region', { name: 'Bent view' }).boundingBox())!;
  await expect
    .poll(async () => {
      const { x } = await middleOf(page, 8);
      return x > view.x && x < view.x + view.width;
    })
    .toBe(true);
  await expect(page.getByLabel('x', { exact: true })).toHaveValue('400 m');
  await page.getByLabel('x', { exact: true }).fill('4 furlongs');
  await expect(page.getByText(/^Give a number \(mm, cm, m/)).toBeVisible();
});

test('findings lie beside the straight view, one a cause, are stepped through and set aside', async ({ page }) => {
  await openDemo(page);
  await choosePathKind(page, 'Straight legs');
  await settled(page);
  for (const point of [3, 4, 5]) {
    await disc(page, point).focus();
    await page.getByLabel('Rounding radius').fill('0.5 m');
    await page.keyboard.press('Enter');
  }
  await settled(page);
  const findings = page.getByRole('region', { name: 'Straight view' }).getByRole('region', { name: 'Findings' });
  await expect(findings.getByText('Bend too tight for this segment')).toHaveCount(1);
  await expect(findings.getByText('place 1 of 3')).toBeVisible();
  await findings.getByRole('button', { name: 'Next place' }).click();
  await expect(findings.getByText('place 2 of 3')).toBeVisible();
  await expect(page.getByRole('button', { name: /findings?$/ })).toBeVisible();
  await findings.getByRole('button', { name: 'Set aside' }).first().click();
  await expect(findings.getByText(/1 finding set aside/)).toBeVisible();
  await findings.getByRole('button', { name: 'Show again' }).click();
  await expect(findings.getByText('Bend too tight for this segment')).toBeVisible();
});

test('after a drag the picture is as fine as the screen again', async ({ page }) => {
  await page.addInitScript(() => {
    localStorage['rattan-picture'] = JSON.stringify({ state: { picture: 'work' }, version: 0 });
  });
  await openDemo(page);
  const { x, y } = await middleOf(page, 4);
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + 60, y - 30, { steps: 15 });
  await page.mouse.up();
  const finest = () =>
    page
      .locator('canvas')
      .first()
      .evaluate((it) => (it as HTMLCanvasElement).width / it.clientWidth);
  await page.waitForTimeout(1500); // an answer that comes late would make it coarse again
  expect(await finest()).toBe(1);
});

test('only the result is shown with R, and all again', async ({ page }) => {
  await openDemo(page);
  await expect(disc(page, 4)).toBeVisible();
  await page.keyboard.press('r');
  await expect(disc(page, 4)).toBeHidden();
  await page.keyboard.press('r');
  await expect(disc(page, 4)).toBeVisible();
});

test('runs are renamed, duplicated, moved in order and undone', async ({ page }) => {
  await openDemo(page);
  const runs = page.getByRole('navigation', { name: 'Runs' });
  const names = () => runs.locator('[data-run]').allInnerTexts();
  await runs.getByText('Kerb drain', { exact: true }).dblclick();
  await page.keyboard.type('Gutter');
  await page.keyboard.press('Enter');
  await expect(runs.getByText('Gutter', { exact: true })).toBeVisible();
  await runs.getByText('Causeway', { exact: true }).click();
  await page.keyboard.press('d');
  await expect(runs.getByText('Causeway 2', { exact: true })).toBeVisible();
  const [from, to] = [await runs.getByText('Gutter', { exact: true }).boundingBox(), await runs.getByText('Causeway', { exact: true }).boundingBox()]; // prettier-ignore
  await page.mouse.move(from!.x + 10, from!.y + 8);
  await page.mouse.down();
  await page.mouse.move(to!.x + 10, to!.y + 6, { steps: 8 });
  await page.mouse.up();
  await expect.poll(async () => (await names())[0]).toMatch(/^Gutter/);
  await runs.getByText('Causeway 2', { exact: true }).click({ button: 'right' });
  await page.getByRole('menuitem', { name: 'Delete' }).click();
  await expect(runs.getByText('Causeway 2', { exact: true })).toHaveCount(0);
  for (let i = 0; i < 4; i++) await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(async () => (await names()).map((text) => text.split('\n')[0])).toEqual(['Causeway', 'Kerb drain']);
});
