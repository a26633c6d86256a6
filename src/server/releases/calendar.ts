import { createHash, randomBytes } from 'node:crypto';
import { and, eq, isNotNull, isNull, or, type SQL } from 'drizzle-orm';
import ical, { ICalCalendarMethod } from 'ical-generator';
import type { As, Context, Learner, Person, Teacher } from '../context';
import { isTaughtBy } from '../courses/access';
import { user } from '../database/accountTables';
import { allowance, calendarAddress, course, courseLearner, release } from '../database/tables';
import { fail, ok, type Result } from '../errors';
import { isShownTo } from './audience';

/** Bytes of a secret: more than can be guessed. */
const SECRET_BYTES = 32;
/** How often a calendar program may ask again. */
const AGAIN_SECONDS = 3600;

const hashOf = (secret: string): string => createHash('sha256').update(secret).digest('hex');

export async function calendarMadeAt({ db, person }: As): Promise<{ madeAt: Date | null }> {
  const row = await db.query.calendarAddress.findFirst({ where: eq(calendarAddress.personId, person.id) });
  return { madeAt: row?.madeAt ?? null };
}

/** Makes a secret address, which is told this once. The one before is taken back. */
export async function makeCalendarAddress({ db, person, now }: As): Promise<{ path: string; madeAt: Date }> {
  const secret = randomBytes(SECRET_BYTES).toString('base64url');
  const made = { secret: hashOf(secret), madeAt: now() };
  await db
    .insert(calendarAddress)
    .values({ personId: person.id, ...made })
    .onConflictDoUpdate({ target: calendarAddress.personId, set: made });
  return { path: `/api/calendar/${secret}.ics`, madeAt: made.madeAt };
}

export async function takeCalendarBack({ db, person }: As): Promise<{ madeAt: null }> {
  await db.delete(calendarAddress).where(eq(calendarAddress.personId, person.id));
  return { madeAt: null };
}

/** The dates of whoever made the address, as iCalendar. `site`: the address of the application. */
export async function calendarFile(context: Context, secret: string, site: string): Promise<Result<string>> {
  const [found] = await context.db
    .select({ person: user })
    .from(calendarAddress)
    .innerJoin(user, eq(user.id, calendarAddress.personId))
    .where(eq(calendarAddress.secret, hashOf(secret)));
  if (!found) return fail('notFound');
  const as = { ...context, person: found.person as Person };
  const dates = as.person.role === 'teacher' ? await taughtDates(as as As<Teacher>) : await ownDates(as as As<Learner>);
  const calendar = ical({
    name: 'Vault Drop',
    method: ICalCalendarMethod.PUBLISH,
    prodId: { company: 'Vault Drop', product: 'Dates', language: 'EN' },
    ttl: AGAIN_SECONDS,
  });
  for (const { id, title, course: of, what, at } of dates)
    calendar.createEvent({
      id: `${id}-${what}@vault-drop`,
      start: at,
      end: at,
      stamp: context.now(),
      summary: `${WORDS[what]}: ${title}`,
      description: of,
      url: `${site}${as.person.role === 'teacher' ? `/releases/${id}/results` : `/sit/${id}`}`,
    });
  return ok(calendar.toString());
}

const WORDS = { opens: 'Opens', due: 'Due', closes: 'Closes' } as const;

interface DateOf {
  readonly id: string;
  readonly title: string;
  readonly course: string;
  readonly what: keyof typeof WORDS;
  readonly at: Date;
}

const columns = {
  id: release.id,
  title: release.title,
  course: course.title,
  opens: release.opensAt,
  due: release.dueAt,
  closes: release.closesAt,
};
const isDated = or(isNotNull(release.opensAt), isNotNull(release.dueAt), isNotNull(release.closesAt)) as SQL;

type Row = Record<keyof typeof WORDS, Date | null> & Omit<DateOf, 'what' | 'at'>;
const datesOf = (rows: readonly Row[]): DateOf[] =>
  rows.flatMap(({ opens, due, closes, ...row }) =>
    Object.entries({ opens, due, closes }).flatMap(([what, at]) =>
      at === null ? [] : [{ ...row, what: what as keyof typeof WORDS, at }],
    ),
  );

async function taughtDates(as: As<Teacher>): Promise<DateOf[]> {
  return datesOf(
    await as.db
      .select(columns)
      .from(release)
      .innerJoin(course, eq(course.id, release.courseId))
      .where(and(isTaughtBy(as), isNull(course.archivedAt), isNull(release.withdrawnAt), isDated)),
  );
}

/** A learner's own dates: with what they are allowed beyond the others. */
async function ownDates({ db, person }: As<Learner>): Promise<DateOf[]> {
  const rows = await db
    .select({ ...columns, dueLater: allowance.dueAt, closesLater: allowance.closesAt })
    .from(release)
    .innerJoin(course, eq(course.id, release.courseId))
    .innerJoin(courseLearner, and(eq(courseLearner.courseId, course.id), eq(courseLearner.learnerId, person.id)))
    .leftJoin(allowance, and(eq(allowance.releaseId, release.id), eq(allowance.learnerId, person.id)))
    .where(and(isNull(course.archivedAt), isShownTo(db, person.id)));
  return datesOf(
    rows.map(({ dueLater, closesLater, due, closes, ...row }) => ({
      ...row,
      due: dueLater ?? due,
      closes: closesLater ?? closes,
    })),
  );
}
