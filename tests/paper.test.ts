import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { App } from '../src/server/app';
import type { As, Learner, Teacher } from '../src/server/context';
import { listAudit } from '../src/server/courses/audit';
import { publish } from '../src/server/releases/publish';
import { applyEdition, makeEdition } from '../src/server/results/corrections';
import { resultsOf } from '../src/server/results/results';
import { retraceOf } from '../src/server/results/retrace';
import { enterSheet, sheetLearners, sheetOf } from '../src/server/sittings/onPaper';
import { openRelease } from '../src/server/sittings/openRelease';
import { saveNew } from '../src/server/vault/questions';
import { makeSet, saveSet } from '../src/server/vault/sets';
import { analysed } from './support/analysed';
import { course, inOrder, learner, must, seeds, teacher, testApp } from './support/app';
import { expectScoresKept } from './support/scores';

let app: App;
let done: () => void;
let odile: As<Teacher>;
let courseId: string;
let releaseId: string;
let wren: As<Learner>;
const spoken = seeds({
  title: 'What it is called',
  zones: [
    {
      id: 'gap',
      label: 'The seed',
      shape: { type: 'rect', x: 500, y: 40, w: 200, h: 60 },
      typed: { accept: { barley: ['Barley'] }, case: false, accents: false, slips: 0 },
    },
  ],
  key: [{ zone: 'gap', belongs: ['barley'], need: { rule: 'exactly', n: 1 } }],
});
beforeAll(async () => {
  ({ app, done } = await testApp());
  odile = await teacher(app, 'odile');
  courseId = await course(odile);
  const questions = [seeds({ title: 'Dry or moist' }), spoken];
  for (const question of questions) must(await saveNew(odile, question));
  const setId = randomUUID();
  must(await makeSet(odile, setId, 'On paper'));
  must(
    await saveSet(odile, setId, { title: 'On paper', goBack: true, sections: inOrder(questions.map(({ id }) => id)) }),
  );
  releaseId = must(await publish(odile, { id: randomUUID(), courseId, setId })).id;
  wren = await learner(odile, courseId, 'wren');
});
afterAll(() => done());

/** The letters of items and the numbers of zones, as the sheet has them. */
async function namesOn(variant: number) {
  const { questions } = must(await sheetOf(odile, releaseId, variant));
  const [first, second] = questions;
  if (!first || !second) throw new Error('The sheet has two questions');
  const letter = (label: string) => first.letters[first.document.items.findIndex((item) => item.label === label)] ?? '';
  const number = (label: string) => first.numbers[first.document.zones.findIndex((zone) => zone.label === label)] ?? 0;
  return { letter, number, gap: second.numbers[0] ?? 0 };
}

async function written(dry: readonly string[], moist: readonly string[], typed: string, variant = 1) {
  const { letter, number, gap } = await namesOn(variant);
  const places = [
    { number: number('dry'), text: dry.map(letter).join(' ') },
    { number: number('moist'), text: moist.map(letter).join('') },
  ];
  return [
    { places, marks: [] },
    { places: [{ number: gap, text: typed }], marks: [] },
  ];
}

describe('a sheet', () => {
  it('letters what is placed and numbers the places, the same for each variant every time', async () => {
    const sheet = must(await sheetOf(odile, releaseId, 3));
    expect(must(await sheetOf(odile, releaseId, 3))).toEqual(sheet);
    expect(sheet.questions[0]?.letters.toSorted()).toEqual(['A', 'B', 'C', 'D']);
    expect(sheet.questions[0]?.numbers).toEqual([1, 2]);
    // What only stands for a typed text is not on the sheet.
    expect(sheet.questions[1]?.letters[0]).toBeNull();
    expect(await sheetOf(await teacher(app, 'fern'), releaseId, 1)).toMatchObject({ code: 'notFound' });
  });

  it('that is typed in is an attempt that has ended, judged by the core', async () => {
    const id = randomUUID();
    const entry = {
      ...{ id, learnerId: wren.person.id, variant: 2, writtenAt: null },
      answers: await written(['barley', 'poppy'], ['acorn'], ' barley ', 2),
    };
    const entered = must(await enterSheet(odile, releaseId, entry));
    expect(entered).toEqual({ points: 6, outOf: 6, number: 1 });
    // A page that sends it again adds nothing.
    expect(must(await enterSheet(odile, releaseId, entry))).toEqual(entered);
    await expectScoresKept(app.db);
    expect(must(await resultsOf(odile, releaseId)).rows).toMatchObject([
      { mark: 6, max: 6, state: 'ended', sittings: [{ id, onPaper: true }] },
    ]);
    expect(must(await retraceOf(odile, releaseId, id))).toMatchObject({ paper: 2 });
    expect(must(await openRelease(wren, releaseId))).toMatchObject({ finished: { total: { mark: 6, max: 6 } } });
    expect(must(await sheetLearners(odile, releaseId))).toMatchObject([
      { name: 'wren', entered: { sittingId: id, variant: 2, points: 6 } },
    ]);
    const { questions } = await analysed(odile, releaseId);
    // Nobody knows how long it took.
    expect(questions).toMatchObject([
      { answered: 1, full: 1, seconds: null, pace: null },
      { answered: 1, full: 1 },
    ]);
  });

  it('that was typed in wrongly is written anew: what was typed before counts no more', async () => {
    const [known] = must(await sheetLearners(odile, releaseId));
    const entry = {
      ...{ id: known?.entered?.sittingId ?? '', learnerId: wren.person.id, variant: 2, writtenAt: null },
      answers: await written(['acorn'], ['poppy'], '', 2),
    };
    expect(must(await enterSheet(odile, releaseId, entry))).toEqual({ points: 0, outOf: 6, number: 1 });
    await expectScoresKept(app.db);
    const right = { ...entry, answers: await written(['barley', 'poppy'], ['acorn'], 'rye', 2) };
    expect(must(await enterSheet(odile, releaseId, right))).toEqual({ points: 3, outOf: 6, number: 1 });
    expect(must(await resultsOf(odile, releaseId)).rows).toMatchObject([{ mark: 3, tries: 2 }]);
    expect(must(await listAudit(odile, courseId)).filter(({ what }) => what === 'paperEntered')).toHaveLength(4);
  });

  it('says what cannot be read, and where', async () => {
    const ash = await learner(odile, courseId, 'ash');
    const { letter, number } = await namesOn(1);
    const places = [
      { number: number('dry'), text: `${letter('barley')}Q` },
      { number: number('moist'), text: letter('barley') },
      { number: 9, text: 'A' },
    ];
    const entry = { id: randomUUID(), learnerId: ash.person.id, variant: 1, writtenAt: null };
    expect(await enterSheet(odile, releaseId, { ...entry, answers: [{ places, marks: [] }] })).toMatchObject({
      code: 'invalid',
      problems: [
        { path: `answers[0].places.${number('dry')}`, message: 'There is no letter Q.' },
        { path: 'answers[0].places.9', message: 'There is no number 9.' },
        {
          path: `answers[0].places.${number('moist')}`,
          message: expect.stringMatching(/is there once, and stands in/),
        },
      ],
    });
    const answers = await written(['barley'], [], '');
    const tomorrow = new Date(Date.now() + 24 * 3_600_000);
    expect(await enterSheet(odile, releaseId, { ...entry, answers, writtenAt: tomorrow })).toMatchObject({
      problems: [{ path: 'writtenAt' }],
    });
    const fern = await teacher(app, 'fern.again');
    expect(await enterSheet(fern, releaseId, { ...entry, answers })).toMatchObject({ code: 'notFound' });
    // Nothing of all that began an attempt.
    expect(must(await resultsOf(odile, releaseId)).rows).toMatchObject([{ username: 'ash', state: 'notStarted' }, {}]);
    expect(must(await enterSheet(odile, releaseId, { ...entry, answers }))).toMatchObject({ points: 1, outOf: 6 });
  });

  it('stays as it was printed when a question is struck, which counts for nobody then', async () => {
    const before = must(await sheetOf(odile, releaseId, 1));
    must(
      await makeEdition(odile, releaseId, 2, {
        reason: '',
        changes: [{ question: 0, strike: true, fromVault: false, accept: [] }],
      }),
    );
    must(await applyEdition(odile, releaseId, 2));
    const after = must(await sheetOf(odile, releaseId, 1));
    expect(after.questions.map(({ letters, numbers }) => [letters, numbers])).toEqual(
      before.questions.map(({ letters, numbers }) => [letters, numbers]),
    );
    expect(after.questions).toMatchObject([{ struck: true }, { struck: false }]);
    const clover = await learner(odile, courseId, 'clover');
    const entry = { id: randomUUID(), learnerId: clover.person.id, variant: 1, writtenAt: null };
    const answers = await written(['barley', 'poppy'], ['acorn'], 'Barley');
    expect(must(await enterSheet(odile, releaseId, { ...entry, answers }))).toMatchObject({ points: 3, outOf: 3 });
  });
});
