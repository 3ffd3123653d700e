import { expect, test, type Page } from './ownDemo';
import { openLocker, openRig } from './paths';

// As for somebody who comes for the first time, with folds as they open.
test.use({ storageState: { cookies: [], origins: [] } });

/** Stops on a page that a person would step through at the most before giving up. */
const MOST_STOPS = 160;

/** A person without a mouse, who finds things by the name that a screen reader says. An act is one press, choice or filled field. */
class Keys {
  acts = 0;
  constructor(private readonly page: Page) {}

  /** Steps on with Tab until what has the focus is called so. */
  async to(name: RegExp): Promise<void> {
    for (let stop = 0; stop < MOST_STOPS; stop += 1) {
      if (name.test(await this.named())) return;
      await this.page.keyboard.press('Tab');
    }
    throw new Error(`no stop is called ${name}`);
  }

  /** Steps on to the next box that is not ticked. */
  async toBox(): Promise<void> {
    for (let stop = 0; stop < MOST_STOPS; stop += 1) {
      await this.page.keyboard.press('Tab');
      if (await this.page.evaluate(() => document.activeElement?.matches('input[type=checkbox]:not(:checked)'))) return;
    }
    throw new Error('no box is left');
  }

  async press(name: RegExp): Promise<void> {
    await expect(async () => {
      await this.to(name);
      await expect(this.page.locator(':focus')).toBeEnabled({ timeout: 100 });
    }).toPass();
    await this.page.keyboard.press('Enter');
    this.acts += 1;
  }

  async fill(name: RegExp, text: string): Promise<void> {
    await this.to(name);
    await this.page.keyboard.press('ControlOrMeta+a');
    await this.page.keyboard.type(text);
    this.acts += 1;
  }

  /** The name of what has the focus: its own label, that of its field, or what stands in it. */
  private named(): Promise<string> {
    return this.page.evaluate(() => {
      const here = document.activeElement;
      if (!(here instanceof HTMLElement) || here === document.body) return '';
      const labels =
        here instanceof HTMLInputElement || here instanceof HTMLSelectElement ? [...(here.labels ?? [])] : [];
      return here.getAttribute('aria-label') ?? (labels.map((label) => label.innerText).join(' ') || here.innerText);
    });
  }
}

test('from a walk along a tape to the card, with keys alone, in five acts', async ({ page }) => {
  await openRig(page, 'Halyard Lark', 'Plain nylon rod, stern');
  await page.goto(`${page.url()}/count`);
  const keys = new Keys(page);
  await keys.press(/^Test it along a tape$/);
  await keys.fill(/^Counter reads/, '26');
  await keys.press(/^Record this walk$/);
  await expect(page.getByText(/It rests on your test of the line as it is/)).toBeVisible();
  await keys.press(/^Accept, with the table$/);
  await expect(page.getByText(/^Accepted: /)).toBeVisible();
  await keys.press(/^Card of this rod$/);
  await expect(page.getByRole('img', { name: /^Card of Plain nylon rod, stern/ })).toBeVisible();
  expect(keys.acts).toBeLessThanOrEqual(5);
});

test('the drag is set by the scale, with keys alone, in eight acts', async ({ page }) => {
  await openRig(page, 'Halyard Lark', 'Light fixed-spool rod');
  await page.goto(`${page.url()}/drag`);
  const keys = new Keys(page);
  const target = await page.locator('#main .text-4xl').first().innerText();
  const wanted = /[\d.]+/.exec(target)?.[0] ?? '';
  await keys.press(/^Begin, it is warm already$/);
  for (let pull = 1; pull <= 3; pull += 1) {
    await keys.fill(/^Moving pull/, wanted);
    await keys.press(/^Record this pull$/);
    await expect(page.getByLabel('Moving pull')).toHaveValue('');
  }
  await expect(page.getByText(/^Set: the last three agree/)).toBeVisible();
  await keys.press(/^Accept this setting$/);
  await expect(page.getByRole('heading', { name: 'As it is set' })).toBeVisible();
  expect(keys.acts).toBeLessThanOrEqual(8);
});

test('a card is found by its name, and what was done is undone, with keys alone', async ({ page }) => {
  await openRig(page, 'Halyard Lark', 'Copper rod, starboard twin');
  const rig = page.url();
  const keys = new Keys(page);
  await page.keyboard.press('ControlOrMeta+k');
  await page.getByRole('dialog').waitFor();
  await page.keyboard.type('card');
  await page.keyboard.press('Enter');
  await page.waitForURL(/\/card$/);
  await keys.to(/^Print, or keep as PDF$/);
  await page.goto(`${rig}/count#zero`);
  await keys.fill(/^Below the tip/, '1.4');
  await keys.press(/^(Count|Change) it$/);
  await expect(page.getByText('Undo', { exact: true })).toBeVisible();
  await page.keyboard.press('F8');
  await keys.press(/^Undo$/);
  await expect(page.getByText(/^Undone\./).first()).toBeVisible();
});

test('line is lost, a line is pulled, a join tied and a planer looked at, with keys alone', async ({ page }) => {
  test.setTimeout(120_000);
  await openRig(page, 'Halyard Lark', 'Copper rod, starboard twin');
  const rig = page.url();
  const keys = new Keys(page);

  await page.goto(`${rig}/load`);
  await keys.press(/^Line gone from the hook/);
  await keys.fill(/^Length that is gone/, '4');
  await keys.press(/^Note it$/);
  await expect(page.getByText(/^Noted\. Counter, strength and drag follow/).first()).toBeVisible();

  await page.goto(`${rig}/strength`);
  await keys.press(/^Pull test/);
  const another = page.getByRole('button', { name: 'Begin another test of this line' });
  await another.or(page.getByRole('button', { name: 'Begin this test' })).waitFor();
  if (await another.isVisible()) await keys.press(/^Begin another test of this line$/);
  await keys.press(/^Begin this test$/);
  await keys.fill(/^Peak force/, '11.4');
  await keys.press(/^Record this pull$/);
  await expect(page.getByText(/^So far: 11\.4/)).toBeVisible();

  await page.goto(`${rig}/joins`);
  await keys.press(/^Tie: /);
  const boxes = page.locator('#tie').getByRole('checkbox');
  await boxes.first().waitFor();
  // Each step can be ticked once the one before it is; the last box says whether the join was pulled.
  for (let step = (await boxes.count()) - 1; step > 0; step -= 1) {
    await keys.toBox();
    await page.keyboard.press(' ');
  }
  await keys.press(/^Note it as tied$/);
  await expect(page.getByText('Noted. This join is on record.').first()).toBeVisible();

  await openRig(page, 'Second Thought', 'Planer rod, bait');
  await page.goto(`${page.url()}/drag`);
  await keys.press(/^A planer/);
  await keys.to(/^It is set/);
  await page.keyboard.press(' ');
  const rows = page.getByRole('region', { name: 'A planer', exact: true }).getByRole('row');
  const before = await rows.count();
  await keys.press(/^Note this look$/);
  await expect(async () => expect(await rows.count()).toBeGreaterThan(before)).toPass();
});

test('a rig is made, its line planned and wound with a slip, with keys alone', async ({ page }) => {
  test.setTimeout(120_000);
  await openLocker(page, 'Second Thought');
  const keys = new Keys(page);
  await keys.press(/^Reels, lines, a new rig/);
  await keys.press(/^Add a reel/);
  await keys.fill(/^Name/, 'Kept reel');
  await keys.fill(/^Arbor diameter/, '31.4');
  await keys.fill(/^Width between flanges/, '28.6');
  await keys.fill(/^Full diameter/, '61.8');
  await keys.press(/^Add this reel$/);
  await keys.fill(/^Name of the rig/, 'Kept rod');
  await keys.press(/^Make this rig$/);
  await page.getByRole('heading', { level: 1, name: 'Kept rod' }).waitFor();

  await keys.press(/^Add a segment on top$/);
  // The stack stays open under the hand, and the focus where it was.
  await expect(page.getByRole('button', { name: /^The stack/ })).toHaveAttribute('aria-expanded', 'true');
  await keys.press(/^Add a segment on top$/);
  await keys.to(/^Take Segment 2 out of the stack$/);
  await keys.fill(/^Name/, 'Top shot');
  await keys.fill(/^Length$/, '40');
  await keys.press(/^Store the plan$/);
  await expect(page.getByText('The plan is stored.').first()).toBeVisible();

  await keys.press(/^Take it to the bench$/);
  await keys.press(/^Bench mode$/);
  const bench = page.getByRole('dialog');
  await expect(bench.getByRole('heading', { name: 'Backing' })).toBeVisible();
  await page.keyboard.type('612');
  await page.keyboard.press('Space');
  await expect(bench.getByRole('heading', { name: 'Top shot' })).toBeVisible();
  // The slip: one digit was wrong.
  await page.keyboard.press('u');
  await expect(bench.getByRole('heading', { name: 'Backing' })).toBeVisible();
  await page.keyboard.type('621');
  await page.keyboard.press('Space');
  await expect(bench.getByRole('heading', { name: 'Top shot' })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByText('stopped at 621')).toBeVisible();
});
