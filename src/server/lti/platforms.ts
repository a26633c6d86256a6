import { randomUUID } from 'node:crypto';
import { and, asc, eq } from 'drizzle-orm';
import type { InferType } from 'yup';
import type { newPlatform, PlatformsPage, PlatformView, ToolAddresses } from '../../contract';
import type { Problem } from '../../core';
import { isAdmin } from '../accounts/installation';
import { noteSecurity } from '../accounts/securityLog';
import type { As, Context, Teacher } from '../context';
import { platform, platformDeployment } from '../database/tables';
import { fail, ok, type Result } from '../errors';
import { isOutsideAddress } from '../outside/addresses';

export type Platform = typeof platform.$inferSelect;
export type NewPlatform = InferType<typeof newPlatform>;

/** What a platform has to be told of us. `base`: our own address, without a path. */
export const toolAddresses = (base: string): ToolAddresses => ({
  loginUrl: `${base}/lti/login`,
  launchUrl: `${base}/lti/launch`,
  jwksUrl: `${base}/lti/jwks`,
});

export async function listPlatforms({ db }: Pick<Context, 'db'>): Promise<PlatformView[]> {
  const [rows, deployments] = await Promise.all([
    db.select().from(platform).orderBy(asc(platform.name), asc(platform.id)),
    db.select().from(platformDeployment).orderBy(asc(platformDeployment.deploymentId)),
  ]);
  return rows.map(({ createdAt: _, ...row }) => ({
    ...row,
    deployments: deployments.flatMap(({ platformId, deploymentId }) => (platformId === row.id ? [deploymentId] : [])),
  }));
}

/** Adds a platform; one with the same issuer and client id gets these addresses, and these deployments too. */
export async function addPlatform(
  { db, now }: Pick<Context, 'db' | 'now'>,
  { deployments, ...given }: NewPlatform,
): Promise<Result<{ id: string }>> {
  const problems = (['authUrl', 'tokenUrl', 'jwksUrl'] as const).flatMap((path): Problem[] =>
    isOutsideAddress(given[path]) ? [] : [{ path, message: 'It has to be https, or http to this machine.' }],
  );
  if (problems.length > 0) return fail('invalid', { problems });
  return db.transaction(async (tx) => {
    const { issuer: _, clientId: __, ...set } = given;
    const [row] = await tx
      .insert(platform)
      .values({ id: randomUUID(), ...given, createdAt: now() })
      .onConflictDoUpdate({ target: [platform.issuer, platform.clientId], set })
      .returning({ id: platform.id });
    if (!row) return fail('unexpected');
    await tx
      .insert(platformDeployment)
      .values(deployments.map((deploymentId) => ({ platformId: row.id, deploymentId })))
      .onConflictDoNothing();
    return ok(row);
  });
}

/** Removes a platform with its contexts and lines. Its people and their courses stay. */
export async function removePlatform({ db }: Pick<Context, 'db'>, id: string): Promise<Result<null>> {
  const gone = await db.delete(platform).where(eq(platform.id, id)).returning({ id: platform.id });
  return gone.length > 0 ? ok(null) : fail('notFound');
}

/**
 * The platform that begins a login. Where an issuer has several registrations and names none, its deployment decides;
 * null: there is none, or it is not clear which.
 */
export async function platformFor(
  { db }: Pick<Context, 'db'>,
  issuer: string,
  clientId: string | null,
  deploymentId: string | null,
): Promise<Platform | null> {
  const known = await db
    .select()
    .from(platform)
    .where(and(eq(platform.issuer, issuer), clientId === null ? undefined : eq(platform.clientId, clientId)));
  if (known.length <= 1 || deploymentId === null) return known.length === 1 ? (known[0] ?? null) : null;
  const deployed = await db
    .select({ platformId: platformDeployment.platformId })
    .from(platformDeployment)
    .where(eq(platformDeployment.deploymentId, deploymentId));
  const meant = known.filter(({ id }) => deployed.some(({ platformId }) => platformId === id));
  return meant.length === 1 ? (meant[0] ?? null) : null;
}

export const hasDeployment = async (
  { db }: Pick<Context, 'db'>,
  platformId: string,
  deploymentId: string,
): Promise<boolean> =>
  (await db.query.platformDeployment.findFirst({
    where: and(eq(platformDeployment.platformId, platformId), eq(platformDeployment.deploymentId, deploymentId)),
  })) !== undefined;

const pageOf = async (as: As<Teacher>, base: string): Promise<Result<PlatformsPage>> =>
  ok({ platforms: await listPlatforms(as), tool: toolAddresses(base) });

export const openPlatforms = async (as: As<Teacher>, base: string): Promise<Result<PlatformsPage>> =>
  (await isAdmin(as)) ? pageOf(as, base) : fail('notAllowed');

/** An administrator adds a platform. */
export async function addPlatformAs(as: As<Teacher>, given: NewPlatform, base: string): Promise<Result<PlatformsPage>> {
  if (!(await isAdmin(as))) return fail('notAllowed');
  const added = await addPlatform(as, given);
  if (!added.ok) return added;
  await noteSecurity(as, { what: 'platformAdded', by: as.person.id, address: as.address, detail: given.issuer });
  return pageOf(as, base);
}

export async function removePlatformAs(as: As<Teacher>, id: string, base: string): Promise<Result<PlatformsPage>> {
  if (!(await isAdmin(as))) return fail('notAllowed');
  const removed = await removePlatform(as, id);
  if (!removed.ok) return removed;
  await noteSecurity(as, { what: 'platformRemoved', by: as.person.id, address: as.address, detail: id });
  return pageOf(as, base);
}

/** Knows the stand-in of the demo by the addresses it has now. */
export async function knowStandIn(context: Pick<Context, 'db' | 'now'>, standIn: NewPlatform): Promise<void> {
  const known = await platformFor(context, standIn.issuer, standIn.clientId, null);
  const isAsKnown = (['authUrl', 'tokenUrl', 'jwksUrl'] as const).every((field) => known?.[field] === standIn[field]);
  if (!isAsKnown) await addPlatform(context, standIn);
}
