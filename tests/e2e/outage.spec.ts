import { expect, test } from './ownDemo';
import { openRig, stationTab } from './paths';

// Folded as pages open, so that what is behind a fold was not loaded before.
test.use({ storageState: { cookies: [], origins: [] } });

test('while the server is away nothing typed is lost, the page stands, and what was opened fills when it is back', async ({
  page,
  context,
}) => {
  const faults: string[] = [];
  page.on('pageerror', ({ message }) => faults.push(message));
  await openRig(page, 'Halyard Lark', 'Copper rod, port');
  await page.goto(`${page.url()}/drag`);
  await page.getByRole('button', { name: /^Target/ }).click();
  await page.getByRole('button', { name: 'Begin, it is warm already' }).click();
  const session = page.getByRole('region', { name: 'Scale session' });
  await session.waitFor();
  await page.reload();
  await session.getByLabel('Moving pull').fill('1.2');

  await context.setOffline(true);
  // The first message of all that this page shows, before what draws messages was loaded.
  await session.getByRole('button', { name: 'Record this pull' }).click();
  await expect(page.getByText(/^The server cannot be reached\..*stored once/).first()).toBeVisible();
  await page.getByRole('button', { name: /^Rehearse a fight/ }).click();
  await expect(page.getByText(/What you opened comes when it is back/).first()).toBeVisible();
  await expect(session.getByLabel('Moving pull')).toHaveValue('1.2');

  // Neither another page nor a newer state of this one is asked for in vain: this page would be gone.
  await stationTab(page, 'Count').click();
  await expect(page.getByText(/^The server cannot be reached, so this page stays/).first()).toBeVisible();
  await page.evaluate(() => {
    for (const state of ['hidden', 'visible']) {
      Object.defineProperty(document, 'visibilityState', { value: state, configurable: true });
      document.dispatchEvent(new Event('visibilitychange'));
    }
  });
  await expect(session.getByLabel('Moving pull')).toHaveValue('1.2');

  await context.setOffline(false);
  await expect(page.getByRole('button', { name: 'A fish takes' })).toBeVisible();
  await expect(page.getByText(/What you opened comes when it is back/)).toHaveCount(0);
  await session.getByRole('button', { name: 'Record this pull' }).click();
  await expect(session.locator('tbody tr')).toHaveCount(1);
  await expect(session.getByLabel('Moving pull')).toHaveValue('');

  // What is worked out beside the page waits for its script as well.
  await context.setOffline(true);
  await page.getByRole('button', { name: 'A fish takes' }).click();
  await expect(page.getByText(/What you opened comes when it is back/).first()).toBeVisible();
  await context.setOffline(false);
  await expect(page.getByRole('button', { name: 'Another fish' })).toBeVisible();
  await expect(page.getByText(/What you opened comes when it is back/)).toHaveCount(0);
  await stationTab(page, 'Count').click();
  await page.waitForURL(/\/count$/);
  expect(faults).toEqual([]);
});
