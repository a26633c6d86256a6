import type { Point } from '../../../core';

/** A part of the page that scrolls, and its edges on the screen, in CSS pixels. */
interface Scroller {
  readonly element: Element;
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
}

/** So near an edge something held makes the page scroll, in CSS pixels. */
const NEAR = 44;
/** The most that it scrolls in one frame. */
const FASTEST = 14;

const scrolls = (element: Element): boolean => {
  if (element.scrollHeight <= element.clientHeight && element.scrollWidth <= element.clientWidth) return false;
  const { overflowX, overflowY } = getComputedStyle(element);
  return [overflowX, overflowY].some((overflow) => overflow === 'auto' || overflow === 'scroll');
};

/** The parts that scroll around the scene, the innermost first, and the window last. */
export function scrollersOf(frame: HTMLElement | null): Scroller[] {
  const found: Scroller[] = [];
  for (let element: Element | null = frame; element && element !== document.body; element = element.parentElement)
    if (scrolls(element)) found.push({ element, ...edgesOf(element.getBoundingClientRect()) });
  const page = document.scrollingElement;
  if (page) {
    // What stands at the foot of the window covers the page there.
    const foot = document.querySelector('.frame-foot')?.getBoundingClientRect();
    const covered = foot && Math.abs(foot.bottom - innerHeight) < 2 ? foot.top : innerHeight;
    found.push({ element: page, left: 0, top: 0, right: innerWidth, bottom: covered });
  }
  return found;
}

const edgesOf = ({ left, top, right, bottom }: DOMRect) => ({ left, top, right, bottom });

const SIDES = ['left', 'top', 'right', 'bottom'] as const;

/** How far a pointer is inside of each edge; negative: beyond it. */
const within = ({ left, top, right, bottom }: Scroller, { x, y }: Point) => ({
  left: x - left,
  top: y - top,
  right: right - x,
  bottom: bottom - y,
});

/** The edges that a pointer is well away from. */
export const edgesLeft = (scrollers: readonly Scroller[], pointer: Point): string[] =>
  scrollers.flatMap((scroller, i) =>
    SIDES.filter((side) => within(scroller, pointer)[side] > NEAR).map((side) => `${i} ${side}`),
  );

/** Scrolls what has an edge near the pointer, that it has been away from; true: something moved. */
export function scrollTowards(scrollers: readonly Scroller[], pointer: Point, away: ReadonlySet<string>): boolean {
  for (const [i, scroller] of scrollers.entries()) {
    const inside = within(scroller, pointer);
    const pull = (side: (typeof SIDES)[number]) =>
      inside[side] < NEAR && away.has(`${i} ${side}`) ? FASTEST * Math.min(1, (NEAR - inside[side]) / NEAR) : 0;
    const by = { left: pull('right') - pull('left'), top: pull('bottom') - pull('top') };
    const { scrollLeft, scrollTop } = scroller.element;
    scroller.element.scrollBy(by);
    if (scroller.element.scrollLeft !== scrollLeft || scroller.element.scrollTop !== scrollTop) return true;
  }
  return false;
}
