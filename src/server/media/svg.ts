/** The longest drawing, in characters. */
const MAX_CHARACTERS = 1_000_000;
/** Limits that no honest drawing comes near: beyond them, sanitising takes longer than it may. */
const MAX_ELEMENTS = 5_000;
const MAX_DEPTH = 64;
const MAX_ATTRIBUTES = 500;
const ACTIVE = new Set([
  'script',
  'foreignobject',
  'iframe',
  'object',
  'embed',
  'audio',
  'video',
  'handler',
  'listener',
  'set',
  'animate',
  'animatetransform',
  'animatemotion',
]);
const SCRIPTED = new Set(['script', 'foreignobject', 'iframe', 'object', 'embed', 'handler', 'listener']);

/**
 * The start of a drawing's root element, after white space, an XML declaration, comments and a DOCTYPE without
 * definitions. Null: not a drawing.
 */
function rootOf(text: string): number | null {
  let at = text.startsWith('\uFEFF') ? 1 : 0;
  for (;;) {
    while (at < text.length && text.charCodeAt(at) <= 32) at++;
    const rest = text.slice(at, at + 16).toLowerCase();
    let end: number;
    if (rest.startsWith('<!--')) end = endOf(text, '-->', at + 4);
    else if (rest.startsWith('<?xml')) end = endOf(text, '?>', at);
    else if (rest.startsWith('<!doctype svg')) {
      end = endOf(text, '>', at);
      if (end !== -1 && text.slice(at, end).includes('[')) return null;
    } else return /^<svg[\s>]/.test(rest) ? at : null;
    if (end === -1) return null;
    at = end;
  }
}

const endOf = (text: string, mark: string, from: number): number => {
  const found = text.indexOf(mark, from);
  return found === -1 ? -1 : found + mark.length;
};

/** The bytes that are searched for a drawing's root element. */
const HEAD = 4096;
export const looksLikeSvg = (head: Uint8Array): boolean =>
  rootOf(new TextDecoder().decode(head.subarray(0, HEAD))) !== null;

/**
 * The number of elements of a drawing, their depth, and the most attributes of one of them, in one pass over its text.
 */
function sizeOf(text: string): { elements: number; depth: number; attributes: number } {
  let elements = 0;
  let attributes = 0;
  let depth = 0;
  let deepest = 0;
  for (let at = text.indexOf('<'); at !== -1; at = text.indexOf('<', at + 1)) {
    if (text.startsWith('<!--', at)) {
      const end = text.indexOf('-->', at + 4);
      if (end === -1) break;
      at = end;
    } else if (text.charCodeAt(at + 1) === 47) depth = Math.max(0, depth - 1);
    else if (isLetter(text.charCodeAt(at + 1))) {
      elements++;
      deepest = Math.max(deepest, ++depth);
      const end = text.indexOf('>', at);
      attributes = Math.max(attributes, text.slice(at, end === -1 ? undefined : end).split('=').length - 1);
      if (end !== -1 && text.charCodeAt(end - 1) === 47) depth--;
    }
  }
  return { elements, depth: deepest, attributes };
}

const isLetter = (code: number) => (code >= 65 && code <= 90) || (code >= 97 && code <= 122);

/** A style's text without CSS escapes, which could hide the name of a function. */
const unescaped = (text: string): string =>
  text.replace(/\\([0-9a-f]{1,6})\s?|\\/gi, (_, hex?: string) =>
    hex ? String.fromCodePoint(Math.min(Number.parseInt(hex, 16), 0x10ffff)) : '',
  );

/** True if an attribute refers to another place. References within the drawing, and embedded pictures, do not. */
function pointsOutside(name: string, value: string): boolean {
  if (name.endsWith('href')) return !/^(?:#|data:image\/(?:png|jpeg|webp|gif);)/i.test(value.trim());
  const plain = unescaped(value).toLowerCase();
  if (/@import|image-set\(|\b(?:image|src|cross-fade|element)\(/.test(plain)) return true;
  return plain
    .split('url(')
    .some((after, i) => i > 0 && !/^\s*["']?(?:#|data:image\/(?:png|jpeg|webp|gif);)/.test(after));
}

export type SafeSvg =
  | { readonly ok: true; readonly bytes: Uint8Array }
  | { readonly ok: false; readonly message: string };
const refuse = (message: string): SafeSvg => ({ ok: false, message });

/** The drawing without anything that could run or load something from elsewhere; or the reason for a refusal. */
export async function safeSvg(bytes: Uint8Array): Promise<SafeSvg> {
  const text = new TextDecoder().decode(bytes);
  if (text.length > MAX_CHARACTERS) return refuse('This drawing is larger than 1 MB: save it as PNG or WebP');
  if (/<!ENTITY/i.test(text)) return refuse('This drawing defines entities, which could hide script');
  const root = rootOf(text);
  if (root === null) return refuse('This drawing cannot be read');
  const size = sizeOf(text);
  if (size.elements > MAX_ELEMENTS)
    return refuse(`This drawing has more than ${MAX_ELEMENTS} parts: save it as PNG or WebP`);
  if (size.depth > MAX_DEPTH)
    return refuse(`This drawing is nested more than ${MAX_DEPTH} levels deep: save it as PNG or WebP`);
  if (size.attributes > MAX_ATTRIBUTES)
    return refuse(`A part of this drawing has more than ${MAX_ATTRIBUTES} attributes: save it as PNG or WebP`);
  const [{ JSDOM }, { default: createPurifier }] = await Promise.all([import('jsdom'), import('dompurify')]);
  const { window } = new JSDOM('');
  try {
    const purifier = createPurifier(window as unknown as Parameters<typeof createPurifier>[0]);
    let outside = false;
    purifier.addHook('uponSanitizeAttribute', (_node, data) => {
      if (!pointsOutside(data.attrName, data.attrValue)) return;
      outside = true;
      data.keepAttr = false;
    });
    const body = purifier.sanitize(text.slice(root), {
      USE_PROFILES: { svg: true, svgFilters: true },
      FORBID_TAGS: ['style', ...ACTIVE],
      RETURN_DOM: true,
    }) as Element;
    const hidden = purifier.removed.some((removed) => {
      if ('element' in removed) return SCRIPTED.has(removed.element.nodeName.toLowerCase().replace(/^[^:]*:/, ''));
      const name = removed.attribute?.name.toLowerCase() ?? '';
      return name.startsWith('on') || /^\s*javascript:/i.test(removed.attribute?.value ?? '');
    });
    if (hidden) return refuse('This drawing hides script');
    if (outside) return refuse('This drawing asks for something at another place: put what it needs into it');
    const drawing = body.querySelector('svg');
    if (!drawing) return refuse('This drawing cannot be read');
    // Serialised as XML, because picture files are read as XML.
    return { ok: true, bytes: new TextEncoder().encode(new window.XMLSerializer().serializeToString(drawing)) };
  } catch {
    return refuse('This drawing cannot be read');
  } finally {
    window.close();
  }
}
