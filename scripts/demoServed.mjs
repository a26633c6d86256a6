// The demo served to a browser, from fresh data, over what is built: for scripts that take pictures.
import { spawn, spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { chromium } from '@playwright/test';

export const root = join(import.meta.dirname, '..');

/** Starts it on a port. `end` takes everything away again. */
export async function demoServed(port) {
  const data = mkdtempSync(join(tmpdir(), 'vault-drop-pictures-'));
  const origin = `http://127.0.0.1:${port}`;
  const env = {
    ...process.env,
    VAULT_DROP_DATA: data,
    VAULT_DROP_DEMO: '1',
    LTI_LOOPBACK: '1',
    NODE_ENV: 'production',
    LOG_LEVEL: 'warn',
    PORT: String(port),
  };
  spawnSync('node', ['--import', 'tsx', 'demo/seed.ts'], { cwd: root, env, stdio: 'inherit' });
  const server = spawn('node', ['server.mjs'], { cwd: root, env, stdio: 'inherit' });
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] });
  while (!(await fetch(`${origin}/api/health`).catch(() => null))?.ok)
    await new Promise((resolve) => setTimeout(resolve, 100));
  return {
    browser,
    /** A page of somebody who is signed in. */
    async pageOf(username, viewport = { width: 1280, height: 800 }) {
      const context = await browser.newContext({ viewport, baseURL: origin, timezoneId: 'Europe/Berlin' });
      await context.request.post('/api/auth/sign-in/username', {
        data: { username, password: 'seedlings-26' },
        headers: { origin },
      });
      return context.newPage();
    },
    /** Opens a path, and waits until its islands listen. */
    async open(page, path) {
      await page.goto(path);
      await page.waitForFunction(() => document.querySelectorAll('astro-island[ssr]').length === 0);
    },
    async end() {
      await browser.close();
      server.kill('SIGTERM');
      rmSync(data, { recursive: true, force: true });
    },
  };
}
