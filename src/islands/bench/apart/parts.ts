import { type Box, isSimplePolygon } from '../../../core';

/** A part of a drawing: a group of it, or a shape that stands by itself. Places are in the drawing's own units. */
export interface Part {
  readonly name: string;
  readonly box: Box;
  /** Its outline, where it is one shape; null: its box. */
  readonly outline: readonly (readonly [number, number])[] | null;
  /** The part as a drawing of its own, as large as its box. */
  readonly svg: string;
}

export interface TakenApart {
  readonly viewBox: Box;
  readonly parts: readonly Part[];
  /** The drawing without some of its parts, by their index. */
  without(parts: ReadonlySet<number>): string;
}

const SVG = 'http://www.w3.org/2000/svg';
const DRAWN = 'g, path, rect, circle, ellipse, polygon, polyline, line, text, image, use, switch, a';
const SHARED = 'defs, style, linearGradient, radialGradient, pattern, clipPath, mask, filter, symbol, marker';
const MARK = 'data-part';
/** Corners of an outline that is read along its edge. */
const CORNERS = 40;
const MOST_PARTS = 200;

/**
 * The parts of a drawing: its topmost groups, where all of it is not in one. Null: it is no drawing, or has fewer than
 * two parts. The drawing has to be one that the server has made safe.
 */
export function partsOf(text: string): TakenApart | null {
  const read = new DOMParser().parseFromString(text, 'image/svg+xml').documentElement;
  if (read.namespaceURI !== SVG || read.localName !== 'svg') return null;
  // Boxes are known only of what stands in a page.
  const host = document.createElement('div');
  host.className = 'apart-host';
  host.inert = true;
  const root = document.importNode(read, true) as unknown as SVGSVGElement;
  host.append(root);
  document.body.append(host);
  try {
    const viewBox = viewBoxOf(root);
    root.setAttribute('viewBox', [viewBox.x, viewBox.y, viewBox.w, viewBox.h].join(' '));
    root.setAttribute('width', String(viewBox.w));
    root.setAttribute('height', String(viewBox.h));
    const found = topmost(root).flatMap((element) => {
      const box = boxOf(root, element);
      return box && box.w > 0 && box.h > 0 ? [{ element, box }] : [];
    });
    if (found.length < 2 || found.length > MOST_PARTS) return null;
    for (const [i, { element }] of found.entries()) element.setAttribute(MARK, String(i));
    const whole = root.cloneNode(true) as SVGSVGElement;
    return {
      viewBox,
      parts: found.map(({ element, box }, i) => ({
        name: nameOf(element) || `Part ${i + 1}`,
        box,
        outline: outlineOf(root, element),
        svg: alone(root, element, box),
      })),
      without: (gone) => {
        const rest = whole.cloneNode(true) as SVGSVGElement;
        for (const element of rest.querySelectorAll(`[${MARK}]`)) {
          if (gone.has(Number(element.getAttribute(MARK)))) element.remove();
          else element.removeAttribute(MARK);
        }
        return new XMLSerializer().serializeToString(rest);
      },
    };
  } finally {
    host.remove();
  }
}

function viewBoxOf(root: SVGSVGElement): Box {
  const { x, y, width: w, height: h } = root.viewBox.baseVal;
  if (w > 0 && h > 0) return { x, y, w, h };
  const size = (name: string) => Number.parseFloat(root.getAttribute(name) ?? '');
  return { x: 0, y: 0, w: size('width') || 300, h: size('height') || 150 };
}

const drawnIn = (element: Element): SVGGraphicsElement[] =>
  [...element.children].filter((child) => child.matches(DRAWN)) as SVGGraphicsElement[];

/** The topmost drawn things; a group that holds all there is, is gone into. */
function topmost(root: SVGSVGElement): SVGGraphicsElement[] {
  let all = drawnIn(root);
  while (all.length === 1 && all[0]?.matches('g, switch, a') && drawnIn(all[0]).length > 0) all = drawnIn(all[0]);
  return all;
}

/** From an element's own units to the drawing's. */
function toRoot(root: SVGSVGElement, element: SVGGraphicsElement): DOMMatrix | null {
  const [outer, inner] = [root.getScreenCTM(), element.getScreenCTM()];
  return outer && inner ? outer.inverse().multiply(inner) : null;
}

function boxOf(root: SVGSVGElement, element: SVGGraphicsElement): Box | null {
  const matrix = toRoot(root, element);
  if (!matrix) return null;
  const { x, y, width, height } = element.getBBox();
  const corners = [
    [x, y],
    [x + width, y],
    [x + width, y + height],
    [x, y + height],
  ].map(([px, py]) => new DOMPoint(px, py).matrixTransform(matrix));
  const [xs, ys] = [corners.map((at) => at.x), corners.map((at) => at.y)];
  const [left, top] = [Math.min(...xs), Math.min(...ys)];
  return { x: left, y: top, w: Math.max(...xs) - left, h: Math.max(...ys) - top };
}

/** The outline of the one closed shape that an element is or holds; null: it holds more, or it crosses itself. */
function outlineOf(root: SVGSVGElement, element: SVGGraphicsElement): Part['outline'] {
  const shapes = [element, ...element.querySelectorAll('*')].filter(
    (child): child is SVGGeometryElement => child instanceof SVGGeometryElement && !(child instanceof SVGLineElement),
  );
  const [shape] = shapes;
  if (!shape || shapes.length > 1 || shape instanceof SVGRectElement) return null;
  const matrix = toRoot(root, shape);
  const length = shape.getTotalLength();
  if (!matrix || length === 0) return null;
  const points = Array.from({ length: CORNERS }, (_, i) => {
    const { x, y } = shape.getPointAtLength((length * i) / CORNERS).matrixTransform(matrix);
    return [Math.round(x * 10) / 10, Math.round(y * 10) / 10] as const;
  });
  const corners = points.filter(([x, y], i) => {
    const next = points[(i + 1) % points.length];
    return next === undefined || next[0] !== x || next[1] !== y;
  });
  return isSimplePolygon(corners) ? corners : null;
}

function nameOf(element: Element): string {
  const title = [...element.children].find((child) => child.localName === 'title')?.textContent;
  const label = element.getAttribute('inkscape:label') ?? element.getAttribute('data-name');
  const id = (element.getAttribute('id') ?? '').replace(/_x([0-9A-Fa-f]{2})_/g, (_, hex: string) =>
    String.fromCharCode(Number.parseInt(hex, 16)),
  );
  return (title || label || id)
    .replace(/[_\s]+/g, ' ')
    .trim()
    .slice(0, 200);
}

/** The element as a drawing of its own, with what it refers to and what it stands in. */
function alone(root: SVGSVGElement, element: SVGGraphicsElement, { x, y, w, h }: Box): string {
  const made = root.cloneNode(false) as SVGSVGElement;
  made.setAttribute('viewBox', [x, y, w, h].join(' '));
  made.setAttribute('width', String(Math.max(1, Math.round(w))));
  made.setAttribute('height', String(Math.max(1, Math.round(h))));
  for (const shared of root.querySelectorAll(SHARED))
    if (!shared.parentElement?.closest(SHARED)) made.append(shared.cloneNode(true));
  let inner: Node = element.cloneNode(true);
  (inner as Element).removeAttribute(MARK);
  for (let around = element.parentElement; around && around !== (root as Element); around = around.parentElement) {
    const shell = around.cloneNode(false);
    shell.appendChild(inner);
    inner = shell;
  }
  made.append(inner);
  return new XMLSerializer().serializeToString(made);
}
