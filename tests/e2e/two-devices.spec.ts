import { expect, test } from './ownDemo';
import { openRig, openStation, stationTab } from './paths';

test('two devices on one winding follow each other, and a reading that clashes is asked about', async ({
  page,
  browser,
}) => {
  await openRig(page, 'Halyard Lark', 'Copper rod, starboard twin');
  await openStation(page, 'Load');
  await page.getByRole('button', { name: 'Plan a new load' }).click();
  await page.getByRole('button', { name: 'Take it to the bench' }).click();
  await expect(page.getByRole('heading', { name: /^Wind on: / })).toBeVisible();

  // Another browser: what is typed there is kept there.
  const other = await (await browser.newContext()).newPage();
  await other.goto(page.url());
  await expect(other.getByRole('heading', { name: /^Wind on: / })).toBeVisible();
  const stop = Number(await page.getByTestId('stop-reading').innerText());

  await other.getByLabel('Counter reads').fill(String(stop - 2));
  await page.getByLabel('Counter reads').fill(String(stop));
  await page.getByRole('button', { name: 'Note this reading' }).click();
  await expect(page.getByText(`stopped at ${stop}`)).toBeVisible();
  // The other follows within two seconds, without being touched.
  await expect(other.getByText(`stopped at ${stop}`)).toBeVisible({ timeout: 2000 });

  // What was typed there is neither lost nor taken for the next segment's.
  const clash = other.getByRole('group', { name: 'Noted on two devices' });
  await expect(clash).toContainText(`here ${stop - 2} was typed`);
  await clash.getByRole('button', { name: `${stop - 2} is right` }).click();
  await expect(page.getByText(`stopped at ${stop - 2}`)).toBeVisible({ timeout: 4000 });
  await expect(clash).toBeHidden();

  await page.getByRole('button', { name: 'Undo the last note' }).click();
  await expect(other.getByText(`stopped at ${stop - 2}`)).toBeHidden({ timeout: 4000 });
  await expect(page.getByText(`stopped at ${stop - 2}`)).toBeHidden({ timeout: 4000 });

  await page.getByRole('button', { name: 'Call this winding off' }).click();
  await page.getByRole('button', { name: 'Call it off' }).click();
  // What was loaded before is on again, on both.
  await expect(stationTab(other, 'Load')).toContainText('done');
  await expect(other.getByRole('button', { name: 'Plan a new load' })).toBeVisible({ timeout: 4000 });
});
