import { XMLBuilder, XMLParser, XMLValidator } from 'fast-xml-parser';

/** An element of XML 1.0: its name without a prefix, its attributes, and what stands in it, in order. */
export interface XmlElement {
  readonly name: string;
  readonly attributes: Readonly<Record<string, string>>;
  readonly children: readonly (XmlElement | string)[];
}

type Attributes = Readonly<Record<string, string | number | boolean | null | undefined>>;

/** Makes an element; attributes that are null or undefined are left out. */
export const element = (
  name: string,
  attributes: Attributes = {},
  children: readonly (XmlElement | string)[] = [],
): XmlElement => ({
  name,
  attributes: Object.fromEntries(
    Object.entries(attributes).flatMap(([key, value]) => (value == null ? [] : [[key, String(value)]])),
  ),
  children,
});

/** What XML 1.0 has no way to write, section 2.2: most control characters, lone surrogates, U+FFFE and U+FFFF. */
// biome-ignore lint/suspicious/noControlCharactersInRegex: control characters are what is taken out
const UNWRITABLE = /[\u0000-\u0008\u000b\u000c\u000e-\u001f\ufffe\uffff]|\p{Cs}/gu;
const writable = (text: string) => text.replace(UNWRITABLE, '');

const ATTRIBUTES = ':@';
const TEXT = '#text';
type Built = Record<string, unknown>;

const builder = new XMLBuilder({
  preserveOrder: true,
  ignoreAttributes: false,
  attributeNamePrefix: '',
  suppressEmptyNode: true,
});
const built = (node: XmlElement | string): Built =>
  typeof node === 'string'
    ? { [TEXT]: writable(node) }
    : {
        [node.name]: node.children.map(built),
        [ATTRIBUTES]: Object.fromEntries(
          Object.entries(node.attributes).map(([name, value]) => [name, writable(value)]),
        ),
      };

/** The text of a document. Nothing is put between elements: white space would be content. */
export const writeXml = (root: XmlElement): string =>
  `<?xml version="1.0" encoding="UTF-8"?>\n${builder.build([built(root)])}\n`;

export type ReadXml =
  | { readonly ok: true; readonly root: XmlElement }
  | { readonly ok: false; readonly message: string };

/** The deepest nesting and the most elements that are read. */
const MAX_DEPTH = 100;
const MAX_ELEMENTS = 200_000;
/** Characters of one document. */
export const MAX_XML = 8_000_000;

const parser = new XMLParser({
  preserveOrder: true,
  ignoreAttributes: false,
  attributeNamePrefix: '',
  trimValues: false,
  parseTagValue: false,
  parseAttributeValue: false,
  processEntities: false,
  cdataPropName: '#cdata',
  commentPropName: '#comment',
  maxNestedTags: MAX_DEPTH,
});

class Unreadable extends Error {}

/** The entities that XML 1.0 itself has, section 4.6; there are no others, since no document may declare any. */
const ENTITIES: Readonly<Record<string, string>> = { amp: '&', lt: '<', gt: '>', quot: '"', apos: "'" };
const decoded = (text: string) =>
  text.replace(/&([^;&\s]{0,12});?/g, (whole, name: string) => {
    const known = ENTITIES[name];
    if (known !== undefined && whole.endsWith(';')) return known;
    const [, hex, decimal] = /^#(?:x([0-9a-fA-F]{1,6})|([0-9]{1,7}))$/.exec(name) ?? [];
    const code = hex ? Number.parseInt(hex, 16) : decimal ? Number(decimal) : Number.NaN;
    const character = code <= 0x10ffff ? String.fromCodePoint(code) : '';
    if (character === '' || !whole.endsWith(';') || writable(character) === '')
      throw new Unreadable(`There is an entity in it that is not known: ${whole.slice(0, 20)}`);
    return character;
  });

const withoutPrefix = (name: string) => name.slice(name.indexOf(':') + 1);

/**
 * Reads an untrusted document. One with a DOCTYPE is refused, so that nothing in it can declare an entity or name
 * another file. Comments and processing instructions are passed over. Elements lose their prefix, attributes too, but
 * for those of `xml:`.
 */
export function readXml(text: string): ReadXml {
  const refused = (message: string): ReadXml => ({ ok: false, message });
  if (text.length > MAX_XML) return refused(`It is longer than ${MAX_XML / 1_000_000} million characters.`);
  if (/<!DOCTYPE/i.test(text)) return refused('It has a document type (DOCTYPE), which is not taken.');
  const whole = text.replace(/^\uFEFF/, '');
  const valid = XMLValidator.validate(whole);
  if (valid !== true) return refused(`It is not well-formed XML, line ${valid.err.line}: ${valid.err.msg}`);
  let elements = 0;
  const read = (node: Built, depth: number): readonly (XmlElement | string)[] => {
    if (++elements > MAX_ELEMENTS || depth > MAX_DEPTH) throw new Unreadable('It is nested too deep, or too long.');
    const [name] = Object.keys(node).filter((key) => key !== ATTRIBUTES);
    if (name === undefined || name.startsWith('?') || name === '#comment') return [];
    if (name === TEXT) return [decoded(String(node[TEXT]))];
    if (name === '#cdata') return [(node[name] as Built[]).map((part) => String(part[TEXT])).join('')];
    const attributes = Object.entries((node[ATTRIBUTES] ?? {}) as Record<string, string>).map(([key, value]) => [
      key.startsWith('xml:') || key.startsWith('xmlns') ? key : withoutPrefix(key),
      decoded(value),
    ]);
    const children = (node[name] as Built[]).flatMap((child) => read(child, depth + 1));
    return [{ name: withoutPrefix(name), attributes: Object.fromEntries(attributes), children }];
  };
  try {
    const roots = (parser.parse(whole) as Built[]).flatMap((node) => read(node, 0));
    const root = roots.find((node): node is XmlElement => typeof node !== 'string');
    return root ? { ok: true, root } : refused('There is nothing in it.');
  } catch (error) {
    return refused(error instanceof Unreadable ? error.message : 'It cannot be read as XML.');
  }
}

export const isElement = (node: XmlElement | string): node is XmlElement => typeof node !== 'string';
export const elementsOf = ({ children }: XmlElement): readonly XmlElement[] => children.filter(isElement);
export const childrenNamed = (parent: XmlElement, ...names: readonly string[]): readonly XmlElement[] =>
  elementsOf(parent).filter(({ name }) => names.includes(name));
export const childNamed = (parent: XmlElement, name: string): XmlElement | undefined => childrenNamed(parent, name)[0];

/** Every element beneath one that has one of the names, in the order of the document. */
export const within = (parent: XmlElement, ...names: readonly string[]): readonly XmlElement[] =>
  elementsOf(parent).flatMap((child) => [...(names.includes(child.name) ? [child] : []), ...within(child, ...names)]);

/** The characters of an element and all that is in it. */
export const textOf = ({ children }: XmlElement): string =>
  children.map((child) => (typeof child === 'string' ? child : textOf(child))).join('');
