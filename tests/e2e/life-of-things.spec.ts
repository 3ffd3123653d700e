import { expect, test } from './ownDemo';
import { openLocker, openRig, openStation } from './paths';

test('a plan is kept on one device and taken up on another; a twin is made of a rig; things are put away and come back', async ({
  page,
  browser,
}) => {
  await openRig(page, 'Second Thought', 'Sailfish fly reel');
  await openStation(page, 'Load');
  await page.getByLabel('Fill it').selectOption({ label: 'a share of the depth' });
  await page.getByLabel('Share of the depth, per cent').fill('88');
  await page.getByRole('button', { name: /^Kept plans/ }).click();
  await page.getByLabel('Name of the plan as it stands').fill('Fly line, low fill');
  await page.getByRole('button', { name: 'Keep this plan', exact: true }).click();
  await expect(page.getByText('Plan Fly line, low fill is kept.').first()).toBeVisible();

  const other = await (await browser.newContext()).newPage();
  await openLocker(other, 'Second Thought');
  await other.getByRole('link', { name: 'Reels, lines, a new rig' }).click();
  const reels = other.getByRole('region', { name: 'Reels' }).first();
  await reels.getByLabel('Name').fill('Fly reel, put by');
  await reels.getByLabel('Arbor diameter').fill('31.4 mm');
  await reels.getByLabel('Width between flanges').fill('28.6 mm');
  await reels.getByLabel('Full diameter').fill('61.8 mm');
  await reels.getByRole('button', { name: 'Add this reel' }).click();
  // Nobody knows its counter yet, and the table does not pretend to.
  await expect(other.getByRole('listitem').filter({ hasText: 'Fly reel, put by' })).toContainText('not known yet');
  await other.getByLabel('Its line').selectOption({ label: 'the kept plan Fly line, low fill' });
  await other.getByLabel('Name of the rig').fill('Low rod');
  await other.getByRole('button', { name: 'Make this rig' }).click();
  await other.getByRole('heading', { level: 1, name: 'Low rod' }).waitFor();
  await expect(other.getByLabel('Share of the depth, per cent')).toHaveValue('88');

  // The first device's locker hears of the new rig by itself.
  await openLocker(page, 'Second Thought');
  await expect(page.getByRole('link', { name: 'Low rod', exact: true })).toBeVisible();
  await other.getByRole('link', { name: 'This rig, and its history' }).click();
  await other.getByRole('button', { name: 'Put it away' }).click();
  await expect(other.getByText('This rig is put away: it is not in the locker.')).toBeVisible();
  await expect(page.getByRole('link', { name: 'Low rod', exact: true })).toBeHidden();
  await page.getByText('Rigs put away: 1').click();
  await page.getByRole('button', { name: 'Bring Low rod back' }).click();
  await expect(page.getByRole('link', { name: 'Low rod', exact: true })).toBeVisible();
  await other.close();
});

test('a run sheet leads back to its rig by its code’s address', async ({ page }) => {
  await openRig(page, 'Halyard Lark', 'Copper rod, port');
  await page.goto(`${page.url()}/sheet`);
  await expect(page.getByRole('region', { name: 'Run sheet of Copper rod, port' })).toContainText('zeroed');
  await expect(page.getByText('this rig', { exact: true })).toBeVisible();
});
