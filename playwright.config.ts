import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { defineConfig } from '@playwright/test';

const PORT = 4497;
// One folder a run, shared by the processes Playwright starts: the first sets it, the others inherit it.
process.env.VAULT_DROP_TEST_DATA ??= mkdtempSync(join(tmpdir(), 'vault-drop-'));
const data = process.env.VAULT_DROP_TEST_DATA;

export default defineConfig({
  testDir: './tests/browser',
  timeout: 120_000,
  expect: { timeout: 15_000 },
  fullyParallel: true,
  workers: 2,
  reporter: [['list']],
  forbidOnly: true,
  use: {
    // What never comes is said after half a minute, not when the whole test runs out.
    actionTimeout: 30_000,
    baseURL: `http://127.0.0.1:${PORT}`,
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
  webServer: {
    command: 'node --import tsx demo/seed.ts && node server.mjs',
    url: `http://127.0.0.1:${PORT}/api/health`,
    timeout: 180_000,
    reuseExistingServer: false,
    gracefulShutdown: { signal: 'SIGTERM', timeout: 3000 },
    env: {
      PORT: String(PORT),
      HOST: '127.0.0.1',
      VAULT_DROP_DATA: data,
      VAULT_DROP_DEMO: '1',
      NODE_ENV: 'production',
      LOG_LEVEL: 'warn',
    },
  },
});
