import { readFile } from 'node:fs/promises';
import { disc, expect, middleOf, openDemo, pathLength, settled, test } from './app';

const SVG =
  '<svg xmlns="http://www.w3.org/2000/svg" width="30cm" viewBox="0 0 3000 2000"><path id="Quay" d="M0 0 L3000 0 L3000 2000"/><circle id="Turn" r="500"/></svg>';

test('several points are chosen by Ctrl and by a box, moved together, turned and scaled by numbers', async ({
  page,
}) => {
  await openDemo(page);
  const before = await pathLength(page);
  await disc(page, 2).click();
  await disc(page, 3).click({ modifiers: ['Control'] });
  await expect(page.getByText('2 points', { exact: true })).toBeVisible();
  const [two, three, four] = [await middleOf(page, 2), await middleOf(page, 3), await middleOf(page, 4)];
  await page.mouse.move(three.x, three.y);
  await page.mouse.down();
  await page.mouse.move(three.x + 20, three.y + 30, { steps: 4 });
  await page.mouse.up();
  await settled(page);
  const [moved, still] = [await middleOf(page, 2), await middleOf(page, 4)];
  expect(moved.y - two.y).toBeGreaterThan(10); // it went with the one that was dragged
  expect(Math.hypot(still.x - four.x, still.y - four.y)).toBeLessThan(1);
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByRole('button', { name: 'Select by box' }).click();
  const view = (await page.getByRole('region', { name: 'Bent view' }).boundingBox())!;
  await page.mouse.move(view.x + 60, view.y + 120);
  await page.mouse.down();
  await page.mouse.move(view.x + view.width - 40, view.y + view.height - 60, { steps: 5 });
  await page.mouse.up();
  await expect(page.getByText('8 points', { exact: true })).toBeVisible();
  const grip = (await page.getByRole('button', { name: 'Scale the chosen points' }).boundingBox())!;
  await page.mouse.move(grip.x + 5, grip.y + 5);
  await page.mouse.down();
  await page.mouse.move(grip.x + 5, grip.y + 45, { steps: 4 });
  await settled(page);
  expect((await pathLength(page)) / before).toBeGreaterThan(1.1);
  await page.keyboard.type('1.5');
  await page.keyboard.press('Enter');
  await page.mouse.up();
  await settled(page);
  expect((await pathLength(page)) / before).toBeCloseTo(1.5, 2);
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByRole('button', { name: 'Turn', exact: true }).click();
  await settled(page);
  expect(await pathLength(page)).toBeCloseTo(before, 1);
  await page.getByLabel('Scale by').fill('2');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Scale', exact: true }).click();
  await settled(page);
  expect((await pathLength(page)) / before).toBeCloseTo(2, 2);
});

test('a pivot at a place of its own snaps to a point; Space steps to scaling in one direction only', async ({
  page,
}) => {
  await openDemo(page);
  await disc(page, 2).click();
  await disc(page, 4).click({ modifiers: ['Control'] });
  await page.getByLabel('Turn and scale about').click();
  await page.getByRole('option', { name: 'a place of its own' }).click();
  await expect(page.locator('.MuiPopover-root')).toHaveCount(0); // it keeps the pointer until it has faded
  const pivot = page.getByRole('button', { name: 'Pivot' });
  const start = (await page.getByRole('button', { name: 'Middle of 2 points' }).boundingBox())!;
  await expect.poll(async () => Math.round((await pivot.boundingBox())!.x - start.x)).toBe(-3); // where it is drawn first: over the middle
  const [from, one] = [(await pivot.boundingBox())!, await middleOf(page, 1)];
  await page.mouse.move(from.x + 8, from.y + 8);
  await page.mouse.down();
  await page.mouse.move(one.x + 2, one.y - 1, { steps: 4 });
  await page.mouse.up();
  const away = async () => {
    const at = (await pivot.boundingBox())!;
    return Math.hypot(at.x + 8 - one.x, at.y + 8 - one.y);
  };
  await expect.poll(away).toBeLessThan(1);
  const middle = (axis: string) => page.getByLabel(`Middle ${axis}`).inputValue().then(parseFloat);
  const [x, z] = [await middle('x'), await middle('z')];
  await page.getByLabel('Scale by').fill('3');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Scale', exact: true }).click();
  const origin = (x - (await middle('x')) / 3) / (1 - 1 / 3); // of x' = origin + 3 (x - origin)
  await page.getByRole('button', { name: 'Undo' }).click();
  await settled(page);
  const grip = (await page.getByRole('button', { name: 'Scale the chosen points' }).boundingBox())!;
  await page.mouse.move(grip.x + 5, grip.y + 5);
  await page.mouse.down();
  await page.mouse.move(grip.x + 5, grip.y + 30, { steps: 4 });
  for (let i = 0; i < 3; i++) await page.keyboard.press('Space');
  await page.keyboard.type('2');
  await expect(page.getByText('2.00 times x only')).toBeVisible();
  await page.keyboard.press('Enter');
  await page.mouse.up();
  expect(await middle('x')).toBeCloseTo(origin + 2 * (x - origin), 1);
  expect(await middle('z')).toBeCloseTo(z, 2);
  await disc(page, 1).focus(); // the pivot lies over it
  expect(parseFloat(await page.getByLabel('x', { exact: true }).inputValue())).toBeCloseTo(origin, 1);
});

test('while a point is dragged Space steps through what holds it and a number says how far; Escape puts it back', async ({
  page,
}) => {
  await openDemo(page);
  await disc(page, 4).click();
  const x = page.getByLabel('x', { exact: true });
  await expect(x).toHaveValue('2 m');
  const place = await middleOf(page, 4);
  await page.mouse.move(place.x, place.y);
  await page.mouse.down();
  await page.mouse.move(place.x + 30, place.y + 10, { steps: 3 });
  for (const name of ['level', 'along the path', 'across it', 'up']) {
    await page.keyboard.press('Space');
    await expect(page.getByRole('button', { name, exact: true })).toHaveAttribute('aria-pressed', 'true');
  }
  await page.keyboard.type('3.5');
  await expect(page.getByText('3.5 up')).toBeVisible();
  await page.keyboard.press('Enter');
  await page.mouse.up();
  await expect(x).toHaveValue('2 m');
  await expect(page.getByLabel('y (up)', { exact: true })).toHaveValue('4 m');
  const now = await middleOf(page, 4);
  await page.mouse.move(now.x, now.y);
  await page.mouse.down();
  await page.mouse.move(now.x + 60, now.y + 10, { steps: 3 });
  await page.keyboard.press('Escape');
  await page.mouse.up();
  await expect(x).toHaveValue('2 m');
  // The same by the buttons beside the point: across the path it stays level and leaves its leg at a right angle.
  await page.mouse.move(now.x, now.y);
  await page.getByRole('button', { name: 'across it', exact: true }).click();
  await page.mouse.move(now.x, now.y);
  await page.mouse.down();
  await page.mouse.move(now.x + 40, now.y - 25, { steps: 3 });
  await expect(page.getByText(/m across it$/)).toBeVisible();
  await page.mouse.up();
  await expect(page.getByLabel('y (up)', { exact: true })).toHaveValue('4 m');
  const by = [parseFloat(await x.inputValue()) - 2, parseFloat(await page.getByLabel('z', { exact: true }).inputValue()) - 11.5]; // prettier-ignore
  const along = [6.5 - -11, -8 - 25]; // about how the path runs there: from the point before to the one after
  const cosine = (by[0] * along[0] + by[1] * along[1]) / (Math.hypot(...by) * Math.hypot(...along));
  expect(Math.hypot(...by)).toBeGreaterThan(0.5);
  expect(Math.abs(cosine)).toBeLessThan(0.2);
});

test('a guide is added, wound round, kept clear of and traced', async ({ page }) => {
  await openDemo(page);
  const guides = page.getByRole('navigation', { name: 'Guides' });
  await page.getByRole('button', { name: 'Add a guide' }).click();
  await page.getByRole('button', { name: /^Post/ }).click();
  await expect(guides.getByRole('button', { name: 'Post', exact: true })).toBeVisible();
  for (const [label, value] of [
    ['Radius', '2 m'],
    ['Height', '12 m'],
    ['x', '2 m'],
    ['z', '11.5 m'],
  ] as const) {
    // prettier-ignore
    await guides.getByLabel(label, { exact: true }).fill(value);
    await page.keyboard.press('Enter');
  }
  await settled(page);
  // The causeway runs straight through it.
  const finding = page.getByRole('region', { name: 'Findings' });
  await expect(finding.getByText('Passes through a guide')).toBeVisible();
  await finding.getByRole('button', { name: 'Push the path out' }).click();
  await expect(finding.getByText('Passes through a guide')).toHaveCount(0);
  await settled(page);
  expect(await pathLength(page)).not.toBeCloseTo(128.3, 0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await guides.getByRole('button', { name: 'Trace one of its edges' }).click();
  await guides.getByRole('button', { name: /^Edge 1/ }).click();
  await settled(page);
  expect(await pathLength(page)).toBeCloseTo(4 * Math.PI, 1); // round the foot
  await guides.getByLabel('Turns', { exact: true }).fill('2');
  await page.keyboard.press('Enter');
  await guides.getByLabel('Clearance').fill('1 m');
  await page.keyboard.press('Enter');
  await guides.getByRole('button', { name: /^Wind Causeway/ }).click();
  const wound = Math.hypot(2 * 2 * Math.PI * 3, 2);
  await expect.poll(async () => Math.abs((await pathLength(page)) - wound)).toBeLessThan(0.5);
});

test('a path is brought from a drawing, refused when there is none, and written', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('button', { name: 'More', exact: true }).click();
  await page.getByRole('menuitem', { name: /^Bring a path/ }).click();
  const dialog = page.getByRole('dialog', { name: 'Bring a path' });
  const bring = (name: string, text: string) =>
    dialog.getByLabel('File with paths').setInputFiles({ name, mimeType: 'text/plain', buffer: Buffer.from(text) });
  await bring('empty.svg', '<svg xmlns="http://www.w3.org/2000/svg"></svg>');
  await expect(dialog.getByText(/empty.svg holds no line/)).toBeVisible();
  await bring('quay.svg', SVG);
  await expect(dialog.getByRole('radio', { name: /Quay/ })).toBeVisible();
  await expect(dialog.getByText('As the file says.')).toBeVisible();
  await dialog.getByLabel('The chosen line is').fill('50 m');
  await page.keyboard.press('Enter');
  await expect(dialog.getByText(/30.00 m in x, 0 m up, 20.00 m in z/)).toBeVisible();
  const survey = Array.from({ length: 100_000 }, (_, i) => `${i / 1000},0,${5 * Math.sin(i / 9000)}`);
  await bring('survey.csv', ['x,y,z', ...survey].join('\n'));
  await expect(dialog.getByText(/thinned out of 100,000/)).toBeVisible();
  await dialog.getByLabel('Thin out within').fill('0');
  await page.keyboard.press('Enter');
  await expect(dialog.getByText(/\d\d,\d{3} points, thinned out of 100,000/)).toBeVisible();
  await bring('quay.svg', SVG);
  await dialog.getByLabel('The chosen line is').fill('50 m');
  await page.keyboard.press('Enter');
  await expect(dialog.getByText(/30.00 m in x, 0 m up, 20.00 m in z/)).toBeVisible();
  await dialog.getByRole('button', { name: 'Use it for Causeway' }).click();
  await settled(page);
  expect(await pathLength(page)).toBeCloseTo(50, 1);
  // The view shows all of it, from end to end.
  const view = (await page.getByRole('region', { name: 'Bent view' }).boundingBox())!;
  const [start, end] = [await middleOf(page, 1), await middleOf(page, 3)];
  for (const { x, y } of [start, end]) {
    expect(x).toBeGreaterThan(view.x);
    expect(x).toBeLessThan(view.x + view.width);
    expect(y).toBeGreaterThan(view.y);
    expect(y).toBeLessThan(view.y + view.height);
  }
  expect(Math.hypot(start.x - end.x, start.y - end.y)).toBeGreaterThan(view.width / 4);
  await page.getByRole('button', { name: 'More', exact: true }).click();
  const download = page.waitForEvent('download');
  await page.getByRole('menuitem', { name: /^Write stations as CSV/ }).click();
  const file = await download;
  expect(file.suggestedFilename()).toBe('Causeway-line.csv');
  const lines = (await readFile(await file.path(), 'utf8')).trim().split(/\r?\n/);
  expect(lines[0]).toBe('station,x,y,z,forward x,forward y,forward z,radius');
  expect(Number(lines.at(-1)!.split(',')[0])).toBeCloseTo(50, 4);
});

test('a part is redrawn by hand, an end made straight, a path cut in two; the ruler measures', async ({ page }) => {
  await openDemo(page);
  const [three, five] = [await middleOf(page, 3), await middleOf(page, 5)];
  await page.getByRole('button', { name: 'Freehand' }).click();
  await page.mouse.move(three.x + 1, three.y + 1);
  await page.mouse.down();
  for (let i = 1; i <= 20; i++) {
    const t = i / 20;
    await page.mouse.move(
      three.x + (five.x - three.x) * t,
      three.y + (five.y - three.y) * t + 50 * Math.sin(Math.PI * t),
    );
  }
  await page.mouse.up();
  await settled(page);
  await expect(page.getByRole('combobox', { name: 'Kind of path: With handles' })).toBeVisible();
  expect(await pathLength(page)).not.toBeCloseTo(128.3, 0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await settled(page);
  expect(await pathLength(page)).toBeCloseTo(128.3, 0);
  await page.getByRole('button', { name: 'Ends' }).click();
  const ends = page.getByRole('dialog', { name: 'Ends of the path' });
  await ends.getByLabel('Over', { exact: true }).fill('6 m');
  await page.keyboard.press('Enter');
  await ends.getByRole('button', { name: /longer by that/ }).click();
  await page.keyboard.press('Escape');
  await settled(page);
  expect(await pathLength(page)).toBeCloseTo(134.3, 0);
  await disc(page, 4).click();
  await page.getByRole('button', { name: 'More', exact: true }).click();
  await page.getByRole('menuitem', { name: /^Cut at the chosen point/ }).click();
  await expect(
    page.getByRole('navigation', { name: 'Runs' }).getByRole('button', { name: /^Causeway, part 2/ }),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Ruler' }).click();
  const [one, two] = [await middleOf(page, 1), await middleOf(page, 2)];
  await page.mouse.click(one.x + 12, one.y + 60);
  await page.mouse.click(two.x + 12, two.y + 60);
  await expect(page.getByRole('status', { name: 'Ruler' })).toContainText(/\d m.*up/);
});

test('an end is plugged into a socket by dragging it there', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('button', { name: 'Add a guide' }).click();
  await page.getByRole('button', { name: /^Socket/ }).click();
  const guides = page.getByRole('navigation', { name: 'Guides' });
  await guides.getByLabel('x', { exact: true }).fill('-36 m');
  await page.keyboard.press('Enter');
  await settled(page);
  const socket = (await page.getByRole('button', { name: 'Guide Socket' }).boundingBox())!;
  const first = await middleOf(page, 1);
  await page.mouse.move(first.x, first.y);
  await page.mouse.down();
  await page.mouse.move(socket.x + socket.width / 2 - 4, socket.y + socket.height / 2 + 3, { steps: 6 });
  await page.mouse.up();
  await settled(page);
  await expect(page.getByLabel('x', { exact: true }).first()).toHaveValue('-36 m');
  await expect(page.getByLabel('y (up)', { exact: true }).first()).toHaveValue('0 m');
});
