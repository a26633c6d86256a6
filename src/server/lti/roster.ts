import { and, eq, inArray, isNotNull } from 'drizzle-orm';
import { array, type InferType, object, string } from 'yup';
import type { PlannedLine, RosterPlan, RosterTaken } from '../../contract';
import type { As, Context, Teacher } from '../context';
import { courseOf } from '../courses/access';
import { endEnrolments, everybodyOn } from '../courses/roster';
import { user } from '../database/accountTables';
import { courseLearner, ltiContext, ltiPerson, platform } from '../database/tables';
import { fail, ok, type Result } from '../errors';
import { NotReached } from '../outside/ask';
import { jsonOf, nextPage, withQuery } from '../outside/replies';
import { nameIn, roleIn, SCOPE } from './claims';
import { personFor } from './people';
import type { Platform } from './platforms';
import { askService } from './services';

const MEMBERS = 'application/vnd.ims.lti-nrps.v2.membershipcontainer+json';
/** Members asked for at once, and the most pages that are read. */
const PAGE = 100;
const MAX_PAGES = 300;

const shown = () => string().max(4000).nullable();
const membersRead = object({
  members: array(
    object({
      user_id: string().min(1).max(255).required(),
      roles: array(string().required()).required(),
      status: string().nullable(),
      name: shown(),
      given_name: shown(),
      family_name: shown(),
    }).required(),
  ).required(),
});
type Member = InferType<typeof membersRead>['members'][number];

/** The members of a platform's course (Names and Role Provisioning Services 2.0), all pages of them. */
async function membersOf(context: Context, of: Platform, address: string): Promise<Member[]> {
  const members: Member[] = [];
  let next: string | null = withQuery(address, { limit: String(PAGE) });
  for (let page = 0; next !== null && page < MAX_PAGES; page++) {
    const reply = await askService(context, of, [SCOPE.roster], next, { headers: { accept: MEMBERS } });
    if (reply.status !== 200) throw new NotReached(`The platform answers with status ${reply.status}.`);
    const read = jsonOf(reply);
    if (!membersRead.isValidSync(read, { strict: true })) throw new NotReached('Its answer is not a list of members.');
    members.push(...read.members);
    next = nextPage(reply, next);
  }
  return members;
}

interface Found {
  readonly issuer: string;
  readonly sub: string;
  readonly name: string;
  /** Their account here. */
  readonly id: string | null;
}

interface Planned {
  readonly plan: RosterPlan;
  readonly people: readonly Found[];
}

/** Who learns in the course by its platforms, active there, each once. */
async function learnersAt(as: As<Teacher>, courseId: string): Promise<Result<Found[]>> {
  const contexts = await as.db
    .select({ address: ltiContext.membershipsUrl, platform })
    .from(ltiContext)
    .innerJoin(platform, eq(platform.id, ltiContext.platformId))
    .where(and(eq(ltiContext.courseId, courseId), isNotNull(ltiContext.membershipsUrl)));
  if (contexts.length === 0) return fail('notFound');
  const found = new Map<string, Found>();
  for (const { address, platform: of } of contexts) {
    const members = await membersOf(as, of, address ?? '');
    const active = members.filter(
      ({ status, roles }) => (status ?? 'Active') === 'Active' && roleIn(roles) === 'learner',
    );
    const known = await accountsOf(as, of.issuer, active);
    for (const { user_id: sub, ...named } of active)
      found.set(JSON.stringify([of.issuer, sub]), {
        ...{ issuer: of.issuer, sub, id: known.get(sub)?.id ?? null },
        name:
          nameIn({
            name: named.name ?? undefined,
            given_name: named.given_name ?? undefined,
            family_name: named.family_name ?? undefined,
          }) ||
          (known.get(sub)?.name ?? ''),
      });
  }
  return ok([...found.values()].toSorted((a, b) => a.name.localeCompare(b.name)));
}

async function accountsOf({ db }: As, issuer: string, members: readonly Member[]) {
  const known = new Map<string, { id: string; name: string }>();
  for (let i = 0; i < members.length; i += 500)
    for (const row of await db
      .select({ sub: ltiPerson.sub, id: user.id, name: user.name })
      .from(ltiPerson)
      .innerJoin(user, eq(user.id, ltiPerson.personId))
      .where(
        and(
          eq(ltiPerson.issuer, issuer),
          eq(ltiPerson.role, 'learner'),
          inArray(
            ltiPerson.sub,
            members.slice(i, i + 500).map((member) => member.user_id),
          ),
        ),
      ))
      known.set(row.sub, row);
  return known;
}

async function planned(as: As<Teacher>, courseId: string): Promise<Result<Planned>> {
  if (!(await courseOf(as, courseId))) return fail('notFound');
  try {
    const found = await learnersAt(as, courseId);
    if (!found.ok) return found;
    const there = await everybodyOn(as, courseId);
    const enrolled = new Set(there.map(({ id }) => id));
    const listed = new Set(found.value.map(({ id }) => id));
    const lines = found.value.map(
      ({ name, id }, i): PlannedLine => ({
        ...{ line: i + 1, name, username: '', groups: [], knownAs: null },
        will: id === null ? 'make' : enrolled.has(id) ? 'stay' : 'join',
      }),
    );
    const others = there.filter(({ id }) => !listed.has(id));
    return ok({ plan: { lines, problems: [], newGroups: [], others }, people: found.value });
  } catch (error) {
    if (error instanceof NotReached)
      return fail('notReached', { problems: [{ path: 'platform', message: error.message }] });
    throw error;
  }
}

/** A preview of taking the roster of the course's platform. */
export async function planPlatformRoster(as: As<Teacher>, courseId: string): Promise<Result<RosterPlan>> {
  const found = await planned(as, courseId);
  return found.ok ? ok(found.value.plan) : found;
}

/**
 * Takes the roster of the course's platform: makes accounts without passwords, which belong to whoever is launched as
 * the same person, and enrols. `removeOthers`: ends the enrolment of everybody else.
 */
export async function takePlatformRoster(
  as: As<Teacher>,
  courseId: string,
  removeOthers: boolean,
): Promise<Result<RosterTaken>> {
  const found = await planned(as, courseId);
  if (!found.ok) return found;
  const { plan, people } = found.value;
  return as.db.transaction(async (tx) => {
    const within = { db: tx, now: as.now };
    for (const { issuer, sub, name } of people) {
      const { id } = await personFor(within, { issuer, sub, name, role: 'learner' });
      await tx.insert(courseLearner).values({ courseId, learnerId: id, addedAt: as.now() }).onConflictDoNothing();
    }
    const leaving = removeOthers ? plan.others.map(({ id }) => id) : [];
    const removed = leaving.length > 0 ? await endEnrolments(tx, courseId, leaving) : 0;
    const made = plan.lines.flatMap(({ will, name }) =>
      will === 'make' ? [{ name, username: '', password: '' }] : [],
    );
    return ok({ made, joined: plan.lines.filter(({ will }) => will === 'join').length, invited: 0, removed });
  });
}
