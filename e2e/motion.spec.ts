import { unzipSync } from 'fflate';
import { expect, middleOf, openDemo, openEmpty, pathLength, saved, settled, test } from './app';

test('a run is uncovered from its middle, another one waits for it; the time is made longer and a sequence is saved', async ({
  page,
}) => {
  await openDemo(page);
  await page.getByRole('button', { name: /^5\s*Motion/ }).click();
  await page.getByRole('radio', { name: 'Uncover' }).click();
  await page.getByLabel('It grows').click();
  await page.getByRole('option', { name: 'from its middle' }).click();
  await page.getByRole('button', { name: /^Pace/ }).click();
  await page.getByRole('radio', { name: 'Slow at both ends' }).click();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('button', { name: /^5\s*Motion.*is uncovered in 4.0 s/ })).toBeVisible();
  await page.getByRole('button', { name: /^Kerb drain/ }).click();
  await page.getByLabel('It begins').click();
  await page.getByRole('option', { name: 'after Causeway' }).click();
  await page.getByLabel('Has grown to station').fill('128 m');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Time settings' }).click();
  const time = page.getByRole('dialog', { name: 'Time' });
  await time.getByLabel('Lasts').fill('8 s');
  await page.keyboard.press('Enter');
  await time.getByLabel('Frames per second').fill('1');
  await page.keyboard.press('Enter');
  await expect(time.getByText('9 frames.')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByText('finished', { exact: true })).toBeVisible(); // no moment of the time is shown
  await page.getByRole('button', { name: 'A frame on' }).click();
  await expect(page.getByText('8.0 s of 8.0 s')).toBeVisible();
  await page.getByRole('button', { name: 'A frame back' }).click();
  await expect(page.getByText('7.0 s of 8.0 s')).toBeVisible();
  await settled(page);
  await page.getByRole('button', { name: 'Export' }).click();
  const dialog = page.getByRole('dialog', { name: 'Export' });
  await dialog.getByRole('tab', { name: 'Mesh that moves' }).click();
  await dialog.getByRole('radio', { name: 'A file a frame, zipped' }).click();
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

test('a number is given keys over the time, dragged to another frame and value, eased, copied and taken away', async ({
  page,
}) => {
  await openDemo(page);
  await page.getByRole('button', { name: /^4\s*Bending/ }).click();
  const roll = page.getByLabel('Roll', { exact: true });
  const slider = page.getByRole('slider', { name: 'Time' });
  const goTo = async (seconds: number) => {
    await slider.focus();
    await page.keyboard.press('Home');
    await slider.fill(String(seconds));
  };
  await goTo(0);
  await roll.hover();
  await page.getByRole('button', { name: 'Set a key of Roll at 0.00 s' }).click();
  await goTo(2);
  await roll.fill('20');
  await page.keyboard.press('Enter'); // what has keys gets one where it is changed
  await goTo(1);
  await expect(roll).toHaveValue('10°');
  await page.getByRole('group', { name: 'The straight view shows' }).getByRole('button', { name: 'Time' }).click();
  await settled(page);
  const key = (at: string) => page.getByRole('slider', { name: `Key of Roll at ${at} s` });
  const box = (await key('2.00').boundingBox())!;
  const x = box.x + box.width / 2;
  const [start, end] = [(await key('0.00').boundingBox())!.x, box.x];
  await page.mouse.move(x, box.y + 5);
  await page.mouse.down();
  await page.mouse.move(x + (end - start) / 2 + 4, box.y + 5, { steps: 4 });
  await page.mouse.up();
  await expect(key('3.00')).toBeVisible(); // a frame, though the pointer is between two
  await expect(roll).toHaveValue(/^6\.67/);
  await page.getByLabel('Is', { exact: true }).fill('30');
  await page.keyboard.press('Enter');
  await expect(roll).toHaveValue('10°');
  await key('0.00').click();
  await page.getByRole('button', { name: /^Then/ }).click();
  await page.getByRole('radio', { name: 'Hold' }).click();
  await page.keyboard.press('Escape');
  await expect(roll).toHaveValue('0°');
  await key('3.00').click();
  await page.keyboard.press('Control+c');
  await goTo(4);
  await key('3.00').focus();
  await page.keyboard.press('Control+v');
  await expect(key('4.00')).toBeVisible();
  await key('4.00').focus();
  await page.keyboard.press('Delete');
  await expect(key('4.00')).toBeHidden();
  for (let i = 0; i < 3; i++) await page.keyboard.press('Control+z');
  await expect(roll).toHaveValue('30°');
  await page.reload();
  await page.getByRole('button', { name: /^4\s*Bending/ }).click();
  await expect(page.getByRole('button', { name: /of Roll at 4.00 s/ })).toBeVisible(); // keys are kept
  await expect(page.getByLabel('Roll', { exact: true })).toHaveValue('30°');
});

test('a path is changed while its run grows, and the run goes on growing along it', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('slider', { name: 'Time' }).fill('0.5');
  const before = await pathLength(page);
  await page.getByRole('button', { name: 'Play', exact: true }).click();
  const { x, y } = await middleOf(page, 7);
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x - 40, y + 60, { steps: 4 });
  await page.mouse.up();
  await expect.poll(() => pathLength(page)).not.toBe(before);
  await expect(page.getByText(/^4.0 s of 4.0 s/)).toBeVisible(); // it came to its end
  await page.keyboard.press('Control+z');
  await expect.poll(() => pathLength(page)).toBe(before);
});
