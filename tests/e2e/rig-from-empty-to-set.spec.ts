import { expect, test, type Page } from './ownDemo';
import { openRig, openStation, stationTab } from './paths';

const RIG = 'Spare lead-core rod, on the bench';

/**
 * The main job, through the real interface: the demo's unfinished rig from an empty spool to a set drag.
 * One test, since each station rests on the one before.
 */
test('the unfinished rig goes through all four stations, and everything is kept', async ({ page }) => {
  // Some hundred steps on a machine that may be busy: a time limit, not a measure.
  test.setTimeout(240_000);
  await openRig(page, 'Halyard Lark', RIG);
  for (const station of ['Load', 'Count', 'Strength', 'Drag'] as const)
    await expect(stationTab(page, station)).toContainText('due');

  await test.step('Load: plan, wind to the stop readings, measure the level', async () => {
    await openStation(page, 'Load');
    await expect(
      page.getByText(/of true length, so that the level ends 2\.0 ± \d\.\d+ mm under the rim/),
    ).toBeVisible();
    await page.getByRole('button', { name: /^Kit list/ }).click();
    await expect(page.getByRole('row', { name: /Lead core, three colours/ }).last()).toContainText('27.7 m');
    await page.getByRole('button', { name: 'Take it to the bench' }).click();
    await wind(page, 'Backing');
    await captureColours(page, ['black', 'green']);
    await wind(page, 'Lead core, three colours');
    await wind(page, 'Top shot');
    await page.getByRole('button', { name: 'Measure on the virtual reel' }).click();
    await expect(page.getByLabel('Level under the rim')).not.toHaveValue('');
    await page.getByRole('button', { name: 'Finish this load' }).click();
    await expect(stationTab(page, 'Load')).toContainText('done');
    await expect(page.getByText(/on, .* under the rim/)).toBeVisible();
    await expect(page.getByText(/Leave the supply end of top shot uncut/)).toBeVisible();
    // The reel has been taught by its first load.
    await page.getByRole('button', { name: /^How this reel is known/ }).click();
    await expect(page.getByText(`${RIG}: level after Top shot`)).toBeVisible();
  });

  await test.step('Count: walk, follow the advice, confirm, accept', async () => {
    await openStation(page, 'Count');
    await expect(page.getByText(/No walk is needed: the winding was logged/)).toBeVisible();
    await walk(page, '30');
    await expect(page.getByText(/It rests on your test of the line as it is/)).toBeVisible();
    await expect(page.getByRole('heading', { name: /(Strip|Add) at the top/ })).toBeVisible();
    const take = page.getByRole('button', { name: /I have (taken it off|put it on)/ });
    if (await take.isVisible()) {
      await take.click();
      await expect(page.getByText(/There is no test of the line as it is now/)).toBeVisible();
      await walk(page, '30');
    }
    const walks = page.getByRole('region', { name: 'What it rests on' }).getByRole('row', { name: /^walk, / });
    const reading = await walks.last().getByRole('cell').nth(1).innerText();
    // The advice is good to the reading's own whole count, and one for the walker.
    expect(Math.abs(Number(reading) - 30)).toBeLessThanOrEqual(1);
    await page.getByRole('button', { name: 'Accept as true' }).click();
    await expect(stationTab(page, 'Count')).toContainText('done');
  });

  await test.step('Strength: three pulls of each of the three lines', async () => {
    await openStation(page, 'Strength');
    for (const line of ['Nylon 0.45 grey, bench stock', 'Lead core 0.76, thin sheath', 'Nylon 0.33 clear, top shot']) {
      await page.getByLabel('Line in the grips').selectOption({ label: line });
      await page.getByRole('button', { name: 'Begin this test' }).click();
      for (let pull = 1; pull <= 3; pull += 1) {
        await expect(page.getByText(new RegExp(`Pull ${pull}, dry`))).toBeVisible();
        await page.getByRole('button', { name: 'Pull on the virtual gauge' }).click();
        await expect(page.getByLabel('Peak force')).not.toHaveValue('');
        await page.getByRole('button', { name: 'Record this pull' }).click();
      }
      await expect(page.getByText(/Pull 4, dry/)).toBeVisible();
    }
    await expect(stationTab(page, 'Strength')).toContainText('done');
    await expect(page.getByText(/holds the/)).toBeVisible();
  });

  await test.step('Drag: target, warm-up, turn until three pulls agree', async () => {
    await openStation(page, 'Drag');
    await page.getByRole('button', { name: 'Begin a scale session' }).click();
    await expect(page.getByText(/Warm up: 2 more pulls/)).toBeVisible();
    await pullScale(page);
    await pullScale(page);
    await setDrag(page);
    await page.getByRole('button', { name: 'Accept this setting' }).click();
    await expect(stationTab(page, 'Drag')).toContainText('done');
  });

  await test.step('a reload finds everything kept', async () => {
    await page.reload();
    for (const station of ['Load', 'Count', 'Strength', 'Drag'] as const)
      await expect(stationTab(page, station)).toContainText('done');
    await expect(page.getByText(/set with a scale at the tip/)).toBeVisible();
    await openStation(page, 'Strength');
    await expect(page.getByRole('row', { name: /Lead core 0\.76/ })).toContainText('3');
    await openStation(page, 'Count');
    await expect(page.getByText(/Accepted: made true and accepted/)).toBeVisible();
    await openStation(page, 'Load');
    await expect(page.getByRole('row', { name: /Lead core, three colours/ })).toContainText('27.4 m');
  });
});

async function wind(page: Page, segment: string): Promise<void> {
  const card = page.getByRole('region', { name: `Wind on: ${segment}` });
  const stop = await card.getByTestId('stop-reading').innerText();
  await card.getByRole('button', { name: 'Wind it on the virtual reel' }).click();
  const field = card.getByLabel('Counter reads');
  await expect(field).not.toHaveValue('');
  const reading = Number(await field.inputValue());
  // Stopped by the counter, a hand is within a count; a known length ends where it ends.
  if (segment !== 'Lead core, three colours') expect(Math.abs(reading - Number(stop))).toBeLessThanOrEqual(1);
  await card.getByRole('button', { name: 'Note this reading' }).click();
  await expect(card).toBeHidden();
}

/** Lead core is a ruler: the counter is captured at each change of colour. */
async function captureColours(page: Page, following: readonly string[]): Promise<void> {
  for (const colour of following) {
    await page.getByRole('button', { name: 'Wind to the next colour' }).click();
    await expect(page.getByLabel('Counter reads')).not.toHaveValue('');
    const capture = page.getByRole('button', { name: `Colour changed now: ${colour} follows` });
    await capture.click();
    await expect(capture).toBeHidden();
  }
  await expect(page.getByText(/By these the counter takes a turn for/)).toBeVisible();
}

async function walk(page: Page, metres: string): Promise<void> {
  await page.getByLabel('True length walked').fill(metres);
  await page.getByRole('button', { name: 'Walk the tape with the virtual reel' }).click();
  await expect(page.getByLabel('Counter reads')).not.toHaveValue('');
  await page.getByRole('button', { name: 'Record this walk' }).click();
  await expect(page.getByLabel('Counter reads')).toHaveValue('');
}

/** One pull with the virtual scale, recorded; returns once the page judges it. */
async function pullScale(page: Page): Promise<void> {
  // All of them, also those that are folded as the earlier ones.
  const rows = page.getByRole('region', { name: 'Scale session' }).locator('tbody tr');
  const before = await rows.count();
  await page.getByRole('button', { name: 'Pull the virtual scale' }).click();
  await expect(page.getByLabel('Moving pull')).not.toHaveValue('');
  await page.getByRole('button', { name: 'Record this pull' }).click();
  await expect(rows).toHaveCount(before + 1);
  await expect(page.getByLabel('Moving pull')).toHaveValue('');
}

/** Turns the drag as the page says, a little more or a little less, until it says that it is set. */
async function setDrag(page: Page): Promise<void> {
  const card = page.getByRole('region', { name: 'Scale session' });
  for (let turn = 0; turn < 40; turn += 1) {
    await pullScale(page);
    const said = await card.locator('[aria-live]').innerText();
    if (said.includes('Set:')) return;
    if (said.includes('Pull again')) continue;
    const [now = NaN, target = NaN] = [...said.matchAll(/([\d.]+) kg/g)].map((match) => Number(match[1]));
    const off = Math.abs(now / target - 1);
    const step = off > 0.5 ? 20 : off > 0.15 ? 5 : 1;
    const name = `${now < target ? 'Tighten' : 'Ease'} the virtual drag by ${step}`;
    await card.getByRole('button', { name, exact: true }).click();
    await expect(card.getByLabel('the drag was turned since the last pull')).toBeChecked();
  }
  throw new Error('the drag was not set in forty pulls');
}
