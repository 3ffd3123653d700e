import { expect, test } from './ownDemo';
import { openLocker } from './paths';

test('a reel of which only the box is known, a line by its wraps, a spool on the shelf, a rig planned and cut', async ({
  page,
}) => {
  await openLocker(page, 'Second Thought');
  await page.getByRole('link', { name: 'Reels, lines, a new rig' }).click();
  const reels = page.getByRole('region', { name: 'Reels' }).first();
  await reels.getByLabel('Name').fill('Boxed reel, unmeasured');
  await reels.getByLabel('Length it counts a turn').fill('180 mm');
  await reels.getByRole('button', { name: 'Add a capacity' }).click();
  await reels.getByLabel('Capacity 1', { exact: true }).fill('0.40 mm / 310 m');
  await reels.getByRole('button', { name: 'Add a capacity' }).click();
  await reels.getByLabel('Capacity 2', { exact: true }).fill('20 lb / 350 yd');
  await reels.getByRole('button', { name: 'Add this reel' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: /Boxed reel, unmeasured/ })).toContainText('(a guess)');

  const lines = page.getByRole('region', { name: 'Lines' }).first();
  await lines.getByLabel('Name').fill('Loose nylon');
  await lines.getByText('Thickness not known? Find it').click();
  await lines.getByLabel('Width over all of them').fill('8.2 mm');
  await lines.getByRole('button', { name: 'Take this thickness' }).click();
  await lines.getByRole('button', { name: 'Add this line' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: /Loose nylon/ })).toContainText('0.41 mm');

  await page.getByLabel('Label of a new spool').fill('Loose nylon, top shelf');
  await page.getByLabel('Line on it').selectOption({ label: 'Loose nylon' });
  await page.getByLabel('Length as bought').fill('500');
  await page.getByRole('button', { name: 'Put it on the shelf' }).click();
  await expect(page.getByText('500 m left of 500 m')).toBeVisible();

  await page.getByLabel('Name of the rig').fill('Boxed rod');
  await page.getByLabel('On the reel').selectOption({ label: 'Boxed reel, unmeasured' });
  await page.getByRole('button', { name: 'Make this rig' }).click();
  await page.getByRole('heading', { level: 1, name: 'Boxed rod' }).waitFor();
  await page.getByRole('button', { name: 'Add a segment on top' }).click();
  const backing = page.getByRole('listitem').filter({ hasText: '1. Backing' });
  await backing.getByLabel('Line', { exact: true }).selectOption({ label: 'Loose nylon' });
  await expect(page.getByText(/of true length, so that the level ends 2\.0 ±/)).toBeVisible();

  // A second segment, dragged under the first by keyboard: the hand on the grip, space, arrow, space.
  await page.getByRole('button', { name: 'Duplicate Backing' }).click();
  const copy = page.getByRole('listitem').filter({ hasText: '2. Backing, again' });
  await copy.getByLabel('Length', { exact: true }).fill('40');
  await page.getByRole('button', { name: 'Drag Backing, again to another place' }).focus();
  const said = (text: RegExp, timeout = 20_000) =>
    expect(page.getByRole('status').filter({ hasText: text })).toBeAttached({ timeout });
  await page.keyboard.press('Space');
  await said(/Backing, again is over place 2/);
  // The hand that takes it listens for arrows a moment later; above the first place there is none to go to.
  await expect(async () => {
    await page.keyboard.press('ArrowUp');
    await said(/Backing, again is over place 1/, 1000);
  }).toPass();
  await page.keyboard.press('Space');
  await expect(page.getByText('1. Backing, again')).toBeVisible();
  await page.getByRole('button', { name: 'Store the plan' }).click();
  await expect(page.getByText('The plan is stored.').first()).toBeVisible();

  await page.getByRole('button', { name: /^How this reel is known/ }).click();
  await expect(page.getByText(/The 2 ratings differ by/)).toBeVisible();
  await expect(page.getByText('a guess from the kind of reel').first()).toBeVisible();

  await page.goBack();
  await page.getByRole('heading', { level: 1, name: /Reels and lines/ }).waitFor();
  await page.reload();
  await page.getByRole('button', { name: /^Cut list/ }).click();
  const cuts = page.getByRole('region', { name: 'Cuts of Loose nylon' });
  await expect(cuts).toContainText(/Loose nylon, top shelf: .*40\.\d m for Backing, again of Boxed rod/);
});
