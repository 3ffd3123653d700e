import AxeBuilder from '@axe-core/playwright';
import { expect, test } from './ownDemo';
import { openRig, openStation, stationTab } from './paths';

test('bench mode winds with one hand: digits, arrows, space, U, Escape; a typed length stays until another is agreed to', async ({
  page,
}) => {
  await openRig(page, 'Halyard Lark', 'Plain nylon rod, stern');
  await openStation(page, 'Load');
  await page.getByRole('button', { name: 'Plan a new load' }).click();

  // A backing under a typed top.
  await page.getByRole('button', { name: 'Add a segment on top' }).click();
  const top = page.getByRole('listitem').filter({ hasText: '2. Segment 2' });
  await top.getByLabel('Name').fill('Top shot');
  await page.getByRole('listitem').filter({ hasText: '2. Top shot' }).getByLabel('Length', { exact: true }).fill('50');
  await page.getByRole('button', { name: 'Take it to the bench' }).click();
  await page.getByRole('button', { name: 'Bench mode' }).click();

  const bench = page.getByRole('dialog');
  await expect(bench.getByRole('heading', { name: 'Nylon' })).toBeVisible();
  const reading = page.getByTestId('bench-reading');
  await expect(reading).toHaveText('···');
  await page.keyboard.type('842');
  await expect(reading).toHaveText('842');
  await page.keyboard.press('Backspace');
  await page.keyboard.type('0');
  await page.keyboard.press('ArrowUp');
  await expect(reading).toHaveText('841');
  expect(
    (await new AxeBuilder({ page }).analyze()).violations.filter(
      (v) => v.impact === 'serious' || v.impact === 'critical',
    ),
  ).toEqual([]);
  await page.keyboard.press('Space');
  await expect(bench.getByRole('heading', { name: 'Top shot' })).toBeVisible();
  await page.keyboard.press('u');
  await expect(bench.getByRole('heading', { name: 'Nylon' })).toBeVisible();
  await page.keyboard.type('841');
  await page.keyboard.press('Space');
  await expect(bench.getByRole('heading', { name: 'Top shot' })).toBeVisible();

  await page.setViewportSize({ width: 390, height: 844 });
  // Drawings follow a turned phone one frame later.
  await expect
    .poll(() => page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth))
    .toBeLessThanOrEqual(0);
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.keyboard.press('Escape');
  await expect(bench).toBeHidden();

  // Stopped at another reading than planned: the level gives, and the page says so.
  const level = page.getByRole('group', { name: 'Where the level will end' });
  await expect(level).toContainText(/Top shot stays .*, as it was typed/);

  // Winding goes on where it was, after a reload as on another device.
  await page.reload();
  await expect(page.getByText('stopped at 841')).toBeVisible();
  const agree = level.getByRole('button', { name: /^Top shot: .* becomes .*, to meet the level/ });
  await agree.click();
  await expect(level).toContainText(/As planned: the level will end 2\.0/);

  // A level in between teaches how the line packs: the rest is solved once more.
  await page.getByLabel('Level now, under the rim').fill('0.2');
  await page.getByRole('button', { name: 'Note this level' }).click();
  // No packing gives that level: it is kept, named, and nothing rests on it.
  await expect(page.getByText(/Left out: level after/).first()).toBeVisible();
  await page.getByRole('button', { name: 'The spool is empty' }).click();
  await expect(page.getByRole('alertdialog')).toContainText('no longer count');
  await page.getByRole('alertdialog').getByRole('button', { name: 'The spool is empty' }).click();
  await expect(stationTab(page, 'Load')).toContainText('due');
  await expect(page.getByRole('button', { name: 'Take it to the bench' })).toBeVisible();

  // Given up by a slip of the hand: the history brings the winding back, with every note of it.
  await page.getByRole('link', { name: 'History' }).click();
  await page.getByRole('main').getByRole('button', { name: 'Undo', exact: true }).click();
  await page.getByRole('button', { name: 'Undo it' }).click();
  await expect(page.getByText('Undone: 1 act')).toBeVisible();
  await stationTab(page, 'Load').click();
  await expect(page.getByText('stopped at 841')).toBeVisible();
});

test('a line is planned on its ribbon: a join is dragged, a segment cut, a line put on from the shelf, and all is stored', async ({
  page,
}) => {
  await openRig(page, 'Halyard Lark', 'Copper rod, starboard twin');
  await openStation(page, 'Load');
  await page.getByRole('button', { name: 'Plan a new load' }).click();
  const shot = page.getByRole('slider', { name: 'Length of Top shot' }).first();
  await expect(shot).toHaveAttribute('aria-valuenow', '22');
  await page.getByRole('button', { name: /^Top shot, .*choose it$/ }).click();
  await page.getByLabel('Top shot: whose word its length is').selectOption('typed');
  await page.getByRole('button', { name: 'Choose nothing' }).click();
  const backing = page.getByRole('slider', { name: 'Length of Backing' }).first();
  const before = Number(await backing.getAttribute('aria-valuenow'));
  const box = await shot.boundingBox();
  if (!box) throw new Error('the handle is not drawn');
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + 20, y, { steps: 4 });
  await page.mouse.move(x + 54, y, { steps: 4 });
  await page.mouse.up();
  // A hand's way on the ribbon is that length of line: some 10 m to 54 px.
  await expect(shot).toHaveAttribute('aria-valuenow', /^(31|32|33)$/);
  expect(Number(await backing.getAttribute('aria-valuenow'))).toBeLessThan(before - 3);
  await expect(page.getByRole('button', { name: 'Back to what is stored' })).toBeVisible();

  // A line from the shelf, dropped at the join between top shot and copper.
  const chip = page.getByRole('button', { name: 'Fluorocarbon 0.38 leader' });
  const from = await chip.boundingBox();
  const join = await shot.boundingBox();
  if (!from || !join) throw new Error('nothing to drop');
  await page.mouse.move(from.x + 20, from.y + 20);
  await page.mouse.down();
  await page.mouse.move(join.x, join.y + 40, { steps: 5 });
  await page.mouse.up();
  const names = page.getByRole('button', { name: /choose it$/ });
  await expect(names).toHaveCount(5);
  await expect(names.nth(1)).toHaveAccessibleName(/^Fluorocarbon 0.38 leader, 9.00 m/);
  await names.nth(1).click();
  await page.getByRole('button', { name: 'Fluorocarbon 0.38 leader: take out' }).click();
  await expect(names).toHaveCount(4);
  await page.getByRole('button', { name: 'Store the plan' }).click();
  await expect(page.getByText('The plan is stored.').first()).toBeVisible();
  await expect(shot).toHaveAttribute('aria-valuenow', /^(31|32|33)$/);
});
