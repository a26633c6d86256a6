import { chromium } from '@playwright/test';
export async function start(user, viewport={width:1280,height:800}, more={}) {
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] });
  const context = await browser.newContext({ viewport, baseURL: 'http://localhost:4390', timezoneId: 'Europe/Berlin', ...more });
  const page = await context.newPage();
  page.on('console', m => ['error','warning'].includes(m.type()) && console.log('CONSOLE', m.text().slice(0,300)));
  page.on('pageerror', e => console.log('PAGEERROR', e.message));
  if (user) {
    await page.goto('/sign-in'); await page.waitForLoadState('networkidle');
    await page.getByLabel('User name').fill(user); await page.getByLabel('Password').fill('seedlings-26');
    await page.getByRole('button', { name: 'Sign in', exact: true }).click();
    await page.waitForURL((u) => !u.pathname.startsWith('/sign-in'));
  }
  return { browser, context, page };
}
