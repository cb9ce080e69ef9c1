import { expect, openDemo, openEmpty, saved, settled, test } from './app';

test('a fence is one entry under Add: its courses unfold, are hidden, locked, copied and saved as tables', async ({
  page,
}) => {
  await openEmpty(page);
  await page.getByRole('button', { name: 'Add a run' }).click();
  await page.getByRole('button', { name: 'Fence', exact: true }).click();
  const view = (await page.getByRole('region', { name: 'Bent view' }).boundingBox())!;
  for (const [x, y] of [
    [0.3, 0.5],
    [0.5, 0.55],
    [0.7, 0.45],
  ] as const)
    // prettier-ignore
    await page.mouse.click(view.x + view.width * x, view.y + view.height * y);
  await page.keyboard.press('Enter');
  await settled(page);
  const course = (name: string) => page.getByRole('button', { name: `Course ${name} of Fence` });
  await expect(course('Posts')).toHaveText(/3$/);
  await course('Pickets').click();
  await page.getByRole('button', { name: /^3\s*Laying/ }).click();
  await expect(page.getByRole('radio', { name: /No opening wider than/ })).toBeChecked();
  // A locked course keeps its rule; unlocked it takes another.
  await course('Pickets').hover();
  await page.getByRole('button', { name: 'Lock Pickets' }).click();
  await page.getByRole('radio', { name: /Fill, evening the gaps/ }).click();
  await expect(page.getByRole('radio', { name: /No opening wider than/ })).toBeChecked();
  await page.getByRole('button', { name: 'Unlock Pickets' }).click();
  await page.getByRole('button', { name: 'Hide Pickets' }).click();
  await settled(page);
  await course('Upper rail').click({ button: 'right' });
  await page.getByRole('menuitem', { name: 'Duplicate' }).click();
  await expect(course('Upper rail')).toHaveCount(2);
  await page.getByRole('button', { name: 'Pieces and parts as tables' }).click();
  await page.getByRole('tab', { name: 'Parts of the project' }).click();
  await expect(page.getByRole('row', { name: /Posts Fence post 3/ })).toBeVisible();
  await expect(page.getByRole('row', { name: /Pickets/ })).toHaveCount(0);
  const { name, bytes } = await saved(page, () => page.getByRole('button', { name: 'Save as CSV' }).click());
  expect(name).toMatch(/-parts\.csv$/);
  expect(bytes.toString()).toMatch(/^run,course,segment,count,length,triangles\nFence,Posts,Fence post,3,/);
  await page.getByRole('button', { name: 'Close' }).click();
  await page.keyboard.press('Control+z');
  await expect(course('Upper rail')).toHaveCount(1);
});

test('a crawler belt says how many shoes close it, and closes by a wheel that moves; it is exported as instances', async ({
  page,
}) => {
  await openEmpty(page);
  await page.getByRole('button', { name: 'Add a run' }).click();
  await page.getByRole('button', { name: 'Crawler belt', exact: true }).click();
  await settled(page);
  await page.getByRole('button', { name: /^3\s*Laying/ }).click();
  await expect(page.getByText(/\d+ links fit, .* are left\. \d+ close when/)).toBeVisible();
  await page.getByRole('button', { name: /wheel 2 moves/ }).click();
  await expect(page.getByText(/\d+ links fit, and close\./)).toBeVisible();
  await expect(page.getByRole('button', { name: /Laying.*pinned, pitch 0\.17 m$/ })).toBeVisible();
  await page.getByRole('button', { name: 'Export' }).click();
  await page.getByLabel('Stiff pieces').click();
  await page.getByRole('option', { name: 'instances of one node' }).click();
  const { bytes } = await saved(page, () => page.getByRole('button', { name: 'Save file' }).click());
  expect(bytes.toString('latin1')).toContain('EXT_mesh_gpu_instancing');
});

test('a piece is hidden and stations are dragged in the straight view; numbers that cannot be are told at the field', async ({
  page,
}) => {
  await openDemo(page);
  const straight = page.getByRole('region', { name: 'Straight view' });
  await straight.locator('[data-piece="4"]').dblclick();
  await page.getByRole('switch', { name: 'Hidden' }).click();
  await page.keyboard.press('Escape');
  await expect(straight.locator('[data-piece="4"]')).toHaveAttribute('stroke-dasharray', '3 3');
  await page.keyboard.press('Control+z');
  await expect(straight.locator('[data-piece="4"]')).not.toHaveAttribute('stroke-dasharray', '3 3');
  await page.getByRole('button', { name: /^3\s*Laying/ }).click();
  await page.getByRole('radio', { name: /At stations/ }).click();
  await page.getByLabel('Stations').fill('20 m; 60 m');
  await page.keyboard.press('Enter');
  const handle = page.getByRole('slider', { name: 'Station 2' });
  await expect(handle).toHaveAttribute('aria-valuetext', '60.00 m');
  const at = (await handle.boundingBox())!;
  await page.mouse.move(at.x + at.width / 2, at.y + at.height / 2);
  await page.mouse.down();
  await page.mouse.move(at.x + 100, at.y + 4, { steps: 5 });
  await page.mouse.up();
  await expect(handle).not.toHaveAttribute('aria-valuetext', '60.00 m');
  await expect(page.getByRole('button', { name: /Laying.*2 laid/ })).toBeVisible();
  await page.getByRole('button', { name: /^Pattern/ }).click();
  await page.getByLabel('Pieces are').last().click();
  await page.getByRole('option', { name: 'mixed' }).click();
  await page.getByLabel('Weights of A, B, …').fill('0; 0');
  await expect(page.getByRole('alert').filter({ hasText: 'At least one weight is more than 0.' })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByText(/The pattern asks for segment B/).first()).toBeVisible();
});
