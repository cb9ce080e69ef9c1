import { readFileSync } from 'node:fs';
import validator from 'gltf-validator';
import { expect, openDemo, openEmpty, saved, settled, test } from './app';

const OBJ =
  'v 0 0 0\nv 3 0 0\nv 3 0 -0.5\nv 0 0 -0.5\nv 0 0.2 0\nv 3 0.2 0\nv 3 0.2 -0.5\nv 0 0.2 -0.5\nf 4 3 2 1\nf 5 6 7 8\nf 1 2 6 5\nf 2 3 7 6\nf 3 4 8 7\nf 4 1 5 8\n';

test('exports a GLB that the Khronos validator passes, an OBJ with materials, an STL', async ({ page }) => {
  await openDemo(page);
  const take = async (label: string) => {
    await page.getByRole('button', { name: 'Export' }).click();
    await page.getByRole('radio', { name: label }).click();
    const file = await saved(page, () => page.getByRole('button', { name: 'Save file' }).click());
    await expect(page.getByRole('dialog')).toHaveCount(0);
    return file;
  };
  const glb = await take('GLB');
  expect(glb.name).toBe('Saltgrass-Landing.glb');
  const { issues } = await validator.validateBytes(new Uint8Array(glb.bytes), { maxIssues: 0 });
  expect([issues.numErrors, issues.numWarnings]).toEqual([0, 0]);
  const obj = await take('OBJ');
  expect(obj.name).toBe('Saltgrass-Landing.zip');
  expect(obj.bytes.subarray(0, 2).toString()).toBe('PK');
  const stl = await take('STL');
  expect(stl.bytes.readUInt32LE(80) * 50 + 84).toBe(stl.bytes.length);
});

test('a brought mesh is laid on a drawn path; one that lies far off is found and put right', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('button', { name: /^1\s*Segment/ }).click();
  const far = OBJ.replace(/^v (\S+) (\S+) (\S+)$/gm, (_, x, y, z) => `v ${x} ${Number(y) + 30} ${z}`);
  await page
    .getByLabel('Bring a mesh (GLB, OBJ, STL, PLY)')
    .last()
    .setInputFiles({ name: 'beam.obj', mimeType: 'model/obj', buffer: Buffer.from(far) });
  // A file that was brought is prepared first.
  const preparing = page.getByRole('dialog', { name: 'Prepare beam' });
  await expect(preparing.getByText('3.00 m long')).toBeVisible();
  await preparing.getByRole('button', { name: 'Done' }).click();
  await expect(page.getByRole('button', { name: /Segment.*beam, 3.00 m/ })).toBeVisible();
  await expect(page.getByText('The mesh lies beside its own middle')).toBeVisible();
  await page.getByRole('button', { name: 'Put its middle on the path' }).click();
  await expect(page.getByText('The mesh lies beside its own middle')).toHaveCount(0);
  await expect(page.getByText(/3.00 m long \(F \+x\), 0.20 m high \(U \+y\)/)).toBeVisible();
  await page.reload();
  await expect(page.getByRole('button', { name: /Segment.*beam, 3.00 m/ })).toBeVisible();
  await settled(page);
});

test('a damaged mesh says what is wrong and where, and changes nothing', async ({ page }) => {
  await openEmpty(page);
  const bring = page.getByLabel('Bring a mesh (GLB, OBJ, STL, PLY)').last();
  await bring.setInputFiles({ name: 'bad.obj', mimeType: 'model/obj', buffer: Buffer.from(OBJ + 'f 1 2 99\n') });
  await expect(page.getByText(/face in line 15 names 99/)).toBeVisible();
  await bring.setInputFiles({
    name: 'cut.glb',
    mimeType: 'model/gltf-binary',
    buffer: Buffer.from('676c5446020000000001000000000000000000', 'hex'),
  });
  await expect(page.getByText(/cut.glb is cut off/)).toBeVisible();
  await expect(page.getByText('Lay something along a path')).toBeVisible();
});

test('a project is downloaded and opened again; a foreign or damaged file leaves the open one alone', async ({
  page,
}) => {
  await openDemo(page);
  await page.getByRole('button', { name: 'Saltgrass Landing' }).click();
  const file = await saved(page, () => page.getByRole('button', { name: 'Download Saltgrass Landing' }).click());
  expect(file.name).toBe('Saltgrass-Landing.json');
  expect(JSON.parse(file.bytes.toString()).project.name).toBe('Saltgrass Landing');
  const open = page.getByLabel('Open a project file');
  await open.setInputFiles({ name: 'other.json', mimeType: 'application/json', buffer: Buffer.from('{"hello": 1}') });
  await expect(page.getByText(/other.json: This is not a Rattan project file/)).toBeVisible();
  const wrong = file.bytes.toString().replace('"gauge": 1', '"gauge": 0');
  await open.setInputFiles({ name: 'wrong.json', mimeType: 'application/json', buffer: Buffer.from(wrong) });
  await expect(page.getByText(/The value at project.runs.0.shape.gauge is wrong/)).toBeVisible();
  const renamed = file.bytes.toString().replace('"name": "Saltgrass Landing"', '"name": "Second Landing"');
  await open.setInputFiles({ name: 'second.json', mimeType: 'application/json', buffer: Buffer.from(renamed) });
  await expect(page.getByRole('button', { name: 'Second Landing' })).toBeVisible();
});

test('a long bake shows how far it is and can be stopped; nothing is lost', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('button', { name: 'Causeway' }).first().hover();
  await page.getByRole('button', { name: 'Hide Causeway' }).click();
  await page.getByRole('button', { name: /^1\s*Segment/ }).click();
  await page.getByRole('combobox', { name: 'Segment' }).click();
  await page.getByRole('option', { name: 'Round hose' }).click();
  for (const [label, value] of [
    ['Sides', '512'],
    ['Length', '0.05 m'],
  ] as const) {
    await page.getByLabel(label, { exact: true }).fill(value);
    await page.getByLabel(label, { exact: true }).press('Enter');
  }
  await page.getByRole('button', { name: 'Export' }).click();
  await page.getByRole('radio', { name: 'OBJ' }).click();
  await page.getByRole('combobox', { name: 'Runs' }).click();
  await page.getByRole('option', { name: 'only Causeway' }).click();
  await page.getByRole('button', { name: 'Save file' }).click();
  await expect(page.getByText(/^Baking \d+ %$/)).toBeVisible();
  await page.getByRole('button', { name: 'Stop' }).click();
  await expect(page.getByText(/^Baking/)).toHaveCount(0);
  await page.getByRole('button', { name: 'Cancel' }).click();
  for (let i = 0; i < 4; i++) await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('button', { name: /Laying.*32 laid/ })).toBeVisible();
});

test('POST /api/bake answers with a file, and clearly when it cannot', async ({ request, page }) => {
  await openDemo(page);
  await page.getByRole('button', { name: 'Saltgrass Landing' }).click();
  const file = await saved(page, () => page.getByRole('button', { name: 'Download Saltgrass Landing' }).click());
  const good = await request.post('/api/bake?format=report&frames=3', {
    data: file.bytes,
    headers: { 'content-type': 'application/json' },
  });
  expect(good.status()).toBe(200);
  expect((await good.json()).runs[0].placements).toHaveLength(32);
  const bad = await request.post('/api/bake', {
    data: Buffer.from('{}'),
    headers: { 'content-type': 'application/json' },
  });
  expect(bad.status()).toBe(400);
  expect((await bad.json()).problems[0].message).toContain('not a Rattan project file');
  const schema = JSON.parse(readFileSync('docs/project-file.schema.json', 'utf8'));
  expect(Object.keys(JSON.parse(file.bytes.toString()))).toEqual(schema.required);
});
