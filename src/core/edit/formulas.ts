import { MAX_TEX, type MathElement } from '../document/formulaTree';
import { plainText, richFromPlain } from '../document/plain';
import type { Rich } from '../document/rich';
import type { Question } from '../document/schema';
import { difference } from './difference';
import type { Step } from './edit';

/** A formula as it is drawn, and as it is spoken and found. */
export interface Formula {
  readonly text: string;
  readonly math: MathElement;
}
export type Formulas = ReadonlyMap<string, Formula>;

type Run = Extract<Rich['blocks'][number], { type: 'paragraph' }>['runs'][number];

/**
 * A text in its parts: words, and TeX between dollar signs. An opening sign stands before something, a closing one
 * after something and not before a digit, so that prices are words.
 */
export function texIn(text: string): { readonly words?: string; readonly tex?: string }[] {
  const parts: { words?: string; tex?: string }[] = [];
  let words = '';
  let at = 0;
  while (at < text.length) {
    const end = text[at] === '$' && (text[at + 1] ?? ' ').trim() !== '' ? closing(text, at) : -1;
    if (end === -1) {
      words += text[at++];
      continue;
    }
    if (words) parts.push({ words });
    words = '';
    parts.push({ tex: text.slice(at + 1, end) });
    at = end + 1;
  }
  if (words) parts.push({ words });
  return parts;
}

function closing(text: string, open: number): number {
  for (let at = open + 2; at < text.length && at - open <= MAX_TEX; at++) {
    if (text[at] === '\n') return -1;
    if (text[at] !== '$' || text[at - 1] === '\\') continue;
    if ((text[at - 1] ?? ' ').trim() !== '' && !/\d/.test(text[at + 1] ?? '')) return at;
  }
  return -1;
}

const inWords = (text: string, made: Formulas): string =>
  texIn(text)
    .map(({ words = '', tex }) => (tex === undefined ? words : (made.get(tex)?.text ?? `$${tex}$`)))
    .join('');

const draws = (text: string, made: Formulas) => texIn(text).some(({ tex }) => tex !== undefined && made.has(tex));

const runWith = (run: Run, made: Formulas): Run[] =>
  run.text === undefined || run.formula || run.mono || !draws(run.text, made)
    ? [run]
    : texIn(run.text).map(({ words = '', tex }) => {
        const formula = tex === undefined ? undefined : made.get(tex);
        if (!formula) return { ...run, text: tex === undefined ? words : `$${tex}$` };
        return { ...run, text: formula.text, formula: { tex: tex as string, math: formula.math } };
      });

export const richWith = (rich: Rich, made: Formulas): Rich => ({
  blocks: rich.blocks.map((block) =>
    block.type === 'paragraph'
      ? { ...block, runs: block.runs.flatMap((run) => runWith(run, made)) }
      : { ...block, entries: block.entries.map((runs) => runs.flatMap((run) => runWith(run, made))) },
  ),
});

const isRich = (value: object): value is Rich => 'blocks' in value && Array.isArray(value.blocks);

/** Everything in a value with rich texts put through `change`. */
function throughRich(value: unknown, change: (rich: Rich) => Rich): unknown {
  if (value === null || typeof value !== 'object') return value;
  if (Array.isArray(value)) return value.map((entry) => throughRich(entry, change));
  if (isRich(value)) return change(value);
  return Object.fromEntries(Object.entries(value).map(([field, inner]) => [field, throughRich(inner, change)]));
}

/** Every TeX that stands in a question's texts and labels and is not drawn yet. */
export function texOf(question: Question): Set<string> {
  const found = new Set<string>();
  const note = (text: string) => {
    if (text.includes('$')) for (const { tex } of texIn(text)) if (tex !== undefined) found.add(tex);
  };
  throughRich(question, (rich) => {
    for (const block of rich.blocks)
      for (const runs of block.type === 'paragraph' ? [block.runs] : block.entries)
        for (const { text, formula, mono } of runs) if (text !== undefined && !formula && !mono) note(text);
    return rich;
  });
  for (const { label } of [...question.items, ...question.zones]) note(label);
  note(question.title);
  return found;
}

/**
 * Draws the TeX of a question for which there is a formula. A label becomes what the formula is spoken as; an item or a
 * zone shows the formula in its place.
 */
export function drawFormulas(question: Question, made: Formulas): Step {
  if (made.size === 0) return [];
  const labelled = (label: string): Rich | null => {
    const rich = richFromPlain(label);
    return rich && richWith(rich, made);
  };
  const within = throughRich(question, (rich) => richWith(rich, made)) as Question;
  const after: Question = {
    ...within,
    title: inWords(question.title, made),
    items: within.items.map((item) => {
      if (!draws(item.label, made)) return item;
      const shows = item.content?.text && plainText(item.content.text) !== item.label ? item.content : null;
      return {
        ...item,
        label: inWords(item.label, made),
        content: shows ?? { picture: null, sound: null, ...item.content, text: labelled(item.label) },
      };
    }),
    zones: within.zones.map((zone) =>
      draws(zone.label, made) ? { ...zone, label: inWords(zone.label, made), title: labelled(zone.label) } : zone,
    ),
  };
  return difference(question, after);
}
