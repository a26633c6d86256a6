import { isLanguageTag, type Question } from '../../core';
import { FORMAT, parseQuestion, VERSION } from '../../core/document';
import { type Approximation, type Arriving, type Draft, Refused } from './arriving';
import { associateIn } from './interactions/associate';
import { choiceIn } from './interactions/choice';
import { gapByGapIn } from './interactions/gapByGap';
import { gapMatchIn } from './interactions/gapMatch';
import { graphicGapMatchIn } from './interactions/graphicGapMatch';
import { graphicOrderIn } from './interactions/graphicOrder';
import { hotspotIn } from './interactions/hotspot';
import { matchIn } from './interactions/match';
import { orderIn } from './interactions/order';
import { pointsIn } from './interactions/points';
import { declaredMaximum, declaredResponse, plainTree } from './plainTree';
import { readScoring } from './readScoring';
import { richIn } from './richIn';
import { childrenNamed, isElement, within, type XmlElement } from './xml';

/** Interactions that are read one by one. */
const READERS: Readonly<Record<string, (of: XmlElement, arriving: Arriving) => Draft>> = {
  'choice-interaction': choiceIn,
  'order-interaction': orderIn,
  'gap-match-interaction': gapMatchIn,
  'graphic-gap-match-interaction': graphicGapMatchIn,
  'graphic-order-interaction': graphicOrderIn,
  'match-interaction': matchIn,
  'associate-interaction': associateIn,
  'hotspot-interaction': hotspotIn,
  'select-point-interaction': pointsIn,
  'position-object-stage': stageIn,
};
/** Those that are gaps of one text together. */
const GAPS: ReadonlySet<string> = new Set(['inline-choice-interaction', 'text-entry-interaction']);
/** A press that only sends. */
const IGNORED: ReadonlySet<string> = new Set(['end-attempt-interaction']);

/** A medium of the package that a question takes in. */
export interface TakenMedium {
  readonly href: string;
  readonly hash: string;
  readonly kind: 'picture' | 'sound' | 'film';
  /** Bytes. */
  readonly weight: number;
}

export interface ReadQuestion {
  readonly question: Question;
  /** The interaction that it was, as `graphicGapMatch`. */
  readonly interaction: string;
  readonly approximations: readonly Approximation[];
}
export type ReadItem =
  | { readonly ok: true; readonly questions: readonly ReadQuestion[] }
  | { readonly ok: false; readonly reason: string };

/** `graphic-gap-match-interaction` as `graphicGapMatch`. */
const interactionOf = ({ name }: XmlElement): string =>
  name === 'position-object-stage'
    ? 'positionObject'
    : name.replace(/-interaction$/, '').replace(/-([a-z])/g, (_, letter: string) => letter.toUpperCase());

/** The interactions of an item as they stand, a stage with its markers as one. */
function interactionsIn(of: XmlElement): readonly XmlElement[] {
  return of.children.filter(isElement).flatMap((child) => {
    if (child.name === 'position-object-stage') return [child];
    if (!child.name.endsWith('-interaction')) return interactionsIn(child);
    return IGNORED.has(child.name) ? [] : [child];
  });
}

/** The interaction that an item has first, whether it can be read or not. */
export const firstInteraction = (root: XmlElement): string | null => {
  const [body] = childrenNamed(plainTree(root), 'item-body');
  const [first] = body ? interactionsIn(body) : [];
  return first ? interactionOf(first) : null;
};

/**
 * Reads an item of QTI 3.0, 2.2 or 2.1 as one question or several; `id` is what they are called, with -1, -2 … for
 * several. `take` finds a medium by its address in the item.
 */
export function itemIn(root: XmlElement, id: string, take: (href: string) => TakenMedium | null): ReadItem {
  const item = plainTree(root);
  const [body] = childrenNamed(item, 'item-body');
  if (item.name !== 'assessment-item' || !body) return { ok: false, reason: 'It is no item with a body.' };
  if (childrenNamed(item, 'template-declaration').length > 0)
    return { ok: false, reason: 'Its content is drawn from a template for each attempt.' };
  if (item.attributes.adaptive === 'true') return { ok: false, reason: 'It is adaptive: it changes between tries.' };
  const interactions = interactionsIn(body);
  const unknown = interactions.find(({ name }) => !READERS[name] && !GAPS.has(name));
  if (unknown) return { ok: false, reason: `There is no kind of question for ${unknown.name}.` };
  if (interactions.length === 0) return { ok: false, reason: 'There is nothing in it to answer.' };

  const gaps = interactions.filter(({ name }) => GAPS.has(name));
  const others = interactions.filter(({ name }) => !GAPS.has(name));
  const parts = [
    ...(gaps.length > 0 ? [{ of: body, interaction: interactionOf(gaps[0] as XmlElement) }] : []),
    ...others.map((of) => ({ of, interaction: interactionOf(of) })),
  ];
  try {
    const questions = parts.map(({ of, interaction }, i) =>
      read(item, body, of, interaction, parts.length > 1 ? `${id}-${i + 1}` : id, parts.length, take),
    );
    return { ok: true, questions };
  } catch (error) {
    if (error instanceof Refused) return { ok: false, reason: error.message };
    throw error;
  }
}

function read(
  item: XmlElement,
  body: XmlElement,
  of: XmlElement,
  interaction: string,
  id: string,
  parts: number,
  take: (href: string) => TakenMedium | null,
): ReadQuestion {
  const approximations: Approximation[] = [];
  const approximate = (where: string, message: string) => {
    if (!approximations.some((one) => one.where === where && one.message === message))
      approximations.push({ where, message });
  };
  const declared = childrenNamed(item, 'response-declaration').map(declaredResponse);
  const responses = new Map(declared.map((response) => [response.identifier, response]));
  const [processing] = childrenNamed(item, 'response-processing');
  const scoring = readScoring(processing, responses);
  if (!scoring.understood)
    approximate(
      'response-processing',
      'Its scoring is written in a way that is not read here: what it declares as right counts.',
    );
  if (parts > 1) approximate('item-body', `It has several interactions: each of ${parts} is a question.`);

  const media = new Map<string, { readonly medium: TakenMedium; readonly description: string | null }>();
  const arriving: Arriving = {
    maximum: parts > 1 ? null : declaredMaximum(item),
    responses,
    scoredBy: scoring.responses,
    allOrNothing: scoring.allOrNothing,
    medium: (href, description) => {
      const medium = take(href);
      if (!medium) {
        approximate(href, 'This file is not in the package, or is of no kind that is taken.');
        return null;
      }
      const known = [...media].find(([, one]) => one.medium.hash === medium.hash)?.[0];
      const name = known ?? `${medium.kind}-${media.size + 1}`;
      media.set(name, { medium, description: description ?? media.get(name)?.description ?? null });
      return name;
    },
    approximate,
  };
  const isGaps = of === body;
  const draft = isGaps ? gapByGapIn(body, arriving) : (READERS[of.name] as (typeof READERS)[string])(of, arriving);
  const around = isGaps ? [] : body.children;
  const prompt = richIn([...around, ...childrenNamed(of, 'prompt')]);
  if (around.some((child) => isElement(child) && hasOwnPicture(child)))
    approximate('item-body', 'A picture beside the interaction is left out.');
  const feedback = feedbackIn(item, approximate);
  return { question: finished(item, id, { ...draft, prompt }, media, feedback), interaction, approximations };
}

/** A picture that is in no interaction. */
const hasOwnPicture = (of: XmlElement): boolean =>
  of.name === 'img' ||
  (!of.name.endsWith('-interaction') &&
    of.name !== 'position-object-stage' &&
    of.children.some((child) => isElement(child) && hasOwnPicture(child)));

/** What is said of right and wrong answers, as far as its name tells which it is for. */
function feedbackIn(item: XmlElement, approximate: Arriving['approximate']) {
  const feedback: { right: unknown; partly: unknown; wrong: unknown } = { right: null, partly: null, wrong: null };
  for (const said of childrenNamed(item, 'modal-feedback')) {
    const name = (said.attributes.identifier ?? '').toLowerCase();
    const text = richIn(said.children);
    const of = /^(correct|right)$/.test(name)
      ? 'right'
      : /^(incorrect|wrong)$/.test(name)
        ? 'wrong'
        : /^(partly|partial)$/.test(name)
          ? 'partly'
          : null;
    if (of && text && feedback[of] === null) feedback[of] = { text };
    else if (text)
      approximate(
        'modal-feedback',
        'What is said after an answer is left out, where it is not for a right or a wrong one.',
      );
  }
  return feedback;
}

function finished(
  item: XmlElement,
  id: string,
  draft: Draft & { readonly prompt: unknown },
  media: ReadonlyMap<string, { readonly medium: TakenMedium; readonly description: string | null }>,
  feedback: unknown,
): Question {
  const lang = item.attributes['xml:lang'];
  const document = {
    format: FORMAT,
    version: VERSION,
    id,
    title: (item.attributes.title ?? id).slice(0, 500) || id,
    lang: lang && isLanguageTag(lang) ? lang : null,
    kind: draft.kind,
    scene: draft.scene ?? { width: 960, height: 540 },
    prompt: draft.prompt,
    fixtures: draft.fixtures ?? [],
    items: draft.items,
    zones: draft.zones,
    key: draft.marked.key,
    either: draft.marked.either ?? [],
    marks: draft.marked.marks,
    tray: draft.tray === undefined ? { side: 'bottom', size: 120, order: 'shuffled' } : draft.tray,
    media: Object.fromEntries(
      [...media].map(([name, { medium, description }]) => [
        name,
        {
          hash: medium.hash,
          kind: medium.kind,
          weight: medium.weight,
          description: description || null,
          decorative: description === '',
        },
      ]),
    ),
    feedback,
  };
  const drafted = valid(document);
  return valid(draft.lay(drafted));
}

/** The question that a document is; throws {@link Refused} with the first problem of one that is none. */
function valid(document: unknown): Question {
  const parsed = parseQuestion(document);
  if (parsed.ok) return parsed.question;
  const [problem] = parsed.problems;
  throw new Refused(`What it says makes no question: ${problem?.path} ${problem?.message}.`);
}

/** A stage with one marker that may be put several times, or several of one response. */
function stageIn(stage: XmlElement, arriving: Arriving): Draft {
  const markers = within(stage, 'position-object-interaction');
  const names = new Set(markers.map(({ attributes }) => attributes['response-identifier']));
  const [first] = markers;
  if (!first || names.size > 1)
    throw new Refused('Its markers have responses of their own: QTI does not say what is right for all.');
  const ground = stage.children.filter((child) => !isElement(child) || child.name !== 'position-object-interaction');
  return pointsIn({ name: stage.name, attributes: first.attributes, children: ground }, arriving);
}
