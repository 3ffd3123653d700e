import { expect, test, type Page } from './ownDemo';
import { STATIONS } from '../../core/record/stations';
import { openRig } from './paths';

// As a page opens for somebody who comes for the first time.
test.use({ storageState: { cookies: [], origins: [] } });

/** Screens that a station page may be long, and the most figures that stand on it when it opens. */
const SCREENS = { desk: 1.6, phone: 3 } as const;
const FIGURES = 25;

/** Rods with a counter, without one, and with a drag that is not set yet. */
const RIGS = [
  ['Halyard Lark', 'Copper rod, port'],
  ['Second Thought', 'Sixty, port rigger'],
  ['Second Thought', 'Twenty-four, centre line'],
] as const;

/** Figures in words outside of drawings, whose rulers and ticks do not count; the numbers of the stations are none. */
function figuresOn(page: Page): Promise<number> {
  return page.evaluate(() => {
    const texts = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    let figures = 0;
    while (texts.nextNode()) {
      const element = texts.currentNode.parentElement;
      if (!element || element.closest('svg, script, style, option, nav, [aria-hidden=true]')) continue;
      const { width, height } = element.getBoundingClientRect();
      // What is folded away has a size, and is not seen.
      if (width > 1 && height > 1 && element.checkVisibility())
        figures += texts.currentNode.textContent?.match(/(?<![A-Za-z\d])\d[\d.,]*/g)?.length ?? 0;
    }
    return figures;
  });
}

const SIZES = { desk: { width: 1280, height: 800 }, phone: { width: 390, height: 844 } } as const;

/** Holds what stands open against the budgets of a size. */
async function heldTo(page: Page, where: keyof typeof SIZES, here: string): Promise<void> {
  const screens = await page.evaluate(() => document.documentElement.scrollHeight / window.innerHeight);
  expect.soft(screens, `${here}, ${where}: screens`).toBeLessThanOrEqual(SCREENS[where] + 0.005);
  expect.soft(await figuresOn(page), `${here}, ${where}: figures`).toBeLessThanOrEqual(FIGURES);
  const wide = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
  expect.soft(wide, `${here}, ${where}: wider than the screen`).toBeLessThanOrEqual(0);
}

for (const where of ['desk', 'phone'] as const) {
  test(`at the ${where} each station opens with its answer and next act, and is no longer than it may be`, async ({
    page,
  }) => {
    test.setTimeout(300_000);
    await page.setViewportSize(SIZES[where]);
    for (const [boat, rig] of RIGS) {
      await openRig(page, boat, rig);
      const path = page.url();
      for (const { id } of STATIONS) {
        const here = `${rig}, ${id}`;
        await page.goto(`${path}/${id}`);
        const main = page.locator('#main');
        // The first card answers, and its first main act is in sight without scrolling.
        await main.getByRole('heading', { level: 2 }).first().waitFor();
        await expect(page.getByText(/Weighing what to measure|Working it out/)).toHaveCount(0);
        const first = main.locator('section').first();
        const act = first.getByRole('button').or(first.getByRole('link')).first();
        await expect(act, `${here}: next act`).toBeInViewport();
        await heldTo(page, where, here);
      }
    }
  });
}

test('a scale session beside a drag that is set, and a load planned anew, keep to the same', async ({ page }) => {
  await openRig(page, 'Halyard Lark', 'Copper rod, port');
  const rig = page.url();
  await page.goto(`${rig}/drag`);
  await page.getByRole('button', { name: /^Target/ }).click();
  await page.getByRole('button', { name: 'Begin, it is warm already' }).click();
  const session = page.getByRole('region', { name: 'Scale session' });
  // Many more than are judged, as of somebody who turns and pulls until it stands.
  for (let pull = 1; pull <= 7; pull += 1) {
    await session.getByLabel('Moving pull').fill(`1.${pull}`);
    await session.getByRole('button', { name: 'Record this pull' }).click();
    await expect(session.locator('tbody tr')).toHaveCount(pull);
  }
  await page.reload();
  await expect(session.getByText('Earlier pulls (3)')).toBeVisible();
  for (const where of ['desk', 'phone'] as const) {
    await page.setViewportSize(SIZES[where]);
    await heldTo(page, where, 'session');
  }
  await session.getByRole('button', { name: 'Call this session off' }).click();
  await expect(session).toHaveCount(0);
  await page.goto(`${rig}/load`);
  await page.getByRole('button', { name: 'Plan a new load' }).click();
  await expect(page.getByText(/Weighing what to measure|Working it out/)).toHaveCount(0);
  for (const where of ['desk', 'phone'] as const) {
    await page.setViewportSize(SIZES[where]);
    await heldTo(page, where, 'planned anew');
  }
});

test('a fold is remembered, and opens by its address', async ({ page }) => {
  await openRig(page, 'Halyard Lark', 'Five-colour rod, second from port');
  const rig = page.url();
  await page.goto(`${rig}/count`);
  const fold = page.getByRole('button', { name: /^What it rests on/ });
  await expect(fold).toHaveAttribute('aria-expanded', 'false');
  await fold.click();
  await expect(page).toHaveURL(/#rests-on$/);
  await page.goto(`${rig}/strength`);
  await page.goto(`${rig}/count`);
  await expect(fold).toHaveAttribute('aria-expanded', 'true');
  await page.goto(`${rig}/count#table`);
  await expect(page.getByRole('button', { name: /^The whole table/ })).toHaveAttribute('aria-expanded', 'true');
});

test('depth: from no word of how it is towed to a depth that was seen, the reading to stop at, and back', async ({
  page,
}) => {
  await openRig(page, 'Halyard Lark', 'Copper rod, port');
  await page.goto(`${page.url()}/depth`);
  const answer = page.getByRole('region', { name: /^How deep it swims|^Where to stop/ });
  await expect(answer.getByText(/No depth was seen with it yet/)).toBeVisible();
  await page.getByRole('textbox', { name: 'How deep' }).fill('9');
  await expect(answer.getByText('on the counter')).toBeVisible();
  const before = await answer.getByText(/There it swims/).textContent();
  await answer.getByRole('button', { name: 'Note a depth that you see' }).click();
  await answer.getByRole('textbox', { name: 'Counter shows' }).fill('45');
  await answer.getByRole('textbox', { name: 'How deep there' }).fill('7');
  await answer.getByRole('button', { name: 'Note it' }).click();
  await expect(answer.getByText(/Tuned to 1 depth that was seen/)).toBeVisible();
  await expect(answer.getByText(/There it swims/)).not.toHaveText(before ?? '');
  await page.getByRole('button', { name: /^The water log/ }).click();
  await page.getByRole('button', { name: 'Take it back' }).click();
  await page.getByRole('button', { name: 'Yes' }).click();
  await expect(answer.getByText(/No depth was seen with it yet/)).toBeVisible();
});
