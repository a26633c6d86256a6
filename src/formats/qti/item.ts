import { boardFromPlacements, itemOf, numberOf, type Question, type QuestionModel, questionModel } from '../../core';
import { identifierOf } from '../identifiers';
import { copiesOut, notesOn, reasonsAgainst, type Way, wayOf } from './carried';
import { writtenProcessing } from './expressions';
import { choiceOut } from './interactions/choice';
import { gapByGapOut } from './interactions/gapByGap';
import { gapMatchOut } from './interactions/gapMatch';
import { graphicGapMatchOut } from './interactions/graphicGapMatch';
import { matchOut } from './interactions/match';
import { orderOut } from './interactions/order';
import { pointsOut } from './interactions/points';
import { MAX_SCORE, namesIn, SCORE } from './names';
import type { Arrangement, Interaction, Leaving, Out, Response, Said } from './outgoing';
import { markerPicture, type Pictures, scenePicture } from './scenePicture';
import { FEEDBACK, scoringOf } from './scoring';
import { blocksIn } from './words';
import { element, writeXml, type XmlElement } from './xml';

export const QTI = 'http://www.imsglobal.org/xsd/imsqtiasi_v3p0';

const WAYS: { readonly [Name in Way]: (leaving: Leaving) => Out } = {
  choice: choiceOut,
  order: orderOut,
  gapMatch: gapMatchOut,
  gapByGap: gapByGapOut,
  graphicGapMatch: graphicGapMatchOut,
  match: matchOut,
  points: pointsOut,
};

/** Placements by their ids, as a model answer has them. */
export interface AnswerPlacement {
  readonly item: string;
  readonly copy?: number | undefined;
  readonly zone: string;
}

/** What an item is written with. */
export interface Written {
  /** The media at hand, by their ids in the question: where each lies in the package, and its bytes for drawings. */
  readonly media: Pictures;
  /** An answer with full marks; null: none is known. */
  readonly modelAnswer: readonly AnswerPlacement[] | null;
}

/** A question as an item, or why it cannot be one. */
export type Item =
  | {
      readonly carried: true;
      readonly identifier: string;
      readonly interaction: Interaction;
      readonly xml: string;
      /** Pictures that were drawn for it, by their names in the package. */
      readonly drawn: ReadonlyMap<string, string>;
      readonly notes: readonly Said[];
      /** An arrangement as values of its responses. */
      readonly valuesOf: Out['valuesOf'];
    }
  | { readonly carried: false; readonly reasons: readonly Said[] };

/** Writes a valid question as an item of QTI 3.0, so that SCORE is its mark at the first try for every arrangement. */
export function itemOut(question: Question, { media, modelAnswer }: Written): Item {
  const model = questionModel(question);
  const way = wayOf(question);
  const reasons = reasonsAgainst(model, way);
  if (reasons.length > 0) return { carried: false, reasons };
  const copies = copiesOut(model);
  const names = namesIn(question, copies);
  const identifier = identifierOf(question.id);
  const drawn = new Map<string, string>();
  const draw = (name: string, svg: () => string) => {
    const href = `${identifier}-${name}.svg`;
    if (!drawn.has(href)) drawn.set(href, svg());
    return href;
  };
  const leaving: Leaving = {
    question,
    model,
    names,
    copies,
    fileOf: (id) => {
      const file = media.get(id);
      const medium = question.media[id];
      return file && medium ? { href: file.href, medium } : null;
    },
    get scenePicture() {
      return draw('scene', () => scenePicture(question, media));
    },
    markerPicture: (w, h) => draw('marker', () => markerPicture(w, h)),
  };
  const out = WAYS[way](leaving);
  const { steps, helpers } = scoringOf(model, out.holding);
  const valuesAt = (placements: readonly AnswerPlacement[] | null) =>
    placements ? out.valuesOf(arrangementOf(model, placements)) : new Map<string, readonly string[]>();
  const correct = valuesAt(modelAnswer);
  const begun = valuesAt(question.start?.placements ?? null);
  const { max } = question.marks;
  const xml = writeXml(
    element(
      'qti-assessment-item',
      {
        xmlns: QTI,
        identifier,
        title: question.title,
        adaptive: 'false',
        'time-dependent': 'false',
        'xml:lang': question.lang,
        'tool-name': 'Vault Drop',
      },
      [
        ...out.responses.map((response) => declarationOf(response, correct, begun)),
        outcome(SCORE, 'float', '0', { 'normal-maximum': max, 'normal-minimum': 0 }),
        outcome(MAX_SCORE, 'float', String(max)),
        ...helpers.map(({ identifier: name, type, start }) => outcome(name, type, start)),
        element('qti-item-body', {}, out.body),
        writtenProcessing(steps),
        ...feedbackOf(question),
      ],
    ),
  );
  const missing = Object.keys(question.media)
    .filter((id) => !media.has(id))
    .map((id) => ({ path: `media.${id}`, message: 'Its file is not at hand, so it stays behind.' }));
  const renamed = names.renamed.map((id) => ({
    path: 'items',
    message: `The name of ${id} was taken: it is called otherwise.`,
  }));
  return {
    carried: true,
    identifier,
    interaction: out.interaction,
    xml,
    drawn,
    notes: [...notesOn(model, way), ...out.notes, ...renamed, ...missing],
    valuesOf: out.valuesOf,
  };
}

/** Placements, `copy` left out as in a response, as an arrangement; empty where zones could not hold them. */
export function arrangementOf(model: QuestionModel, placements: readonly AnswerPlacement[]): Arrangement {
  const found = boardFromPlacements(model, placements);
  if (!found.ok) return model.zones.map(() => []);
  return found.board.zones.map((held) => held.map((copy) => ({ item: itemOf(copy), copy: numberOf(copy) })));
}

const valuesIn = (name: 'qti-correct-response' | 'qti-default-value', values: readonly string[] | undefined) =>
  values && values.length > 0
    ? [
        element(
          name,
          {},
          values.map((value) => element('qti-value', {}, [value])),
        ),
      ]
    : [];

const declarationOf = (
  { identifier, cardinality, type, mapping }: Response,
  correct: ReadonlyMap<string, readonly string[]>,
  begun: ReadonlyMap<string, readonly string[]>,
): XmlElement =>
  element('qti-response-declaration', { identifier, cardinality, 'base-type': type }, [
    ...valuesIn('qti-default-value', begun.get(identifier)),
    ...valuesIn('qti-correct-response', correct.get(identifier)),
    ...(mapping ? [mapping] : []),
  ]);

const outcome = (
  identifier: string,
  type: string,
  start: string,
  more: Readonly<Record<string, number>> = {},
): XmlElement =>
  element(
    'qti-outcome-declaration',
    { identifier, cardinality: 'single', 'base-type': type, ...more },
    start === '' ? [] : valuesIn('qti-default-value', [start]),
  );

/** What is said of an answer that is right, partly right or wrong. */
const feedbackOf = ({ feedback }: Question): readonly XmlElement[] =>
  (['right', 'partly', 'wrong'] as const).flatMap((kind) => {
    const text = feedback[kind]?.text;
    return text
      ? [
          element('qti-modal-feedback', { 'outcome-identifier': FEEDBACK, identifier: kind, 'show-hide': 'show' }, [
            element('qti-content-body', {}, blocksIn(text)),
          ]),
        ]
      : [];
  });
