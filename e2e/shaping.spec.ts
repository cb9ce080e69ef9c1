import {
  asphalt,
  choosePathKind,
  disc,
  expect,
  look,
  middleOf,
  openDemo,
  openEmpty,
  pathLength,
  settled,
  test,
} from './app';

test('dragging a point moves the run under the pointer, and one undo takes it back', async ({ page }) => {
  await openDemo(page);
  const before = await pathLength(page);
  const from = await middleOf(page, 6);
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  for (let i = 1; i <= 6; i++) await page.mouse.move(from.x + i * 10, from.y - i * 6);
  await settled(page);
  await expect.poll(() => pathLength(page)).not.toBe(before); // the run follows while the button is down
  await page.mouse.up();
  await settled(page);
  const to = await middleOf(page, 6);
  expect(Math.hypot(to.x - from.x - 60, to.y - from.y + 36)).toBeLessThan(1.5);
  const after = await pathLength(page);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(() => pathLength(page)).toBe(before);
  await page.keyboard.press('Control+Shift+Z');
  await expect.poll(() => pathLength(page)).toBe(after);
});

test('with the Shift key held a point goes up and down, and in the side view it goes as seen', async ({ page }) => {
  await openDemo(page);
  const from = await middleOf(page, 4);
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  await page.keyboard.down('Shift');
  await page.mouse.move(from.x, from.y - 40, { steps: 4 });
  await page.keyboard.up('Shift');
  await page.mouse.up();
  const height = async () => Number.parseFloat(await page.getByLabel('y (up)').inputValue());
  expect(await height()).toBeGreaterThan(2);
  const x = await page.getByLabel('x', { exact: true }).inputValue();
  await look(page, 'Front');
  await settled(page);
  await page.waitForTimeout(500);
  const at = await middleOf(page, 4);
  const z = await page.getByLabel('z', { exact: true }).inputValue();
  await page.mouse.move(at.x, at.y);
  await page.mouse.down();
  await page.mouse.move(at.x + 30, at.y + 20, { steps: 4 });
  await page.mouse.up();
  expect(await page.getByLabel('x', { exact: true }).inputValue()).not.toBe(x);
  expect(await page.getByLabel('z', { exact: true }).inputValue()).toBe(z);
});

test('a click on the path puts a point there without changing the shape of a path with handles; Delete takes it away', async ({
  page,
}) => {
  await openDemo(page);
  await choosePathKind(page, 'With handles');
  await settled(page);
  const before = await pathLength(page);
  await look(page, 'Above');
  await settled(page);
  await page.waitForTimeout(500);
  const [a, b] = [await middleOf(page, 2), await middleOf(page, 3)];
  // Walk across the leg until the view says that the pointer is at a station of it.
  const marker = page.getByRole('region', { name: 'Bent view' }).getByText(/^\d+\.\d\d m$/);
  for (let y = -60; y <= 60 && !(await marker.isVisible()); y += 4) {
    await page.mouse.move((a.x + b.x) / 2, (a.y + b.y) / 2 + y);
  }
  await page.mouse.move((a.x + b.x) / 2, (await marker.boundingBox())!.y + 26 + 5); // the mark is over the place itself
  await expect(marker).toBeVisible();
  await page.mouse.down();
  await page.mouse.up();
  await expect(disc(page, 9)).toBeVisible();
  await settled(page);
  expect(await pathLength(page)).toBe(before);
  await expect(page.getByText('Point 3 of 9')).toBeVisible();
  await page.keyboard.press('Delete');
  await expect(disc(page, 9)).toHaveCount(0);
});

test('points are reached and moved by keyboard, in numbers with units', async ({ page }) => {
  await openDemo(page);
  await disc(page, 3).focus();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByLabel('x', { exact: true })).toHaveValue('-10.9 m');
  await page.keyboard.press('Shift+ArrowUp');
  await expect(page.getByLabel('y (up)')).toHaveValue('0.3 m');
  const z = page.getByLabel('z', { exact: true });
  await z.fill('8 ft 7 in');
  await z.press('Enter');
  await expect(z).toHaveValue('2.616 m');
  await z.fill('three');
  await expect(z).toHaveAttribute('aria-invalid', 'true');
  await z.press('Escape');
  await expect(z).toHaveValue('2.616 m');
});

test('a newcomer draws a road with the pen; it is there after a reload', async ({ page }) => {
  await openEmpty(page);
  await page.getByRole('button', { name: 'Draw a road' }).click();
  for (const [x, y] of [
    [450, 450],
    [700, 420],
    [900, 320],
    [1100, 300],
  ] as const)
    await page.mouse.click(x, y);
  await page.keyboard.press('Enter');
  await settled(page);
  await expect(page.getByRole('button', { name: /Laying.*laid/ })).toBeVisible();
  const length = await pathLength(page);
  expect(length).toBeGreaterThan(5);
  await expect(page.getByText(/^Saved \d\d:\d\d$/)).toBeVisible();
  await page.reload();
  await settled(page);
  await expect.poll(() => pathLength(page)).toBe(length);
});

test('a finding names the place and is put right by one click', async ({ page }) => {
  await openDemo(page);
  await choosePathKind(page, 'Straight legs');
  await disc(page, 6).click();
  const radius = page.getByLabel('Rounding radius');
  await radius.fill('1.5');
  await radius.press('Enter');
  const findings = page.getByRole('region', { name: 'Findings' });
  await expect(findings.getByText('Bend too tight for this segment')).toBeVisible();
  await expect(findings.getByText(/Radius 1.5 m at station \d+\.\d\d m/)).toBeVisible();
  await page.getByRole('button', { name: /Round the bend to/ }).click();
  await expect(findings).toHaveCount(0);
  await expect(radius).not.toHaveValue('1.5 m');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(findings.getByText('Bend too tight for this segment')).toBeVisible();
});

test('growth is scrubbed and played', async ({ page }) => {
  await openDemo(page);
  const whole = await asphalt(page);
  const time = page.getByRole('slider', { name: 'Time' });
  await time.focus();
  await page.keyboard.press('Home');
  await expect(page.getByText('0.0 s of 4.0 s')).toBeVisible();
  const none = await asphalt(page);
  expect(none).toBeLessThan(whole * 0.2); // what is grey besides
  const track = (await page
    .getByRole('slider', { name: 'Time' })
    .locator('xpath=ancestor::span[contains(@class, "MuiSlider-root")]')
    .boundingBox())!;
  await page.mouse.click(track.x + track.width / 2, track.y + track.height / 2);
  await expect(page.getByText(/^(1\.9|2\.\d) s of 4.0 s$/)).toBeVisible();
  const half = await asphalt(page);
  expect(half - none).toBeGreaterThan((whole - none) * 0.25);
  expect(half - none).toBeLessThan((whole - none) * 0.75);
  await time.focus();
  await page.keyboard.press('End');
  await expect(page.getByText('4.0 s of 4.0 s')).toBeVisible();
  expect(Math.abs((await asphalt(page)) / whole - 1)).toBeLessThan(0.03);
  await page.getByRole('button', { name: 'Play' }).click();
  await expect(page.getByRole('button', { name: 'Pause' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Play' })).toBeVisible();
  await expect(page.getByText('4.0 s of 4.0 s')).toBeVisible();
});

test('the reach is shortened in the straight view, and pointing at a station marks it in both views', async ({
  page,
}) => {
  await openDemo(page);
  await page.getByRole('slider', { name: 'End of the reach' }).focus();
  for (let i = 0; i < 10; i++) await page.keyboard.press('ArrowLeft');
  await settled(page);
  await expect(page.getByRole('button', { name: /Laying.*29 laid/ })).toBeVisible();
  const straight = page.getByRole('region', { name: 'Straight view' });
  const box = (await straight.boundingBox())!;
  await page.mouse.move(box.x + 500, box.y + 80);
  const shown = await straight
    .locator('text')
    .filter({ hasText: /^\d+\.\d\d m$/ })
    .last()
    .textContent();
  await expect(page.getByRole('region', { name: 'Bent view' }).getByText(shown!)).toBeVisible();
});

test('a path of few numbers follows them, becomes points where it lies, and says how far others move it', async ({
  page,
}) => {
  await openDemo(page);
  await choosePathKind(page, 'Hanging line');
  const told = page.getByText(/^The path now runs up to/);
  await expect(told).toBeVisible();
  await settled(page);
  const straight = await pathLength(page);
  await page.getByLabel('Slack', { exact: true }).fill('20 %');
  await page.keyboard.press('Enter');
  await settled(page);
  const hung = await pathLength(page);
  expect(hung / straight).toBeCloseTo(1.2 / 1.05, 2);
  await choosePathKind(page, 'With handles');
  await settled(page);
  expect(await pathLength(page)).toBeCloseTo(hung, 1);
  expect(await told.count()).toBeLessThanOrEqual(1); // of the hanging line alone; that notice may have gone by now
  for (let k = 0; k < 3; k++) await page.getByRole('button', { name: 'Undo' }).click();
  await settled(page);
  expect(await pathLength(page)).toBeCloseTo(128.3, 0);
});

test('all points are tidied at once; a mixed path has straight legs; pieces face the bend', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('button', { name: 'All points' }).click();
  await page.getByRole('menuitem', { name: /^Put a point into every leg/ }).click();
  await expect(disc(page, 15)).toBeVisible();
  await settled(page);
  expect(await pathLength(page)).toBeCloseTo(128.3, 0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(disc(page, 15)).toHaveCount(0);
  await choosePathKind(page, 'Mixed');
  await disc(page, 3).focus();
  await page.getByLabel('Straight to the next').check();
  await settled(page);
  expect(await pathLength(page)).not.toBeCloseTo(128.3, 1);
  await page.getByRole('button', { name: /^4\s*Bending/ }).click();
  const lying = await asphalt(page);
  await page.getByRole('radio', { name: 'Face the bend' }).click();
  await settled(page);
  await expect(page.getByRole('button', { name: /^4\s*Bending.*face the bend/ })).toBeVisible();
  // The road stands on edge: from above less than two thirds of its surface are seen.
  expect(await asphalt(page)).toBeLessThan(lying * 0.67);
});
