import { start } from './look.tmp.mjs';
const SET='0d1c2f30-5a10-4c1e-9b52-6f6e1a2b0303';
const { browser, page } = await start('odile');
await page.goto('/sets'); await page.waitForLoadState('networkidle'); await page.screenshot({ path: '/tmp/w/sets.png' });
await page.goto('/sets/'+SET); await page.waitForLoadState('networkidle'); await page.screenshot({ path: '/tmp/w/set.png', fullPage: true });
await page.goto('/sets/'+SET+'/rehearse'); await page.waitForTimeout(2500); await page.screenshot({ path: '/tmp/w/rehearse.png' });
await browser.close();
