import { expect, test } from './ownDemo';
import { openLocker, openRig, openStation } from './paths';

test('a lever is pulled over its sweep, its preset is refused in gear, and a turn in gear is undone', async ({
  page,
}) => {
  await openRig(page, 'Second Thought', 'Twenty-four, centre line');
  await openStation(page, 'Drag');
  const lever = page.getByRole('region', { name: 'The lever over its sweep' });
  await expect(lever.getByText(/A curve needs 3 places/)).toBeVisible();
  for (const place of ['back (free)', 'a quarter', 'the middle (strike)', 'three quarters', 'forward (full)']) {
    await lever.getByLabel('The lever stands').selectOption({ label: place });
    await lever.getByRole('button', { name: 'Pull with the lever there' }).click();
    await expect(lever.getByLabel('Moving pull at the tip')).not.toHaveValue('');
    await lever.getByRole('button', { name: 'Record this pull' }).click();
    await expect(lever.getByLabel('Moving pull at the tip')).toHaveValue('');
  }
  await expect(lever.getByRole('img', { name: /Pull at the tip over the lever/ })).toBeVisible();
  await expect(lever.getByText(/which is free/)).toBeVisible();
  await lever.getByRole('button', { name: 'Lever into gear' }).click();
  await lever.getByRole('button', { name: 'It was turned tighter in gear' }).click();
  await expect(lever.getByRole('alert')).toContainText('turn the preset 0.5 turns looser');
  await lever.getByRole('button', { name: 'Lever back to free' }).click();
  await lever.getByRole('button', { name: 'It is turned back' }).click();
  await expect(lever.getByRole('alert')).toHaveCount(0);
});

test('a planer is bracketed by looks that count only when it is set, and a fight is rehearsed in a worker', async ({
  page,
}) => {
  await openRig(page, 'Second Thought', 'Planer rod, bait');
  await openStation(page, 'Drag');
  await page.getByRole('button', { name: /^A planer/ }).click();
  const planer = page.getByRole('region', { name: 'A planer', exact: true });
  await expect(planer.getByText(/the creep stops at/)).toBeVisible();
  await expect(planer.getByText(/By the lever curve it pulls/)).toBeVisible();
  await planer.getByLabel('Planer', { exact: true }).fill('another one');
  await expect(planer.getByText(/looks with another preset or planer, carried over/)).toBeVisible();
  await planer.getByRole('button', { name: 'Note this look (its creep will not count: not set)' }).click();
  await expect(planer.getByRole('cell', { name: 'no, not set' })).toBeVisible();
  await planer.getByRole('button', { name: 'Tow it a while and look' }).click();
  await planer.getByRole('button', { name: 'Note this look', exact: true }).click();
  await expect(planer.getByText(/by 1 look and/)).toBeVisible();

  await page.getByRole('button', { name: /^Rehearse a fight/ }).click();
  const fight = page.getByRole('region', { name: 'Rehearse a fight' });
  await fight.getByRole('button', { name: 'A fish takes' }).click();
  const out = fight.locator('dd').first();
  await expect(out).not.toHaveText('');
  const [before] = [await out.textContent()];
  await expect(async () => expect(await out.textContent()).not.toBe(before)).toPass({ timeout: 15_000 });
  await fight.getByRole('button', { name: 'Wind' }).click();
  await expect(fight.getByRole('button', { name: 'Stop winding' })).toHaveAttribute('aria-pressed', 'true');
});

test('the scale has a bench mode that says how much more', async ({ page }) => {
  await openRig(page, 'Halyard Lark', 'Five-colour rod, second from port');
  await openStation(page, 'Drag');
  await page.getByRole('button', { name: 'Begin a scale session' }).click();
  await page.getByRole('button', { name: 'Bench mode' }).click();
  await expect(page.getByRole('heading', { name: /Warm up: 2 more pulls/ })).toBeVisible();
  for (const left of [/Warm up: 1 more pull /, /Pull through the bent rod/, /A little (more|less)|On target/]) {
    await page.keyboard.press(' ');
    await expect(page.getByRole('button', { name: /^Record this pull/ })).toBeEnabled();
    await page.keyboard.press(' ');
    await expect(page.getByRole('heading', { name: left })).toBeVisible();
  }
  await page.keyboard.press('t');
  await expect(page.getByRole('button', { name: /^Turned since the last pull/ })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  await page.keyboard.press('Escape');
  await expect(page.getByRole('heading', { name: 'Scale session', exact: true })).toBeVisible();
});

test('with no reel on record a label is enough for what the scale should show, and the line goes on record from there', async ({
  page,
}) => {
  await openLocker(page, 'Second Thought');
  await page.getByRole('link', { name: 'Quick drag' }).click();
  await page.getByLabel('The line holds').fill('12');
  await expect(page.getByText(/^3\.0\d* ± .* kg$/)).toBeVisible();
  await page.getByLabel('Line', { exact: true }).selectOption('braid');
  await page.getByRole('link', { name: /Make it a rig/ }).click();
  await expect(page.getByRole('heading', { name: /Reels and lines of/ })).toBeVisible();
  await expect(page.getByLabel('Material').last()).toHaveValue('braid');
});

test('up to where line may be out is a mark on the ribbon, moved by keys and kept', async ({ page }) => {
  await openRig(page, 'Second Thought', 'Planer rod, bait');
  await openStation(page, 'Drag');
  const mark = page.getByRole('slider', { name: 'Line that may be out' });
  await mark.focus();
  await page.keyboard.press('Home');
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Line that may be out', { exact: true }).last()).toHaveValue('use');
});
