import type { ReleaseSettings } from '../src/contract';
import { random, seedOf } from '../src/core';
import type { As, Learner, Teacher } from '../src/server/context';
import { changeCourse, makeCourse, setTeacher } from '../src/server/courses/courses';
import { saveCategories, saveUnits, setMember } from '../src/server/courses/parts';
import { importRoster, makeLearner } from '../src/server/courses/roster';
import { publish } from '../src/server/releases/publish';
import { setAllowance } from '../src/server/releases/settings';
import { workOutResults } from '../src/server/results/analysis';
import { applyEdition, makeEdition, openCorrections } from '../src/server/results/corrections';
import { setMark } from '../src/server/results/handMarks';
import { makeSet, saveSet } from '../src/server/vault/sets';
import { must } from './must';
import { ROSTER } from './people';
import { type Simulated, simulated, sitThrough } from './simulate';

/** The demo's courses and releases: fixed, so that tests and links find them. */
const ID = '0d1c2f30-5a10-4c1e-9b52-6f6e1a2b';
export const COURSE = `${ID}0101`;
const SECOND_COURSE = `${ID}0102`;
export const RELEASE = `${ID}0201`;
export const SET = `${ID}0301`;
export const KINDS_SET = `${ID}0302`;
/** A set with a section of which some are drawn. */
export const WEEK_SET = `${ID}0303`;
export const UNITS = [
  { id: `${ID}0501`, title: 'Receiving and drying' },
  { id: `${ID}0502`, title: 'Testing' },
  { id: `${ID}0503`, title: 'Cold storage' },
];
export const CATEGORIES = [
  { id: `${ID}0601`, title: 'Exercises', weight: 1 },
  { id: `${ID}0602`, title: 'Tests', weight: 3 },
];
const SECOND_UNITS = [
  { id: `${ID}0511`, title: 'Sampling' },
  { id: `${ID}0512`, title: 'Counting seedlings' },
];
const SECOND_CATEGORIES = [
  { id: `${ID}0611`, title: 'Homework', weight: 2 },
  { id: `${ID}0612`, title: 'Tests', weight: 3 },
];

const HOUR = 3_600_000;
const DAY = 24 * HOUR;

interface Plan {
  readonly id: string;
  readonly course: string;
  readonly content: { readonly set: string } | { readonly question: string };
  /** Days before now. */
  readonly published: number;
  /** When people sit it: days after it was published. */
  readonly within: number;
  readonly settings: Partial<ReleaseSettings>;
  /** How many of the roster do. */
  readonly sat: number;
  /** How many of those once more. */
  readonly again?: number;
}

/** `now`: when the demo is made; everything lies before it. */
const plans = (now: number, question: (end: string) => string): readonly Plan[] => {
  const ago = (days: number) => new Date(now - days * DAY);
  const [receiving, testing, cold] = UNITS.map(({ id }) => id);
  const [exercises, tests] = CATEGORIES.map(({ id }) => id);
  const [sampling, counting] = SECOND_UNITS.map(({ id }) => id);
  const [homework, secondTests] = SECOND_CATEGORIES.map(({ id }) => id);
  return [
    {
      id: RELEASE,
      course: COURSE,
      content: { question: question('0001') },
      published: 27,
      within: 6,
      sat: 40,
      settings: { unitId: receiving ?? null, categoryId: exercises ?? null },
    },
    {
      id: `${ID}0202`,
      course: COURSE,
      content: { set: SET },
      published: 24,
      within: 7,
      sat: 38,
      settings: { unitId: receiving ?? null, categoryId: exercises ?? null, dueAt: ago(-1.2) },
    },
    {
      id: `${ID}0203`,
      course: COURSE,
      content: { set: KINDS_SET },
      published: 20,
      within: 8,
      sat: 39,
      settings: { unitId: testing ?? null, dueAt: ago(-5) },
    },
    {
      id: `${ID}0204`,
      course: COURSE,
      content: { set: WEEK_SET },
      published: 16,
      within: 9,
      sat: 40,
      again: 14,
      settings: { unitId: cold ?? null, categoryId: exercises ?? null, sittings: 2, counts: 'best', dueAt: ago(9) },
    },
    {
      id: `${ID}0205`,
      course: COURSE,
      content: { set: `${ID}0304` },
      published: 8,
      within: 2,
      sat: 37,
      settings: {
        unitId: cold ?? null,
        categoryId: tests ?? null,
        minutes: 40,
        feedbackTime: 'closed',
        dueAt: ago(6),
        closesAt: ago(5),
        title: 'Test: receiving and storing',
      },
    },
    {
      id: `${ID}0206`,
      course: SECOND_COURSE,
      content: { set: `${ID}0305` },
      published: 18,
      within: 6,
      sat: 39,
      settings: { unitId: sampling ?? null, categoryId: homework ?? null, dueAt: ago(13) },
    },
    {
      id: `${ID}0207`,
      course: SECOND_COURSE,
      content: { question: question('0010') },
      published: 12,
      within: 8,
      sat: 40,
      again: 25,
      settings: {
        unitId: sampling ?? null,
        practice: true,
        sittings: null,
        counts: 'last',
        title: 'Practice: the way of a seed',
      },
    },
    {
      id: `${ID}0208`,
      course: SECOND_COURSE,
      content: { set: `${ID}0306` },
      published: 6,
      within: 4,
      sat: 38,
      settings: {
        unitId: counting ?? null,
        categoryId: secondTests ?? null,
        minutes: 60,
        feedbackLevel: 'verdicts',
        dueAt: ago(1),
      },
    },
  ];
};

/** Sets that are only released: title and questions, by the ends of their ids. */
const TEST_SETS: readonly (readonly [id: string, title: string, ends: readonly string[]])[] = [
  [`${ID}0304`, 'Receiving and storing', ['0002', '0003', '0006', '0011', '0022', '0013']],
  [`${ID}0305`, 'What a test of life shows', ['0016', '0019', '0004', '0023']],
  [`${ID}0306`, 'Counting and recording', ['0017', '0018', '0008', '0025', '0026']],
];

/** The second course, the rest of the roster, eight releases, and what some forty people did with each. */
export async function makeReleases(
  odile: As<Teacher>,
  named: readonly As<Learner>[],
  {
    question,
    password,
    colleague,
    groups,
  }: {
    question: (end: string) => string;
    password: string;
    colleague: string;
    /** The groups of the first course, among which the roster is dealt out. */
    groups: readonly string[];
  },
): Promise<void> {
  const now = odile.now().getTime();
  const teacherAt = (time: number): As<Teacher> => ({ ...odile, now: () => new Date(time) });
  must(await makeCourse(odile, SECOND_COURSE, 'Viability testing, autumn'));
  must(await changeCourse(odile, SECOND_COURSE, { zone: 'Europe/London', lang: 'en' }));
  must(await setTeacher(odile, SECOND_COURSE, colleague, true));
  must(await saveUnits(odile, SECOND_COURSE, SECOND_UNITS));
  must(await saveCategories(odile, SECOND_COURSE, SECOND_CATEGORIES));
  const roster = await Promise.all(
    ROSTER.map(async ([username, name]): Promise<Simulated> => {
      const { id } = must(await makeLearner(teacherAt(now - 30 * DAY), COURSE, { name, username, password }));
      return simulated({ ...odile, person: { id, name, username, role: 'learner' } });
    }),
  );
  for (const [i, { as }] of roster.entries())
    must(await setMember(odile, COURSE, groups[i % groups.length] ?? '', as.person.id, true));
  must(
    await importRoster(
      teacherAt(now - 30 * DAY),
      SECOND_COURSE,
      ROSTER.map(([username]) => `,${username}`).join('\n'),
      false,
    ),
  );
  for (const [set, title, ends] of TEST_SETS) {
    must(await makeSet(odile, set, title));
    must(
      await saveSet(odile, set, {
        title,
        goBack: true,
        sections: [{ title: '', draw: null, questions: ends.map((end) => ({ id: question(end), points: null })) }],
        sources: [],
      }),
    );
  }
  for (const plan of plans(now, question)) {
    const from = now - plan.published * DAY;
    const as = teacherAt(from);
    const content =
      'set' in plan.content ? { setId: plan.content.set } : { questionId: plan.content.question, revision: 1 };
    must(await publish(as, { id: plan.id, courseId: plan.course, settings: plan.settings, ...content }));
    // Some of the named accounts have sat the first; the three of the sign-in page have everything before them.
    const sitters = [...roster.slice(0, plan.sat), ...(plan.id === RELEASE ? named.slice(3, 10).map(simulated) : [])];
    await Promise.all(
      sitters.map(async (who, i) => {
        const next = random(seedOf(`${plan.id} ${who.as.person.username}`));
        // Most sit early, a few at the last moment, and some of those after it was due.
        const began = from + HOUR + next() ** 1.6 * (plan.within * DAY - 2 * HOUR);
        await sitThrough(who, plan.id, {
          began: new Date(began),
          leaves: plan.settings.closesAt === undefined && next() < 0.06,
        });
        if (i < (plan.again ?? 0))
          await sitThrough(who, plan.id, { began: new Date(began + (0.2 + next()) * DAY), number: 2 });
      }),
    );
  }
  await afterwards(teacherAt, now, roster);
  // What a running application would have done by now as jobs.
  for (const { id } of plans(now, question)) await workOutResults(teacherAt(now), id);
}

/** Was the demo filled in to its end? The mark by hand comes last. */
export const isWhole = async ({ db }: Pick<As, 'db'>): Promise<boolean> =>
  (await db.query.markOverride.findFirst({ where: (t, { eq }) => eq(t.releaseId, `${ID}0205`) })) !== undefined;

/** What a teacher does about a release once it was sat. */
async function afterwards(
  teacherAt: (time: number) => As<Teacher>,
  now: number,
  roster: readonly Simulated[],
): Promise<void> {
  // A key that was too narrow, found after the fact.
  const as = teacherAt(now - 10 * DAY);
  const release = `${ID}0206`;
  const { questions } = must(await openCorrections(as, release));
  const bean = questions.findIndex(({ title }) => title === 'Parts of a germinating bean');
  const labelled = (list: readonly { id: string; label: string }[] | undefined, label: string) =>
    list?.find((candidate) => candidate.label === label)?.id ?? '';
  const item = labelled(questions[bean]?.document.items, 'Side root');
  const zone = labelled(questions[bean]?.document.zones, '5');
  const reason = 'The drawing does not tell the side root from the main root';
  must(
    await makeEdition(as, release, 2, {
      reason,
      changes: [{ question: bean, strike: false, fromVault: false, accept: [{ item, zone }] }],
    }),
  );
  must(await applyEdition(as, release, 2, true));
  const [first, second, last] = [roster[4], roster[11], roster.at(-1)].map(
    (simulated) => simulated?.as.person.id ?? '',
  ) as [string, string, string];
  must(
    await setAllowance(teacherAt(now - 6 * DAY), `${ID}0208`, first, {
      moreMinutes: 20,
      moreSittings: 0,
      dueAt: new Date(now + 2 * DAY),
      closesAt: null,
    }),
  );
  must(
    await setAllowance(teacherAt(now - 6 * DAY), `${ID}0208`, second, {
      moreMinutes: 20,
      moreSittings: 1,
      dueAt: null,
      closesAt: null,
    }),
  );
  must(
    await setMark(teacherAt(now - 4 * DAY), `${ID}0205`, last, {
      points: 9,
      reason: 'Sat it on paper: the line was down',
    }),
  );
}
