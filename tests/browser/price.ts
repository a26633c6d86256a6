import type { Locator, Page } from '@playwright/test';

/**
 * Seconds of the keystroke-level model (S. K. Card, T. P. Moran and A. Newell, The keystroke-level model for user
 * performance time with interactive systems, 1980): a key, a pointing, a mouse button down or up, a hand moved between
 * mouse and keys, and a thought before each unit of it.
 */
const SECONDS = { K: 0.2, P: 1.1, B: 0.1, H: 0.4, M: 1.35 } as const;

/** Somebody at work on a page, whose every action is done and paid for. */
export class Priced {
  private spent = 0;
  private hand: 'mouse' | 'keys' = 'mouse';

  constructor(readonly page: Page) {}

  /** Seconds so far. */
  get seconds(): number {
    return Math.round(this.spent * 10) / 10;
  }

  private pay(...operators: (keyof typeof SECONDS)[]): void {
    for (const operator of operators) this.spent += SECONDS[operator];
  }

  private take(hand: 'mouse' | 'keys'): void {
    if (this.hand !== hand) this.pay('H');
    this.hand = hand;
  }

  private pointed(): void {
    this.take('mouse');
    this.pay('M', 'P', 'B', 'B');
  }

  async press(what: Locator): Promise<void> {
    await what.click();
    this.pointed();
  }

  /** A press on a point of an element, in shares of its width and height. */
  async pressAt(what: Locator, x: number, y: number): Promise<void> {
    const box = await what.boundingBox();
    if (!box) throw new Error('It is not on the page');
    await this.page.mouse.click(box.x + box.width * x, box.y + box.height * y);
    this.pointed();
  }

  async write(text: string): Promise<void> {
    await this.page.keyboard.type(text);
    this.take('keys');
    this.pay('M', ...Array.from(text, () => 'K' as const));
  }

  async key(key: string): Promise<void> {
    await this.page.keyboard.press(key);
    this.take('keys');
    this.pay('K');
  }

  /** What was copied elsewhere, pasted by Ctrl and V. */
  async paste(text: string): Promise<void> {
    await this.page.evaluate((copied) => navigator.clipboard.writeText(copied), text);
    await this.page.keyboard.press('Control+v');
    this.take('keys');
    this.pay('M', 'K', 'K');
  }

  /** A file is chosen by its name in the dialog of the system. */
  async file(open: Locator, file: { name: string; mimeType: string; buffer: Buffer }): Promise<void> {
    const chooser = this.page.waitForEvent('filechooser');
    await this.press(open);
    await (await chooser).setFiles(file);
    this.take('keys');
    this.pay('M', ...Array.from(file.name, () => 'K' as const), 'K');
  }
}
