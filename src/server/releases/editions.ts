import { desc, eq } from 'drizzle-orm';
import { asksOf, type ModelPlacement, type QuestionModel, questionModel, type Section, totalOf } from '../../core';
import type { Database } from '../database/open';
import { type EditionContent, edition } from '../database/tables';

export interface OpenEdition {
  readonly number: number;
  readonly models: readonly QuestionModel[];
  /** By question; null: none that may be shown. */
  readonly modelAnswers: readonly (readonly ModelPlacement[] | null)[];
  readonly goBack: boolean;
  /** By question, what it counts. */
  readonly points: readonly number[];
  /** Parts of the questions, each a place in `models`, in their order. */
  readonly sections: readonly Section<number>[];
  /** How many questions a sitting has. */
  readonly asks: number;
  /** What a sitting comes to at most, in points. */
  readonly outOf: number;
  readonly sources: NonNullable<EditionContent['sources']>;
}

/**
 * Editions never change, so what was worked out from one may be kept: at most this many, the one used longest ago leaving first. Each process has its
 * own and none needs another's.
 */
const MOST_KEPT = 100;
const kept = new Map<string, OpenEdition>();

export async function editionOf(db: Database, releaseId: string, number: number): Promise<OpenEdition> {
  const name = `${releaseId}/${number}`;
  const known = kept.get(name);
  if (known) {
    kept.delete(name);
    kept.set(name, known);
    return known;
  }
  const row = await db.query.edition.findFirst({ where: (t, { and }) => and(eq(t.releaseId, releaseId), eq(t.number, number)) });
  if (!row) throw new Error(`Release ${releaseId} has no edition ${number}`);
  const opened = openContent(number, row.content);
  kept.set(name, opened);
  const oldest = kept.keys().next().value;
  if (kept.size > MOST_KEPT && oldest !== undefined) kept.delete(oldest);
  return opened;
}

export function openContent(number: number, content: EditionContent): OpenEdition {
  const { questions, modelAnswers, goBack, sources } = content;
  const points = content.points ?? questions.map(({ marks }) => marks.max);
  let first = 0;
  const sections = (content.sections ?? [{ title: '', draw: null, count: questions.length }]).map(({ title, draw, count }) => {
    const own = { title, draw, questions: Array.from({ length: count }, (_, i) => first + i) };
    first += count;
    return own;
  });
  return {
    number,
    models: questions.map((question) => questionModel(question)),
    modelAnswers: modelAnswers ?? questions.map(() => null),
    goBack: goBack ?? true,
    points,
    sections,
    asks: sections.reduce((all, section) => all + asksOf(section), 0),
    outOf: totalOf(sections.map((section) => ({ ...section, questions: section.questions.map((i) => ({ max: questions[i]?.marks.max ?? 0, points: points[i] ?? 0 })) }))),
    sources: sources ?? [],
  };
}

export async function newestEdition(db: Database, releaseId: string): Promise<number> {
  const row = await db.query.edition.findFirst({ columns: { number: true }, where: eq(edition.releaseId, releaseId), orderBy: desc(edition.number) });
  return row?.number ?? 1;
}
