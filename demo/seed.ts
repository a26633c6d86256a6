// Fills an empty database with the demo: people, a course, questions, a release and some sittings of it, made through
// the same functions as people's own.
import { randomUUID } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import { basename, extname, join } from 'node:path';
import { eq } from 'drizzle-orm';
import type { Question } from '../src/core';
import { parseQuestionText } from '../src/core/document';
import { DEMO_COLLEAGUE, DEMO_LEARNERS, DEMO_PASSWORD, DEMO_TEACHER, demoAccounts } from '../src/server/accounts/demo';
import { makePerson } from '../src/server/accounts/people';
import { makeApp } from '../src/server/app';
import { readConfig } from '../src/server/config';
import type { As, Learner, Teacher } from '../src/server/context';
import { changeCourse, makeCourse } from '../src/server/courses/courses';
import { saveCategories, saveGroup, saveUnits, setMember } from '../src/server/courses/parts';
import { makeLearner } from '../src/server/courses/roster';
import { user } from '../src/server/database/accountTables';
import { storeMedium } from '../src/server/media/media';
import { listOutcomes, outcomesOnMany } from '../src/server/outcomes/outcomes';
import { takeOutcomes } from '../src/server/outcomes/take';
import { makeList } from '../src/server/vault/lists';
import { changeMany, saveNew } from '../src/server/vault/questions';
import { makeSet, saveSet } from '../src/server/vault/sets';
import { makeShelf, shareShelf } from '../src/server/vault/shelves';
import { kindQuestions } from './kinds';
import { demoQuestions, type Kept } from './made';
import { must } from './must';
import { CATEGORIES, COURSE, isWhole, KINDS_SET, makeReleases, SET, UNITS, WEEK_SET } from './releases';

/** The questions of the demo's sets, by the ends of their ids. */
const IN_SET = ['0002', '0004', '0008', '0009', '0010', '0011'];
const IN_KINDS_SET = ['0016', '0017', '0018', '0019', '0020', '0022', '0023', '0024', '0025'];

const OUTCOMES = '0d1c2f30-5a10-4c1e-9b52-6f6e1a2b0801';

const GROUPS = [
  { id: '0d1c2f30-5a10-4c1e-9b52-6f6e1a2b0701', title: 'Morning shift' },
  { id: '0d1c2f30-5a10-4c1e-9b52-6f6e1a2b0702', title: 'Evening shift' },
];

const inOrder = (ids: readonly string[]) => ids.map((id) => ({ id, points: null }));

/** The demo's stock lists. */
const STOCK: Readonly<Record<string, readonly string[]>> = {
  'Seeds by how they are kept': ['Barley', 'Poppy', 'Oat', 'Onion', 'Foxglove', 'Harebell']
    .map((seed) => `${seed}\tStands drying`)
    .concat(['Acorn', 'Chestnut', 'Hazelnut', 'Willow', 'Sycamore'].map((seed) => `${seed}\tMust stay moist`)),
  'Rooms and what is done in them': [
    'Drying room\tDrying',
    'Cold room\tStoring',
    'Germination room\tTesting',
    'Loading bay\tReceiving',
  ],
  'Steps of banking': ['Weighing', 'Drying', 'Cleaning', 'Testing', 'Sealing', 'Freezing'],
};

/** What stands beside the first questions of the second set. */
const SOURCES = [
  {
    id: '0d1c2f30-5a10-4c1e-9b52-6f6e1a2b0401',
    title: 'From the handbook',
    text: 'A lot that comes in is weighed first, and given a number that stays with it.\nBelow fifteen percent humidity a seed loses water until it rests. A month is enough for most.\nNothing is sealed before a sample has been tested for life: fifty seeds, four weeks.',
    medium: null,
    captions: '',
    questions: ['0016', '0017', '0019'],
  },
  {
    id: '0d1c2f30-5a10-4c1e-9b52-6f6e1a2b0402',
    title: 'Drying, on film',
    text: '',
    medium: null,
    address: 'https://films.tarnhollow.example/drying-on-a-rack',
    captions: '',
    questions: ['0018', '0022'],
  },
];

const folder = join(import.meta.dirname, 'questions');

function readQuestions(): Question[] {
  return readdirSync(folder)
    .sort()
    .map((file) => {
      const parsed = parseQuestionText(readFileSync(join(folder, file), 'utf8'));
      if (!parsed.ok) throw new Error(`${file}: ${JSON.stringify(parsed.problems)}`);
      return parsed.question;
    });
}

const mediaFolder = join(import.meta.dirname, 'media');
const TYPES: Readonly<Record<string, string>> = { '.svg': 'image/svg+xml', '.wav': 'audio/wav', '.webm': 'video/webm' };

/** The demo's own drawings and sounds, kept as a teacher's are, by the names of their files. */
async function keepMedia(as: As<Teacher>): Promise<Kept> {
  const kept: [string, Kept[string]][] = [];
  // Captions are no medium: they stand in the question of their film.
  for (const file of readdirSync(mediaFolder)
    .filter((candidate) => extname(candidate) !== '.vtt')
    .sort()) {
    const { hash, kind, weight } = must(
      await storeMedium(as, {
        name: file,
        claimed: TYPES[extname(file)] ?? '',
        bytes: readFileSync(join(mediaFolder, file)),
        room: { width: 960, height: 540 },
      }),
    );
    kept.push([basename(file, extname(file)), { hash, kind, weight }]);
  }
  for (const [i, bytes] of pieces(readFileSync(join(mediaFolder, 'rack.svg'), 'utf8'), 2, 3).entries()) {
    const { hash, kind, weight } = must(
      await storeMedium(as, {
        name: `rack-${i + 1}.svg`,
        claimed: 'image/svg+xml',
        bytes,
        room: { width: 960, height: 540 },
      }),
    );
    kept.push([`rack-${i + 1}`, { hash, kind, weight }]);
  }
  return Object.fromEntries(kept);
}

/** A drawing cut by a grid: each piece is the same drawing, seen through a part of its view box. */
function pieces(svg: string, rows: number, columns: number): Buffer[] {
  const [, width = '1', height = '1'] = /viewBox="0 0 (\d+) (\d+)"/.exec(svg) ?? [];
  const [w, h] = [Number(width) / columns, Number(height) / rows];
  return Array.from({ length: rows * columns }, (_, i) =>
    Buffer.from(
      svg.replace(
        /viewBox="[^"]+" width="\d+" height="\d+"/,
        `viewBox="${(i % columns) * w} ${Math.floor(i / columns) * h} ${w} ${h}" width="${w}" height="${h}"`,
      ),
    ),
  );
}

/** Shelves of the demo: what stands on them by the ends of the questions' ids, and their tags. */
const SHELVES: readonly (readonly [
  title: string,
  on: string | null,
  ends: readonly string[],
  tags: readonly string[],
])[] = [
  ['Drying and storing', null, ['0001', '0002', '0003', '0011', '0013', '0022', '0025', '0026'], ['week 1']],
  ['Cold room', 'Drying and storing', ['0006', '0014', '0021', '0024'], ['week 2', 'plan']],
  ['Germination', null, ['0004', '0016', '0017', '0018', '0019', '0020'], ['week 3']],
];

/** Puts questions onto shelves; a colleague may use one of them. */
async function onShelves(as: As<Teacher>, questions: readonly Question[]): Promise<void> {
  must(await makePerson(as, { ...DEMO_COLLEAGUE, password: DEMO_PASSWORD, role: 'teacher', madeBy: null }));
  const made = new Map<string, string>();
  for (const [title, on, ends, addTags] of SHELVES) {
    const { id } = must(await makeShelf(as, { id: randomUUID(), title, parentId: made.get(on ?? '') ?? null }));
    made.set(title, id);
    const ids = questions
      .filter((question) => ends.some((end) => question.id.endsWith(end)))
      .map((question) => question.id);
    if (ids.length > 0) must(await changeMany(as, { ids, shelfId: id, addTags }));
  }
  must(await shareShelf(as, made.get('Germination') ?? '', { username: DEMO_COLLEAGUE.username, right: 'use' }));
}

/** What questions of the demo show, by the ends of their ids. */
const SHOWS: Readonly<Record<string, readonly string[]>> = {
  'S.1': ['0001', '0002', '0008'],
  'S.2': ['0004', '0009', '0017'],
  'S.3': ['0010', '0018'],
  'L.1': ['0011', '0016', '0020', '0024'],
  'L.2': ['0019', '0022', '0023'],
};

async function haveOutcomes(as: As<Teacher>, questionsEnding: (ends: readonly string[]) => string[]): Promise<void> {
  const file = join(import.meta.dirname, 'outcomes.csv');
  must(await takeOutcomes(as, file, { take: true, id: OUTCOMES, title: 'First weeks in the seed bank' }));
  const [framework] = await listOutcomes(as);
  for (const [code, ends] of Object.entries(SHOWS)) {
    const add = framework?.outcomes.flatMap((row) => (row.code === code ? [row.id] : [])) ?? [];
    must(await outcomesOnMany(as, { questions: questionsEnding(ends), add, remove: [] }));
  }
}

const app = await makeApp(readConfig(process.env));
const begun = await app.db.query.user.findFirst({ where: eq(user.username, DEMO_TEACHER.username) });
if (begun && !(await isWhole(app)))
  console.log('The demo data were not filled in to their end: `npm run demo -- --fresh` starts over.');
if (!begun) {
  console.log('Filling in the demo data: some forty people sit eight releases…');
  const teacherId = must(
    await makePerson(app, { ...DEMO_TEACHER, password: DEMO_PASSWORD, role: 'teacher', madeBy: null }),
  ).id;
  const odile: As<Teacher> = {
    ...app,
    person: { id: teacherId, name: DEMO_TEACHER.name, username: DEMO_TEACHER.username, role: 'teacher' },
  };
  must(await makeCourse(odile, COURSE, 'Tarn Hollow induction'));
  must(await changeCourse(odile, COURSE, { lang: 'en' }));
  must(await saveUnits(odile, COURSE, UNITS));
  must(await saveCategories(odile, COURSE, CATEGORIES));
  const learners: As<Learner>[] = [];
  for (const [username, name] of DEMO_LEARNERS) {
    const { id } = must(await makeLearner(odile, COURSE, { name, username, password: DEMO_PASSWORD }));
    learners.push({ ...app, person: { id, name, username, role: 'learner' } });
  }
  for (const [g, group] of GROUPS.entries()) {
    must(await saveGroup(odile, COURSE, { id: group.id, title: group.title }));
    for (const [i, { person }] of learners.entries())
      if (i % GROUPS.length === g) must(await setMember(odile, COURSE, group.id, person.id, true));
  }
  const media = await keepMedia(odile);
  const questions = [...readQuestions(), ...demoQuestions(media), ...kindQuestions(media)];
  for (const question of questions) must(await saveNew(odile, question));
  await onShelves(odile, questions);
  const questionsEnding = (ends: readonly string[]) =>
    ends.flatMap((end) => questions.filter(({ id }) => id.endsWith(end)).map(({ id }) => id));
  const sets = [
    [SET, 'Drying and storing', IN_SET],
    [KINDS_SET, 'From the germination room', IN_KINDS_SET],
  ] as const;
  for (const [set, title, ends] of sets) {
    must(await makeSet(odile, set, title));
    must(
      await saveSet(odile, set, {
        title,
        goBack: true,
        sections: [{ title: '', draw: null, questions: inOrder(questionsEnding(ends)) }],
        sources: set === KINDS_SET ? SOURCES.map((one) => ({ ...one, questions: questionsEnding(one.questions) })) : [],
      }),
    );
  }
  must(await makeSet(odile, WEEK_SET, 'Week one'));
  must(
    await saveSet(odile, WEEK_SET, {
      title: 'Week one',
      goBack: true,
      sections: [
        {
          title: 'What comes in',
          draw: null,
          questions: [{ id: questionsEnding(['0001'])[0] ?? '', points: 4 }, ...inOrder(questionsEnding(['0022']))],
        },
        {
          title: 'In the rooms',
          draw: { count: 4, points: 2 },
          questions: inOrder(questionsEnding(['0002', '0004', '0008', '0009', '0016', '0017', '0018', '0020'])),
        },
      ],
    }),
  );
  await haveOutcomes(odile, questionsEnding);
  for (const [title, lines] of Object.entries(STOCK))
    must(await makeList(odile, { id: randomUUID(), title, rows: lines.map((line) => line.split('\t')) }));
  await makeReleases(odile, learners, {
    question: (end) => questionsEnding([end])[0] ?? '',
    password: DEMO_PASSWORD,
    colleague: DEMO_COLLEAGUE.username,
    groups: GROUPS.map(({ id }) => id),
  });
}
console.log(
  `\nThe demo is ready. Sign in with the password ${DEMO_PASSWORD} as ${demoAccounts.map(({ username, role }) => `${username} (${role})`).join(', ')}.`,
);
process.exit(0);
