import { expect, test } from './ownDemo';
import { openRig, openStation } from './paths';

test('a join is tied with drawing, figures and the scale; a ready leader is swapped on in one act', async ({
  page,
}) => {
  await openRig(page, 'Second Thought', 'Thirty-seven, starboard rigger');
  await openStation(page, 'Joins');
  await page.getByRole('button', { name: /^Class top shot to Wind-on leader/ }).click();
  const guide = page.getByRole('region', { name: /^Tie: Class top shot/ });
  await expect(guide.getByRole('img', { name: /Drawing: Pass one loop over the other/ })).toBeVisible();
  const boxes = guide.getByRole('checkbox');
  for (const index of [0, 1, 2, 3]) await boxes.nth(index).check();
  await guide
    .getByRole('button', { name: /^Pull to/ })
    .last()
    .click();
  await expect(guide.getByRole('status')).toHaveText(/It (stands|still creeps)/);
  await expect(guide.getByLabel('Seated with')).not.toHaveValue('');
  await guide.getByRole('button', { name: 'Note it as tied' }).click();
  await expect(page.getByRole('button', { name: /^Class top shot to Wind-on leader.*seated with/ })).toBeVisible();

  const breaks = page.getByRole('region', { name: /^Pulled to the break: Class top shot/ });
  await expect(breaks.getByText(/a default until 3 more samples/)).toBeVisible();
  await breaks.getByRole('button', { name: /^Pulled to the break/ }).click();
  for (let sample = 1; sample <= 3; sample += 1) {
    await breaks.getByRole('button', { name: 'Break a sample on the virtual gauge' }).click();
    await expect(breaks.getByLabel('Broke at a force of')).not.toHaveValue('');
    await breaks.getByRole('button', { name: 'Record this break' }).click();
    await expect(breaks.getByLabel('Broke at a force of')).toHaveValue('');
  }
  await expect(breaks.getByText(/by 3 breaks/)).toBeVisible();

  const leaders = page.getByRole('region', { name: 'Ready leaders, loop to loop' });
  const thin = leaders.getByRole('listitem').filter({ hasText: 'Thin, white whipping' });
  await thin.getByRole('button', { name: 'Swap it on' }).click();
  await expect(thin).toContainText('on this rig');
  await page.getByRole('link', { name: /1\. Load/ }).click();
  const wound = page.getByRole('row', { name: /Wind-on leader/ });
  await expect(wound).toContainText('7.10 ±');
});

test('a photo of a tie is shrunk, kept and shown', async ({ page }) => {
  await openRig(page, 'Second Thought', 'Twenty-four, centre line');
  await openStation(page, 'Joins');
  await page.getByRole('button', { name: /^Hollow braid to Class nylon/ }).click();
  const png = await page.screenshot();
  await page.getByLabel('Add a photo').setInputFiles({ name: 'tie.png', mimeType: 'image/png', buffer: png });
  const photo = page.getByRole('img', { name: 'The join as it was tied' });
  await expect(photo).toBeVisible();
  await expect.poll(() => photo.evaluate((image: HTMLImageElement) => image.naturalWidth)).toBe(900);
  await page
    .getByLabel('Another photo')
    .setInputFiles({ name: 'x.png', mimeType: 'image/png', buffer: Buffer.from('no') });
  await expect(page.getByText('That file is not a picture that this browser can read.')).toBeVisible();
});

test('a left hand sees the drawing mirrored, and the arbor is checked for slip', async ({ page }) => {
  await openRig(page, 'Halyard Lark', 'Five-colour rod, second from port');
  await openStation(page, 'Joins');
  await page.getByRole('button', { name: /^the arbor to/ }).click();
  await page.getByRole('button', { name: /Cadence of the plaited knot/ }).click();
  await page.getByLabel('Add one of the crew').fill('Left of two');
  await page.getByLabel('Works with the').selectOption('left');
  await page.getByRole('button', { name: 'Add to the crew' }).click();
  const guide = page.getByRole('region', { name: /^Tie: the arbor/ });
  const drawing = guide.getByRole('img', { name: /^Drawing/ });
  await expect(drawing).not.toHaveCSS('transform', /matrix\(-1/);
  await guide.getByLabel('Tied by').selectOption({ label: 'Left of two (left hand)' });
  await expect(drawing).toHaveCSS('transform', /matrix\(-1/);

  const slip = page.getByRole('region', { name: 'Slip check at the arbor' });
  await slip.getByRole('button', { name: /^Slip check/ }).click();
  await slip.getByLabel('The stroke parted by').fill('9 mm');
  await expect(slip).toContainText('The whole line turns on the arbor');
  await slip.getByRole('button', { name: 'Note the look' }).click();
  await expect(slip).toContainText(/Last look.*parted by 9.0 mm/);
});
