import { createHash, randomBytes } from 'node:crypto';
import { and, eq, isNotNull, lte } from 'drizzle-orm';
import { v5 } from 'uuid';
import type { InferType } from 'yup';
import type { MorningMailView, morningMail as morningMailSchema } from '../../contract';
import { mayOnceMore } from '../accounts/limit';
import type { As, Context, Teacher } from '../context';
import { user } from '../database/accountTables';
import { morningMail } from '../database/tables';
import { fail, ok, type Result } from '../errors';
import { addJob } from '../jobs/jobs';
import { send } from '../mail/mail';
import { confirmation, hasNews, letterOf } from './letter';
import { nextMorning } from './morning';
import { todayOf } from './today';

/** The kind of its jobs, and what they are told. */
export const MORNING_MAIL = 'morningMail';
export type MorningMailInput =
  | { readonly what: 'confirmation'; readonly token: string }
  /** `always`: asked for, with or without news. */
  | { readonly what: 'today'; readonly always: boolean };

/** The namespace of its jobs' ids (RFC 9562): those of one morning have one id, whichever process adds them. */
const OF_MORNINGS = '6f1b0c3e-6d0a-4a52-9d0e-2f5f0f8c7a11';
/** Bytes of a token: more than can be guessed. */
const TOKEN_BYTES = 24;

const hashOf = (token: string): string => createHash('sha256').update(token).digest('hex');
const whose = ({ person }: As<Teacher>) => eq(morningMail.personId, person.id);

export async function openMorningMail(as: As<Teacher>): Promise<MorningMailView> {
  const row = await as.db.query.morningMail.findFirst({ where: whose(as) });
  const leaves = as.config.mail !== null;
  if (!row) return { mail: null, leaves };
  const { address, days, hour, zone, confirmedAt, nextAt, sentAt, failedAt } = row;
  return { mail: { address, isConfirmed: confirmedAt !== null, days, hour, zone, nextAt, sentAt, failedAt }, leaves };
}

/** Asks for it, or changes it. `site`: the address of the application, for the links. */
export async function askForMail(
  as: As<Teacher>,
  { address, days, hour, zone }: InferType<typeof morningMailSchema>,
  site: string,
): Promise<Result<MorningMailView>> {
  const was = await as.db.query.morningMail.findFirst({ where: whose(as) });
  const times = { days, hour, zone, site, nextAt: nextMorning(as.now(), { days, hour, zone }) };
  if (was?.address === address && was.confirmedAt !== null) {
    await as.db.update(morningMail).set(times).where(whose(as));
    return ok(await openMorningMail(as));
  }
  if (!(await mayOnceMore(as, 'mail', as.person.id))) return fail('tooMany');
  const token = randomBytes(TOKEN_BYTES).toString('base64url');
  const asked = { address, token: hashOf(token), confirmedAt: null, sentAt: null, failedAt: null, ...times };
  await as.db
    .insert(morningMail)
    .values({ personId: as.person.id, ...asked })
    .onConflictDoUpdate({ target: morningMail.personId, set: asked });
  await add(as, as.person.id, v5(token, OF_MORNINGS), { what: 'confirmation', token });
  return ok(await openMorningMail(as));
}

export async function endMail(as: As<Teacher>): Promise<MorningMailView> {
  await as.db.delete(morningMail).where(whose(as));
  return openMorningMail(as);
}

/** The teacher says that the address is theirs, with the token that was sent there. */
export async function confirmMail(as: As<Teacher>, token: string): Promise<Result<MorningMailView>> {
  const [confirmed] = await as.db
    .update(morningMail)
    .set({ confirmedAt: as.now() })
    .where(and(whose(as), eq(morningMail.token, hashOf(token))))
    .returning({ personId: morningMail.personId });
  return confirmed ? ok(await openMorningMail(as)) : fail('notFound');
}

/** Sends Today now. `id` is made by the client: a repeated request sends one. */
export async function sendMailNow(as: As<Teacher>, id: string): Promise<Result<{ jobId: string }>> {
  const row = await as.db.query.morningMail.findFirst({ where: and(whose(as), isNotNull(morningMail.confirmedAt)) });
  if (!row) return fail('notFound');
  if (!(await mayOnceMore(as, 'mail', as.person.id))) return fail('tooMany');
  await add(as, as.person.id, id, { what: 'today', always: true });
  return ok({ jobId: id });
}

const add = (context: Context, ownerId: string, id: string, input: MorningMailInput) =>
  addJob(context, { id, kind: MORNING_MAIL, ownerId, input, total: 1 });

/** Adds a job for each letter whose morning has come. Several processes may do so at once: each is added once. */
export async function addMorningMail(context: Context): Promise<number> {
  const at = context.now();
  const come = await context.db
    .select()
    .from(morningMail)
    .where(and(isNotNull(morningMail.confirmedAt), lte(morningMail.nextAt, at)));
  for (const row of come) {
    // The job first: if the process ends between the two, the same job is added again, which adds none.
    await add(context, row.personId, v5(`${row.personId} ${row.nextAt.getTime()}`, OF_MORNINGS), {
      what: 'today',
      always: false,
    });
    await context.db
      .update(morningMail)
      .set({ nextAt: nextMorning(at, row) })
      .where(and(eq(morningMail.personId, row.personId), eq(morningMail.nextAt, row.nextAt)));
  }
  return come.length;
}

/** The work of its jobs. Throws where the letter could not be handed over, so that it is tried again. */
export async function sendMorningMail(
  context: Context,
  ownerId: string,
  input: MorningMailInput,
  id: string,
): Promise<Result<null>> {
  const { db, now } = context;
  const [found] = await db
    .select({ mail: morningMail, person: { id: user.id, name: user.name, username: user.username } })
    .from(morningMail)
    .innerJoin(user, eq(user.id, morningMail.personId))
    .where(and(eq(morningMail.personId, ownerId), eq(user.role, 'teacher')));
  // It was ended meanwhile.
  if (!found) return ok(null);
  const { mail, person } = found;
  const reader = { name: person.name, zone: mail.zone, site: mail.site };
  const write = async (letter: { subject: string; text: string }) =>
    send(context, { id, to: mail.address, endsAt: `${mail.site}/account`, ...letter });
  const note = (set: Partial<typeof morningMail.$inferInsert>) =>
    db.update(morningMail).set(set).where(eq(morningMail.personId, ownerId));
  try {
    if (input.what === 'confirmation') {
      if (mail.token === hashOf(input.token)) await write(confirmation(reader, input.token));
      return ok(null);
    }
    if (mail.confirmedAt === null) return ok(null);
    const as: As<Teacher> = { ...context, person: { ...person, role: 'teacher' } };
    const at = now();
    const today = await todayOf(as, mail.sentAt ?? undefined);
    if (!input.always && !hasNews(today)) return ok(null);
    await write(letterOf(today, reader));
    await note({ sentAt: at, failedAt: null });
    return ok(null);
  } catch (error) {
    await note({ failedAt: now() });
    throw error;
  }
}
