import { asphalt, expect, MADE_TO_CRASH, middleOf, openDemo, settled, test } from './app';

const PICTURES = ['work', 'show', 'lines'] as const;

test('a state is held beside the present one and left, in every picture, and the view goes on', async ({ page }) => {
  for (const picture of PICTURES) {
    await page.addInitScript((own) => {
      localStorage['rattan-picture'] = JSON.stringify({ state: { picture: own, isFine: false }, version: 0 });
    }, picture);
    await openDemo(page);
    const hold = page.getByRole('button', { name: 'Hold this state to compare' });
    for (let round = 0; round < 2; round++) {
      await hold.click();
      await expect(page.getByRole('slider', { name: 'Edge between A and B' })).toBeVisible();
      await settled(page);
      await hold.click();
      await expect(page.getByRole('slider', { name: 'Edge between A and B' })).toBeHidden();
    }
    // What is drawn follows: an orbit makes another picture.
    const view = page.getByRole('region', { name: 'Bent view' });
    await settled(page);
    const before = await view.locator('canvas').screenshot();
    const box = (await view.boundingBox())!;
    await page.mouse.move(box.x + box.width - 120, box.y + box.height - 120);
    await page.mouse.down();
    await page.mouse.move(box.x + box.width - 260, box.y + box.height - 150, { steps: 4 });
    await page.mouse.up();
    await expect.poll(async () => (await view.locator('canvas').screenshot()).equals(before)).toBe(false);
  }
});

test('what throws in a picture is told, and the view is built anew by itself with the work kept', async ({ page }) => {
  await openDemo(page);
  const shown = await asphalt(page);
  await page.evaluate((message) => {
    const { drawElements } = WebGL2RenderingContext.prototype;
    WebGL2RenderingContext.prototype.drawElements = () => {
      WebGL2RenderingContext.prototype.drawElements = drawElements; // once
      throw new Error(message);
    };
  }, MADE_TO_CRASH);
  const { x, y } = await middleOf(page, 7);
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x - 10, y + 6, { steps: 2 });
  await page.mouse.up();
  await expect(page.getByText(/The picture broke off .* was built anew/)).toBeVisible();
  await expect.poll(() => asphalt(page)).toBeGreaterThan(shown * 0.5);
});
