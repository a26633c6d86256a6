import { randomInt } from 'node:crypto';
import { and, eq, gt, isNull, or } from 'drizzle-orm';
import { mayOnceMore } from '../accounts/limit';
import { makePerson, type NewPerson } from '../accounts/people';
import type { As, Context, Learner, Teacher } from '../context';
import { course, courseLearner } from '../database/tables';
import { fail, ok, type Result } from '../errors';
import { courseOf } from './access';

/** Letters and digits that are not confused when read aloud or written on a board. */
const SIGNS = 'ABCDEFGHJKLMNPQRSTUVWXYZ23456789';
const LENGTH = 8;

/** A join code: 40 bits, so that guessing one takes longer than it is valid. */
export const newCode = (): string => Array.from({ length: LENGTH }, () => SIGNS[randomInt(SIGNS.length)]).join('');

/** The code in capitals, without spaces and dashes. */
const meant = (code: string) => code.toUpperCase().replace(/[\s-]/g, '');

/** The course of a valid code. */
async function courseBy({ db, now }: Context, code: string) {
  return db.query.course.findFirst({
    columns: { id: true, title: true, ownerId: true },
    where: and(
      eq(course.joinCode, meant(code)),
      isNull(course.archivedAt),
      or(isNull(course.joinUntil), gt(course.joinUntil, now())),
    ),
  });
}

const noSuchCode = () =>
  fail('invalid', { problems: [{ path: 'code', message: 'No course has this code now. Ask your teacher for it.' }] });

/** A learner joins a course by its code. Joining again changes nothing. */
export async function joinCourse(as: As<Learner>, code: string): Promise<Result<{ course: string }>> {
  if (!(await mayOnceMore(as, 'joining-address', as.address ?? ''))) return fail('tooMany');
  const found = await courseBy(as, code);
  if (!found) return (await mayOnceMore(as, 'joining-guess', as.person.id)) ? noSuchCode() : fail('tooMany');
  await as.db
    .insert(courseLearner)
    .values({ courseId: found.id, learnerId: as.person.id, addedAt: as.now() })
    .onConflictDoNothing();
  return ok({ course: found.title });
}

/** A person without an account makes one with a join code, and joins the course. Its owner may reset the password. */
export async function registerWith(
  context: Context,
  code: string,
  learner: Pick<NewPerson, 'name' | 'username' | 'password'>,
): Promise<Result<{ course: string }>> {
  const address = context.address ?? '';
  if (!(await mayOnceMore(context, 'joining-address', address))) return fail('tooMany');
  const found = await courseBy(context, code);
  if (!found) return (await mayOnceMore(context, 'joining-guess', address)) ? noSuchCode() : fail('tooMany');
  if (!(await mayOnceMore(context, 'joining-code', found.id))) return fail('tooMany');
  const made = await makePerson(context, { ...learner, role: 'learner', madeBy: found.ownerId });
  if (!made.ok) return made;
  await context.db
    .insert(courseLearner)
    .values({ courseId: found.id, learnerId: made.value.id, addedAt: context.now() });
  return ok({ course: found.title });
}

/** Lets learners of a course sign in with a code, their name and pictures, or not any more. The code stays while they may. */
export async function setPictureCode(
  as: As<Teacher>,
  courseId: string,
  allowed: boolean,
): Promise<Result<{ code: string | null }>> {
  const found = await courseOf(as, courseId);
  if (!found) return fail('notFound');
  const code = allowed ? (found.row.pictureCode ?? newCode()) : null;
  await as.db.update(course).set({ pictureCode: code }).where(eq(course.id, courseId));
  return ok({ code });
}
