import { unzipSync } from 'fflate';
import { expect, openDemo, openEmpty, saved, settled, test } from './app';

test('a run is uncovered from its middle, another one waits for it; the time is made longer and a sequence is saved', async ({
  page,
}) => {
  await openDemo(page);
  await page.getByRole('button', { name: /^5\s*Motion/ }).click();
  await page.getByRole('radio', { name: 'Uncover' }).click();
  await page.getByLabel('It grows').click();
  await page.getByRole('option', { name: 'from its middle' }).click();
  await page.getByLabel('Pace').click();
  await page.getByRole('option', { name: 'slow at both ends' }).click();
  await expect(page.getByRole('button', { name: /^5\s*Motion.*is uncovered in 4.0 s/ })).toBeVisible();
  await page.getByRole('button', { name: /^Kerb drain/ }).click();
  await page.getByLabel('It begins').click();
  await page.getByRole('option', { name: 'after Causeway' }).click();
  await page.getByLabel('Has grown to station').fill('128 m');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Time', exact: true }).click();
  const time = page.getByRole('dialog', { name: 'Time' });
  await time.getByLabel('Lasts').fill('8 s');
  await page.keyboard.press('Enter');
  await time.getByLabel('Frames per second').fill('1');
  await page.keyboard.press('Enter');
  await expect(time.getByText('8 frames.')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByText('8.0 s of 8.0 s')).toBeVisible();
  await page.getByRole('button', { name: 'A frame back' }).click();
  await expect(page.getByText('7.0 s of 8.0 s')).toBeVisible();
  await settled(page);
  await page.getByRole('button', { name: 'Export' }).click();
  const dialog = page.getByRole('dialog', { name: 'Export' });
  await dialog.getByLabel('State').click();
  await page.getByRole('option', { name: 'all frames, zipped' }).click();
  await expect(dialog.getByText(/in each of 9 frames \(1 to 9\)/)).toBeVisible();
  const { name, bytes } = await saved(page, () => dialog.getByRole('button', { name: 'Save file' }).click());
  expect(name).toBe('Saltgrass-Landing.zip');
  const frames = Object.values(unzipSync(bytes));
  expect(frames).toHaveLength(9);
  const holds = frames.map((frame) => {
    const text = Buffer.from(frame).toString('latin1');
    return ['Causeway', 'Kerb drain'].filter((run) => text.includes(`"${run}"`)).length;
  });
  expect(holds).toEqual([0, 1, 1, 1, 2, 2, 2, 2, 2]); // the drain begins when the road is there
  expect(frames[2].length).toBeLessThan(frames[3].length);
});

test('a belt runs for ever: whole pieces in its time, its wheels turn with it', async ({ page }) => {
  await openEmpty(page);
  await page.getByRole('button', { name: 'Add a run' }).first().click();
  await page.getByRole('button', { name: /^Crawler belt/ }).click();
  await settled(page);
  await page.getByRole('button', { name: /^5\s*Motion/ }).click();
  await page.getByRole('radio', { name: 'Is there at once' }).click();
  await page.getByLabel('Slides along at').fill('0.5 m/s');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Whole pieces in this time' }).click();
  await expect(page.getByText('It goes on without a jump.')).toBeVisible();
  await expect(page.getByRole('button', { name: /^5\s*Motion.*travels at/ })).toBeVisible();
});
