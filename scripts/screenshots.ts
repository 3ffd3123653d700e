import { chromium, type Page } from '@playwright/test';
import { CHROMIUM } from '../tests/chromium';

/**
 * Takes the README's pictures from a server with untouched demo data:
 * `BASE_URL=http://localhost:3000 npx tsx scripts/screenshots.ts`. The rig that is wound for a picture is
 * emptied again.
 */
const BASE_URL = process.env.BASE_URL ?? 'http://localhost:3000';
const FOLDER = new URL('../docs/screenshots', import.meta.url).pathname;
const BENCH = { width: 1280, height: 800 };
const PHONE = { width: 390, height: 844 };

const browser = await chromium.launch(CHROMIUM);
const page = await browser.newPage({ baseURL: BASE_URL, viewport: BENCH });

async function shot(name: string, view: Page = page): Promise<void> {
  // Drawings follow the measured width one frame after the page stands.
  await view.waitForTimeout(500);
  await view.screenshot({ path: `${FOLDER}/${name}.png` });
}

async function openRig(boat: string, rig: string, station?: string): Promise<void> {
  await page.goto('/');
  await page.getByRole('main').getByRole('link', { name: boat }).click();
  await page.getByRole('link', { name: rig, exact: true }).click();
  await page.getByRole('heading', { level: 1, name: rig }).waitFor();
  if (!station) return;
  await page
    .getByRole('link', { name: new RegExp(`^(\\d\\. )?${station}`) })
    .first()
    .click();
  await page.waitForURL(new RegExp(`/${station.toLowerCase()}$`));
}

/** Puts the cursor at a share of the ribbon's length. */
async function hover(share: number): Promise<void> {
  await page.evaluate(() => window.scrollTo(0, 0));
  const box = await page.getByRole('slider', { name: /^Cursor along/ }).boundingBox();
  if (box) await page.mouse.move(box.x + box.width * share, box.y + 66);
}

await page.goto('/');
await page.getByRole('main').getByRole('link', { name: 'Halyard Lark' }).click();
await page.getByRole('heading', { name: /Locker of/ }).waitFor();
await shot('locker');
await page.getByRole('link', { name: 'Same length on every rod' }).click();
await page.getByRole('heading', { name: /^Same length on every rod/ }).waitFor();
await shot('fleet');
await page.goBack();
await page.getByRole('link', { name: 'What to measure next' }).click();
await page.getByRole('heading', { name: /^What to measure next on/ }).waitFor();
await shot('measure-next');
await page.goBack();
await page.getByRole('link', { name: 'Reels, lines, a new rig' }).click();
await page.getByRole('heading', { name: /Reels and lines of/ }).waitFor();
await shot('gear');
await page.goBack();
await page.getByRole('link', { name: 'Run sheets to print' }).click();
await page.getByRole('heading', { name: /^Run sheets of/ }).waitFor();
await shot('run-sheets');
await openRig('Halyard Lark', 'Five-colour rod, second from port');
await hover(0.33);
await shot('rig');
await openRig('Halyard Lark', 'Copper rod, port', 'Count');
await hover(0.45);
await shot('count');
await openRig('Halyard Lark', 'Copper rod, port', 'Strength');
await hover(0.2);
await shot('strength');
await openRig('Second Thought', 'Thirty-seven, starboard rigger', 'Drag');
await hover(0.6);
await shot('drag');
await openRig('Halyard Lark', 'Five-colour rod, second from port', 'Depth');
await page.getByRole('textbox', { name: 'How deep' }).fill('6');
await page.getByText('on the counter').waitFor();
await hover(0.42);
await shot('depth');
await openRig('Second Thought', 'Planer rod, bait', 'Drag');
await page.getByRole('button', { name: /^A planer/ }).click();
await page.getByText(/the creep stops at/).evaluate((element) => element.scrollIntoView({ block: 'center' }));
await shot('planer');
await openRig('Halyard Lark', 'Spare lead-core rod, on the bench', 'Load');
await shot('load-plan');
await page.getByRole('button', { name: 'Take it to the bench' }).click();
await page.getByRole('button', { name: 'Wind it on the virtual reel' }).click();
await page.getByRole('button', { name: 'Note this reading' }).click();
await page.getByRole('heading', { name: 'Wind on: Lead core, three colours' }).waitFor();
await shot('load-winding');
await page.getByRole('button', { name: 'Bench mode' }).click();
await page.getByRole('dialog').waitFor();
await page.keyboard.type('968');
await page.setViewportSize(PHONE);
await shot('bench-winding-phone');
await page.keyboard.press('Escape');
await page.setViewportSize(BENCH);
await page.getByRole('link', { name: 'History' }).click();
await page.getByRole('button', { name: 'Undo up to here' }).last().click();
await page.getByRole('alertdialog').waitFor();
await shot('history');
await page.getByRole('button', { name: 'Leave it as it is' }).click();
await page.getByRole('link', { name: /\d\. Load/ }).click();
await page.getByRole('button', { name: 'Call this winding off' }).click();
await page.getByRole('button', { name: 'Call it off' }).click();
await page.getByRole('button', { name: 'Take it to the bench' }).waitFor();
await openRig('Halyard Lark', 'Five-colour rod, second from port', 'Load');
await page.getByRole('link', { name: /\d\. Joins/ }).click();
await page.getByRole('button', { name: /^Upper braid to Leader/ }).click();
await page.getByRole('button', { name: /^What else would join/ }).click();
const guide = page.getByRole('region', { name: /^Tie: / });
for (const index of [0, 1, 2]) await guide.getByRole('checkbox').nth(index).check();
await guide.evaluate((element) => element.scrollIntoView({ block: 'start' }));
// A step is laid in under three seconds.
await page.waitForTimeout(3000);
await shot('joins');
await page.setViewportSize(PHONE);
await openRig('Halyard Lark', 'Five-colour rod, second from port');
await page.evaluate(() => window.scrollTo(0, 0));
await shot('rig-phone');
await openRig('Halyard Lark', 'Five-colour rod, second from port', 'Count');
await page.getByRole('link', { name: 'Card of this rod' }).click();
await page.getByRole('img', { name: /^Card of/ }).scrollIntoViewIfNeeded();
await shot('rod-card-phone');
await openRig('Halyard Lark', 'Copper rod, port', 'Strength');
await page.getByRole('button', { name: /^A session of pulls/ }).click();
await page.getByRole('button', { name: 'Plan this session and begin' }).click();
await page.getByRole('button', { name: /^Tare and pull/ }).click();
await page.getByText('broke at', { exact: true }).waitFor();
await page.getByText('Written down. Now pull.').waitFor({ state: 'hidden' });
await shot('strength-bench-phone');
await browser.close();
