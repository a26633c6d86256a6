import { asc, desc, eq } from 'drizzle-orm';
import { v5 } from 'uuid';
import type { DeepLinked, Linkable } from '../../contract';
import { roundMark } from '../../core';
import type { As, Teacher } from '../context';
import { releaseOf } from '../courses/access';
import { course, ltiContext, platform, release } from '../database/tables';
import { fail, ok, type Result } from '../errors';
import { editionOf } from '../releases/editions';
import { publish } from '../releases/publish';
import { openWith } from '../vault/questions';
import { CLAIM, MESSAGE } from './claims';
import { signed } from './keys';
import { newSecret } from './login';
import { toolAddresses } from './platforms';
import { launchOf } from './waitingLaunch';

/** What can be chosen for a launch that asks. */
export interface Choosing {
  readonly course: { readonly id: string; readonly title: string };
  readonly platform: string;
  readonly releases: readonly Linkable[];
  /** The platform takes links to us; else nothing can be chosen. */
  readonly takesLinks: boolean;
  /** Where the browser posts what was chosen. */
  readonly returnUrl: string;
}

async function askedBy(as: As<Teacher>, launchId: string) {
  const launch = await launchOf(as, launchId);
  if (!launch?.deepLink) return null;
  const [found] = await as.db
    .select({ context: ltiContext, platform, course: { id: course.id, title: course.title } })
    .from(ltiContext)
    .innerJoin(platform, eq(platform.id, ltiContext.platformId))
    .innerJoin(course, eq(course.id, ltiContext.courseId))
    .where(eq(ltiContext.id, launch.contextId));
  return found ? { ...found, launch, asked: launch.deepLink } : null;
}

/** The page on which a teacher chooses what a platform links. */
export async function openDeepLink(as: As<Teacher>, launchId: string): Promise<Result<Choosing>> {
  const found = await askedBy(as, launchId);
  if (!found) return fail('notFound');
  const releases = await as.db
    .select({ id: release.id, title: release.title })
    .from(release)
    .where(eq(release.courseId, found.course.id))
    .orderBy(desc(release.createdAt), asc(release.id));
  return ok({
    ...{ course: found.course, platform: found.platform.name, releases },
    takesLinks: found.asked.takesLinks,
    returnUrl: found.asked.returnUrl,
  });
}

export interface Chosen {
  readonly questionId?: string | undefined;
  readonly setId?: string | undefined;
  readonly releaseId?: string | undefined;
}

/**
 * Chooses what a platform links (Deep Linking 2.0): a release of the course, or a question or set, which is published
 * there first; nothing: back without a link. Repeating it publishes once and answers with the same release.
 */
export async function answerDeepLink(
  as: As<Teacher>,
  launchId: string,
  chosen: Chosen,
  base: string,
): Promise<Result<DeepLinked>> {
  const found = await askedBy(as, launchId);
  if (!found) return fail('notFound');
  const { asked } = found;
  const isSomething = [chosen.questionId, chosen.setId, chosen.releaseId].some((id) => id !== undefined);
  if (isSomething && !asked.takesLinks)
    return fail('invalid', { problems: [{ path: 'releaseId', message: 'The platform takes no links to questions.' }] });
  const picked = isSomething ? await releaseFor(as, found, chosen) : ok(null);
  if (!picked.ok) return picked;
  const items = picked.value === null ? [] : [await linkTo(as, picked.value, asked.takesLines, base)];
  const jwt = await signed(as.config, as.now(), {
    ...{ iss: found.platform.clientId, aud: found.platform.issuer, nonce: newSecret() },
    [CLAIM.deployment]: asked.deploymentId,
    [CLAIM.messageType]: MESSAGE.deepLinked,
    [CLAIM.version]: '1.3.0',
    [CLAIM.contentItems]: items,
    ...(asked.data === null ? {} : { [CLAIM.data]: asked.data }),
  });
  return ok({ action: asked.returnUrl, jwt });
}

type Asked = NonNullable<Awaited<ReturnType<typeof askedBy>>>;
type Release = typeof release.$inferSelect;

/**
 * The release to link. The id of what is published follows from the launch, so that asking again publishes nothing
 * more.
 */
async function releaseFor(
  as: As<Teacher>,
  { course: into, launch }: Asked,
  { questionId, setId, releaseId }: Chosen,
): Promise<Result<Release>> {
  const id = releaseId ?? v5(setId ?? questionId ?? '', launch.id);
  if (releaseId === undefined && !(await releaseOf(as, id))) {
    const content = await contentOf(as, questionId, setId);
    if (!content.ok) return content;
    const settings = (await as.db.query.course.findFirst({ where: eq(course.id, into.id) }))?.releaseDefaults ?? {};
    const published = await publish(as, { id, courseId: into.id, settings, ...content.value });
    if (!published.ok) return published;
  }
  const found = await releaseOf(as, id);
  return found && found.course.id === into.id ? ok(found.row) : fail('notFound');
}

async function contentOf(as: As<Teacher>, questionId: string | undefined, setId: string | undefined) {
  if (setId !== undefined) return ok({ setId });
  const found = await openWith(as, questionId ?? '', 'use');
  return found.ok ? ok({ questionId: questionId ?? '', revision: found.value.revision }) : found;
}

/** A release as a content item of a link; practice has no line in the gradebook. */
async function linkTo({ db }: As<Teacher>, row: Release, takesLines: boolean, base: string) {
  const { outOf } = await editionOf(db, row.id, row.edition);
  const worth = roundMark(outOf);
  return {
    ...{ type: 'ltiResourceLink', title: row.title, url: toolAddresses(base).launchUrl },
    custom: { release: row.id },
    ...(takesLines && !row.practice && worth > 0
      ? { lineItem: { scoreMaximum: worth, label: row.title, resourceId: row.id } }
      : {}),
  };
}
