import { randomUUID } from 'node:crypto';
import { expect, test } from './ownDemo';
import { openLocker, openRig, openStation } from './paths';

test('units switch everywhere at once and are remembered', async ({ page }) => {
  await openRig(page, 'Halyard Lark', 'Copper rod, port');
  const readout = page.getByLabel('At the cursor', { exact: true });
  await page.getByRole('slider').press('ArrowRight');
  await expect(readout).toContainText('1.00 m');
  await page.getByRole('radio', { name: 'ft', exact: true }).click();
  await page.getByRole('radio', { name: 'lb', exact: true }).click();
  await expect(readout).toContainText('3.28 ft');
  await openStation(page, 'Strength');
  await expect(page.getByRole('row', { name: /Nylon 0\.40/ })).toContainText('lb');
  await page.reload();
  await expect(page.getByRole('row', { name: /Nylon 0\.40/ })).toContainText('18.1 lb');
});

test('bad input gets a sentence, stores nothing and loses nothing', async ({ page }) => {
  await openRig(page, 'Second Thought', 'Sailfish fly reel');
  await openStation(page, 'Load');
  const length = page.getByLabel('Length', { exact: true });
  const answer = page.getByRole('region', { name: 'How much goes on' });
  await expect(answer.getByText(/^\d{3}\s±/).first()).toBeVisible();

  await length.fill('thirty-two');
  await expect(page.getByText('"thirty-two" is not a number with a unit')).toBeVisible();
  await length.fill('40 km');
  await expect(page.getByText(/"km" is not a unit for this/)).toBeVisible();
  await length.fill('-5');
  await expect(page.getByText(/less than anything that can be meant/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Store the plan' })).toBeDisabled();

  await length.fill('900');
  await expect(page.getByText('This stack does not fit.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Take it to the bench' })).toBeDisabled();

  // A reload brings back what was typed; what is stored is untouched.
  await page.reload();
  await expect(length).toHaveValue('900');
  await page.getByRole('button', { name: 'Back to what is stored' }).click();
  await expect(length).toHaveValue('32');

  // Every key stroke reckons again.
  const before = await answer.locator('.text-4xl').innerText();
  await length.fill('100 ft');
  await expect(answer.locator('.text-4xl')).not.toHaveText(before);
  await page.getByRole('button', { name: 'Back to what is stored' }).click();
});

test('a fill can be asked for in four ways, and full and true are weighed against each other', async ({ page }) => {
  await openRig(page, 'Halyard Lark', 'Plain nylon rod, stern');
  await openStation(page, 'Load');
  await page.getByRole('button', { name: 'Plan a new load' }).click();
  const answer = page.getByRole('region', { name: 'How much goes on' });
  const solved = answer.locator('.text-4xl');
  const full = await solved.innerText();
  await expect(answer.getByText(/With this fill the counter would (read|be true)/)).toBeVisible();
  await page.getByLabel('Fill it', { exact: true }).selectOption('counter-true');
  await expect(answer.getByText(/True on average over|True and full differ/)).toBeVisible();
  await page.getByLabel('Working from', { exact: true }).fill('90');
  await page.getByLabel('to', { exact: true }).fill('130');
  await expect(solved).not.toHaveText(full);
  await page.getByLabel('Working from', { exact: true }).fill('20');
  await page.getByLabel('to', { exact: true }).fill('10');
  await expect(page.getByText('The range must end beyond its start.')).toBeVisible();
  await page.getByLabel('Fill it', { exact: true }).selectOption('depth-share');
  await page.getByLabel('Share of the depth, per cent').fill('50');
  await expect(answer.getByText(/(7\.0|6\.[89]\d?) ± [\d.]+ mm under the rim/)).toBeVisible();
  await page.getByRole('button', { name: 'Back to what is stored' }).click();
  await expect(solved).toHaveText(full);
});

test('a new boat starts empty and is led to its first plan', async ({ page }) => {
  const boat = `Bench ${randomUUID().slice(0, 8)}`;
  await page.goto('/');
  await page.getByRole('button', { name: 'Make a locker' }).click();
  await expect(page.getByText('A name is needed.').first()).toBeVisible();
  await page.getByLabel('Name of the boat, club or bench').fill(boat);
  await page.getByRole('button', { name: 'Make a locker' }).click();
  await expect(page.getByText(/^No rig in this locker yet/)).toBeVisible();
  await page.getByRole('link', { name: 'Put a reel and a line on record' }).click();

  const reels = page.getByRole('region', { name: 'Reels', exact: true });
  await reels.getByLabel('Name').fill('Counter reel 40, port');
  await reels.getByLabel('Arbor diameter').fill('62');
  await reels.getByLabel('Width between flanges').fill('28.6');
  await reels.getByLabel('Full diameter').fill('61.8');
  await reels.getByLabel('Length it counts a turn').fill('174');
  await reels.getByRole('button', { name: 'Add this reel' }).click();
  await expect(reels.getByText('The full diameter must be above the arbor diameter.')).toBeVisible();
  await expect(reels.getByLabel('Width between flanges')).toHaveValue('28.6');
  await reels.getByLabel('Arbor diameter').fill('31.4');
  await reels.getByRole('button', { name: 'Add this reel' }).click();
  await expect(reels.getByRole('listitem').filter({ hasText: 'Counter reel 40, port' })).toBeVisible();

  const lines = page.getByRole('region', { name: 'Lines', exact: true });
  await lines.getByLabel('Name').fill('Nylon 0.40');
  await lines.getByLabel('Thickness', { exact: true }).fill('0.4');
  await lines.getByRole('button', { name: 'Add this line' }).click();
  await expect(lines.getByRole('listitem').filter({ hasText: 'Nylon 0.40' })).toBeVisible();

  await page.getByLabel('Name of the rig').fill('Plain rod');
  await page.getByRole('button', { name: 'Make this rig' }).click();
  await expect(page.getByText('Name the segments in the order in which they go on')).toBeVisible();
  await page.getByRole('button', { name: 'Add a segment on top' }).click();
  await expect(page.getByRole('region', { name: 'How much goes on' })).toContainText('of true length');
  await page.getByRole('button', { name: 'Store the plan' }).click();
  await expect(page.getByText('The plan is stored.').first()).toBeVisible();
  await openLocker(page, boat);
  await expect(page.getByText(/of line, planned/)).toBeVisible();
});

test('from an empty boat to the first backing length in six acts', async ({ page }) => {
  const boat = `First ${randomUUID().slice(0, 8)}`;
  await page.goto('/');
  await page.getByLabel('Name of the boat, club or bench').fill(boat);
  await page.getByRole('button', { name: 'Make a locker' }).click();
  // An act is one press, choice or filled field.
  let acts = 0;
  const act = async (work: Promise<void>): Promise<void> => {
    acts += 1;
    await work;
  };
  await act(page.getByRole('link', { name: /^My first reel/ }).click());
  await act(page.getByLabel('So much line').fill('240'));
  await act(page.getByLabel('so thick', { exact: true }).fill('0.38'));
  await act(page.getByLabel('Thickness').fill('0.42'));
  await act(page.getByLabel('Length', { exact: true }).fill('90'));
  await act(page.getByRole('button', { name: 'How much backing?' }).click());
  await page.waitForURL(/\/load$/);
  const answer = page.getByRole('region', { name: 'How much goes on' });
  await expect(answer).toContainText(/[\d.]+ ± [\d.]+ m/);
  expect(acts).toBeLessThanOrEqual(12);
});

test('the server answers bad requests with 4xx and fields, never with its inside', async ({ request, page }) => {
  await openRig(page, 'Halyard Lark', 'Copper rod, port');
  const [, boatId = '', rigId = ''] = /boats\/([^/]+)\/rigs\/([^/?]+)/.exec(page.url()) ?? [];
  const rig = `/api/boats/${boatId}/rigs/${rigId}`;
  const head = () => ({ 'x-once-key': randomUUID() });
  const post = (path: string, data: unknown) => request.post(path, { data, headers: head(), failOnStatusCode: false });

  const stack = await request.put(`${rig}/stack`, {
    data: { version: 1, segments: [{ name: '' }], joins: [] },
    headers: head(),
    failOnStatusCode: false,
  });
  expect(stack.status()).toBe(422);
  const body = (await stack.json()) as { error: { fields: { path: string; message: string }[] } };
  expect(body.error.fields.map((field) => field.path)).toContain('segments.0.productId');

  expect(
    (await post(`${rig}/trials`, { kind: 'tape', loadId: randomUUID(), trueLengthM: 'long', reading: 1.5 })).status(),
  ).toBe(422);
  expect(
    (await post(`${rig}/trials`, { kind: 'tape', loadId: randomUUID(), trueLengthM: 30, reading: 31 })).status(),
  ).toBe(409);
  expect((await post(`/api/boats/${randomUUID()}/rigs`, { name: 'Rig', reelId: randomUUID() })).status()).toBe(404);
  expect((await post(`/api/boats/not-an-id/rigs`, { name: 'Rig', reelId: randomUUID() })).status()).toBe(404);
  expect(
    (
      await request.post('/api/boats', {
        data: Buffer.from('{broken'),
        headers: { ...head(), 'content-type': 'application/json' },
        failOnStatusCode: false,
      })
    ).status(),
  ).toBe(400);
  expect(
    (
      await request.post('/api/boats', {
        data: Buffer.from('name=x'),
        headers: { ...head(), 'content-type': 'text/plain' },
        failOnStatusCode: false,
      })
    ).status(),
  ).toBe(415);
  const foreign = await request.post('/api/boats', {
    data: { name: 'x' },
    headers: { origin: 'https://elsewhere.example' },
    failOnStatusCode: false,
  });
  expect(foreign.status()).toBe(403);
  const rebound = await request.get('/', { headers: { host: 'elsewhere.example' }, failOnStatusCode: false });
  expect(rebound.status()).toBe(421);
  for (const text of [await stack.text(), await foreign.text()])
    expect(text).not.toMatch(/\bat .*\.(ts|js):|node_modules/);

  const nowhere = await page.goto(`/boats/${randomUUID()}`);
  expect(nowhere?.status()).toBe(404);
  await expect(page.getByRole('heading', { name: 'Nothing lies here' })).toBeVisible();
});

test('two people at one rig: the second is told, and keeps what was typed', async ({ browser }) => {
  const [first, second] = await Promise.all([browser.newContext(), browser.newContext()]);
  const [a, b] = [await first.newPage(), await second.newPage()];
  for (const page of [a, b]) {
    await openRig(page, 'Second Thought', 'Sailfish fly reel');
    await openStation(page, 'Load');
    await page.getByLabel('Length', { exact: true }).fill(page === a ? '31' : '33');
  }
  await a.getByRole('button', { name: 'Store the plan' }).click();
  await expect(a.getByText('The plan is stored.').first()).toBeVisible();
  await b.getByRole('button', { name: 'Store the plan' }).click();
  await expect(b.getByText(/Somebody changed this on another device/).first()).toBeVisible();
  await expect(b.getByLabel('Length', { exact: true })).toHaveValue('33');
  await first.close();
  await second.close();
});
