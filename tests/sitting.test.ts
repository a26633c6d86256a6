import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { ReleaseSettings } from '../src/contract';
import type { Question } from '../src/core';
import type { App } from '../src/server/app';
import type { As, Learner, Teacher } from '../src/server/context';
import { storeMedium } from '../src/server/media/media';
import { type Content, publish } from '../src/server/releases/publish';
import { assignedReleases } from '../src/server/results/assignedReleases';
import { resultsOf } from '../src/server/results/results';
import { finish } from '../src/server/sittings/finish';
import { sittingMedium, sittingSource } from '../src/server/sittings/media';
import { goTo, openRelease } from '../src/server/sittings/openRelease';
import { saveNew } from '../src/server/vault/questions';
import { makeSet, openSet, saveSet } from '../src/server/vault/sets';
import { course, inOrder, learner, must, seeds, teacher, testApp } from './support/app';
import { sitter } from './support/sitting';

let app: App;
let done: () => void;
let odile: As<Teacher>;
let other: As<Teacher>;
let courseId: string;
let n = 0;
beforeAll(async () => {
  ({ app, done } = await testApp());
  odile = await teacher(app, 'odile');
  other = await teacher(app, 'other');
  courseId = await course(odile);
});
afterAll(() => done());

const someone = () => learner(odile, courseId, `learner.${n++}`);
const say = (text: string) => ({ text: { blocks: [{ type: 'paragraph', runs: [{ text }] }] } });

async function give(content: Content, settings: Partial<ReleaseSettings> = {}): Promise<string> {
  return must(await publish(odile, { id: randomUUID(), courseId, settings, ...content })).id;
}
async function question(changes: Record<string, unknown> = {}, time = {}): Promise<string> {
  const made = seeds(changes);
  must(await saveNew(odile, made));
  return give({ questionId: made.id, revision: 1 }, time);
}
async function setOf(
  questions: Question[],
  goBack: boolean,
  time = {},
  sections = inOrder(questions.map((question) => question.id)),
): Promise<string> {
  const id = randomUUID();
  for (const question of questions) must(await saveNew(odile, question));
  must(await makeSet(odile, id, 'Drying and storing'));
  must(await saveSet(odile, id, { title: 'Drying and storing', goBack, sections }));
  return give({ setId: id }, time);
}
/** The same person at another time. */
const at = <Who extends As>(as: Who, time: Date): Who => ({ ...as, now: () => time });

describe('what a learner is told', () => {
  it('is nothing before the first check, and after it each verdict with what is said of it', async () => {
    const key = [
      {
        zone: 'dry',
        belongs: ['barley', 'poppy'],
        need: { rule: 'all' },
        says: { zone: say('Dry ones.'), items: { gravel: say('Not a seed.'), acorn: say('Never seen.') } },
      },
      { zone: 'moist', belongs: ['acorn'], need: { rule: 'all' } },
    ];
    const { put, take, move } = await sitter(
      await someone(),
      await question({ key, feedback: { right: null, partly: say('Nearly.'), wrong: null } }),
    );
    expect(await take(put('barley', 'dry'))).toMatchObject({ told: null, best: null, hints: [], media: {} });
    await take(put('gravel', 'dry'));
    const { told } = await take(move({ kind: 'check' }));
    expect(told).toMatchObject({
      try: { number: 1, fullMarks: false, mark: { mark: 1, max: 3 }, words: say('Nearly.') },
    });
    expect(told?.says.map(({ of: namedCopy, said }) => [namedCopy !== null, said.text?.blocks])).toEqual([
      [false, say('Dry ones.').text.blocks],
      [true, say('Not a seed.').text.blocks],
    ]);
    expect(told?.goingHome).toHaveLength(1);
    // Whoever goes on is told nothing any more.
    expect((await take(put('poppy', 'dry'))).told).toBeNull();
  });

  it('is no mark where the author shows none', async () => {
    const as = await someone();
    const releaseId = await question({ show: { mark: false } });
    const { take, put, move, view } = await sitter(as, releaseId);
    await take(put('barley', 'dry'));
    const answer = await take(move({ kind: 'check' }));
    expect([answer.told?.try?.mark, answer.best]).toEqual([null, null]);
    expect(must(await finish(as, view.id))).toMatchObject({
      total: null,
      questions: [{ reckoning: null, fullMarks: null }],
    });
    expect((await assignedReleases(as)).find(({ id }) => id === releaseId)).toMatchObject({
      mark: null,
      max: null,
      state: 'finished',
    });
  });

  it('is a hint for each try, and a model answer when the author lets it be seen', async () => {
    const { take, put, move, send, view } = await sitter(
      await someone(),
      await question({
        hints: [say('Grains ripen dry.'), say('Acorns do not.')],
        show: { modelAnswer: 'atTheEnd' },
        tries: 2,
      }),
    );
    expect(view).toMatchObject({ hintsLeft: 0, modelAnswer: null });
    const early = must(await send(0, move({ kind: 'hint' })));
    expect(early).toMatchObject({ hints: [], last: 0, passedOver: 1 });
    expect(await take(move({ kind: 'check' }))).toMatchObject({ hintsLeft: 1, modelAnswer: null });
    expect(await take(move({ kind: 'hint' }))).toMatchObject({ hints: [say('Grains ripen dry.')], hintsLeft: 0 });
    await take(put('acorn', 'dry'));
    const last = await take(move({ kind: 'check' }));
    expect(last.ended).toBe(true);
    expect(last.modelAnswer?.zones.map(({ held }) => held.length)).toEqual([2, 1]);
  });

  it('comes with every landing where landings are judged; a wrong one ends a try', async () => {
    const { take, put } = await sitter(await someone(), await question({ judging: 'onLand', tries: 3 }));
    const right = await take(put('barley', 'dry'));
    expect(right).toMatchObject({ tries: 0, told: { verdicts: [{ verdict: 'right' }], try: null } });
    const wrong = await take(put('acorn', 'dry'));
    expect(wrong).toMatchObject({ tries: 1, told: { try: { number: 1 } } });
    expect(wrong.told?.goingHome).toHaveLength(1);
    const next = await take(put('acorn', 'moist'));
    expect(next.board?.zones.map(({ held }) => held.length)).toEqual([1, 1]);
    expect(await take(put('poppy', 'dry'))).toMatchObject({
      ended: true,
      tries: 2,
      told: { try: { fullMarks: true } },
    });
  });

  it('names what a zone turned away, and shows the board as it then is', async () => {
    const zone = (id: string, x: number, more = {}) => ({
      id,
      label: id,
      shape: { type: 'rect', x, y: 40, w: 400, h: 300 },
      ...more,
    });
    const releaseId = await question({ zones: [zone('dry', 40, { welcome: 'keyed' }), zone('moist', 500)] });
    const { take, put } = await sitter(await someone(), releaseId);
    expect(await take(put('gravel', 'dry'))).toMatchObject({ turnedAway: [{ why: 'notWelcome' }], told: null });
    const stays = await take(put('barley', 'dry'));
    expect(stays.turnedAway).toEqual([]);
    expect(stays.board?.zones[0]?.held).toHaveLength(1);
  });
});

describe('moves made while the line was down', () => {
  it('end with the one that ends the question; what came after is passed over, and sent again it stays so', async () => {
    const { put, move, send } = await sitter(await someone(), await question({ judging: 'onLand', tries: 1 }));
    const moves = [put('barley', 'dry'), put('gravel', 'dry'), put('acorn', 'moist')];
    const answer = must(await send(0, ...moves));
    expect(answer).toMatchObject({ last: 2, ended: true, passedOver: 1 });
    expect(must(await send(0, ...moves))).toMatchObject({ last: 2, ended: true });
    expect(await send(2, move({ kind: 'reset' }))).toMatchObject({ code: 'alreadyEnded' });
  });

  it('settle at the end of an order that has become shorter meanwhile', async () => {
    const zone = (id: string, x: number, more = {}) => ({
      id,
      label: id,
      shape: { type: 'rect', x, y: 40, w: 400, h: 300 },
      ...more,
    });
    const { put, send } = await sitter(
      await someone(),
      await question({ zones: [zone('dry', 40, { welcome: 'keyed' }), zone('moist', 500)] }),
    );
    const answer = must(await send(0, put('gravel', 'dry'), put('barley', 'dry', { at: 1 })));
    expect(answer).toMatchObject({ last: 2, passedOver: 0 });
    expect(answer.board?.zones[0]?.held).toHaveLength(1);
  });

  it('are refused whole where one names what is not there', async () => {
    const { put, view, send } = await sitter(await someone(), await question());
    const none = { ...put('barley', 'dry'), copy: 3 };
    expect(await send(0, put('poppy', 'dry'), none)).toMatchObject({
      code: 'invalid',
      problems: [{ path: 'moves[1].copy' }],
    });
    expect(view.last).toBe(0);
  });
});

describe('a set', () => {
  const three = () => [
    seeds({ title: 'First' }),
    seeds({ title: 'Second', show: { nextOnlyAfterCheck: true } }),
    seeds({ title: 'Third' }),
  ];

  it('goes from question to question, back where that is allowed, and not past what wants a check', async () => {
    const as = await someone();
    const releaseId = await setOf(three(), true);
    const first = await sitter(as, releaseId);
    expect(first.view).toMatchObject({ question: { title: 'First' }, place: { at: 0, count: 3, reached: 0 } });
    const id = first.view.id;
    expect(await goTo(as, id, 2)).toMatchObject({ code: 'notFound' });
    await first.take(first.put('barley', 'dry'));
    const second = await sitter(as, releaseId, 1);
    expect(second.view).toMatchObject({ question: { title: 'Second' }, place: { at: 1, reached: 1 }, last: 1 });
    expect(await goTo(as, id, 2)).toMatchObject({ code: 'checkFirst' });
    await second.take(second.move({ kind: 'check' }));
    expect(must(await goTo(as, id, 2))).toMatchObject({ question: { title: 'Third' }, last: 2 });
    // Back at the first, which stands as it was left; a reload opens the furthest.
    const again = await sitter(as, releaseId, 0);
    expect(again.view.board.zones[0]?.held).toHaveLength(1);
    expect((await again.take(again.put('poppy', 'dry'))).last).toBe(3);
    expect((await sitter(as, releaseId)).view.place.at).toBe(2);
  });

  it('does not go back where that is not allowed, nor take moves there', async () => {
    const as = await someone();
    const releaseId = await setOf([seeds(), seeds()], false);
    const first = await sitter(as, releaseId);
    must(await goTo(as, first.view.id, 1));
    expect(await goTo(as, first.view.id, 0)).toMatchObject({ code: 'alreadyEnded' });
    expect(await first.send(0, first.put('barley', 'dry'))).toMatchObject({ code: 'alreadyEnded' });
  });

  it('is finished when the learner says so: what is unchecked is checked once, and the account adds up', async () => {
    const as = await someone();
    const releaseId = await setOf([seeds({ title: 'First' }), seeds({ title: 'Second' })], true);
    const first = await sitter(as, releaseId);
    await first.take(first.put('barley', 'dry'));
    const second = await sitter(as, releaseId, 1);
    await second.take(second.put('barley', 'dry'));
    await second.take(second.put('acorn', 'moist'));
    const summary = must(await finish(as, first.view.id));
    expect(summary).toMatchObject({
      total: { mark: 3, max: 6 },
      questions: [{ title: 'First', seen: true, tries: 1, reckoning: { mark: 1 } }, { reckoning: { mark: 2 } }],
    });
    for (const { reckoning } of summary.questions)
      expect(reckoning?.lines.reduce((sum, { amount }) => sum + amount, 0)).toBeCloseTo(reckoning?.mark ?? NaN, 9);
    expect(await finish(as, first.view.id)).toEqual({ ok: true, value: summary });
    expect(await second.send(4, second.put('poppy', 'dry'))).toMatchObject({ code: 'sittingFinished' });
    expect(must(await openRelease(as, releaseId)).finished).toMatchObject({ total: { mark: 3, max: 6 } });
    const row = must(await resultsOf(odile, releaseId)).rows.find(({ learnerId }) => learnerId === as.person.id);
    expect(row).toMatchObject({ mark: 3, max: 6, tries: 2, state: 'ended' });
    // What was never come to cannot be looked at again.
    const early = await someone();
    const only = await sitter(early, releaseId);
    expect(must(await finish(early, only.view.id)).questions.map(({ seen }) => seen)).toEqual([true, false]);
  });

  it('is looked at as the try left it that counts', async () => {
    const as = await someone();
    const releaseId = await setOf(
      [seeds({ marks: { max: 3, rule: 'perPlacement', tryCounts: 'best' }, tries: 3 })],
      true,
    );
    const { view, put, move, take } = await sitter(as, releaseId);
    for (const [name, zone] of [
      ['barley', 'dry'],
      ['poppy', 'dry'],
    ] as const)
      await take(put(name, zone));
    await take(move({ kind: 'check' }));
    await take(put('poppy', 'moist'));
    await take(move({ kind: 'check' }));
    must(await finish(as, view.id));
    const { open } = must(await openRelease(as, releaseId, 0));
    const held = open?.board.zones.map(({ held }) => held.length).toSorted();
    expect([open?.tries, open?.told?.try?.number, open?.told?.try?.mark?.mark, held]).toEqual([2, 1, 2, [0, 2]]);
  });

  it('draws some of a section for each sitting, the same ones each time it is opened, and counts in points', async () => {
    const questions = Array.from({ length: 6 }, (_, i) => seeds({ title: `Question ${i}` }));
    const entry = (i: number, points: number | null = null) => ({ id: questions[i]?.id ?? '', points });
    const releaseId = await setOf(questions, true, {}, [
      { title: 'First', draw: null, questions: [entry(0, 12)] },
      { title: 'Drawn', draw: { count: 2, points: 1.5 }, questions: [1, 2, 3, 4, 5].map((i) => entry(i)) },
    ]);
    const drawn = new Set<string>();
    for (let i = 0; i < 8; i++) {
      const as = await someone();
      const first = await sitter(as, releaseId);
      expect(first.view).toMatchObject({
        question: { title: 'Question 0' },
        place: { at: 0, count: 3, section: 'First' },
      });
      await first.take(first.put('barley', 'dry'));
      const second = await sitter(as, releaseId, 1);
      const third = await sitter(as, releaseId, 2);
      expect(second.view.place.section).toBe('Drawn');
      expect(second.view.question.title < third.view.question.title).toBe(true);
      expect((await sitter(as, releaseId, 1)).view.question.title).toBe(second.view.question.title);
      await third.take(third.put('acorn', 'moist'));
      const summary = must(await finish(as, first.view.id));
      expect(summary).toMatchObject({
        total: { mark: 4.5, max: 15 },
        questions: [{ points: 12, earned: 4 }, { earned: 0 }, { points: 1.5, earned: 0.5 }],
      });
      expect(summary.questions.map(({ title }) => title)).toEqual([
        'Question 0',
        second.view.question.title,
        third.view.question.title,
      ]);
      drawn.add(`${second.view.question.title}, ${third.view.question.title}`);
      expect(
        must(await resultsOf(odile, releaseId)).rows.find(({ learnerId }) => learnerId === as.person.id),
      ).toMatchObject({ mark: 4.5, max: 15, state: 'ended' });
      expect((await assignedReleases(as))[0]).toMatchObject({ questions: 3, mark: 4.5, max: 15 });
    }
    // Ten draws there are; that eight sittings all have the same one has a chance of 1 in 10^7.
    expect(drawn.size).toBeGreaterThan(1);
  });

  it('holds only the teacher’s own questions, each once', async () => {
    const id = randomUUID();
    const [mine, theirs] = [seeds(), seeds()];
    must(await saveNew(odile, mine));
    must(await saveNew(other, theirs));
    must(await makeSet(odile, id, 'Mine'));
    const content = (...questions: string[]) => ({ title: 'Mine', goBack: true, sections: inOrder(questions) });
    expect(await saveSet(odile, id, content(mine.id, theirs.id))).toMatchObject({
      code: 'invalid',
      problems: [{ path: 'sections[0].questions[1]' }],
    });
    expect(await saveSet(odile, id, content(mine.id, mine.id))).toMatchObject({ code: 'invalid' });
    expect(await saveSet(other, id, content(theirs.id))).toMatchObject({ code: 'notFound' });
    expect(await openSet(other, id)).toMatchObject({ code: 'notFound' });
    expect(await publish(odile, { id: randomUUID(), courseId, setId: id })).toMatchObject({
      code: 'notReady',
      problems: [{ path: 'questions' }],
    });
    must(await saveSet(odile, id, content(mine.id)));
    expect(must(await openSet(odile, id)).sections).toEqual([
      {
        title: '',
        draw: null,
        questions: [{ id: mine.id, title: mine.title, kind: 'sort', max: 3, points: null, seconds: 36 }],
      },
    ]);
    expect(
      await publish(odile, { id: randomUUID(), courseId, setId: id, settings: { closesAt: new Date(0) } }),
    ).toMatchObject({
      code: 'notReady',
      problems: [{ path: 'closesAt' }],
    });
  });
});

describe('time', () => {
  const start = new Date();
  const later = (minutes: number) => new Date(start.getTime() + minutes * 60_000);

  it('is the server’s: after the minutes given nothing is taken, and what was placed is checked once', async () => {
    const as = at(await someone(), start);
    const releaseId = await question({}, { minutes: 10 });
    const { take, put, view } = await sitter(as, releaseId);
    expect(view.ends).toMatchObject({ seconds: 600 });
    await take(put('barley', 'dry'));
    const late = at(as, later(11));
    const { put: putLate, send } = { put, send: (await sitterAt(late, view.id)).send };
    expect(await send(1, putLate('poppy', 'dry'))).toMatchObject({ code: 'sittingFinished' });
    expect(must(await openRelease(late, releaseId)).finished).toMatchObject({
      finishedAt: later(10),
      total: { mark: 1, max: 3 },
    });
  });

  it('ends with the due date, for those who have not begun too', async () => {
    const [as, idle] = [at(await someone(), start), at(await someone(), later(31))];
    const releaseId = await question({}, { closesAt: later(30), minutes: 60 });
    const { view, take, put } = await sitter(as, releaseId);
    expect(view.ends?.at).toBe(later(30).toISOString());
    await take(put('barley', 'dry'));
    expect(await openRelease(idle, releaseId)).toMatchObject({ code: 'releaseClosed' });
    expect((await assignedReleases(idle)).find(({ id }) => id === releaseId)?.state).toBe('closed');
    // The teacher looks: what has run out is what it came to.
    const row = must(await resultsOf(at(odile, later(40)), releaseId)).rows.find(
      ({ learnerId }) => learnerId === as.person.id,
    );
    expect(row).toMatchObject({ mark: 1, state: 'ended' });
  });
});

/** Moves sent by somebody whose page is still open. */
async function sitterAt(as: As<Learner>, sittingId: string) {
  const { receiveMoves } = await import('../src/server/sittings/moves');
  return {
    send: (after: number, ...moves: Parameters<typeof receiveMoves>[3]['moves'][number][]) =>
      receiveMoves(as, sittingId, as.person.id, { question: 0, after, moves }),
  };
}

describe('media of a sitting', () => {
  const svg = (colour: string) =>
    Buffer.from(
      `<svg xmlns="http://www.w3.org/2000/svg" width="40" height="40"><rect width="40" height="40" fill="${colour}"/></svg>`,
    );

  it('go by drawn names, to the learner alone, those of feedback not before a try', async () => {
    const keep = async (colour: string) =>
      must(
        await storeMedium(odile, {
          name: `${colour}.svg`,
          claimed: 'image/svg+xml',
          bytes: svg(colour),
          room: { width: 960, height: 540 },
        }),
      );
    const [jar, leaf] = [await keep('red'), await keep('green')];
    const medium = (hash: string) => ({ hash, kind: 'picture', description: 'A jar', weight: 100 });
    const releaseId = await question({
      media: { jar: medium(jar.hash), leaf: medium(leaf.hash) },
      fixtures: [{ type: 'picture', id: 'f', x: 0, y: 0, w: 40, h: 40, media: 'jar' }],
      feedback: { right: null, partly: null, wrong: { text: null, picture: 'leaf', sound: null } },
    });
    const [as, stranger] = [await someone(), await someone()];
    const { view, take, move } = await sitter(as, releaseId);
    const [shown] = Object.keys(view.question.media);
    expect(Object.values(view.question.media)).toEqual([{ kind: 'picture', description: 'A jar' }]);
    expect(must(await sittingMedium(as, view.id, 0, shown ?? '', 'medium', 320)).type).toBe('image/svg+xml');
    expect(await sittingMedium(stranger, view.id, 0, shown ?? '', 'medium', null)).toMatchObject({ code: 'notFound' });
    for (const name of ['jar', 'leaf', jar.hash])
      expect(await sittingMedium(as, view.id, 0, name, 'medium', null), name).toMatchObject({ code: 'notFound' });
    const { told, media } = await take(move({ kind: 'check' }));
    const late = told?.try?.words?.picture ?? '';
    expect(media).toEqual({ [late]: { kind: 'picture', description: 'A jar' } });
    expect(Buffer.from(must(await sittingMedium(as, view.id, 0, late, 'medium', null)).bytes).toString()).toContain(
      'green',
    );
  });

  it('are as wide as they are shown', async () => {
    const { default: sharp } = await import('sharp');
    const bytes = await sharp({ create: { width: 1600, height: 900, channels: 3, background: '#8a5c0d' } })
      .png()
      .toBuffer();
    const storedMedium = must(
      await storeMedium(odile, { name: 'plan.png', claimed: 'image/png', bytes, room: { width: 960, height: 540 } }),
    );
    const releaseId = await question({
      media: { plan: { hash: storedMedium.hash, kind: 'picture', decorative: true } },
      fixtures: [{ type: 'picture', id: 'f', x: 0, y: 0, w: 40, h: 40, media: 'plan' }],
    });
    const as = await someone();
    const { view } = await sitter(as, releaseId);
    const [name = ''] = Object.keys(view.question.media);
    const widthOf = async (asked: number | null) =>
      (await sharp(must(await sittingMedium(as, view.id, 0, name, 'medium', asked)).bytes).metadata()).width;
    expect([await widthOf(320), await widthOf(320), await widthOf(321), await widthOf(null)]).toEqual([
      320, 320, 1600, 1600,
    ]);
  });
});

describe('a source', () => {
  const CAPTIONS = 'WEBVTT\n\n00:00.000 --> 00:02.000\nSeeds fall into a tray.';
  const source = (questions: string[], more: Record<string, unknown> = {}) => ({
    id: randomUUID(),
    title: 'From the handbook',
    text: 'Weigh first.',
    medium: null,
    captions: '',
    questions,
    ...more,
  });

  it('stands beside the questions that are named, and goes to learners only once they have come to one of them', async () => {
    const ids: string[] = [];
    for (let i = 0; i < 2; i++) ids.push(must(await saveNew(odile, seeds({ id: randomUUID() }))).id);
    const setId = randomUUID();
    must(await makeSet(odile, setId, 'With a source'));
    const sources = [source([ids[1] as string], { captions: CAPTIONS })];
    must(await saveSet(odile, setId, { title: 'With a source', goBack: true, sections: inOrder(ids), sources }));
    expect(must(await openSet(odile, setId)).sources).toEqual(sources);
    const releaseId = randomUUID();
    must(await publish(odile, { id: releaseId, courseId, setId }));
    const wren = await learner(odile, courseId, `source-${n++}`);
    const open = must(await openRelease(wren, releaseId)).open;
    expect(open?.sources).toEqual([]);
    const captions = () => sittingSource(wren, open?.id ?? '', 0, 'captions', null);
    expect(await captions()).toMatchObject({ ok: false, code: 'notFound' });
    const next = must(await goTo(wren, open?.id ?? '', 1));
    expect(next.sources).toMatchObject([{ n: 0, title: 'From the handbook', medium: null, captioned: true }]);
    expect(new TextDecoder().decode(must(await captions()).bytes)).toBe(CAPTIONS);
    const other = await learner(odile, courseId, `source-${n++}`);
    expect(await sittingSource(other, open?.id ?? '', 0, 'captions', null)).toMatchObject({
      ok: false,
      code: 'notFound',
    });
    expect(await sittingSource(wren, open?.id ?? '', 7, 'captions', null)).toMatchObject({
      ok: false,
      code: 'notFound',
    });
  });

  it('with nothing in it, with a file of somebody else’s, or with captions that are none is refused with its place', async () => {
    const setId = randomUUID();
    must(await makeSet(odile, setId, 'Faulty'));
    const refused = async (more: Record<string, unknown>) =>
      saveSet(odile, setId, { title: 'Faulty', goBack: true, sections: [], sources: [source([], more)] });
    expect(await refused({ text: ' ' })).toMatchObject({ ok: false, problems: [{ path: 'sources[0]' }] });
    expect(await refused({ medium: { hash: 'a'.repeat(64), kind: 'film', description: '' } })).toMatchObject({
      ok: false,
      problems: [{ path: 'sources[0].medium' }],
    });
    expect(await refused({ captions: '1\n00:00 no header' })).toMatchObject({
      ok: false,
      problems: [{ path: 'sources[0].captions' }],
    });
  });
});
