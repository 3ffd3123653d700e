import { expect, test } from './ownDemo';
import { openLocker, openRig, openStation } from './paths';

test('a boat’s list leads to a measurement, its guide and its entry; a rod has a working range of its own', async ({
  page,
}) => {
  await openLocker(page, 'Halyard Lark');
  await page.getByRole('link', { name: 'What to measure next' }).click();
  const bench = page.getByRole('region', { name: /min at the bench/ });
  await expect(bench.getByText(/min together/)).toBeVisible();
  await bench.getByRole('link', { name: '60 min' }).click();
  await expect(page.getByRole('region', { name: '60 min at the bench' })).toBeVisible();
  const turns = page
    .getByRole('listitem')
    .filter({ hasText: /count 100 spool turns/i })
    .first();
  await turns.getByRole('link', { name: 'Measure it' }).click();
  const dialog = page.getByRole('dialog', { name: /count 100 spool turns/i });
  await expect(dialog.getByText(/between two flips no part of a count is lost/)).toBeVisible();
  await expect(dialog.getByLabel('Spool turns')).toHaveValue('100');
  await dialog.getByRole('button', { name: 'Back', exact: true }).click();
  await expect(dialog).toBeHidden();

  await openLocker(page, 'Halyard Lark');
  await page.getByRole('link', { name: 'What to measure next' }).click();
  const afloat = page.getByRole('region', { name: 'Next time on the water' });
  await afloat
    .getByRole('listitem')
    .filter({ hasText: 'Copper rod, port' })
    .first()
    .getByRole('link', { name: 'Measure it' })
    .click();
  const mark = page.getByRole('dialog', { name: /touch bottom, or take a mark, with/i });
  await expect(mark.getByText(/it should bring how deep it swims with .* from ± .* to ± /)).toBeVisible();
  await expect(mark.getByLabel('Counter shows')).toBeVisible();
  await mark.getByRole('button', { name: 'Back', exact: true }).click();

  await openRig(page, 'Halyard Lark', 'Copper rod, starboard twin');
  await openStation(page, 'Count');
  await expect(page.getByText(/this rod has no working range of its own yet/).first()).toBeVisible();
  await page.getByLabel('From', { exact: true }).fill('90 ft');
  await page.getByLabel('To', { exact: true }).fill('40 m');
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByText(/between 27\.4 m and 40\.0 m; by the corrected readings/)).toBeVisible();
  await page.getByRole('button', { name: 'The usual ones' }).click();
  await expect(page.getByText(/this rod has no working range of its own yet/).first()).toBeVisible();
});
