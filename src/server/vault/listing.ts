import { and, asc, count, desc, eq, exists, inArray, isNotNull, isNull, or, type SQL, sql } from 'drizzle-orm';
import type { FindingCounts, Kind } from '../../core';
import { KINDS } from '../../core/document';
import type { As, Teacher } from '../context';
import { user } from '../database/accountTables';
import { course, question, questionSet, questionTag, questionWords, release, releaseQuestion } from '../database/tables';
import { fail, ok, type Result } from '../errors';
import { accessTo } from './access';
import { type Access, shelvesSeen } from './shelves';
import { asMatch } from './words';

/** What is looked for in the Vault. Left out: everything. */
export interface Sought {
  /** A shelf's id; `none`: on no shelf; `bin`: what was deleted. */
  readonly shelf?: string | undefined;
  readonly words?: string | undefined;
  readonly kind?: Kind | undefined;
  readonly findings?: 'error' | 'warning' | 'none' | undefined;
  /** In a set or a release of anybody's, in none, or as a starting point for others. */
  readonly use?: (typeof USES)[number] | undefined;
  readonly tag?: string | undefined;
  readonly sort?: 'changed' | 'title' | undefined;
  readonly from?: number | undefined;
}

export interface VaultRow {
  id: string;
  title: string;
  kind: Kind;
  /** The most its marks come to. */
  max: number;
  changedAt: Date;
  findings: FindingCounts;
  startingPoint: boolean;
  shelfId: string | null;
  tags: string[];
  access: Access;
  owner: string;
}
export interface VaultPage {
  rows: VaultRow[];
  /** Of all pages. */
  total: number;
  from: number;
}

/** Rows of one page: more are asked for as they are scrolled to. */
export const PAGE = 50;

const FINDINGS = ['error', 'warning', 'none'] as const;
const USES = ['used', 'unused', 'start'] as const;
const SORTS = ['changed', 'title'] as const;
const MOST_FROM = 1_000_000;

/** What is looked for, from an address; refused where a word of it is none of ours. */
export function soughtIn(search: URLSearchParams): Result<Sought> {
  const problems: { path: string; message: string }[] = [];
  const text = (name: string, most: number) => search.get(name)?.slice(0, most) || undefined;
  const one = <const T extends string>(name: string, of: readonly T[]): T | undefined => {
    const value = search.get(name);
    if (!value) return undefined;
    const found = of.find((word) => word === value);
    if (!found) problems.push({ path: name, message: `has to be one of ${of.join(', ')}` });
    return found;
  };
  const from = search.get('from') ?? '0';
  if (!/^\d{1,7}$/.test(from) || Number(from) > MOST_FROM) problems.push({ path: 'from', message: 'has to be a whole number' });
  const sought: Sought = {
    shelf: text('shelf', 60),
    words: text('words', 200),
    tag: text('tag', 60),
    kind: one('kind', KINDS),
    findings: one('findings', FINDINGS),
    use: one('use', USES),
    sort: one('sort', SORTS),
    from: Number(from),
  };
  return problems.length > 0 ? fail('invalid', { problems }) : ok(sought);
}

/** A page of the questions the teacher may see: their own, and those on shelves shared with them. */
export async function listVault(as: As<Teacher>, sought: Sought): Promise<VaultPage> {
  const { db, person } = as;
  const seen = await shelvesSeen(as);
  const shared = [...seen.values()].filter(({ access }) => access !== 'own').map(({ id }) => id);
  const visible = or(eq(question.ownerId, person.id), ...(shared.length > 0 ? [inArray(question.shelfId, shared)] : []));
  const where = and(visible, ...conditions(as, sought));
  const from = Math.max(0, sought.from ?? 0);
  const [[total], found] = await Promise.all([
    db.select({ n: count() }).from(question).where(where),
    db
      .select({
        id: question.id,
        title: question.title,
        kind: question.kind,
        max: sql<number>`json_extract(${question.document}, '$.marks.max')`,
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
      .orderBy(...(sought.sort === 'title' ? [asc(sql`lower(${question.title})`), asc(question.id)] : [desc(question.changedAt), asc(question.id)]))
      .limit(PAGE)
      .offset(from),
  ]);
  const tags =
    found.length === 0
      ? []
      : await db
          .select()
          .from(questionTag)
          .where(
            inArray(
              questionTag.questionId,
              found.map(({ id }) => id),
            ),
          )
          .orderBy(questionTag.tag);
  const tagsOf = new Map<string, string[]>();
  for (const { questionId, tag } of tags) tagsOf.set(questionId, [...(tagsOf.get(questionId) ?? []), tag]);
  const rows = found.map(
    ({ ownerId, ...row }): VaultRow => ({
      ...row,
      tags: tagsOf.get(row.id) ?? [],
      access: ownerId === person.id ? 'own' : (seen.get(row.shelfId ?? '')?.access ?? 'see'),
    }),
  );
  return { rows, total: total?.n ?? 0, from };
}

function conditions({ db, person }: As<Teacher>, { shelf, words, kind, findings, use, tag }: Sought): SQL[] {
  const all: (SQL | undefined)[] = [shelf === 'bin' ? and(isNotNull(question.deletedAt), eq(question.ownerId, person.id)) : isNull(question.deletedAt)];
  if (shelf === 'none') all.push(and(isNull(question.shelfId), eq(question.ownerId, person.id)));
  else if (shelf && shelf !== 'bin') all.push(eq(question.shelfId, shelf));
  const match = words ? asMatch(words) : null;
  if (match)
    all.push(
      inArray(
        question.id,
        db.select({ id: questionWords.questionId }).from(questionWords).where(sql`${questionWords.n} in (select rowid from question_search where question_search match ${match})`),
      ),
    );
  if (kind) all.push(eq(question.kind, kind));
  // In the very words of the index over them.
  const [errors, warnings] = [sql.raw("json_extract(findings, '$.error')"), sql.raw("json_extract(findings, '$.warning')")];
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
    const used = sql`(${question.id} in (select ${releaseQuestion.questionId} from ${releaseQuestion}) or ${question.id} in (select j.value ->> '$.id' from ${questionSet}, json_each(${questionSet.sections}) s, json_each(s.value, '$.questions') j))`;
    all.push(use === 'used' ? used : sql`not ${used}`);
  }
  return all.filter((one): one is SQL => one !== undefined);
}

/** The tags the teacher's questions have, the most used first. */
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

export interface Uses {
  sets: { id: string; title: string; by: string; mine: boolean }[];
  releases: { id: string; title: string; course: string; by: string; mine: boolean }[];
}

/** Who uses a question where: the sets it stands in, and the releases it is in, of anybody's. */
export async function usesOf(as: As<Teacher>, id: string): Promise<Result<Uses>> {
  const { db, person } = as;
  if (!(await accessTo(as, id, 'see'))) return fail('notFound');
  const sets = await db
    .select({ id: questionSet.id, title: questionSet.title, by: user.name, ownerId: questionSet.ownerId })
    .from(questionSet)
    .innerJoin(user, eq(user.id, questionSet.ownerId))
    .where(sql`exists (select 1 from json_each(${questionSet.sections}) s, json_each(s.value, '$.questions') j where j.value ->> '$.id' = ${id})`);
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
