// Takes the pictures in docs/screenshots from the demo data. The app must be running: npm run demo, then npm run pictures [address] [names].
import { chromium, type Page } from '@playwright/test';
import config from '../playwright.config';

const address = process.argv[2] ?? 'http://localhost:3000';
const { executablePath, args } = config.use!.launchOptions!;
const browser = await chromium.launch({ executablePath: executablePath!, args: args! });

const HARBOUR = Buffer.from(
  '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 1200 800"><path id="Quay edge" d="M50 700C200 700 300 500 420 420S700 300 760 200L1100 120"/>' +
    '<path id="Ramp" d="M420 420a200 140 20 0 1 250 260h200"/><circle id="Turning circle" cx="900" cy="600" r="120"/></svg>',
);

/** Those that were asked for by name; none = all. */
const wanted = process.argv.slice(3);

async function picture(name: string, arrange: (page: Page) => Promise<void>): Promise<void> {
  if (wanted.length > 0 && !wanted.includes(name)) return;
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(`${address}/?sample`);
  await page.getByRole('button', { name: /Laying.*32 laid/ }).waitFor();
  await page.waitForTimeout(4000);
  await arrange(page);
  await page.waitForTimeout(3000);
  await page.screenshot({ path: `docs/screenshots/${name}.png` });
  await page.close();
}

const choose = async (page: Page, run: string) => {
  const row = page.getByRole('navigation', { name: 'Runs' }).getByRole('button', { name: new RegExp(`^${run}`) });
  await row.first().click();
  await page.getByRole('button', { name: 'Frame this run' }).click();
  await page.getByRole('button', { name: /^1\s*Segment/ }).click();
  await page.mouse.move(700, 560);
};
await picture('screen', async (page) => {
  await page.getByRole('button', { name: /^3\s*Laying/ }).click();
  await page.getByRole('button', { name: /^Point 6/ }).focus();
  await page.mouse.move(400, 560);
});
await picture('straight-view', async (page) => {
  await choose(page, 'Mooring line');
  const lane = (await page.locator('[data-lane="gauge"] > rect').first().boundingBox())!;
  const edge = (await page.getByRole('separator').last().boundingBox())!;
  await page.mouse.move(700, edge.y);
  await page.mouse.down();
  await page.mouse.move(700, edge.y - 60, { steps: 4 });
  await page.mouse.up();
  await page.mouse.move(lane.x + 40, lane.y);
  for (let i = 0; i < 2; i++) await page.mouse.wheel(0, -300);
  await page
    .getByRole('slider', { name: /^Key of Gauge at/ })
    .nth(1)
    .click();
});
await picture('export', async (page) => {
  await page
    .getByRole('navigation', { name: 'Runs' })
    .getByRole('button', { name: /^Honeysuckle/ })
    .click();
  await page.getByRole('button', { name: 'Export' }).click();
  await page.getByRole('tab', { name: 'Mesh that moves' }).click();
  await page.getByRole('combobox', { name: 'Runs' }).click();
  await page.getByRole('option', { name: 'only Honeysuckle' }).click();
  await page.getByRole('button', { name: 'Work it out' }).click();
  await page.getByText(/Off by up to/).waitFor({ timeout: 60_000 });
});
await picture('shelf', async (page) => {
  await page.getByRole('button', { name: 'Saltgrass Landing' }).click();
  await page.waitForTimeout(15_000); // until its pictures are made
});
await picture('dark', async (page) => {
  await page.getByRole('button', { name: 'Dark theme' }).click();
  await page.mouse.move(400, 560);
});
const prepare = async (page: Page, tab: string) => {
  await page.getByRole('button', { name: 'Prepare the segment' }).click();
  await page.getByRole('tab', { name: tab }).click();
  await page.waitForTimeout(4000);
};
await picture('section', async (page) => {
  await page.getByRole('button', { name: 'Add a run' }).click();
  await page.getByRole('combobox', { name: 'Path' }).click();
  await page.getByRole('option', { name: 'same path as Causeway' }).click();
  await page.getByRole('button', { name: 'Own cross-section' }).click();
  await page.getByRole('button', { name: 'Draw the cross-section' }).click();
  await page.getByRole('button', { name: 'Corner 2' }).focus();
});
await picture('rope', async (page) => {
  await choose(page, 'Mooring line');
  await page.mouse.move(760, 450);
  for (let i = 0; i < 6; i++) await page.mouse.wheel(0, -100);
});
await picture('prepare', async (page) => {
  await choose(page, 'Driftwood');
  await prepare(page, 'Orientation and size');
});
await picture('above', async (page) => {
  await page.getByRole('button', { name: /^Looking:/ }).click();
  await page.getByRole('button', { name: 'Above', exact: true }).click();
  await page.getByRole('button', { name: 'Frame this run' }).click();
  await page.waitForTimeout(1500);
  const at = async (point: number) => {
    const box = (await page.getByRole('button', { name: new RegExp(`^Point ${point}( |$)`) }).boundingBox())!;
    return { x: box.x + box.width / 2, y: box.y + box.height / 2 };
  };
  const [from, to] = [await at(3), await at(5)];
  await page.getByRole('button', { name: 'Freehand' }).click();
  await page.mouse.move(from.x, from.y);
  await page.mouse.down();
  for (let i = 1; i <= 24; i++)
    await page.mouse.move(
      from.x + ((to.x - from.x) * i) / 24,
      from.y + ((to.y - from.y) * i) / 24 + 60 * Math.sin((Math.PI * i) / 24),
    );
});
await picture('ring', async (page) => {
  await choose(page, 'Driftwood');
  await page.getByRole('button', { name: 'Ring', exact: true }).click();
  const grip = (await page.getByRole('button', { name: /^Gauge \d/ }).boundingBox())!;
  await page.mouse.move(grip.x + 6, grip.y + 6);
  await page.mouse.down();
  await page.mouse.move(grip.x + 6, grip.y - 14, { steps: 4 });
  await page.mouse.up();
});
await picture('dressing', async (page) => {
  await choose(page, 'Driftwood');
  await page.getByRole('button', { name: /^6\s*Dressing/ }).click();
  await page.getByRole('button', { name: /^Moss on the log/ }).click();
  await page.mouse.move(700, 600);
});
await picture('compare', async (page) => {
  await page.getByRole('button', { name: 'Hold this state to compare' }).click();
  await page.getByRole('button', { name: /^4\s*Bending/ }).click();
  await page.getByLabel('No steeper than').fill('14°');
  await page.keyboard.press('Enter');
  await page.getByLabel('For a speed of').fill('14 m/s');
  await page.keyboard.press('Enter');
  await page.getByLabel('For a speed of').scrollIntoViewIfNeeded();
});
await picture('bring-path', async (page) => {
  await page.getByRole('button', { name: 'More', exact: true }).click();
  await page.getByRole('menuitem', { name: /^Bring a path/ }).click();
  await page
    .getByLabel('File with paths')
    .setInputFiles({ name: 'harbour.svg', mimeType: 'image/svg+xml', buffer: HARBOUR });
});
const course = async (page: Page, run: string, name: string) => {
  await choose(page, run);
  await page.getByRole('button', { name: `Course ${name} of ${run}` }).click();
  await page.getByRole('button', { name: /^3\s*Laying/ }).click();
};
await picture('stair', async (page) => {
  await course(page, 'Beacon stair', 'Treads');
  await page.getByText(/risers of/).scrollIntoViewIfNeeded();
});
const goTo = async (page: Page, frames: number) => {
  await page.getByRole('slider', { name: 'Time' }).focus();
  await page.keyboard.press('Home');
  for (let frame = 0; frame < frames; frame++) await page.keyboard.press('ArrowRight');
};
await picture('motion', async (page) => {
  await choose(page, 'Honeysuckle');
  await page.getByRole('button', { name: /^5\s*Motion/ }).click();
  await goTo(page, 58); // 40 % of its six seconds
  await page.getByRole('button', { name: 'Only the result' }).click();
});
const look = async (page: Page, camera: string) => {
  await page.getByRole('button', { name: /^Looking:/ }).click();
  await page.getByRole('button', { name: `Look from ${camera}` }).click();
  await page.mouse.move(700, 640);
};
await picture('keys', async (page) => {
  await choose(page, 'Lamp cord');
  await page.getByRole('group', { name: 'The straight view shows' }).getByRole('button', { name: 'Time' }).click();
  await goTo(page, 24);
  await page.getByRole('slider', { name: 'Key of Point 4 at 1.00 s' }).click();
  await page.getByRole('button', { name: /^Then/ }).click();
  await page.getByRole('radio', { name: 'Own curve' }).click();
});
await picture('landing', async (page) => {
  await look(page, 'The landing stage');
  await page.getByRole('button', { name: 'Only the result' }).click();
  await page.mouse.move(700, 640);
});
await picture('lines', async (page) => {
  await page.getByRole('button', { name: /^Picture:/ }).click();
  await page.getByRole('button', { name: 'Lines' }).click();
  await page.keyboard.press('Escape');
  await look(page, 'Beacon');
});
await picture('add', async (page) => {
  await page.getByRole('button', { name: 'Add a run' }).click();
  await page.waitForTimeout(6000);
});
await browser.close();
