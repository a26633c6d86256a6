import { defineConfig } from '@playwright/test';

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
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: [
        '--no-sandbox',
        '--disable-gpu',
        '--disable-quic',
        '--no-first-run',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
      ],
    },
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
