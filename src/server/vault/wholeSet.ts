import type { WholeSet } from '../../contract';
import { pointsOf, type Question } from '../../core';
import type { As, Teacher } from '../context';
import { ok, type Result } from '../errors';
import { openWith } from './questions';
import { openSet } from './sets';

export async function wholeSet(as: As<Teacher>, setId: string): Promise<Result<WholeSet>> {
  const found = await openSet(as, setId);
  if (!found.ok) return found;
  const questions: Question[] = [];
  const points: number[] = [];
  for (const section of found.value.sections)
    for (const entry of section.questions) {
      // Other requests run in between.
      await new Promise((resolve) => setImmediate(resolve));
      const result = await openWith(as, entry.id, 'use');
      if (!result.ok) return result;
      questions.push(result.value.question);
      points.push(pointsOf(section, { max: result.value.question.marks.max, points: entry.points }));
    }
  const sections = found.value.sections.map(({ draw, questions: { length }, ...head }) => ({
    ...head,
    draw: draw && { ...draw, count: Math.min(draw.count, length) },
    count: length,
  }));
  const places = new Map<string, number>(questions.map(({ id: own }, i) => [own, i]));
  const sources = found.value.sources.map(({ id: _, questions: beside, ...source }) => ({
    ...source,
    questions: beside.flatMap((one) => places.get(one) ?? []),
  }));
  return ok({
    title: found.value.title,
    questions,
    goBack: found.value.goBack,
    aids: found.value.aids,
    points,
    sections: sections.filter(({ count }) => count > 0),
    sources,
  });
}
