import { expect, test } from './ownDemo';
import { openRig } from './paths';

// Folded as it opens, so that nothing of the page comes late but its letters.
test.use({ storageState: { cookies: [], origins: [] } });

/** Bytes of letters that a page may ask for before it looks as meant: one face with all its axes is three times as much. */
const MOST_BYTES = 110_000;

test('a font that does not load: the page reads with a face of the device, as wide, and nothing is cut or jumps', async ({
  page,
}) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await openRig(page, 'Halyard Lark', 'Copper rod, port');
  const station = `${page.url()}/strength`;
  const measured = async () => {
    await page.goto(station);
    await page.getByRole('button', { name: /^Pull test/ }).waitFor();
    await expect(page.getByText(/Weighing what to measure/)).toHaveCount(0);
    await page.evaluate(() => document.fonts.ready);
    return page.evaluate(() => ({
      height: document.documentElement.scrollHeight,
      tooWide: document.documentElement.scrollWidth - window.innerWidth,
      loaded: [...document.fonts].filter(({ status }) => status === 'loaded').map(({ family }) => family),
    }));
  };
  const meant = await measured();
  expect(meant.loaded).toEqual(expect.arrayContaining(['Recursive Text', 'Recursive Figures', 'Recursive Lettered']));

  await page.route(/\.woff2/, (route) => route.abort());
  const without = await measured();
  expect(without.loaded.filter((family) => /Text|Figures|Lettered/.test(family))).toEqual([]);
  expect(without.tooWide).toBeLessThanOrEqual(0);
  // Less than two lines of a page of fifty or more come or go.
  expect(Math.abs(without.height / meant.height - 1)).toBeLessThan(0.04);
  await expect(page.getByRole('button', { name: /^Pull test/ })).toBeVisible();
});

test('letters are light: three small faces, and no more of them than a page shows', async ({ page }) => {
  let bytes = 0;
  page.on('response', (response) => {
    if (!response.url().endsWith('.woff2')) return;
    bytes += Number(response.headers()['content-length'] ?? 0);
  });
  await openRig(page, 'Halyard Lark', 'Copper rod, port');
  await page.evaluate(() => document.fonts.ready);
  expect(bytes).toBeGreaterThan(20_000);
  expect(bytes).toBeLessThan(MOST_BYTES);
});
