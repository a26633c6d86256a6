import type { Item, Question, Rich } from '../../core';
import type { Leaving } from './outgoing';
import { element, type XmlElement } from './xml';

type Run = Extract<Rich['blocks'][number], { type: 'paragraph' }>['runs'][number];
type MathPart = NonNullable<Run['formula']>['math']['holds'][number];
const MATHML = 'http://www.w3.org/1998/Math/MathML';

/** A formula as MathML. */
const mathIn = (part: MathPart): XmlElement | string =>
  typeof part === 'string'
    ? part
    : element(part.is, { ...part.with, ...(part.is === 'math' ? { xmlns: MATHML } : {}) }, part.holds.map(mathIn));

function runIn(run: Run, slotIn: (zone: string) => readonly (XmlElement | string)[]): readonly (XmlElement | string)[] {
  if (run.slot !== undefined) return slotIn(run.slot);
  let inner: readonly (XmlElement | string)[] = run.formula ? [mathIn(run.formula.math)] : [run.text ?? ''];
  if (run.mono) inner = [element('code', {}, inner)];
  if (run.em) inner = [element('em', {}, inner)];
  if (run.strong) inner = [element('strong', {}, inner)];
  if (run.lang) inner = [element('span', { 'xml:lang': run.lang }, inner)];
  return inner;
}

/** Rich text as the XHTML that QTI takes; a slot becomes what `slotIn` makes of it. */
export const blocksIn = (
  rich: Rich | null,
  slotIn: (zone: string) => readonly (XmlElement | string)[] = () => ['___'],
): readonly XmlElement[] =>
  (rich?.blocks ?? []).map((block) => {
    const runs = (line: readonly Run[]) => line.flatMap((run) => runIn(run, slotIn));
    return block.type === 'paragraph'
      ? element('p', { dir: block.dir }, runs(block.runs))
      : element(
          block.ordered ? 'ol' : 'ul',
          { dir: block.dir },
          block.entries.map((entry) => element('li', {}, runs(entry))),
        );
  });

/** The texts of a question in which gaps stand, each a division. */
export const textsIn = ({ fixtures }: Question, slotIn: Parameters<typeof blocksIn>[1]): readonly XmlElement[] =>
  fixtures.flatMap((fixture) => (fixture.type === 'text' ? [element('div', {}, blocksIn(fixture.text, slotIn))] : []));

/** Rich text without blocks, for places that take none. */
export const inlineIn = (rich: Rich | null): readonly (XmlElement | string)[] =>
  (rich?.blocks ?? []).flatMap((block, i) => {
    const lines = block.type === 'paragraph' ? [block.runs] : block.entries;
    return lines.flatMap((line, j) => [
      ...(i + j > 0 ? [element('br')] : []),
      ...line.flatMap((run) => runIn(run, () => ['___'])),
    ]);
  });

/** The prompt of an interaction; none where a question has none. */
export const promptIn = ({ prompt }: Question): readonly XmlElement[] =>
  prompt && prompt.blocks.length > 0 ? [element('qti-prompt', {}, blocksIn(prompt))] : [];

const imageOf = (leaving: Leaving, media: string, words: string): XmlElement[] => {
  const file = leaving.fileOf(media);
  return file
    ? [element('img', { src: file.href, alt: file.medium.decorative ? '' : file.medium.description || words })]
    : [];
};

/** What an item shows, as content of a choice. */
export function contentOf(leaving: Leaving, { content, label, lang }: Item): readonly (XmlElement | string)[] {
  const text = content?.text ? inlineIn(content.text) : [];
  const picture = content?.picture ? imageOf(leaving, content.picture, label) : [];
  const shown = [...picture, ...text];
  const whole = shown.length > 0 ? shown : [label];
  return lang ? [element('span', { 'xml:lang': lang }, whole)] : whole;
}

/** The picture of an item, where it is all that it shows. */
export const onlyPicture = (
  leaving: Leaving,
  { content }: Item,
): { readonly href: string; readonly type: string } | null => {
  if (!content?.picture || content.text) return null;
  const file = leaving.fileOf(content.picture);
  return file ? { href: file.href, type: mimeOf(file.href) } : null;
};

const MIME: Readonly<Record<string, string>> = {
  svg: 'image/svg+xml',
  png: 'image/png',
  jpg: 'image/jpeg',
  jpeg: 'image/jpeg',
  gif: 'image/gif',
  webp: 'image/webp',
  mp3: 'audio/mpeg',
  ogg: 'audio/ogg',
  wav: 'audio/wav',
  mp4: 'video/mp4',
  webm: 'video/webm',
};
export const mimeOf = (href: string): string =>
  MIME[href.slice(href.lastIndexOf('.') + 1).toLowerCase()] ?? 'application/octet-stream';
