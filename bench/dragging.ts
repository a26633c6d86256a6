import { type Browser, chromium, type Page } from '@playwright/test';
import { CHROMIUM } from '../tests/support/chromium';
import { traced, workPerMove } from './trace';

const MOVES = 150;
/** Between two moves of the pointer: longer than a frame, so that each is drawn. */
const PACE_MS = 24;

export const benchBrowser = (): Promise<Browser> => chromium.launch(CHROMIUM);

/** Milliseconds of main-thread work for each move, while the thing at a point is dragged in a circle. */
export async function dragging(page: Page, from: { x: number; y: number }): Promise<number[]> {
  const cdp = await page.context().newCDPSession(page);
  const mouse = (type: 'mousePressed' | 'mouseMoved' | 'mouseReleased', x: number, y: number) =>
    cdp.send('Input.dispatchMouseEvent', {
      type,
      x,
      y,
      button: type === 'mouseMoved' ? 'none' : 'left',
      buttons: type === 'mouseReleased' ? 0 : 1,
      clickCount: 1,
    });
  await mouse('mousePressed', from.x, from.y);
  await page.waitForTimeout(100);
  for (let i = 1; i <= 5; i++) {
    await mouse('mouseMoved', from.x + i * 3, from.y - i * 3);
    await page.waitForTimeout(PACE_MS);
  }
  const events = await traced(cdp, async () => {
    for (let i = 0; i < MOVES; i++) {
      const turn = (i / MOVES) * 2 * Math.PI * 3;
      await mouse('mouseMoved', from.x + 15 + 60 * Math.sin(turn), from.y - 15 - 60 + 60 * Math.cos(turn));
      await page.waitForTimeout(PACE_MS);
    }
  });
  await mouse('mouseReleased', from.x, from.y);
  await cdp.detach();
  return workPerMove(events);
}
