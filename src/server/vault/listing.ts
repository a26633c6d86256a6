import { and, asc, count, desc, eq, exists, inArray, isNotNull, isNull, or, type SQL, sql } from 'drizzle-orm';
import { type Sought, type Uses, VAULT_PAGE, type VaultPage, type VaultRow } from '../../contract';
import { secondsFor } from '../../core';
import type { As, Teacher } from '../context';
import { user } from '../database/accountTables';
import {
  course,
  question,
  questionSet,
  questionTag,
  questionWords,
  release,
  releaseQuestion,
  setQuestion,
} from '../database/tables';
import { fail, ok, type Result } from '../errors';
import { accessTo } from './access';
import { shelvesSeen } from './shelves';
import { asMatch } from './words';
import { worth } from './worth';

/** A page of the questions the teacher may see: their own, and those on shelves shared with them. */
export async function listVault(as: As<Teacher>, sought: Sought): Promise<VaultPage> {
  const { db, person } = as;
  const seen = await shelvesSeen(as);
  const shared = [...seen.values()].filter(({ access }) => access !== 'own').map(({ id }) => id);
  const visible = or(
    eq(question.ownerId, person.id),
    ...(shared.length > 0 ? [inArray(question.shelfId, shared)] : []),
  );
  const where = and(visible, ...conditions(as, sought));
  const from = Math.max(0, sought.from ?? 0);
  const [[total], found] = await Promise.all([
    db.select({ n: count() }).from(question).where(where),
    db
      .select({
        id: question.id,
        title: question.title,
        kind: question.kind,
        changedAt: question.changedAt,
        findings: question.findings,
        startingPoint: question.startingPoint,
        shelfId: question.shelfId,
        ownerId: question.ownerId,
        owner: user.name,
      })
      .from(question)
      .innerJoin(user, eq(user.id, question.ownerId))
      .where(where)
      .orderBy(
        ...(sought.sort === 'title'
          ? [asc(sql`lower(${question.title})`), asc(question.id)]
          : [desc(question.changedAt), asc(question.id)]),
      )
      .limit(VAULT_PAGE)
      .offset(from),
  ]);
  const ids = found.map(({ id }) => id);
  // Of the page alone: sorting would otherwise read every document.
  const [tags, worths] = await Promise.all([
    db.select().from(questionTag).where(inArray(questionTag.questionId, ids)).orderBy(questionTag.tag),
    db
      .select({ id: question.id, ...worth })
      .from(question)
      .leftJoin(questionWords, eq(questionWords.questionId, question.id))
      .where(inArray(question.id, ids)),
  ]);
  const worthOf = new Map(worths.map((row) => [row.id, row]));
  const tagsOf = new Map<string, string[]>();
  for (const { questionId, tag } of tags) tagsOf.set(questionId, [...(tagsOf.get(questionId) ?? []), tag]);
  const rows = found.flatMap(({ ownerId, ...row }): VaultRow[] => {
    const its = worthOf.get(row.id);
    return its
      ? [
          {
            ...row,
            max: its.max,
            seconds: secondsFor(its),
            tags: tagsOf.get(row.id) ?? [],
            access: ownerId === person.id ? 'own' : (seen.get(row.shelfId ?? '')?.access ?? 'see'),
          },
        ]
      : [];
  });
  return { rows, total: total?.n ?? 0, from };
}

function conditions({ db, person }: As<Teacher>, { shelf, words, kind, findings, use, tag }: Sought): SQL[] {
  const all: (SQL | undefined)[] = [
    shelf === 'bin' ? and(isNotNull(question.deletedAt), eq(question.ownerId, person.id)) : isNull(question.deletedAt),
  ];
  if (shelf === 'none') all.push(and(isNull(question.shelfId), eq(question.ownerId, person.id)));
  else if (shelf && shelf !== 'bin') all.push(eq(question.shelfId, shelf));
  const match = words ? asMatch(words) : null;
  if (match)
    all.push(
      inArray(
        question.id,
        db
          .select({ id: questionWords.questionId })
          .from(questionWords)
          .where(sql`${questionWords.n} in (select rowid from question_search where question_search match ${match})`),
      ),
    );
  if (kind) all.push(eq(question.kind, kind));
  // The same expressions as in the index.
  const [errors, warnings] = [
    sql.raw("json_extract(findings, '$.error')"),
    sql.raw("json_extract(findings, '$.warning')"),
  ];
  if (findings === 'error') all.push(sql`${errors} > 0`);
  if (findings === 'warning') all.push(sql`(${errors} > 0 or ${warnings} > 0)`);
  if (findings === 'none') all.push(sql`${errors} = 0 and ${warnings} = 0`);
  if (tag)
    all.push(
      exists(
        db
          .select({ one: sql`1` })
          .from(questionTag)
          .where(and(eq(questionTag.questionId, question.id), eq(questionTag.tag, tag))),
      ),
    );
  if (use === 'start') all.push(eq(question.startingPoint, true));
  else if (use) {
    const used = sql`(${question.id} in (select ${releaseQuestion.questionId} from ${releaseQuestion}) or ${question.id} in (select ${setQuestion.questionId} from ${setQuestion}))`;
    all.push(use === 'used' ? used : sql`not ${used}`);
  }
  return all.filter((candidate): candidate is SQL => candidate !== undefined);
}

/** The tags of the teacher's questions, most used first. */
export async function listTags({ db, person }: As<Teacher>): Promise<{ tag: string; questions: number }[]> {
  return db
    .select({ tag: questionTag.tag, questions: count() })
    .from(questionTag)
    .innerJoin(question, eq(question.id, questionTag.questionId))
    .where(and(eq(question.ownerId, person.id), isNull(question.deletedAt)))
    .groupBy(questionTag.tag)
    .orderBy(desc(count()), questionTag.tag)
    .limit(200);
}

/** The uses of a question: the sets and releases it is in, of any teacher. */
export async function usesOf(as: As<Teacher>, id: string): Promise<Result<Uses>> {
  const { db, person } = as;
  if (!(await accessTo(as, id, 'see'))) return fail('notFound');
  const sets = await db
    .select({ id: questionSet.id, title: questionSet.title, by: user.name, ownerId: questionSet.ownerId })
    .from(questionSet)
    .innerJoin(setQuestion, eq(setQuestion.setId, questionSet.id))
    .innerJoin(user, eq(user.id, questionSet.ownerId))
    .where(and(eq(setQuestion.questionId, id), isNull(questionSet.deletedAt)));
  const releases = await db
    .select({ id: release.id, title: release.title, course: course.title, by: user.name, ownerId: release.releasedBy })
    .from(releaseQuestion)
    .innerJoin(release, eq(release.id, releaseQuestion.releaseId))
    .innerJoin(course, eq(course.id, release.courseId))
    .innerJoin(user, eq(user.id, release.releasedBy))
    .where(eq(releaseQuestion.questionId, id))
    .orderBy(desc(release.createdAt));
  const told = <Row extends { ownerId: string }>({ ownerId, ...row }: Row) => ({ ...row, mine: ownerId === person.id });
  return ok({ sets: sets.map(told), releases: releases.map(told) });
}
