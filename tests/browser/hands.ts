import type { CDPSession, Locator, Page } from '@playwright/test';
import { centre, dragTo, expect, intoView, pageTimer } from './support';

/** A way of working the pages: what a press, typing, and moving something come to with it. */
export interface Hand {
  press(what: Locator): Promise<void>;
  type(into: Locator, text: string): Promise<void>;
  choose(radio: Locator): Promise<void>;
  /**
   * Moves something of the scene to the middle of a place; what the keys are told instead of a point stands in `keys`.
   */
  move(what: Locator, to: Locator, keys: readonly string[]): Promise<void>;
}

export function mouse(page: Page): Hand {
  return {
    press: (what) => what.click(),
    type: (into, text) => into.fill(text),
    choose: (radio) => radio.check(),
    move: async (what, to) => dragTo(page, what, await centre(to)),
  };
}

const MAX_TABS = 150;

/** The keyboard alone: everything is reached with the Tab key, from where the focus is. */
export function keyboard(page: Page): Hand {
  const reach = async (what: Locator) => {
    await expect(what).toBeVisible();
    for (let i = 0; i < MAX_TABS; i++) {
      if (await what.evaluate((element) => element === document.activeElement)) return;
      await page.keyboard.press('Tab');
    }
    throw new Error(`${what} is not reached with the Tab key`);
  };
  return {
    press: async (what) => {
      await reach(what);
      await page.keyboard.press('Enter');
    },
    type: async (into, text) => {
      await reach(into);
      await page.keyboard.press('ControlOrMeta+a');
      await page.keyboard.type(text);
    },
    choose: async (radio) => {
      // The Tab key goes to the chosen one of a group of radio buttons; from there the arrows do.
      const group = page.locator(`input[type=radio][name="${await radio.getAttribute('name')}"]`);
      await reach(
        (await group.and(page.locator(':checked')).count()) > 0 ? group.and(page.locator(':checked')) : radio,
      );
      for (
        let i = await group.count();
        i > 0 && !(await radio.evaluate((element) => element === document.activeElement));
        i--
      )
        await page.keyboard.press('ArrowDown');
      await page.keyboard.press('Space');
      await expect(radio).toBeChecked();
    },
    move: async (what, _to, keys) => {
      await reach(what);
      await page.keyboard.press('Space');
      await expect(what).toHaveAttribute('aria-pressed', 'true');
      // It is drawn in hand before the next key.
      await pageTimer(page);
      for (const key of keys) await page.keyboard.press(key);
      await page.keyboard.press('Space');
      await expect(what).toHaveAttribute('aria-pressed', 'false');
    },
  };
}

/** A finger: real touch events. */
export function finger(page: Page): Hand {
  return {
    press: (what) => what.tap(),
    type: async (into, text) => {
      await into.tap();
      await into.fill(text);
    },
    choose: (radio) => radio.tap(),
    move: async (what, to) => {
      await intoView(what);
      await fingerTo(page, what, await centre(to));
      // Chromium takes a touch within 300 ms of the last for the second half of a double tap, and sends no click.
      await pageTimer(page, 301);
    },
  };
}

/** Drags with a finger from the middle of something to a point of the page. */
export async function fingerTo(page: Page, what: Locator, target: { x: number; y: number }): Promise<void> {
  const cdp = await page.context().newCDPSession(page);
  const send = (type: 'touchStart' | 'touchMove' | 'touchEnd', at?: { x: number; y: number }) =>
    cdp.send('Input.dispatchTouchEvent', { type, touchPoints: at ? [{ ...at, id: 1 }] : [] });
  const from = await centre(what);
  await send('touchStart', from);
  for (let i = 1; i <= 10; i++)
    await send('touchMove', { x: from.x + ((target.x - from.x) * i) / 10, y: from.y + ((target.y - from.y) * i) / 10 });
  // A finger comes to a stop before it lifts. One that lifts at full speed flings, and Chromium takes the next touch
  // for the one that ends the fling: no click.
  await pageTimer(page, 120);
  await send('touchMove', target);
  await send('touchEnd');
}

/** Fingers on the screen, several at once, each known by its id. */
export type Fingers = (
  type: 'touchStart' | 'touchMove' | 'touchEnd',
  at: readonly { x: number; y: number; id: number }[],
) => Promise<unknown>;
export const fingersOf =
  (cdp: CDPSession): Fingers =>
  (type, at) =>
    cdp.send('Input.dispatchTouchEvent', { type, touchPoints: [...at] });
