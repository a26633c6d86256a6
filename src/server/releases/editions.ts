import { eq } from 'drizzle-orm';
import { LRUCache } from 'lru-cache';
import {
  type Aid,
  asked,
  asksOf,
  deferFeedback,
  type FeedbackLevel,
  inPlaces,
  limitFeedback,
  type ModelPlacement,
  type QuestionModel,
  questionModel,
  type Random,
  type Section,
  totalOf,
} from '../../core';
import type { Database } from '../database/open';
import { type EditionContent, MOVE_RULES, release } from '../database/tables';

export interface OpenEdition {
  readonly number: number;
  /** True if its moves were judged by the present move rules, so that each can be replayed exactly. */
  readonly ruled: boolean;
  /** The models by which answers are judged. */
  readonly models: readonly QuestionModel[];
  /** The same models, limited to a feedback level. */
  readonly withFeedback: (feedbackLevel: FeedbackLevel) => readonly QuestionModel[];
  /** Deferred feedback: each question is checked once, when the attempt ends. */
  readonly deferred: boolean;
  /** By question: it does not count. */
  readonly struck: readonly boolean[];
  /** The indices of the questions that an attempt of this edition is asked. */
  readonly asked: (next: Random) => readonly number[];
  /** The model answer of each question; null: none that may be shown. */
  readonly modelAnswers: readonly (readonly ModelPlacement[] | null)[];
  readonly goBack: boolean;
  /** Learners' aids with every question. */
  readonly aids: readonly Aid[];
  /** The points of each question; 0 if it is struck. */
  readonly points: readonly number[];
  /** The sections, as indices into `models`, without struck questions. */
  readonly sections: readonly Section<number>[];
  /** How many questions a sitting has. */
  readonly asks: number;
  /** The most points an attempt can earn. */
  readonly outOf: number;
  readonly sources: NonNullable<EditionContent['sources']>;
}

/** Editions never change, so parsed editions are cached, each process for itself. */
const cached = new LRUCache<string, OpenEdition>({ max: 100 });

export async function editionOf(db: Database, releaseId: string, number: number): Promise<OpenEdition> {
  const name = `${releaseId}/${number}`;
  const known = cached.get(name);
  if (known) return known;
  const row = await db.query.edition.findFirst({
    where: (t, { and }) => and(eq(t.releaseId, releaseId), eq(t.number, number)),
  });
  if (!row) throw new Error(`Release ${releaseId} has no edition ${number}`);
  const opened = openContent(number, row.content);
  cached.set(name, opened);
  return opened;
}

export function openContent(number: number, content: EditionContent): OpenEdition {
  const { questions, modelAnswers, goBack, aids = [], sources, quiet = false } = content;
  const struck = content.struck ?? questions.map(() => false);
  const given = content.points ?? questions.map(({ marks }) => marks.max);
  const sections = inPlaces(content.sections ?? [{ title: '', draw: null, count: questions.length }]).map(
    (section) => ({
      ...section,
      questions: section.questions.filter((i) => !struck[i]),
    }),
  );
  const models = questions.map((question) => questionModel(quiet ? deferFeedback(question) : question));
  const told = new Map<FeedbackLevel, readonly QuestionModel[]>();
  const worth = (section: Section<number>) =>
    section.questions.map((i) => ({ max: questions[i]?.marks.max ?? 0, points: given[i] ?? 0 }));
  return {
    number,
    ruled: content.moveRules === MOVE_RULES,
    models,
    withFeedback: (feedbackLevel) => {
      const known = told.get(feedbackLevel) ?? models.map((model) => limitFeedback(model, feedbackLevel));
      told.set(feedbackLevel, known);
      return known;
    },
    deferred: quiet,
    struck,
    // Questions are drawn by position among those that are not struck.
    asked: (next) => {
      const left = sections.flatMap((section) => section.questions);
      return asked(sections, next).map((i) => left[i] as number);
    },
    modelAnswers: modelAnswers ?? questions.map(() => null),
    goBack: goBack ?? true,
    aids,
    points: given.map((points, i) => (struck[i] ? 0 : points)),
    sections,
    asks: sections.reduce((all, section) => all + asksOf(section), 0),
    outOf: totalOf(sections.map((section) => ({ ...section, questions: worth(section) }))),
    sources: sources ?? [],
  };
}

/** The edition of new attempts. */
export async function editionInForce(db: Database, releaseId: string): Promise<number> {
  const row = await db.query.release.findFirst({ columns: { edition: true }, where: eq(release.id, releaseId) });
  return row?.edition ?? 1;
}
