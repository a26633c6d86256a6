import { defineConfig } from '@playwright/test';
import { CHROMIUM } from './tests/support/chromium';

export default defineConfig({
  testDir: './tests/browser',
  globalSetup: './tests/browser/globalSetup.ts',
  timeout: 120_000,
  expect: { timeout: 15_000 },
  fullyParallel: true,
  workers: 2,
  reporter: [['list']],
  forbidOnly: true,
  use: {
    // What never comes is said after half a minute, not when the whole test runs out.
    actionTimeout: 30_000,
    launchOptions: CHROMIUM,
  },
  projects: [
    { name: 'desktop', testIgnore: /touch/, use: { viewport: { width: 1280, height: 800 } } },
    {
      name: 'phone',
      testMatch: /touch/,
      use: { viewport: { width: 390, height: 800 }, hasTouch: true, isMobile: true },
    },
  ],
});
