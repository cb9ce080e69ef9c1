import { decode } from 'fast-png';
import { unzipSync } from 'fflate';
import validator from 'gltf-validator';
import type { Locator, Page } from '@playwright/test';
import { expect, openDemo, saved, settled, test } from './app';

/** The causeway in half a second of time, with the export dialog open at one of its tabs. */
async function openExport(page: Page, tab: string, framesPerSecond = '8'): Promise<Locator> {
  await openDemo(page);
  await page.getByRole('button', { name: 'Time settings' }).click();
  const time = page.getByRole('dialog', { name: 'Time' });
  for (const [label, value] of [
    ['Lasts', '0.5 s'],
    ['Frames per second', framesPerSecond],
  ]) {
    // prettier-ignore
    await time.getByLabel(label).fill(value);
    await page.keyboard.press('Enter');
  }
  await page.keyboard.press('Escape');
  await settled(page);
  await page.getByRole('button', { name: 'Export' }).click();
  const dialog = page.getByRole('dialog', { name: 'Export' });
  await dialog.getByRole('tab', { name: tab, exact: true }).click();
  return dialog;
}

const choose = async (page: Page, dialog: Locator, label: string, option: string) => {
  await dialog.getByLabel(label).click();
  await page.getByRole('option', { name: option, exact: true }).click();
};

test('one GLB that moves says how large and how far off it is before it is saved, and plays', async ({ page }) => {
  const dialog = await openExport(page, 'Mesh that moves');
  await dialog.getByRole('button', { name: 'Work it out' }).click();
  await expect(dialog.getByText(/(kB|MB), [\d,]+ joints\. Off by up to .* from what is shown here/)).toBeVisible();
  const { name, bytes } = await saved(page, () => dialog.getByRole('button', { name: 'Save file' }).click());
  expect(name).toBe('Saltgrass-Landing.glb');
  const { issues } = await validator.validateBytes(bytes, { maxIssues: 0 });
  expect([issues.numErrors, issues.numWarnings]).toEqual([0, 0]);
  const length = bytes.readUInt32LE(12);
  const { animations } = JSON.parse(bytes.subarray(20, 20 + length).toString()) as { animations: unknown[] };
  expect(animations).toHaveLength(1);
});

test('films go through the time and play elsewhere, and the view is where it was', async ({ page }) => {
  const player = await page.context().newPage(); // the app itself plays no films, and lets none in
  for (const format of ['WebM', 'MP4']) {
    await page.bringToFront();
    const dialog = await openExport(page, 'Pictures');
    await dialog.getByRole('radio', { name: `Film, ${format}` }).click();
    await choose(page, dialog, 'Pixels', '640 × 360');
    const { name, bytes } = await saved(page, () => dialog.getByRole('button', { name: 'Save file' }).click());
    const ending = format.toLowerCase();
    expect(name).toBe(`Saltgrass-Landing.${ending}`);
    const seen = await player.evaluate(
      async ([type, base64]) => {
        const video = document.createElement('video');
        video.src = `data:video/${type};base64,${base64}`;
        await new Promise((resolve, reject) => {
          video.onloadeddata = resolve;
          video.onerror = reject;
        });
        return [video.videoWidth, video.videoHeight, video.duration];
      },
      [ending, Buffer.from(bytes).toString('base64')],
    );
    expect(seen).toEqual([640, 360, 0.625]); // five frames of an eighth of a second
    await expect(page.getByText('finished', { exact: true })).toBeVisible(); // as it was before
  }
});

test('pictures by number have nothing behind them where that is asked for; one turn round stands still in time', async ({
  page,
}) => {
  const dialog = await openExport(page, 'Pictures');
  await dialog.getByRole('radio', { name: 'A picture a frame, zipped' }).click();
  await choose(page, dialog, 'Pixels', '640 × 360');
  await choose(page, dialog, 'Over', 'one turn round it');
  await dialog.getByLabel('One turn takes').fill('0.5 s');
  await page.keyboard.press('Enter');
  await dialog.getByLabel('Nothing behind it').click();
  const { bytes } = await saved(page, () => dialog.getByRole('button', { name: 'Save file' }).click());
  const files = unzipSync(bytes);
  expect(Object.keys(files)).toEqual([1, 2, 3, 4].map((n) => `Saltgrass-Landing_000${n}.png`));
  const pictures = Object.values(files).map((file) => decode(file));
  for (const { width, height, channels, data } of pictures) {
    expect([width, height, channels]).toEqual([640, 360, 4]);
    const alphas = Array.from({ length: width * height }, (_, i) => data[i * 4 + 3]);
    expect(alphas[0]).toBe(0);
    expect(alphas.filter((alpha) => alpha === 255).length).toBeGreaterThan(1000); // the road is there
  }
  expect(pictures[0].data).not.toEqual(pictures[1].data);
});

test('a picture larger than what is drawn in one go has no seams, and a mesh is saved for phones', async ({ page }) => {
  const dialog = await openExport(page, 'Pictures');
  await choose(page, dialog, 'Pixels', '3840 × 2160');
  const { bytes } = await saved(page, () => dialog.getByRole('button', { name: 'Save file' }).click());
  const { width, height, data, channels } = decode(bytes);
  expect([width, height]).toEqual([3840, 2160]);
  // Across the line at which two parts meet colours differ as little as beside it.
  const step = (x: number) => {
    let sum = 0;
    for (let y = 0; y < height; y++)
      sum += Math.abs(data[(y * width + x) * channels] - data[(y * width + x - 1) * channels]);
    return sum / height;
  };
  expect(step(2048)).toBeLessThan(2 * Math.max(step(2047), step(2049), 0.5));
  await page.getByRole('button', { name: 'Export' }).click();
  await page.getByRole('dialog', { name: 'Export' }).getByRole('radio', { name: /USDZ/ }).click();
  const usdz = await saved(page, () => page.getByRole('button', { name: 'Save file' }).click());
  expect(usdz.name).toBe('Saltgrass-Landing.usdz');
  // USDZ is a zip that is not packed, its first file the scene (OpenUSD, usdz file format).
  const [first] = Object.keys(unzipSync(usdz.bytes));
  expect(first).toMatch(/\.usda?$/);
});

test('a sequence that lost its page goes on where it stopped', async ({ page }) => {
  const dialog = await openExport(page, 'Pictures', '48'); // so many frames that one is looked at before the last is made
  await dialog.getByRole('radio', { name: 'A picture a frame, zipped' }).click();
  await choose(page, dialog, 'Pixels', '640 × 360');
  await dialog.getByRole('button', { name: 'Save file' }).click();
  await expect(dialog.getByText(/^([2-9]|1\d|2[0-4]) of 25 frames/)).toBeVisible();
  await page.reload();
  await settled(page);
  await page.getByRole('button', { name: 'Export' }).click();
  await expect(page.getByText(/A sequence was stopped: ([2-9]|1\d|2[0-4]) of 25 frames are there/)).toBeVisible();
  const { bytes } = await saved(page, () => page.getByRole('button', { name: 'Go on' }).click());
  const names = Array.from({ length: 25 }, (_, i) => `Saltgrass-Landing_${String(i + 1).padStart(4, '0')}.png`);
  expect(Object.keys(unzipSync(bytes))).toEqual(names);
  await page.getByRole('button', { name: 'Export' }).click();
  await expect(page.getByText(/A sequence was stopped/)).toBeHidden();
});
