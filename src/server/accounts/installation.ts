import { eq } from 'drizzle-orm';
import type { InstallationSettings, InstallationView } from '../../contract';
import type { As, Context, Teacher } from '../context';
import { installation, user } from '../database/accountTables';
import { fail, ok, type Result } from '../errors';
import { noteSecurity } from './securityLog';

export async function installationSettings({ db }: Pick<Context, 'db'>): Promise<InstallationSettings> {
  const row = await db.query.installation.findFirst({ where: eq(installation.name, 'directEnrolment') });
  return { directEnrolment: row?.value === true };
}

export const isAdmin = async ({ db, person }: Pick<As<Teacher>, 'db' | 'person'>): Promise<boolean> =>
  (await db.query.user.findFirst({ columns: { isAdmin: true }, where: eq(user.id, person.id) }))?.isAdmin === true;

export const openInstallation = async (as: As<Teacher>): Promise<Result<InstallationView>> =>
  ok({ ...(await installationSettings(as)), mayChange: await isAdmin(as) });

export async function changeInstallation(
  as: As<Teacher>,
  { directEnrolment }: InstallationSettings,
): Promise<Result<InstallationView>> {
  if (!(await isAdmin(as))) return fail('notAllowed');
  await as.db
    .insert(installation)
    .values({ name: 'directEnrolment', value: directEnrolment })
    .onConflictDoUpdate({ target: installation.name, set: { value: directEnrolment } });
  await noteSecurity(as, {
    what: 'installationChanged',
    by: as.person.id,
    address: as.address,
    detail: `direct enrolment ${directEnrolment ? 'on' : 'off'}`,
  });
  return openInstallation(as);
}
