import { randomUUID } from 'node:crypto';
import { and, eq } from 'drizzle-orm';
import { noteSecurity } from '../accounts/securityLog';
import type { Context, Role } from '../context';
import type { Queries } from '../database/open';
import {
  course,
  courseLearner,
  courseTeacher,
  type DeepLinkRequest,
  ltiContext,
  ltiLaunch,
  ltiLine,
  ltiLinePerson,
  release,
} from '../database/tables';
import { CLAIM, type Claims, MESSAGE, nameIn, roleIn, SCOPE } from './claims';
import { digestOf, newSecret } from './login';
import { personFor } from './people';
import type { Platform } from './platforms';
import type { Verified } from './verify';

/** A launch that is let in. */
export interface Landing {
  readonly personId: string;
  /** The page to open. */
  readonly path: string;
  /** Set where the person is signed in only after a press, in a window of its own. */
  readonly press: { readonly launch: string; readonly ticket: string; readonly name: string } | null;
}

/** Why a launch opens nothing, as a sentence for whoever launched, and the status of the answer. */
export interface Refusal {
  readonly status: 400 | 403 | 404;
  /** What whoever launched is told: see the page. */
  readonly says: 'failed' | 'noRole' | 'notHere' | 'notOpened';
  readonly why: string;
}

/** A launch that is not as it has to be. */
export const failedLaunch = (why: string): Refusal => ({ status: 400, says: 'failed', why });

export const isRefusal = (outcome: Landing | Refusal): outcome is Refusal => 'why' in outcome;

type ContextRow = typeof ltiContext.$inferSelect;

/** How long what a launch leaves to be done may be done, in milliseconds. */
const LAUNCH_MS = 3600 * 1000;

/** `framed`: it is shown in a frame of the platform's, where a session's cookie is not kept. */
export async function land(
  context: Context,
  verified: Verified,
  { framed }: { readonly framed: boolean },
): Promise<Landing | Refusal> {
  const { claims, platform } = verified;
  const type = claims[CLAIM.messageType];
  if (type !== MESSAGE.link && type !== MESSAGE.deepLink)
    return failedLaunch(`A message “${type.slice(0, 60)}” is not understood here.`);
  const role = roleIn(claims[CLAIM.roles]);
  if (!role) return { status: 403, says: 'noRole', why: 'Neither a teacher nor a learner of the course.' };
  if (type === MESSAGE.link && !claims[CLAIM.link]) return failedLaunch('It does not say which link it is.');
  const asks = type === MESSAGE.deepLink ? deepLinkOf(claims) : null;
  if (type === MESSAGE.deepLink && (!asks || role !== 'teacher'))
    return asks
      ? { status: 403, says: 'noRole', why: 'Only a teacher can choose what is linked.' }
      : failedLaunch('It does not say where to go back to with what is chosen.');
  const landed = await context.db.transaction((tx) => enterCourse({ ...context, db: tx }, claims, platform, role));
  if ('why' in landed) return landed;
  const { personId, within, releaseId, isNew } = landed;
  const path = asks ? '/lti/deep-link' : pageOf(role, within, releaseId);
  const maybe = role === 'teacher' && isNew && verified.signedInAs !== personId ? verified.signedInAs : null;
  const mustPress = framed || !verified.sameBrowser;
  if (!asks && !maybe && !mustPress) return { personId, path, press: null };
  const id = randomUUID();
  const own = asks ? `${path}?launch=${id}` : path;
  const ticket = mustPress ? newSecret() : null;
  await context.db.insert(ltiLaunch).values({
    ...{ id, personId, maybe, contextId: within.id, path: own, deepLink: asks },
    ticket: ticket && digestOf(ticket),
    expiresAt: new Date(context.now().getTime() + LAUNCH_MS),
  });
  return {
    personId,
    path: maybe ? `/lti/same-person?launch=${id}` : own,
    press: ticket === null ? null : { launch: id, ticket, name: nameIn(claims) },
  };
}

const pageOf = (role: Role, within: ContextRow, releaseId: string | null): string =>
  role === 'learner'
    ? releaseId === null
      ? '/'
      : `/sit/${releaseId}`
    : releaseId === null
      ? `/courses/${within.courseId}`
      : `/releases/${releaseId}/results`;

function deepLinkOf(claims: Claims): DeepLinkRequest | null {
  const asked = claims[CLAIM.deepLinking];
  if (!asked || !URL.canParse(asked.deep_link_return_url)) return null;
  if (!/^https?:$/.test(new URL(asked.deep_link_return_url).protocol)) return null;
  return {
    returnUrl: asked.deep_link_return_url,
    data: asked.data ?? null,
    takesLinks: asked.accept_types.includes('ltiResourceLink'),
    takesLines: asked.accept_lineitem !== false,
    deploymentId: claims[CLAIM.deployment],
  };
}

interface Entered {
  readonly personId: string;
  readonly isNew: boolean;
  readonly within: ContextRow;
  readonly releaseId: string | null;
}

type Within = { readonly db: Queries; readonly now: Context['now'] };

/** Finds or makes the course and the person, and puts them on it. */
async function enterCourse(
  { db, now }: Within,
  claims: Claims,
  platform: Platform,
  role: Role,
): Promise<Entered | Refusal> {
  const known = await contextOf(db, claims, platform);
  if (!known && role === 'learner')
    return { status: 404, says: 'notOpened', why: 'No teacher has opened the course yet.' };
  const asked = claims[CLAIM.custom]?.release;
  const releaseId = asked === undefined || asked === '' ? null : asked;
  if (releaseId !== null && !(typeof releaseId === 'string' && known && (await isIn(db, releaseId, known.courseId))))
    return { status: 404, says: 'notHere', why: 'The release is not in the course.' };
  const person = await personFor({ db, now }, { issuer: platform.issuer, sub: claims.sub, role, name: nameIn(claims) });
  const within = known ?? (await makeContext({ db, now }, claims, platform, person.id));
  const roster = claims[CLAIM.roster]?.context_memberships_url;
  if (roster !== undefined && roster !== within.membershipsUrl)
    await db.update(ltiContext).set({ membershipsUrl: roster }).where(eq(ltiContext.id, within.id));
  if (role === 'learner') {
    await db
      .insert(courseLearner)
      .values({ courseId: within.courseId, learnerId: person.id, addedAt: now() })
      .onConflictDoNothing();
    if (releaseId !== null) await keepLine(db, { claims, within, releaseId, learnerId: person.id });
  } else await letTeach({ db, now }, within.courseId, person.id);
  return { personId: person.id, isNew: person.isNew, within, releaseId };
}

const contextOf = (db: Queries, claims: Claims, { id }: Platform) =>
  db.query.ltiContext.findFirst({
    where: and(
      eq(ltiContext.platformId, id),
      eq(ltiContext.deploymentId, claims[CLAIM.deployment]),
      eq(ltiContext.contextId, claims[CLAIM.context].id),
    ),
  });

const isIn = async (db: Queries, releaseId: string, courseId: string): Promise<boolean> =>
  (await db.query.release.findFirst({
    columns: { id: true },
    where: and(eq(release.id, releaseId), eq(release.courseId, courseId)),
  })) !== undefined;

/** A course of the platform's that is opened for the first time: it is the teacher's who opens it. */
async function makeContext(
  { db, now }: Within,
  claims: Claims,
  { id: platformId }: Platform,
  ownerId: string,
): Promise<ContextRow> {
  const { id: contextId, title, label } = claims[CLAIM.context];
  const courseId = randomUUID();
  const words = [title, label].map((text) => (text ?? '').replace(/\p{Cc}/gu, ' ').trim());
  await db.insert(course).values({
    ...{ id: courseId, ownerId, createdAt: now() },
    title: (words.find((text) => text !== '') ?? 'A course').slice(0, 200),
  });
  const row = {
    ...{ id: randomUUID(), platformId, contextId, courseId, membershipsUrl: null },
    deploymentId: claims[CLAIM.deployment],
  };
  await db.insert(ltiContext).values(row);
  return row;
}

/** The platform says who teaches: whoever it lets in as a teacher teaches here. */
async function letTeach({ db, now }: Within, courseId: string, personId: string): Promise<void> {
  const own = await db.query.course.findFirst({
    columns: { id: true },
    where: and(eq(course.id, courseId), eq(course.ownerId, personId)),
  });
  if (!own) await db.insert(courseTeacher).values({ courseId, personId, addedAt: now() }).onConflictDoNothing();
}

/** Keeps where the learner's marks of a release go: by triggers, what counts already waits to be sent from then on. */
async function keepLine(
  db: Queries,
  {
    claims,
    within,
    releaseId,
    learnerId,
  }: { readonly claims: Claims; readonly within: ContextRow; readonly releaseId: string; readonly learnerId: string },
): Promise<void> {
  const service = claims[CLAIM.scores];
  const takesScores = service?.scope.includes(SCOPE.score) ?? false;
  const linesUrl = service?.scope.includes(SCOPE.lines) ? (service.lineitems ?? null) : null;
  const url = service?.lineitem ?? null;
  const [line] = await db
    .insert(ltiLine)
    .values({
      ...{ id: randomUUID(), contextId: within.id, releaseId, linkId: claims[CLAIM.link]?.id ?? '' },
      ...{ url, linesUrl, takesScores: takesScores && (url !== null || linesUrl !== null) },
    })
    .onConflictDoUpdate({
      target: [ltiLine.contextId, ltiLine.releaseId, ltiLine.linkId],
      set: {
        // A line that was found or made earlier stays.
        ...(url === null ? {} : { url }),
        ...{ linesUrl, takesScores: takesScores && (url !== null || linesUrl !== null) },
      },
    })
    .returning({ id: ltiLine.id });
  if (!line) return;
  await db.insert(ltiLinePerson).values({ lineId: line.id, learnerId, sub: claims.sub }).onConflictDoNothing();
}

/** Notes a launch that was refused. `issuer`: whose it was, as far as that is known. */
export const noteRefused = (context: Context, why: string, issuer: string | null): Promise<void> =>
  noteSecurity(context, {
    what: 'launchRefused',
    address: context.address,
    detail: issuer === null ? why : `${why} (${issuer})`,
  });
