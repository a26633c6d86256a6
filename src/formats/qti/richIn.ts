import { isLanguageTag, type Rich } from '../../core';
import { isElement, textOf, type XmlElement } from './xml';

type Run = Extract<Rich['blocks'][number], { type: 'paragraph' }>['runs'][number];
type RunLook = Partial<Pick<Run, 'strong' | 'em' | 'mono' | 'lang'>>;

const BLOCKS = new Set([
  'p',
  'div',
  'li',
  'blockquote',
  'h1',
  'h2',
  'h3',
  'h4',
  'h5',
  'h6',
  'tr',
  'pre',
  'section',
  'content-body',
  'prompt',
  'dd',
  'dt',
]);
const LISTS = new Set(['ul', 'ol']);
const LOOKS: Readonly<Record<string, RunLook>> = {
  strong: { strong: true },
  b: { strong: true },
  em: { em: true },
  i: { em: true },
  code: { mono: true },
  kbd: { mono: true },
};

/** What an element that is no text becomes: the zone of a slot, nothing (null), or what stands in it (undefined). */
export type SlotFor = (of: XmlElement) => string | null | undefined;
const noSlots: SlotFor = ({ name }) => (name.endsWith('-interaction') ? null : undefined);

/**
 * XHTML as rich text: paragraphs and lists of runs with emphasis, code and languages. White space is one blank, as a
 * browser shows it. Null: there are no words.
 */
export function richIn(nodes: readonly (XmlElement | string)[], slotFor: SlotFor = noSlots): Rich | null {
  const blocks: Rich['blocks'][number][] = [];
  let line: Run[] = [];
  const end = () => {
    const runs = trimmed(line);
    line = [];
    if (runs.length > 0) blocks.push({ type: 'paragraph', dir: undefined, runs });
  };
  const walk = (node: XmlElement | string, look: RunLook): void => {
    if (!isElement(node)) {
      const text = node.replace(/\s+/g, ' ');
      if (text !== '') line.push({ text, ...look } as Run);
      return;
    }
    const slot = slotFor(node);
    if (slot === null) return;
    if (slot !== undefined) {
      line.push({ slot } as Run);
      return;
    }
    const { name, attributes, children } = node;
    if (name === 'br') {
      end();
      return;
    }
    if (LISTS.has(name)) {
      end();
      const entries = children.filter(isElement).map((entry) => {
        for (const child of entry.children) walk(child, look);
        const runs = trimmed(line);
        line = [];
        return runs;
      });
      const filled = entries.filter((runs) => runs.length > 0);
      if (filled.length > 0) blocks.push({ type: 'list', ordered: name === 'ol', dir: undefined, entries: filled });
      return;
    }
    const lang = attributes['xml:lang'] ?? attributes.lang;
    const inner = { ...look, ...LOOKS[name], ...(lang && isLanguageTag(lang) ? { lang } : {}) };
    const isBlock = BLOCKS.has(name);
    if (isBlock) end();
    for (const child of children) walk(child, inner);
    if (isBlock) end();
  };
  for (const node of nodes) walk(node, {});
  end();
  return blocks.length > 0 ? { blocks } : null;
}

/** Without blanks at its ends; empty where nothing is left. */
function trimmed(runs: readonly Run[]): Run[] {
  const all = [...runs];
  const cut = (at: 0 | -1, trim: (text: string) => string) => {
    for (let run = all.at(at); run?.text !== undefined && !run.formula; run = all.at(at)) {
      const text = trim(run.text);
      all.splice(at === 0 ? 0 : all.length - 1, 1, ...(text === '' ? [] : [{ ...run, text }]));
      if (text !== '') break;
    }
  };
  cut(0, (text) => text.trimStart());
  cut(-1, (text) => text.trimEnd());
  return all;
}

/** The words of an element on one line. */
export const lineIn = (of: XmlElement): string => textOf(of).trim().replace(/\s+/g, ' ');
