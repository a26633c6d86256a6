import { eq } from 'drizzle-orm';
import type { Place, SittingView } from '../../contract';
import { type QuestionView, questionView } from '../../core';
import type { Context } from '../context';
import { standing } from '../database/tables';
import type { OpenEdition } from '../releases/editions';
import type { At } from './standing';

export function viewOf(at: At): QuestionView & { id: string; last: number } {
  const { question, ...view } = questionView(at, at.standing);
  const aids = [...new Set([...question.show.aids, ...at.aids])];
  return {
    id: at.sitting.id,
    last: at.sitting.last,
    ...view,
    question: { ...question, show: { ...question.show, aids } },
  };
}

export const endsOf = ({ sitting: { endsAt } }: At, now: Date): SittingView['ends'] =>
  endsAt && { at: endsAt.toISOString(), seconds: Math.max(0, Math.round((endsAt.getTime() - now.getTime()) / 1000)) };

export async function placeOf(
  { db }: Pick<Context, 'db'>,
  at: At,
  { sections, struck }: OpenEdition,
  asked: readonly number[],
): Promise<Omit<Place, 'deferred' | 'finished'>> {
  const rows = await db
    .select({ question: standing.question, ended: standing.ended })
    .from(standing)
    .where(eq(standing.sittingId, at.sitting.id));
  const places = (all: typeof rows) =>
    all.map(({ question }) => asked.indexOf(question)).filter((place) => place !== -1);
  return {
    at: at.place,
    count: asked.length,
    goBack: at.goBack,
    reached: at.sitting.reached,
    tried: places(rows),
    ended: places(rows.filter(({ ended }) => ended)),
    struck: struck[at.question] ?? false,
    section: sections.find(({ questions }) => questions.includes(at.question))?.title ?? '',
  };
}
