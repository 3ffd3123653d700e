import type { Page } from '@playwright/test';

/** Opens a boat's locker from the first page, as a person would. */
export async function openLocker(page: Page, boat: string): Promise<void> {
  await page.goto('/');
  await page.getByRole('main').getByRole('link', { name: boat }).click();
  await page.getByRole('heading', { name: `Locker of ${boat}` }).waitFor();
}

export async function openRig(page: Page, boat: string, rig: string): Promise<void> {
  await openLocker(page, boat);
  await page.getByRole('link', { name: rig, exact: true }).click();
  await page.getByRole('heading', { level: 1, name: rig }).waitFor();
}

export type StationName = 'Load' | 'Joins' | 'Count' | 'Strength' | 'Drag' | 'Depth';

/** The tab of a station, which also tells its state. */
export function stationTab(page: Page, station: StationName) {
  return page
    .getByRole('navigation', { name: 'Stations in working order' })
    .getByRole('link', { name: new RegExp(`^(\\d\\. )?${station}`) });
}

export async function openStation(page: Page, station: StationName): Promise<void> {
  await stationTab(page, station).click();
  await page.waitForURL(new RegExp(`/${station.toLowerCase()}$`));
}
