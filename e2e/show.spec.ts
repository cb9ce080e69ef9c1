import type { Page } from '@playwright/test';
import { decode } from 'fast-png';
import { choosePathKind, disc, expect, look, middleOf, openDemo, openEmpty, settled, test } from './app';

const row = (page: Page, name: string) =>
  page.getByRole('navigation', { name: 'Runs' }).getByRole('button', { name: new RegExp(`^${name}`) });
const view = (page: Page) => page.getByRole('region', { name: 'Bent view' });

test('a run is kept as a kit and dragged onto another path; what changes of it changes both; it is a file and comes back', async ({
  page,
}) => {
  await openDemo(page, 'landing');
  await row(page, 'Overflow pipe').click({ button: 'right' });
  await page.getByRole('menuitem', { name: 'Keep as a kit' }).click();
  const kit = page.locator('[data-kit="Overflow pipe"]');
  await kit.scrollIntoViewIfNeeded();
  const from = (await kit.boundingBox())!;
  const to = await middleOf(page, 4);
  await page.mouse.move(from.x + 30, from.y + 20);
  await page.mouse.down();
  await page.mouse.move(from.x + 60, from.y, { steps: 3 });
  await page.mouse.move(to.x, to.y + 3, { steps: 6 });
  await page.mouse.up();
  await expect(row(page, 'Overflow pipe 2 ')).toBeVisible();
  await expect(page.getByRole('navigation', { name: 'Kits' }).getByText('1 here')).toBeVisible();
  // Once more beside it, then both go with the kit.
  await page.getByRole('button', { name: 'Overflow pipe: kit' }).click();
  await page.getByRole('menuitem', { name: /^Lay along the path of/ }).click();
  await expect(row(page, 'Overflow pipe 3 ')).toBeVisible();
  await page.getByRole('button', { name: /^4\s*Bending/ }).click();
  await page.getByLabel('Gauge', { exact: true }).fill('2.5');
  await page.keyboard.press('Enter');
  await row(page, 'Overflow pipe 3 ').click({ button: 'right' });
  await page.getByRole('menuitem', { name: 'Change its kit to this' }).click();
  await expect(page.getByText('2 runs that follow it here')).toBeVisible();
  await row(page, 'Overflow pipe 2 ').click();
  await expect(page.getByLabel('Gauge', { exact: true })).toHaveValue('2.5');
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page
      .getByRole('button', { name: 'Overflow pipe: kit' })
      .click()
      .then(() => page.getByRole('menuitem', { name: 'Save as a file' }).click()),
  ]);
  const path = await download.path();
  await page.getByRole('button', { name: 'Overflow pipe: kit' }).click();
  await page.getByRole('menuitem', { name: 'Take off the shelf' }).click();
  await expect(kit).toBeHidden();
  await page.getByLabel('Open a kit’s file').setInputFiles(path);
  await expect(kit).toBeVisible();
  await page.reload();
  await expect(kit).toBeVisible();
});

test('what can be added is found by typing, with a picture of each', async ({ page }) => {
  await openEmpty(page);
  await page.getByRole('button', { name: 'Add a run' }).click();
  const menu = page.getByRole('dialog', { name: 'New run' });
  await expect(menu.locator('canvas').first()).toBeVisible();
  await page.keyboard.type('scanned');
  await expect(menu.getByRole('button')).toHaveCount(1);
  await page.keyboard.type('nothing like this');
  await expect(menu.getByText('Nothing is called that')).toBeVisible();
  await menu.getByLabel('Find what to add').fill('rope');
  await page.keyboard.press('Enter');
  await expect(row(page, 'Rope')).toBeVisible();
});

test('several runs are chosen, grouped, hidden and moved together; guides too', async ({ page }) => {
  await openDemo(page, 'landing');
  await row(page, 'Lamp cord').click();
  await row(page, 'Bilge hose').click({ modifiers: ['Control'] });
  await row(page, 'Bilge hose').click({ button: 'right' });
  await page.getByRole('menuitem', { name: 'Put into a new folder' }).click();
  const runs = page.getByRole('navigation', { name: 'Runs' });
  const folder = runs.getByRole('button', { name: /^Folder/ });
  await expect(folder).toBeVisible();
  await folder.click();
  await expect(row(page, 'Lamp cord')).toBeHidden();
  await folder.hover();
  await runs.getByRole('button', { name: 'Hide Folder' }).click();
  await folder.click();
  await expect(runs.getByRole('button', { name: 'Show Lamp cord' })).toBeVisible();
  await expect(runs.getByRole('button', { name: 'Show Bilge hose' })).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(runs.getByRole('button', { name: 'Show Lamp cord' })).toBeHidden();
  await page.getByLabel('Find a run').fill('fence');
  await expect(row(page, 'Shore fence').first()).toBeVisible();
  await expect(row(page, 'Lamp cord')).toBeHidden();
  const guides = page.getByRole('navigation', { name: 'Guides' });
  await page.getByLabel('Find a guide').fill('wheel');
  await expect(guides.getByRole('button', { name: 'Wheelhouse', exact: true })).toBeVisible();
  await page.getByLabel('Find a guide').fill('');
  await guides
    .getByRole('button', { name: /^Ferry/ })
    .first()
    .click();
  await expect(guides.getByRole('button', { name: 'Wheelhouse', exact: true })).toBeVisible();
});

test('one rides along a run, holds, goes to a station, and is back where one was', async ({ page }) => {
  await openDemo(page);
  const before = await middleOf(page, 4);
  await page.getByRole('button', { name: /^Looking:/ }).click();
  await page.getByRole('button', { name: /^Ride along/ }).click();
  const ride = page.getByRole('group', { name: 'Ride along the run' });
  const station = ride.getByRole('slider', { name: 'Station of the ride' });
  await expect.poll(async () => Number(await station.inputValue())).toBeGreaterThan(2);
  await ride.getByRole('button', { name: 'Hold' }).click();
  await settled(page);
  const held = await station.inputValue();
  const one = await view(page).screenshot();
  await ride.getByLabel('Speed, m/s').fill('9');
  await page.keyboard.press('Enter');
  await settled(page);
  expect(await station.inputValue()).toBe(held);
  await station.focus();
  await page.keyboard.press('End');
  await settled(page);
  expect((await view(page).screenshot()).equals(one)).toBe(false);
  await ride.getByRole('button', { name: 'End' }).click();
  await expect(ride).toBeHidden();
  await look(page, 'Free');
  await page.keyboard.press('w');
  await settled(page);
  await expect(disc(page, 4)).toBeVisible();
  expect(Math.abs((await middleOf(page, 4)).x - before.x)).toBeLessThan(60);
});

test('the landing is shown with sky, water and shade, from kept cameras; lines show rows; all of it may be changed', async ({
  page,
}) => {
  await page.addInitScript(() => {
    localStorage['rattan-picture'] = JSON.stringify({ state: { picture: 'show' }, version: 0 });
  });
  await openDemo(page, 'landing');
  await page.getByRole('button', { name: /^Looking:/ }).click();
  await page.getByRole('button', { name: 'Look from Beacon' }).click();
  await expect(page.getByRole('dialog', { name: 'Looking' })).toBeHidden();
  await settled(page);
  const colours = async () => {
    const { data, channels, width, height } = decode(await view(page).screenshot());
    const at = (x: number, y: number) => [...data.subarray((y * width + x) * channels, (y * width + x) * channels + 3)];
    return { sky: at(Math.round(width * 0.7), Math.round(height * 0.22)), land: at(Math.round(width * 0.25), Math.round(height * 0.75)) }; // prettier-ignore
  };
  // Blue above, green below.
  await expect.poll(async () => (await colours()).sky[2] - (await colours()).sky[0]).toBeGreaterThan(-25);
  await expect.poll(async () => { const { land } = await colours(); return land[1] - land[2]; }).toBeGreaterThan(20); // prettier-ignore
  await page.getByRole('button', { name: /^Looking:/ }).click();
  await page.getByRole('button', { name: 'Keep how I look now' }).click();
  await expect(page.getByRole('button', { name: 'Look from Camera 1' })).toBeVisible();
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: /^Picture:/ }).click();
  const picture = page.getByRole('dialog', { name: 'Picture' });
  await picture.getByLabel('Sun stands').fill('60°');
  await page.keyboard.press('Enter');
  await picture.getByRole('button', { name: 'Lines' }).click();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('button', { name: 'Picture: Lines' })).toBeVisible();
  await page.keyboard.press('Control+z');
  await page.getByRole('button', { name: /^Picture:/ }).click();
  await expect(picture.getByLabel('Sun stands')).not.toHaveValue(/^60/);
});

test('a command is found by its words and done; a right click offers what fits there', async ({ page }) => {
  await openDemo(page);
  await page.keyboard.press('c');
  await page.getByRole('dialog', { name: 'Commands' }).getByRole('combobox').fill('reverse');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog', { name: 'Commands' })).toBeHidden();
  await expect(page.getByRole('button', { name: 'Undo' })).toBeEnabled();
  const { x, y } = await middleOf(page, 4);
  await page.mouse.click(x, y, { button: 'right' });
  await page.getByRole('menuitem', { name: /^Delete this point/ }).click();
  await expect(disc(page, 8)).toBeHidden();
  await page.locator('rect[data-piece="5"]').click({ button: 'right' });
  await page.getByRole('menuitem', { name: 'Hide piece 6' }).click();
  await expect(page.locator('rect[data-piece="5"]')).toHaveAttribute('stroke-dasharray', '3 3');
  await page.locator('rect[data-piece="5"]').click({ button: 'right' });
  await page.getByRole('menuitem', { name: 'Lay it as the others' }).click();
  await expect(page.locator('rect[data-piece="5"]')).not.toHaveAttribute('stroke-dasharray');
  const bounds = (await view(page).boundingBox())!;
  await page.mouse.click(bounds.x + bounds.width * 0.9, bounds.y + bounds.height * 0.85, { button: 'right' });
  await page.getByRole('menuitem', { name: /^Commands/ }).click();
  await expect(page.getByRole('dialog', { name: 'Commands' })).toBeVisible();
  await page.keyboard.press('Escape');
  await choosePathKind(page, 'With handles');
  await page.getByRole('button', { name: /^1\s*Segment/ }).click();
  const width = page.getByLabel('Lane width');
  await width.fill('3*1.1 m');
  await page.keyboard.press('Enter');
  await expect(width).toHaveValue('3.3 m');
  await page.getByText('Lane width', { exact: true }).dblclick();
  await expect(width).toHaveValue('3.2 m');
});

const SIZES = [
  { width: 1024, height: 700, zoom: 1 },
  { width: 1280, height: 800, zoom: 1 },
  { width: 1920, height: 1080, zoom: 1 },
  { width: 1280, height: 800, zoom: 1.5 },
];

test('nothing is cut off at any of the sizes of a screen', async ({ page }) => {
  await openDemo(page, 'landing');
  for (const { width, height, zoom } of SIZES) {
    // A zoomed page has fewer of its own pixels.
    await page.setViewportSize({ width: Math.round(width / zoom), height: Math.round(height / zoom) });
    await settled(page);
    const cut = await page.evaluate(() => {
      const [w, h] = [innerWidth, innerHeight];
      const wrong: string[] = [];
      if (document.documentElement.scrollWidth > w) wrong.push('the page is wider than the window');
      const named = (element: Element) =>
        element.getAttribute('aria-label') ?? element.textContent?.trim().slice(0, 40);
      const boxes: { name: string; box: DOMRect }[] = [];
      for (const element of document.querySelectorAll(
        'header button, section[aria-label="Bent view"] button:not([data-overlay] *)',
      )) {
        // prettier-ignore
        const box = element.getBoundingClientRect();
        if (box.width === 0) continue;
        boxes.push({ name: named(element) ?? '', box });
        if (box.left < 0 || box.right > w + 0.5 || box.top < 0 || box.bottom > h)
          wrong.push(`${named(element)} is outside`);
        if (element.scrollWidth > element.clientWidth + 1) wrong.push(`${named(element)} is cut`);
      }
      for (const [i, a] of boxes.entries())
        for (const b of boxes.slice(i + 1))
          if (
            Math.min(a.box.right, b.box.right) - Math.max(a.box.left, b.box.left) > 2 &&
            Math.min(a.box.bottom, b.box.bottom) - Math.max(a.box.top, b.box.top) > 2
          )
            wrong.push(`${a.name} and ${b.name} overlap`);
      const ticket = document.querySelector('aside[aria-label="Ticket"]')!;
      if (ticket.scrollWidth > ticket.clientWidth) wrong.push('the ticket is cut');
      return wrong;
    });
    cut.push(...(await cutWords(page)));
    await page.getByRole('button', { name: 'Add a run' }).click();
    await expect(
      page.getByRole('dialog', { name: 'New run' }).getByRole('button', { name: 'Rope', exact: true }),
    ).toBeVisible();
    cut.push(...(await cutWords(page)));
    await page.keyboard.press('Escape');
    expect({ width, height, zoom, cut }).toEqual({ width, height, zoom, cut: [] });
  }
});

/** What has no room is left out whole; words that end in dots are cut. */
const cutWords = (page: Page) =>
  page.evaluate(() => {
    const wrong: string[] = [];
    for (const element of document.querySelectorAll<HTMLElement>(
      'header *, aside *, section *, nav *, [role="dialog"] *',
    )) {
      const isText = [...element.childNodes].some(({ nodeType }) => nodeType === Node.TEXT_NODE);
      if (!isText || !element.checkVisibility()) continue;
      const { textOverflow, overflowX, webkitLineClamp } = getComputedStyle(element);
      const isTooWide = textOverflow === 'ellipsis' && element.scrollWidth > element.clientWidth + 1;
      const isTooLong = webkitLineClamp !== 'none' && element.scrollHeight > element.clientHeight + 1;
      if (overflowX === 'hidden' && (isTooWide || isTooLong)) wrong.push(`${element.textContent} is cut`);
    }
    return wrong;
  });
