import type { Page } from '@playwright/test';
import { zipSync } from 'fflate';
import { disc, expect, openDemo, openEmpty, settled, test } from './app';

/** A box of 2000 x 100 x 200 of its own units as ASCII STL, z up, its middle far off. */
function boxStl(): string {
  const corner = (i: number) => [i & 1 ? 2300 : 300, i & 2 ? 500 : 400, i & 4 ? 900 : 700].join(' ');
  const faces = ['0 2 3 1', '4 5 7 6', '0 1 5 4', '2 6 7 3', '0 4 6 2', '1 3 7 5'].map((f) => f.split(' ').map(Number));
  const facets = faces.flatMap(([a, b, c, d]) => [
    [a, b, c],
    [a, c, d],
  ]);
  return `solid box\n${facets.map((f) => `facet normal 0 0 0\nouter loop\n${f.map((i) => `vertex ${corner(i)}`).join('\n')}\nendloop\nendfacet`).join('\n')}\nendsolid`;
}

const run = (page: Page, name: string) =>
  page.getByRole('navigation', { name: 'Runs' }).getByRole('button', { name: new RegExp(`^${name}`) });

test('a rope shows what it works out, says when strands do not fit, and nothing is lost', async ({ page }) => {
  await openDemo(page, 'landing');
  await run(page, 'Mooring line').click();
  await page.getByRole('button', { name: /^1\s*Segment/ }).click();
  await expect(page.getByText(/Strand size 45 mm · Helix radius 2[67]\.\d+ mm · Lay length 0.32 m/)).toBeVisible();
  await page.getByLabel('Strands', { exact: true }).fill('4');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/Helix radius 3\d\.\d+ mm/)).toBeVisible();
  await page.getByLabel('Lay length', { exact: true }).fill('100 mm');
  await page.keyboard.press('Enter');
  const findings = page.getByRole('region', { name: 'Findings' });
  await expect(
    findings.getByText(/Strands this thick do not fit into a lay length of 0.1 m: it must be more than 0.18 m/),
  ).toBeVisible();
  await expect(page.getByRole('button', { name: /^1 Segment Strands this thick do not fit/ })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText(/Helix radius 3\d\.\d+ mm/)).toBeVisible();
});

test('an outline is drawn: corners by pointer, key and number, and the run follows', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('button', { name: 'Add a run' }).click();
  await page.getByRole('combobox', { name: 'Path' }).click();
  await page.getByRole('option', { name: 'same path as Causeway' }).click();
  await page.getByRole('button', { name: 'Own cross-section' }).click();
  await settled(page);
  await page.getByRole('button', { name: 'Draw the cross-section' }).click();
  const dialog = page.getByRole('dialog', { name: 'Cross-section' });
  const corner = dialog.getByRole('button', { name: 'Corner 4' });
  const box = (await corner.boundingBox())!;
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2 + 20, box.y + box.height / 2 + 30, { steps: 4 });
  await page.mouse.up();
  await expect(dialog.getByText(/0\.7[4-9] m wide/)).toBeVisible();
  await corner.focus();
  const up = dialog.getByLabel('Up', { exact: true });
  const before = await up.inputValue();
  await page.keyboard.press('ArrowDown');
  await expect(up).not.toHaveValue(before);
  await up.fill('-30 cm');
  await page.keyboard.press('Enter');
  await expect(dialog.getByText('0.42 m high')).toBeVisible();
  await expect(dialog.getByRole('button', { name: /^Corner \d/ })).toHaveCount(4);
  await dialog.getByRole('button', { name: 'Take the corner away' }).click();
  await expect(dialog.getByRole('button', { name: /^Corner \d/ })).toHaveCount(3);
  await dialog.getByRole('button', { name: 'Done' }).click();
  await expect(page.getByText(/80 mm high \(U \+y\), 0.72 m wide/)).toBeVisible();
});

test('a hose becomes a profile to draw, faces of it are painted stiff, and its pieces vary', async ({ page }) => {
  test.slow();
  await openEmpty(page);
  await page.getByRole('button', { name: 'Add a run' }).click();
  await page.getByRole('button', { name: 'Ribbed hose' }).click();
  await page.mouse.click(600, 400);
  await page.mouse.click(700, 400);
  await page.keyboard.press('Enter');
  await settled(page);
  await page.getByRole('button', { name: /^1\s*Segment/ }).click();
  await page.getByRole('button', { name: 'Turn into a profile to draw' }).click();
  const profile = page.getByRole('dialog', { name: 'Turned profile' });
  await expect(profile.getByRole('button', { name: /^Corner \d/ })).toHaveCount(50); // 24 ribs of two, and both ends
  await profile.getByRole('button', { name: 'Corner 1', exact: true }).focus();
  await profile.getByLabel('Radius', { exact: true }).fill('-2 m');
  await page.keyboard.press('Escape');
  await profile.getByLabel('Radius', { exact: true }).fill('0.2 m');
  await page.keyboard.press('Enter');
  await expect(profile.getByText('0.40 m thick')).toBeVisible();
  await profile.getByRole('button', { name: 'Done' }).click();
  await settled(page);

  await page.getByRole('button', { name: 'Prepare the segment' }).click();
  const preparing = page.getByRole('dialog', { name: /^Prepare/ });
  await expect(preparing.getByText('1.00 m long')).toBeVisible();
  await preparing.getByRole('tab', { name: 'Stiff and ends' }).click();
  await preparing.getByRole('button', { name: 'Pick faces that stay stiff' }).click();
  const box = (await preparing.getByRole('region', { name: 'The segment, straight' }).boundingBox())!;
  const middle = [box.x + box.width / 2, box.y + box.height / 2] as const;
  await page.mouse.move(...middle);
  await page.mouse.down();
  await page.mouse.move(middle[0] + 70, middle[1] + 16, { steps: 4 });
  await page.mouse.up();
  await expect(preparing.getByLabel('from', { exact: true })).toHaveCount(1);
  const length = async (label: string) =>
    Number.parseFloat(await preparing.getByLabel(label, { exact: true }).inputValue());
  expect((await length('to')) - (await length('from'))).toBeGreaterThan(0.05);
  await preparing.getByRole('button', { name: 'Done' }).click();
  await page.getByRole('button', { name: 'Undo' }).click(); // the whole drag is one step
  await page.getByRole('button', { name: 'Prepare the segment' }).click();
  await preparing.getByRole('tab', { name: 'Stiff and ends' }).click();
  await expect(preparing.getByLabel('from', { exact: true })).toHaveCount(0);
  await preparing.getByRole('button', { name: 'Done' }).click();

  await page.getByRole('button', { name: /^3\s*Laying/ }).click();
  await page.getByRole('button', { name: /^Variation/ }).click();
  await expect(page.getByLabel('Seed of the variation')).toHaveCount(0);
  await page.getByLabel('Vary brightness by up to').fill('30 %');
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Seed of the variation')).toHaveValue('1');
  await settled(page);
});

test('a mesh in millimetres is brought, asked about, turned, sized and cleaned', async ({ page }) => {
  await openEmpty(page);
  const file = { name: 'bar.stl', mimeType: 'model/stl', buffer: Buffer.from(boxStl()) };
  await page.getByLabel('Bring a mesh (GLB, OBJ, STL, PLY)', { exact: true }).last().setInputFiles(file);
  await expect(page.getByText('Click for the next point')).toBeVisible();
  for (const [x, y] of [
    [500, 400],
    [900, 400],
  ] as const)
    await page.mouse.click(x, y);
  await page.keyboard.press('Enter');
  await settled(page);
  await page.getByRole('button', { name: /^1\s*Segment/ }).click();
  await page.getByRole('button', { name: 'Prepare the segment' }).click();
  const dialog = page.getByRole('dialog', { name: 'Prepare bar' });
  // 2,000 of a file that names no unit are most likely millimetres; it may be said otherwise.
  await expect(dialog.getByText('2.00 m long')).toBeVisible();
  for (const [unit, long] of [
    ['centimetres', '20.00 m long'],
    ['millimetres', '2.00 m long'],
  ] as const) {
    // prettier-ignore
    await dialog.getByRole('combobox', { name: 'The file is in' }).click();
    await page.getByRole('option', { name: unit }).click();
    await expect(dialog.getByText(long)).toBeVisible();
  }
  await expect(dialog.getByText('2.00 m long')).toBeVisible();
  await expect(dialog.getByText(/^(0.10 m|100 mm) high/)).toBeVisible();
  await dialog.getByRole('button', { name: 'Roll by 90°' }).click();
  await expect(dialog.getByText(/^(0.20 m|200 mm) high/)).toBeVisible();
  await dialog.getByRole('combobox', { name: 'On the path' }).click();
  await page.getByRole('option', { name: 'standing on it' }).click();
  await dialog.getByRole('combobox', { name: 'Size' }).click();
  await page.getByRole('option', { name: 'to a length' }).click();
  await dialog.getByLabel('Its length').fill('1 m');
  await page.keyboard.press('Enter');
  await expect(dialog.getByText('1.00 m long')).toBeVisible();
  await dialog.getByRole('tab', { name: 'Clean' }).click();
  await expect(dialog.getByRole('row', { name: /^Vertices 36 24$/ })).toBeVisible();
  await dialog.getByLabel('Triangles to keep').fill('50 %');
  await page.keyboard.press('Enter');
  await expect(dialog.getByRole('row', { name: /^Triangles 12/ })).toBeVisible();
  await dialog.getByRole('combobox', { name: 'Smooth subdivision' }).click();
  await page.getByRole('option', { name: 'twice' }).click();
  await expect(dialog.getByRole('row', { name: /^Triangles 12 192$/ })).toBeVisible();
  await dialog.getByRole('button', { name: 'Done' }).click();
  await settled(page);
  await expect(page.getByRole('button', { name: /^1\s*Segment.*bar, [01]\.\d+ m/ })).toBeVisible();
});

test('a hostile file is told, and the project stays as it was', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('button', { name: /^1\s*Segment/ }).click();
  const bring = page.getByLabel('Bring a mesh (GLB, OBJ, STL, PLY)', { exact: true }).last();
  const lies = 'ply\nformat binary_little_endian 1.0\nelement vertex 4000000000\nproperty float x\nend_header\n';
  await bring.setInputFiles({ name: 'scan.ply', mimeType: 'model/ply', buffer: Buffer.from(lies) });
  await expect(page.getByText(/scan.ply says that it holds 4,000,000,000 vertex entries/)).toBeVisible();
  const zip = Buffer.from(zipSync({ 'a.txt': new Uint8Array(9) }));
  await bring.setInputFiles({ name: 'scan.zip', mimeType: 'application/zip', buffer: zip });
  await expect(page.getByText(/scan.zip is not a mesh file that Rattan reads/)).toBeVisible();
  await expect(page.getByRole('button', { name: /Laying.*32 laid/ })).toBeVisible();
  await expect(disc(page, 1)).toBeVisible();
});
