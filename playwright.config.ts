import { defineConfig } from '@playwright/test';
import { CHROMIUM } from './tests/chromium';
import { OPEN_FOLDS } from './tests/openFolds';

const BASE_URL = process.env.BASE_URL ?? 'http://localhost:3000';

/** Drives the built application in Debian's Chromium. `npm test` starts the server and sets BASE_URL. */
export default defineConfig({
  testDir: 'tests/e2e',
  timeout: 180_000,
  expect: { timeout: 20_000 },
  workers: 2,
  forbidOnly: true,
  reporter: [['list'], ['json']],
  use: {
    baseURL: BASE_URL,
    // The paths follow the work with its folds open; how pages open by themselves is a test of its own.
    storageState: {
      cookies: [],
      origins: [{ origin: new URL(BASE_URL).origin, localStorage: [{ name: OPEN_FOLDS.key, value: OPEN_FOLDS.kept }] }],
    },
    viewport: { width: 1280, height: 800 },
    // A button that is not there is said soon, not when the whole test ends.
    actionTimeout: 60_000,
    trace: 'off',
    launchOptions: CHROMIUM,
  },
});
