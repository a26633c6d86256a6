import { createRequire } from 'node:module';
import { join } from 'node:path';
import { JSDOM } from 'jsdom';
import temml from 'temml';
import type { Formula, MathElement } from '../../core';
import { isMathAttribute, isMathTree, MATH_ELEMENTS } from '../../core/document';
import type { As, Teacher } from '../context';
import { fail, ok, type Result } from '../errors';

type Node = MathElement | string;
export type Drawn = { readonly ok: true; readonly value: Formula } | { readonly ok: false; readonly message: string };

/** A formula takes milliseconds; the first one of a thread waits for the rules of speech as well. */
const DRAW_MS = 25_000;

/** TeX as it is drawn and as it is spoken; chemical formulas are written `\ce{…}`. */
export async function drawFormula(as: As<Teacher>, tex: string): Promise<Result<Formula>> {
  const worked = await as.work.run('formulaOf', { tex }, DRAW_MS);
  const drawn = worked.ok ? worked.value : { ok: false as const, message: 'It takes too long to draw' };
  return drawn.ok ? ok(drawn.value) : fail('invalid', { problems: [{ path: 'tex', message: `${drawn.message}.` }] });
}

/** The same in a worker: `temml` makes MathML of TeX, `speech-rule-engine` words of MathML. */
export async function formulaOf({ tex }: { readonly tex: string }): Promise<Drawn> {
  const made = markupOf(tex);
  if (!made.ok) return made;
  const root = new JSDOM(made.markup).window.document.querySelector('math');
  if (root && [root, ...root.querySelectorAll('*')].some(isOrnament))
    return {
      ok: false,
      message: `“${tex.slice(0, 60)}” has a frame, a colour or a stroke, which formulas cannot have here`,
    };
  const math = root && treeOf(root);
  if (!math || !isMathTree(math)) return { ok: false, message: 'It is too large to be drawn' };
  return { ok: true, value: { math, text: (await spoken(math)) || tex } };
}

/** What a style sheet would have to draw. */
const isOrnament = (element: Element) =>
  /border|color|background/.test(element.getAttribute('style') ?? '') ||
  element.hasAttribute('mathbackground') ||
  (element.localName === 'menclose' && !LINES.has(element.getAttribute('notation') ?? ''));

/** Lines over and under, by their notation: the element that draws them, and their sign. */
const LINES: ReadonlyMap<string, readonly ['mover' | 'munder', string]> = new Map([
  ['top', ['mover', '‾']],
  ['bottom', ['munder', '_']],
]);

function markupOf(tex: string): { ok: true; markup: string } | { ok: false; message: string } {
  try {
    return { ok: true, markup: temml.renderToString(tex, { throwOnError: true, trust: false, maxExpand: 200 }) };
  } catch (error) {
    const [said = ''] = (error as Error).message.replace('ParseError: ', '').split('\n');
    return { ok: false, message: `“${tex.slice(0, 60)}” cannot be drawn: ${said.trim().replace(/\.$/, '')}` };
  }
}

/** Elements whose children stand in a row, so that empty ones can be left out. */
const ROWS = new Set(['math', 'mrow', 'msqrt', 'mpadded', 'mstyle', 'mtd', 'mphantom']);
const SCRIPTS = new Set(['msub', 'msup', 'msubsup']);

/** An element as a tree of what is on our lists. What is not is passed through; an attribute is left out. */
function treeOf(element: Element): MathElement {
  const name = element.localName;
  const is = (MATH_ELEMENTS.has(name) ? name : 'mrow') as MathElement['is'];
  const set = [...element.attributes].filter(({ name: of, value }) => isMathAttribute(of, value));
  const inner = [...element.childNodes].flatMap((node): Node[] => {
    if (node.nodeType === 3) return node.textContent?.trim() ? [node.textContent.trim()] : [];
    if (node.nodeType !== 1 || (node as Element).localName.startsWith('annotation')) return [];
    return [treeOf(node as Element)];
  });
  const line = LINES.get(element.getAttribute('notation') ?? '');
  if (line) {
    const [over, sign] = line;
    return {
      is: over,
      holds: [
        { is: 'mrow', holds: inRow(inner) },
        { is: 'mo', with: { stretchy: 'true' }, holds: [sign] },
      ],
    };
  }
  const holds = ROWS.has(is) ? inRow(inner) : inner;
  return {
    is,
    ...(set.length > 0 ? { with: Object.fromEntries(set.map((one) => [one.name, one.value])) } : {}),
    holds,
  };
}

const isEmpty = (node: Node | undefined) =>
  typeof node === 'object' &&
  !node.with &&
  (node.is === 'mspace' || (['mrow', 'mpadded'].includes(node.is) && node.holds.length === 0));

/** A row without what is empty, and with scripts on what they stand behind. */
function inRow(nodes: readonly Node[]): Node[] {
  const row: Node[] = [];
  for (const node of nodes.map(unwrapped)) {
    const behind = row.at(-1);
    if (isEmpty(node)) continue;
    const degrees = inDegrees(node);
    if (degrees) row.push(...(isEmpty(degrees) ? [] : [degrees]), DEGREE);
    else if (typeof node === 'object' && SCRIPTS.has(node.is) && isEmpty(node.holds[0]) && typeof behind === 'object')
      row[row.length - 1] = { ...node, holds: [behind, ...node.holds.slice(1)] };
    else row.push(node);
  }
  return row;
}

const DEGREE: MathElement = { is: 'mi', holds: ['°'] };
/** What is raised to a little circle; null: nothing. */
function inDegrees(node: Node): Node | null {
  const [base, raised] = typeof node === 'object' && node.is === 'msup' ? node.holds : [];
  return base !== undefined && typeof raised === 'object' && raised.is === 'mo' && raised.holds[0] === '∘'
    ? base
    : null;
}

/** A row of one thing is that thing. */
function unwrapped(node: Node): Node {
  if (typeof node === 'string' || !['mrow', 'mpadded'].includes(node.is)) return node;
  const shifts = Object.entries(node.with ?? {}).some(([, value]) => value !== '0');
  const [only] = node.holds;
  return node.holds.length === 1 && only !== undefined && !shifts ? only : node;
}

/** What is used of `speech-rule-engine`, which has no types at its main entry. */
interface Speech {
  /** `json`: the folder of its rules. */
  setupEngine(settings: { locale: string; domain: string; json: string }): Promise<string>;
  /** MathML in words. */
  toSpeech(mathml: string): string;
}
// It is one script for every surrounding: only as one is it the same in a test, in a worker and in a build.
const load = createRequire(import.meta.url);
const speech = load('speech-rule-engine') as Speech;
const RULES = join(load.resolve('speech-rule-engine'), '../mathmaps');
let ready: Promise<unknown> | null = null;

async function spoken(math: MathElement): Promise<string> {
  ready ??= speech.setupEngine({ locale: 'en', domain: 'clearspeak', json: RULES });
  await ready;
  return speech.toSpeech(markup(math)).trim();
}

const escaped = (text: string) => text.replaceAll('&', '&amp;').replaceAll('<', '&lt;');

const FUNCTIONS = new Set(
  'arccos arcsin arctan cos cosh cot det dim exp gcd lim ln log max min sin sinh tan tanh'.split(' '),
);

/** A name of several letters, or upright ones, is read as a word: a unit, an element. */
const isWord = ({ is, with: set, holds: [name = ''] }: MathElement) =>
  is === 'mi' && typeof name === 'string' && !FUNCTIONS.has(name) && (name.length > 1 || set?.mathvariant === 'normal');

/** As it is read. */
function markup(node: Node): string {
  if (typeof node === 'string') return escaped(node);
  const is = isWord(node) ? 'mtext' : node.is;
  return `<${is}>${node.holds.map(markup).join('')}</${is}>`;
}
