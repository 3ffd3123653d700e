import { expect, test } from './ownDemo';
import { openRig, openStation } from './paths';

test('a session is planned, pulled live in bench mode, and a pull moved to the spool that it came from', async ({
  page,
}) => {
  await openRig(page, 'Second Thought', 'Twenty-four, centre line');
  await openStation(page, 'Strength');
  await expect(page.getByText(/On a snag it/)).toBeVisible();
  await page.getByRole('button', { name: /^A session of pulls/ }).click();
  const planned = page.getByRole('group', { name: /Lines, and what you expect/ });
  await planned.waitFor();
  for (const box of await planned.getByRole('checkbox').all()) await box.setChecked(false);
  await planned.getByLabel('Class nylon 24, green', { exact: true }).check();
  await page.getByLabel('Pulls of each line').fill('1');
  await page.getByRole('button', { name: 'Plan this session and begin' }).click();
  await expect(page.getByRole('heading', { name: 'Class nylon 24, green, pull 1 of 1' })).toBeVisible();
  // Live: the force grows while the stream comes.
  await page.keyboard.press(' ');
  await expect(page.getByText('pulling', { exact: true })).toBeVisible();
  await expect(page.getByText('broke at', { exact: true })).toBeVisible({ timeout: 20_000 });
  await page.keyboard.press('2');
  await expect(page.getByRole('button', { name: /^at a grip/ })).toHaveAttribute('aria-pressed', 'true');
  await page.keyboard.press(' ');
  await expect(page.getByRole('heading', { name: 'All pulled' })).toBeVisible();
  await page.getByRole('button', { name: 'Leave' }).click();

  await page.getByLabel('Line in the grips').selectOption('Class nylon 24, green');
  await page.getByText('The wrong spool was in the grips? Move a pull').click();
  const target = page.getByLabel('Belongs to').locator('option', { hasText: 'Class nylon 37, spool A' }).first();
  await page.getByLabel('Belongs to').selectOption((await target.getAttribute('value')) ?? '');
  await page.getByLabel('Why it is moved').fill('the spools stood in the wrong order');
  await page.getByRole('button', { name: 'Move this pull' }).click();
  await expect(page.getByText('Moved. Both rows stay on record.').first()).toBeVisible();
});

test('a recorded trace is read in a worker, drawn, and its peak becomes a pull', async ({ page }) => {
  await openRig(page, 'Halyard Lark', 'Five-colour rod, second from port');
  await openStation(page, 'Strength');
  await page.getByRole('button', { name: /^A recorded trace/ }).click();
  await page.getByLabel('Its force is in').selectOption('N');
  const file = page.locator('input[type=file]');
  const send = (name: string, text: string) =>
    file.setInputFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(text) });
  await send('mixed.csv', '0,1 N\n1,2 kg\n');
  await expect(page.getByText('Row 2 is in kg, not in N: one unit for the whole file.')).toBeVisible();
  const rows = Array.from(
    { length: 400 },
    (_, i) => `${i / 100};${i < 50 ? 0.3 : i < 300 ? 0.3 + 0.4 * (i - 50) : 0.3}`,
  );
  await send('held.csv', rows.slice(0, 299).join('\n'));
  await expect(page.getByText(/had not broken when the trace ended/)).toBeVisible();
  await send('pull.csv', `time s;force N\n${rows.join('\n')}`);
  await expect(page.getByRole('img', { name: /^Force over 4\.0 seconds/ })).toBeVisible();
  await expect(page.getByText('400', { exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Record it as a pull of this test' }).click();
  await expect(page.getByText('Recorded as a pull.').first()).toBeVisible();
});
