/** Characters. A drawing that is larger is a picture. */
const LONGEST = 1_000_000;
const ACTIVE = new Set(['script', 'foreignobject', 'iframe', 'object', 'embed', 'audio', 'video', 'handler', 'listener', 'set', 'animate', 'animatetransform', 'animatemotion']);
const SCRIPTED = new Set(['script', 'foreignobject', 'iframe', 'object', 'embed', 'handler', 'listener']);

export const looksLikeSvg = (bytes: Uint8Array): boolean => {
  const head = new TextDecoder().decode(bytes.subarray(0, 4096));
  return /^\uFEFF?\s*(<\?xml[^>]*>\s*)?(<!--[\s\S]*?-->\s*)*(<!DOCTYPE svg[^>[]*>\s*)?(<!--[\s\S]*?-->\s*)*<svg[\s>]/i.test(head);
};

const withoutProlog = (text: string) => text.replace(/^\uFEFF?\s*(<\?xml[^>]*>|<!--[\s\S]*?-->|<!DOCTYPE[^>]*>|\s)*/i, '');

/** The drawing with nothing in it that could act or ask another place for something; or the sentence that says why it is not taken. */
export async function safeSvg(bytes: Uint8Array): Promise<{ ok: true; bytes: Uint8Array } | { ok: false; message: string }> {
  const text = new TextDecoder().decode(bytes);
  if (text.length > LONGEST) return { ok: false, message: 'This drawing is larger than 1 MB: save it as PNG or WebP' };
  if (/<!ENTITY/i.test(text)) return { ok: false, message: 'This drawing defines entities, which could hide script' };
  const [{ JSDOM }, { default: createPurifier }] = await Promise.all([import('jsdom'), import('dompurify')]);
  const { window } = new JSDOM('');
  try {
    const purifier = createPurifier(window as unknown as Parameters<typeof createPurifier>[0]);
    let outside = false;
    purifier.addHook('uponSanitizeAttribute', (_node, data) => {
      const { attrName, attrValue } = data;
      const pointsOut = (attrName.endsWith('href') && !/^(#|data:image\/(png|jpeg|webp|gif);)/i.test(attrValue.trim())) || /url\(\s*['"]?(?!#|['"]?data:image)/i.test(attrValue);
      if (pointsOut) {
        outside = true;
        data.keepAttr = false;
      }
    });
    const body = purifier.sanitize(withoutProlog(text), { USE_PROFILES: { svg: true, svgFilters: true }, FORBID_TAGS: ['style', ...ACTIVE], RETURN_DOM: true }) as Element;
    const hidden = purifier.removed.some((removed) => {
      if ('element' in removed) return SCRIPTED.has(removed.element.nodeName.toLowerCase().replace(/^.*:/, ''));
      const name = removed.attribute?.name.toLowerCase() ?? '';
      return name.startsWith('on') || /^\s*javascript:/i.test(removed.attribute?.value ?? '');
    });
    if (hidden) return { ok: false, message: 'This drawing hides script' };
    if (outside) return { ok: false, message: 'This drawing asks for something at another place: put what it needs into it' };
    const drawing = body.querySelector('svg');
    if (!drawing) return { ok: false, message: 'This drawing cannot be read' };
    // Written as XML, which is how a picture's file is read.
    return { ok: true, bytes: new TextEncoder().encode(new window.XMLSerializer().serializeToString(drawing)) };
  } catch {
    return { ok: false, message: 'This drawing cannot be read' };
  } finally {
    window.close();
  }
}
