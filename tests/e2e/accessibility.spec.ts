import AxeBuilder from '@axe-core/playwright';
import { expect, test, type Page } from './ownDemo';
import { openLocker, openRig, openStation, type StationName } from './paths';

const STATIONS: readonly StationName[] = ['Load', 'Joins', 'Count', 'Strength', 'Drag', 'Depth'];

/** What is folded away at a station, and looked through too. */
const FOLDS: Partial<Record<StationName, readonly RegExp[]>> = {
  Load: [/^How this reel is known/],
  Joins: [/^What else would join/, /^Pulled to the break/, /^Cadence of/],
  Strength: [/^A session of pulls/, /^Families of lines/, /^Joins by their schools/, /^Labels and classes/],
  Drag: [/^A sudden surge/, /^Rehearse a fight/, /^A planer/, /^History/],
};

const FIVE_COLOURS = ['Halyard Lark', 'Five-colour rod, second from port'] as const;
const THIRTY_SEVEN = ['Second Thought', 'Thirty-seven, starboard rigger'] as const;

/** Everything that axe finds, best practices too. */
async function problems(page: Page): Promise<string[]> {
  const { violations } = await new AxeBuilder({ page }).analyze();
  return violations.map(
    (violation) => `${violation.id}: ${violation.nodes.map((node) => node.target.join(' ')).join(', ')}`,
  );
}

/** Widths of a desk at 200 % and at 400 %. */
const ZOOMED = [640, 320] as const;
/** A wet thumb needs so much (px). */
const THUMB_PX = 44;

/** Controls that are lower than a thumb is; links within a sentence are read, not hit. */
function lowControls(page: Page): Promise<string[]> {
  return page.evaluate(
    (leastPx) =>
      [
        ...document.querySelectorAll(
          'a, button, select, summary, [role=slider], input:not([type=checkbox], [type=radio])',
        ),
      ]
        .filter((element) => {
          const { width, height } = element.getBoundingClientRect();
          const isRead = element.tagName === 'A' && getComputedStyle(element).display === 'inline';
          return width > 1 && height > 1 && height < leastPx - 0.5 && !isRead && !element.closest('.sr-only, svg');
        })
        .map((element) =>
          `${element.tagName} ${element.getAttribute('aria-label') ?? element.textContent}`.slice(0, 60),
        ),
    THUMB_PX,
  );
}

const overflow = (page: Page): Promise<number> =>
  page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);

for (const [name, options] of [
  ['a bench screen', { viewport: { width: 1280, height: 800 } }],
  ['a phone', { viewport: { width: 390, height: 844 } }],
  ['a bench screen by night', { viewport: { width: 1280, height: 800 }, colorScheme: 'dark' as const }],
] as const) {
  test.describe(`on ${name}`, () => {
    test.use(options);

    test('no view has an accessibility problem, is wider than the screen, or has what no thumb hits', async ({
      page,
    }) => {
      // Some twenty views, each looked through by axe: a time limit, not a measure.
      test.setTimeout(300_000);
      const check = async (view: string): Promise<void> => {
        await expect(page, `${view} has a title`).toHaveTitle(/\S/);
        expect(await problems(page), view).toEqual([]);
        expect(await overflow(page), `${view} is too wide`).toBeLessThanOrEqual(0);
        expect(await lowControls(page), `${view} has what no thumb hits`).toEqual([]);
        if (name === 'a phone') {
          for (const width of ZOOMED) {
            await page.setViewportSize({ ...options.viewport, width });
            // Drawings follow one frame later.
            await expect.poll(() => overflow(page), `${view} is too wide at ${width} px`).toBeLessThanOrEqual(0);
          }
          await page.setViewportSize(options.viewport);
        }
        const words = await page.locator('body').innerText();
        expect(words.match(/\[object |\bNaN\b|\bundefined\b/)?.[0], `${view} shows what is no word`).toBeUndefined();
      };
      await page.goto('/');
      await check('boats');
      await openLocker(page, 'Second Thought');
      await check('locker');
      await page.getByRole('link', { name: 'Same length on every rod' }).click();
      await page.getByRole('heading', { name: /^Same length on every rod/ }).waitFor();
      await check('fleet');
      await page.goBack();
      await page.getByRole('link', { name: 'Reels, lines, a new rig' }).click();
      await page.getByRole('heading', { name: /Reels and lines of/ }).waitFor();
      await check('reels and lines');
      await page.goBack();
      await page.getByRole('link', { name: 'Run sheets to print' }).click();
      await page.getByRole('heading', { name: /^Run sheets of/ }).waitFor();
      await check('run sheets');
      await page.goBack();
      await page.getByRole('link', { name: 'Quick drag' }).click();
      await page.getByRole('heading', { name: 'Quick drag' }).waitFor();
      await page.getByLabel('The line holds').fill('15');
      await check('quick drag');
      await page.goBack();
      await page.getByRole('link', { name: 'What to measure next' }).click();
      await page.getByRole('heading', { name: /^What to measure next on/ }).waitFor();
      await page.getByRole('button', { name: /^How long measurements take you/ }).click();
      await check('what to measure next');
      await page.getByRole('link', { name: 'Measure it' }).first().click();
      await page.getByRole('dialog').getByRole('listitem').first().waitFor();
      await check('a measurement begun');
      await page.getByRole('button', { name: 'Back', exact: true }).click();
      // The second rig has a lever drag and spliced loops; what it adds looks alike on every screen.
      for (const [boat, rig] of name === 'a bench screen' ? [FIVE_COLOURS, THIRTY_SEVEN] : [FIVE_COLOURS]) {
        await openRig(page, boat, rig);
        await check(rig);
        for (const station of STATIONS) {
          await openStation(page, station);
          for (const fold of FOLDS[station] ?? []) await page.getByRole('button', { name: fold }).click();
          await check(`${rig}, ${station}`);
        }
        if (rig !== FIVE_COLOURS[1]) continue;
        await openStation(page, 'Count');
        await page.getByRole('link', { name: 'Card of this rod' }).click();
        await page.getByRole('img', { name: /^Card of/ }).waitFor();
        await check(`${rig}, card`);
        await page.getByRole('link', { name: 'History' }).click();
        await page.getByRole('region', { name: 'What was done on this rod' }).waitFor();
        await check(`${rig}, history`);
      }
      await openRig(page, 'Second Thought', 'Sailfish fly reel');
      await openStation(page, 'Load');
      for (const fold of [/^Kit list/, /^Kept plans/, /^Convert a recipe/])
        await page.getByRole('button', { name: fold }).click();
      await check('a plan');
    });
  });
}

test('the keys reach everything: palette, help, ribbon', async ({ page }) => {
  await openRig(page, 'Halyard Lark', 'Copper rod, port');
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
  expect(await problems(page)).toEqual([]);
  await page.keyboard.press('Escape');

  const ribbon = page.getByRole('slider', { name: 'Cursor along the line, length out' });
  await ribbon.focus();
  await page.keyboard.press('Shift+ArrowRight');
  await page.keyboard.press('ArrowRight');
  await expect(ribbon).toHaveAttribute('aria-valuenow', '11');
  await page.keyboard.press('End');
  await expect(ribbon).toHaveAttribute('aria-valuetext', /Backing at the tip/);
  await page.keyboard.press('Home');
  await expect(ribbon).toHaveAttribute('aria-valuenow', '0');

  await page.keyboard.press('Control+k');
  await page.keyboard.type('Strength');
  await page.keyboard.press('Enter');
  await page.waitForURL(/\/strength$/);
});

test('hovering moves one cursor through all lenses', async ({ page }) => {
  await openRig(page, 'Halyard Lark', 'Copper rod, port');
  const ribbon = page.getByRole('slider', { name: /^Cursor along/ });
  const box = await ribbon.boundingBox();
  if (!box) throw new Error('the ribbon is not drawn');
  await page.mouse.move(box.x + box.width * 0.2, box.y + 40);
  const readout = page.getByLabel('At the cursor', { exact: true });
  await expect(readout).toContainText('Copper wire');
  await page.mouse.move(box.x + box.width * 0.95, box.y + 40);
  await expect(readout).toContainText('Backing');
});

test('a tour goes round the stations on real data, outlives a reload, and can be left', async ({ page }) => {
  await openRig(page, 'Halyard Lark', 'Copper rod, port');
  // A key that is pressed before the page listens is pressed again.
  await expect(async () => {
    await page.keyboard.press('Control+k');
    await expect(page.getByPlaceholder('Where to, or what?')).toBeFocused({ timeout: 1000 });
  }).toPass();
  await page.keyboard.type('Take the tour');
  await page.keyboard.press('Enter');
  const tour = page.getByRole('complementary', { name: 'Tour' });
  await expect(tour).toBeFocused();
  await expect(tour.getByText('1 of 8. The line')).toBeVisible();
  await expect(page.locator('section[aria-label="The line"]')).toHaveClass(/tour-stop/);
  expect(await problems(page)).toEqual([]);
  await tour.getByRole('button', { name: 'Next' }).click();
  await page.waitForURL(/\/load$/);
  await page.reload();
  await expect(tour.getByText('2 of 8. Load')).toBeVisible();
  await expect(page.locator('#main section').first()).toHaveClass(/tour-stop/);
  await page.setViewportSize({ width: 390, height: 844 });
  await expect.poll(() => overflow(page)).toBeLessThanOrEqual(0);
  await tour.getByRole('button', { name: 'Leave the tour' }).click();
  await expect(tour).toBeHidden();
});
