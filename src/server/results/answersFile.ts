import { eq } from 'drizzle-orm';
import { earned, roundMark } from '../../core';
import { csvLine } from '../../formats/csv';
import type { As, Teacher } from '../context';
import { releaseOf } from '../courses/access';
import { everybodyOn } from '../courses/roster';
import { sitting } from '../database/tables';
import { fail, ok, type Result } from '../errors';
import { atOf, type OpenSitting, recordOf, sittingsWhere } from '../sittings/standing';
import { type Placed, shownTry } from './placed';

/** What one attempt answered one question with: the try that earned the mark, else what lies there now. */
interface Answered {
  readonly name: string;
  readonly username: string | null;
  readonly attempt: number;
  readonly finishedAt: Date | null;
  /** The place in the attempt, from 1. */
  readonly question: number;
  readonly title: string;
  readonly struck: boolean;
  readonly tries: number;
  readonly mark: number;
  readonly outOf: number;
  readonly placed: readonly Placed[];
}

const breathe = () => new Promise((resolve) => setImmediate(resolve));

/** Every answer of every attempt at a release, by learner. The attempts are read one after another. */
async function* answersIn(as: As<Teacher>, releaseId: string, courseId: string): AsyncGenerator<Answered> {
  const attempts = await sittingsWhere(as, eq(sitting.releaseId, releaseId));
  const byLearner = new Map<string, OpenSitting[]>();
  for (const open of attempts) byLearner.set(open.learnerId, [...(byLearner.get(open.learnerId) ?? []), open]);
  for (const { id, name, username } of await everybodyOn(as, courseId))
    for (const open of (byLearner.get(id) ?? []).toSorted((a, b) => a.number - b.number)) {
      const record = await recordOf(as.db, open);
      for (const [place, question] of record.asked.entries()) {
        const at = atOf(open, record, place, { feedbackLevel: 'modelAnswer' });
        if (!at) continue;
        const { model, standing, points } = at;
        const { counting, placed } = shownTry(at);
        yield {
          ...{ name, username, attempt: open.number, finishedAt: open.finishedAt, question: place + 1 },
          title: model.question.title,
          struck: record.edition.struck[question] ?? false,
          tries: standing.tries.count,
          mark: counting ? roundMark(earned(counting.judged.mark, counting.judged.max, points)) : 0,
          outOf: roundMark(points),
          placed,
        };
      }
      await breathe();
    }
}

const COLUMNS = [
  ...(['name', 'user name', 'attempt', 'finished', 'question', 'title', 'struck', 'tries', 'mark', 'out of'] as const),
  ...(['item', 'zone', 'place', 'typed', 'verdict'] as const),
];

/** The answers as CSV: a line for each thing that was placed or typed; one without for a question left empty. */
async function* asCsv(answers: AsyncIterable<Answered>): AsyncGenerator<string> {
  yield csvLine(COLUMNS);
  for await (const answer of answers) {
    const { name, username, attempt, finishedAt, question, title, struck, tries, mark, outOf, placed } = answer;
    const head = [
      ...[name, username, attempt, finishedAt?.toISOString() ?? '', question, title, struck ? 'struck' : ''],
      ...[tries, mark, outOf],
    ];
    if (placed.length === 0) yield csvLine([...head, '', '', '', '', '']);
    for (const { item, zone, place, typed, verdict } of placed)
      yield csvLine([...head, item?.label ?? '', zone.label, place, typed, verdict === 'none' ? '' : verdict]);
  }
}

/** The answers as JSON lines: an object for each question of each attempt. */
async function* asJsonLines(answers: AsyncIterable<Answered>): AsyncGenerator<string> {
  for await (const answer of answers) yield `${JSON.stringify(answer)}\n`;
}

/** The answers of a release, as a file that is written while it is sent. */
export async function answersFile(
  as: As<Teacher>,
  releaseId: string,
  form: 'csv' | 'jsonl',
): Promise<Result<{ title: string; lines: AsyncGenerator<string> }>> {
  const found = await releaseOf(as, releaseId);
  if (!found) return fail('notFound');
  const answers = answersIn(as, releaseId, found.row.courseId);
  return ok({ title: found.row.title, lines: form === 'csv' ? asCsv(answers) : asJsonLines(answers) });
}
