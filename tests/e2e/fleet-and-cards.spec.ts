import { readFile } from 'node:fs/promises';
import { expect, test } from './ownDemo';
import { openLocker, openRig, openStation } from './paths';

test('rods are made to agree, and their cards go as print, drawing and figures', async ({ page }) => {
  await openLocker(page, 'Halyard Lark');
  await page.getByRole('link', { name: 'Same length on every rod' }).click();
  const rods = page.getByRole('region', { name: 'The rods', exact: true });
  await expect(rods.getByRole('row', { name: /Plain nylon rod, stern/ })).toContainText(/strip \d/);
  await expect(page.getByText(/Left out: Spare lead-core rod/)).toBeVisible();
  const before = await page.getByText(/They lie/).innerText();
  await page.getByRole('checkbox', { name: 'Plain nylon rod, stern' }).uncheck();
  await expect(page.getByText(/They lie/)).not.toHaveText(before);

  await rods
    .getByRole('row', { name: /Five-colour/ })
    .getByRole('link', { name: 'card' })
    .click();
  const card = page.getByRole('img', { name: /^Card of Five-colour rod/ });
  await expect(card).toBeVisible();
  // Its depths are worked out beside the page.
  await expect(card.getByText('2.1 kn', { exact: true })).toBeVisible();
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Keep as CSV' }).click(),
  ]);
  const text = await readFile(await file.path(), 'utf8');
  expect(text.split('\r\n')[0]).toBe('"out, m",counter,±,"deep m, 1.7 kn","deep m, 2.1 kn","deep m, 2.5 kn",mark');
  expect(text).toContain('white out');
  const [drawing] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Keep as SVG' }).click(),
  ]);
  expect(await readFile(await drawing.path(), 'utf8')).toMatch(/^<svg[^>]*xmlns="http:\/\/www.w3.org\/2000\/svg"/);
});

test('a practice reel is dealt, walked, stripped by the advice and scored', async ({ page }) => {
  await openRig(page, 'Halyard Lark', 'Plain nylon rod, stern');
  await openStation(page, 'Count');
  await page.getByRole('button', { name: /Practise on a reel/ }).click();
  const practice = page.getByRole('region', { name: 'Practise on a reel that nobody knows' });
  await practice.getByRole('button', { name: 'Deal a reel' }).click();
  await expect(practice.getByText(/at walk 1/)).toBeVisible();
  await practice.getByRole('button', { name: 'What would the advice be?' }).click();
  await expect(practice.getByText(/^The advice: /)).toBeVisible();
  await practice.getByLabel(/^Take off/).fill('12 m');
  await practice.getByRole('button', { name: 'Do it, and walk again' }).click();
  await expect(practice.getByText(/at walk 2/)).toBeVisible();
  await practice.getByRole('button', { name: 'I call it true' }).click();
  await expect(practice.getByText(/You walked 2 times/)).toBeVisible();
});
