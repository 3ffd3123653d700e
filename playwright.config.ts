import { defineConfig } from '@playwright/test';
import { CHROMIUM } from './tests/chromium';

/** Drives the built application in Debian's Chromium. Each file starts a server for itself: tests/e2e/ownDemo.ts. */
export default defineConfig({
  testDir: 'tests/e2e',
  timeout: 180_000,
  expect: { timeout: 20_000 },
  workers: 2,
  forbidOnly: true,
  reporter: [['list'], ['json']],
  use: {
    viewport: { width: 1280, height: 800 },
    // A button that is not there is said soon, not when the whole test ends.
    actionTimeout: 60_000,
    trace: 'off',
    launchOptions: CHROMIUM,
  },
});
