import type { Arriving } from './arriving';
import { lineIn, richIn } from './richIn';
import { isElement, within, type XmlElement } from './xml';

const isPlain = (of: XmlElement): boolean =>
  of.children.every((child) => !isElement(child) || (child.name === 'span' && isPlain(child)));

/** A choice as a label and what is shown: words, and a picture where it has one. */
export function shownIn(
  of: XmlElement,
  arriving: Arriving,
): { readonly label: string; readonly content: unknown; readonly size: { w: number; h: number } | null } {
  const [image] = [...within(of, 'img'), ...within(of, 'object')];
  const words = lineIn(of);
  const alt = image?.attributes.alt ?? of.attributes['object-label'] ?? null;
  const label = words || alt || of.attributes['hotspot-label'] || of.attributes.identifier || '';
  const href = image?.attributes.src ?? image?.attributes.data;
  const picture = href ? arriving.medium(href, alt) : null;
  const [w, h] = [Number(image?.attributes.width), Number(image?.attributes.height)];
  const rich = isPlain(of) && !picture ? null : richIn(of.children);
  return {
    label: label.slice(0, 2000),
    content: picture || rich ? { text: rich, picture } : null,
    size: picture && w > 0 && h > 0 ? { w, h } : picture ? PICTURE : null,
  };
}
const PICTURE = { w: 110, h: 80 };

/** A choice as an item, named by its identifier. */
export function itemIn(of: XmlElement, arriving: Arriving, more: Readonly<Record<string, unknown>> = {}) {
  const { label, content, size } = shownIn(of, arriving);
  return { id: of.attributes.identifier ?? '', label, content, size: size ?? { w: 130, h: 48 }, ...more };
}
