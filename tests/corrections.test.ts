import { randomUUID } from 'node:crypto';
import { and, asc, eq } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type Correction, correction } from '../src/contract';
import {
  earned,
  judge,
  type Move,
  markSoFar,
  type Question,
  questionModel,
  random,
  rejudge,
  setQuestion,
} from '../src/core';
import type { App } from '../src/server/app';
import type { As, Learner, Teacher } from '../src/server/context';
import { listAudit } from '../src/server/courses/audit';
import { edition, move, sitting, standing } from '../src/server/database/tables';
import { publish } from '../src/server/releases/publish';
import { analysisOf } from '../src/server/results/analysis';
import { assignedReleases } from '../src/server/results/assignedReleases';
import {
  applyEdition,
  makeEdition,
  openCorrections,
  previewCorrection,
  previewEdition,
} from '../src/server/results/corrections';
import { reportOf } from '../src/server/results/report';
import { resultsOf } from '../src/server/results/results';
import { finish } from '../src/server/sittings/finish';
import { goTo } from '../src/server/sittings/openRelease';
import { editQuestion, saveNew } from '../src/server/vault/questions';
import { makeSet, saveSet } from '../src/server/vault/sets';
import { analysed } from './support/analysed';
import { course, inOrder, learner, must, seeds, teacher, testApp } from './support/app';
import { expectScoresKept } from './support/scores';
import { sitter } from './support/sitting';

let app: App;
let done: () => void;
let odile: As<Teacher>;
let fern: As<Teacher>;
let n = 0;
beforeAll(async () => {
  ({ app, done } = await testApp());
  [odile, fern] = [await teacher(app, 'odile'), await teacher(app, 'fern')];
});
afterAll(() => done());

/** A release of two questions in a course of its own, with learners who put the acorn and the poppy somewhere. */
async function ground(questions: Question[] = [seeds({ title: 'First' }), seeds({ title: 'Second' })]) {
  const courseId = await course(odile);
  const setId = randomUUID();
  for (const question of questions) must(await saveNew(odile, question));
  must(await makeSet(odile, setId, 'Both'));
  must(await saveSet(odile, setId, { title: 'Both', goBack: true, sections: inOrder(questions.map(({ id }) => id)) }));
  const releaseId = must(await publish(odile, { id: randomUUID(), courseId, setId })).id;
  const someone = () => learner(odile, courseId, `learner.${n++}`);
  /** Places by label and checks, in each question that is given. */
  const answer = async (as: As<Learner>, ...each: Record<string, string>[]) => {
    let id = '';
    for (const [at, placed] of each.entries()) {
      const sat = await sitter(as, releaseId, at === 0 ? undefined : at);
      id = sat.view.id;
      for (const [item, zone] of Object.entries(placed)) await sat.take(sat.put(item, zone));
      await sat.take(sat.move({ kind: 'check' }));
    }
    return id;
  };
  const marks = async () =>
    Object.fromEntries(
      must(await resultsOf(odile, releaseId)).rows.map(({ learnerId, mark, max }) => [
        learnerId,
        mark === null ? null : [mark, max],
      ]),
    );
  return { courseId, releaseId, questions, someone, answer, marks };
}

const RIGHT = { barley: 'dry', poppy: 'dry', acorn: 'moist' };
const change = (question: number, to: Partial<Correction['changes'][number]> = {}) => ({
  question,
  strike: false,
  fromVault: false,
  accept: [],
  ...to,
});

describe('a correction', () => {
  it('leaves the figures that were beside those that are', async () => {
    const { releaseId, someone, answer } = await ground();
    const [all, dry] = [await someone(), await someone()];
    must(await finish(all, await answer(all, RIGHT, RIGHT)));
    must(await finish(dry, await answer(dry, { ...RIGHT, acorn: 'dry' }, RIGHT)));
    const first = await analysed(odile, releaseId);
    expect(must(await analysisOf(odile, releaseId)).before).toBeNull();
    const changes = [change(0, { accept: [{ item: 'acorn', zone: 'dry' }] })];
    must(await makeEdition(odile, releaseId, 2, { reason: 'An acorn may be dried after all', changes }));
    must(await applyEdition(odile, releaseId, 2));
    const second = await analysed(odile, releaseId);
    expect([first, second].map(({ questions }) => questions.map(({ full }) => full))).toEqual([
      [1, 2],
      [2, 2],
    ]);
    const { before } = must(await analysisOf(odile, releaseId));
    expect(before).toMatchObject({ edition: 1, alpha: first.alpha });
    for (const [q, { asked, full, facility, discrimination }] of first.questions.entries())
      expect(before?.questions[q]).toMatchObject({ asked, full, facility, discrimination });
    // Answers that come in later leave it.
    const late = await someone();
    must(await finish(late, await answer(late, RIGHT)));
    await analysed(odile, releaseId);
    expect(must(await analysisOf(odile, releaseId)).before).toEqual(before);
  });

  it('shows what it would do to marks before it does anything, does it when it is applied, and keeps it on record', async () => {
    const { courseId, releaseId, someone, answer, marks } = await ground();
    const [all, dry, under] = [await someone(), await someone(), await someone()];
    must(await finish(all, await answer(all, RIGHT, RIGHT)));
    must(await finish(dry, await answer(dry, { ...RIGHT, acorn: 'dry' }, RIGHT)));
    await answer(under, { ...RIGHT, acorn: 'dry' });
    const before = { [all.person.id]: [6, 6], [dry.person.id]: [5, 6], [under.person.id]: [2, 6] };
    expect(await marks()).toEqual(before);

    const wider: Correction = {
      reason: 'An acorn may be dried after all',
      changes: [change(0, { accept: [{ item: 'acorn', zone: 'dry' }] })],
    };
    const preview = must(await previewCorrection(odile, releaseId, wider));
    // Two are needed now and not three, so what was right counts more.
    const after = [
      [dry.person.id, [5, 6], [6, 6]],
      [under.person.id, [2, 6], [3, 6]],
    ];
    const told = (
      list: readonly {
        learnerId: string;
        before: { points: number; outOf: number };
        after: { points: number; outOf: number };
      }[],
    ) => list.map((one) => [one.learnerId, [one.before.points, one.before.outOf], [one.after.points, one.after.outOf]]);
    expect(told(preview.changes)).toEqual(after);
    expect(preview).toMatchObject({ number: 2, sittings: 3, questions: [{ title: 'First', struck: false }] });
    expect(await marks()).toEqual(before);

    expect(await makeEdition(odile, releaseId, 3, wider)).toMatchObject({ code: 'editionMovedOn' });
    must(await makeEdition(odile, releaseId, 2, wider));
    must(await makeEdition(odile, releaseId, 2, wider));
    expect(await marks()).toEqual(before);
    expect(told(must(await previewEdition(odile, releaseId, 2)).changes)).toEqual(after);
    // Who begins now is judged by it; who began before, not yet.
    const late = await someone();
    await answer(late, { ...RIGHT, acorn: 'dry' });
    expect((await marks())[late.person.id]).toEqual([3, 6]);
    expect((await marks())[dry.person.id]).toEqual([5, 6]);

    expect(must(await applyEdition(odile, releaseId, 2))).toEqual({ changes: 2, spared: 0 });
    expect(must(await applyEdition(odile, releaseId, 2))).toEqual({ changes: 2, spared: 0 });
    expect(await marks()).toMatchObject({
      [all.person.id]: [6, 6],
      [dry.person.id]: [6, 6],
      [under.person.id]: [3, 6],
    });
    expect(must(await openCorrections(odile, releaseId)).editions).toMatchObject([
      { number: 1, applied: null },
      {
        number: 2,
        reason: wider.reason,
        by: 'odile',
        applied: { by: 'odile', changes: [{ name: dry.person.name }, { name: under.person.name }] },
      },
    ]);
    expect(must(await listAudit(odile, courseId)).map(({ what }) => what)).toEqual(['editionApplied', 'editionMade']);
  });

  it('is gone on with in a sitting that is under way, whose page remembers the old one', async () => {
    const { releaseId, someone } = await ground();
    const as = await someone();
    const sat = await sitter(as, releaseId);
    await sat.take(sat.put('acorn', 'dry'));
    must(
      await makeEdition(odile, releaseId, 2, {
        reason: '',
        changes: [change(0, { accept: [{ item: 'acorn', zone: 'dry' }] })],
      }),
    );
    must(await applyEdition(odile, releaseId, 2));
    await sat.take(sat.put('barley', 'dry'));
    await sat.take(sat.put('poppy', 'dry'));
    expect(await sat.take(sat.move({ kind: 'check' }))).toMatchObject({
      ended: true,
      told: { try: { fullMarks: true } },
    });
    const rows = await app.db
      .select({ edition: move.edition })
      .from(move)
      .where(eq(move.sittingId, sat.view.id))
      .orderBy(asc(move.n));
    expect(rows.map((row) => row.edition)).toEqual([1, 2, 2, 2]);
  });

  it('ends a question at the try that is right now, and passes over what came after it', async () => {
    const { releaseId, someone, marks } = await ground();
    const as = await someone();
    const sat = await sitter(as, releaseId);
    const check = () => sat.take(sat.move({ kind: 'check' }));
    for (const [item, zone] of Object.entries({ ...RIGHT, acorn: 'dry' })) await sat.take(sat.put(item, zone));
    await check();
    await sat.take(sat.put('gravel', 'dry'));
    await check();
    expect(await marks()).toMatchObject({ [as.person.id]: [2, 6] });
    const wider: Correction = { reason: '', changes: [change(0, { accept: [{ item: 'acorn', zone: 'dry' }] })] };
    expect(must(await previewCorrection(odile, releaseId, wider)).changes).toMatchObject([{ after: { points: 3 } }]);
    must(await makeEdition(odile, releaseId, 2, wider));
    must(await applyEdition(odile, releaseId, 2));
    expect((await sitter(as, releaseId)).view).toMatchObject({ ended: true, tries: 1, best: { mark: 3 } });
  });

  it('leaves marks that would fall as they are, where that is asked for', async () => {
    const { courseId, releaseId, questions, someone, answer, marks } = await ground();
    const [better, worse] = [await someone(), await someone()];
    await answer(better, { ...RIGHT, acorn: 'dry' }, RIGHT);
    const lowered = await answer(worse, { barley: 'dry', acorn: 'moist', gravel: 'moist' }, RIGHT);
    const before = await marks();
    const [first] = questions as [Question, Question];
    // What belongs nowhere costs something now.
    must(
      await editQuestion(odile, first.id, {
        id: randomUUID(),
        from: 1,
        edits: setQuestion(first, 'marks', { ...first.marks, extraCosts: 1 }),
      }),
    );
    const wider: Correction = {
      reason: '',
      changes: [change(0, { fromVault: true, accept: [{ item: 'acorn', zone: 'dry' }] })],
    };
    const changes = must(await previewCorrection(odile, releaseId, wider)).changes;
    expect(changes.find(({ sittingId }) => sittingId === lowered)?.after.points).toBeLessThan(
      before[worse.person.id]?.[0] ?? 0,
    );
    must(await makeEdition(odile, releaseId, 2, wider));
    expect(must(await applyEdition(odile, releaseId, 2, true))).toEqual({ changes: 1, spared: 1 });
    expect(await marks()).toEqual({ ...before, [better.person.id]: [6, 6] });
    const editions = await app.db
      .select({ id: sitting.id, edition: sitting.edition })
      .from(sitting)
      .where(eq(sitting.releaseId, releaseId));
    expect(editions.find(({ id }) => id === lowered)?.edition).toBe(1);
    expect(must(await openCorrections(odile, releaseId)).editions.at(-1)?.applied).toMatchObject({
      spared: 1,
      changes: [{ learnerId: better.person.id }],
    });
    expect(must(await listAudit(odile, courseId))[0]?.detail).toEqual({ number: 2, marks: 1, spared: 1 });
    // The one that was left goes on by its own edition.
    const sat = await sitter(worse, releaseId, 0);
    await sat.take(sat.put('poppy', 'dry'));
    await sat.take(sat.move({ kind: 'check' }));
    expect((await marks())[worse.person.id]).toEqual([6, 6]);
  });

  it('strikes a question: it counts for nobody, and is asked of nobody who begins afterwards', async () => {
    const { releaseId, someone, answer, marks } = await ground();
    const [as, next] = [await someone(), await someone()];
    await answer(as, RIGHT, { barley: 'moist' });
    expect(await marks()).toMatchObject({ [as.person.id]: [3, 6] });
    must(await makeEdition(odile, releaseId, 2, { reason: 'Unclear', changes: [change(1, { strike: true })] }));
    must(await applyEdition(odile, releaseId, 2));
    expect(await marks()).toMatchObject({ [as.person.id]: [3, 3] });
    const sat = await sitter(next, releaseId);
    expect(sat.view.place.count).toBe(1);
    expect(await goTo(next, sat.view.id, 1)).toMatchObject({ code: 'notFound' });
    expect((await sitter(as, releaseId)).view.place.count).toBe(2);
    // The learner is told: of the question, of the mark, and why.
    const corrected = { before: { points: 3, outOf: 6 }, after: { points: 3, outOf: 3 }, reasons: ['Unclear'] };
    expect((await sitter(as, releaseId, 1)).view.place.struck).toBe(true);
    expect((await assignedReleases(as)).find(({ id }) => id === releaseId)?.corrected).toEqual(corrected);
    const summary = must(await finish(as, (await sitter(as, releaseId)).view.id));
    expect(summary.corrected).toEqual(corrected);
    expect(summary.questions.map(({ struck }) => struck)).toEqual([false, true]);
    expect(
      await previewCorrection(odile, releaseId, {
        reason: '',
        changes: [change(0, { strike: true }), change(1, { strike: true })],
      }),
    ).toMatchObject({ code: 'invalid' });
    // And it can be brought back.
    must(await makeEdition(odile, releaseId, 3, { reason: '', changes: [change(1)] }));
    must(await applyEdition(odile, releaseId, 3));
    expect(await marks()).toMatchObject({ [as.person.id]: [3, 6] });
    expect(must(await finish(as, summary.id)).corrected).toBeNull();
  });

  it('takes a question as it stands in the Vault, where moves that were made can be judged by it', async () => {
    const { releaseId, questions, someone, answer, marks } = await ground();
    const as = await someone();
    await answer(as, { ...RIGHT, acorn: 'dry' });
    const [first] = questions as [Question];
    const key = [{ zone: 'dry', belongs: ['barley', 'poppy', 'acorn'], need: { rule: 'all' } }];
    must(
      await editQuestion(odile, first.id, {
        id: randomUUID(),
        from: 1,
        edits: [{ type: 'setQuestion', field: 'key', to: key, from: first.key } as never],
      }),
    );
    expect(must(await openCorrections(odile, releaseId)).questions).toMatchObject([
      { vault: { fits: true } },
      { vault: null },
    ]);
    const fromVault: Correction = { reason: '', changes: [change(0, { fromVault: true })] };
    expect(must(await previewCorrection(odile, releaseId, fromVault)).changes).toMatchObject([
      { before: { points: 2 }, after: { points: 3 } },
    ]);
    must(await makeEdition(odile, releaseId, 2, fromVault));
    must(await applyEdition(odile, releaseId, 2));
    expect(await marks()).toMatchObject({ [as.person.id]: [3, 6] });
    must(
      await editQuestion(odile, first.id, {
        id: randomUUID(),
        from: 2,
        edits: [{ type: 'setQuestion', field: 'tries', to: 5, from: 2 } as never],
      }),
    );
    expect(must(await openCorrections(odile, releaseId)).questions).toMatchObject([{ vault: { fits: false } }, {}]);
    expect(await previewCorrection(odile, releaseId, fromVault)).toMatchObject({
      code: 'invalid',
      problems: [{ path: 'changes.0' }],
    });
  });

  it('accepts a spelling: whoever typed it has the mark', async () => {
    const typed = seeds({
      zones: [
        {
          id: 'gap',
          label: 'Gap 1',
          shape: { type: 'rect', x: 500, y: 40, w: 200, h: 60 },
          typed: { accept: { barley: ['Barley'] }, case: false, accents: false, slips: 0 },
        },
      ],
      key: [{ zone: 'gap', belongs: ['barley'], need: { rule: 'exactly', n: 1 } }],
      marks: { max: 2, rule: 'perPlacement' },
      tries: 1,
    });
    const { courseId, releaseId, someone, marks } = await ground([typed]);
    const [one, two] = [await someone(), await someone()];
    for (const [as, text] of [
      [one, 'Gerste'],
      [two, 'Oats'],
    ] as const) {
      const sat = await sitter(as, releaseId);
      const zone = sat.view.question.zones[0]?.id ?? '';
      await sat.take(sat.move({ kind: 'put', zone, text }));
      must(await finish(as, sat.view.id));
    }
    const written = async () => must(await reportOf(odile, courseId, one.person.id)).releases[0]?.questions[0]?.lines;
    expect(await written()).toMatchObject([{ item: '“Gerste”', zone: 'Gap 1', verdict: 'wrong' }]);
    const answers = (await analysed(odile, releaseId)).questions[0]?.answers.typed[0]?.groups;
    expect(answers).toMatchObject([{ item: null, right: false, learners: 2 }]);
    const spelling = { item: 'barley', zone: 'gap', text: 'Gerste' };
    const asked = { reason: 'It is right too', changes: [change(0, { spellings: [spelling] })] };
    const seen = must(await previewCorrection(odile, releaseId, asked));
    expect(seen.changes).toMatchObject([{ learnerId: one.person.id, before: { points: 0 }, after: { points: 2 } }]);
    must(await makeEdition(odile, releaseId, 2, asked));
    must(await applyEdition(odile, releaseId, 2, false));
    expect(await marks()).toMatchObject({ [one.person.id]: [2, 2], [two.person.id]: [0, 2] });
    expect(await written()).toMatchObject([{ item: '“Gerste” (barley)', zone: 'Gap 1', verdict: 'right' }]);
    const after = (await analysed(odile, releaseId)).questions[0]?.answers.typed[0]?.groups;
    expect(after).toMatchObject([
      { item: 0, right: true, learners: 1, texts: [{ text: 'Gerste', learners: 1 }] },
      { item: null, right: false, learners: 1, texts: [{ text: 'Oats', learners: 1 }] },
    ]);
    expect(await previewCorrection(odile, releaseId, asked)).toMatchObject({ ok: false, code: 'invalid' });
  });

  it('names whatever the document may name: an item whose id is as long as one may be', async () => {
    const long = 'x'.repeat(100);
    const question = seeds();
    const named = JSON.parse(JSON.stringify(question).replaceAll('"acorn"', `"${long}"`)) as Question;
    const { releaseId, someone, answer, marks } = await ground([named]);
    const who = await someone();
    await answer(who, { barley: 'dry', poppy: 'dry', [long]: 'dry' });
    const { reason, changes } = correction.validateSync(
      { reason: 'Both are right', changes: [change(0, { accept: [{ item: long, zone: 'dry' }] })], number: 2 },
      { strict: true },
    );
    must(await makeEdition(odile, releaseId, 2, { reason, changes }));
    must(await applyEdition(odile, releaseId, 2));
    expect(Object.values(await marks())).toEqual([[3, 3]]);
  });

  it('is its teachers’ alone, and has to change something', async () => {
    const { releaseId } = await ground();
    const nothing: Correction = { reason: '', changes: [change(0)] };
    expect(await previewCorrection(odile, releaseId, nothing)).toMatchObject({ code: 'invalid' });
    expect(
      await previewCorrection(odile, releaseId, { reason: '', changes: [change(7, { strike: true })] }),
    ).toMatchObject({ code: 'invalid', problems: [{ path: 'changes.7' }] });
    expect(
      await previewCorrection(odile, releaseId, {
        reason: '',
        changes: [change(0, { accept: [{ item: 'acorn', zone: 'nowhere' }] })],
      }),
    ).toMatchObject({ code: 'invalid' });
    const struck: Correction = { reason: '', changes: [change(0, { strike: true })] };
    expect(await openCorrections(fern, releaseId)).toMatchObject({ code: 'notFound' });
    expect(await previewCorrection(fern, releaseId, struck)).toMatchObject({ code: 'notFound' });
    expect(await makeEdition(fern, releaseId, 2, struck)).toMatchObject({ code: 'notFound' });
    expect(await applyEdition(fern, releaseId, 1)).toMatchObject({ code: 'notFound' });
    await expect(app.db.update(edition).set({ reason: 'other' })).rejects.toThrow();
  });

  it('counts what a learner did while their attempt was worked out', async () => {
    const { releaseId, someone, marks } = await ground([seeds({ tries: null })]);
    const as = await someone();
    const sat = await sitter(as, releaseId);
    // So many moves that they are replayed in a thread, beside which the learner goes on.
    for (let i = 0; i < 2; i++) {
      const many = Array.from({ length: 180 }, (_, k) => sat.put('gravel', k % 2 === 0 ? 'dry' : null));
      must(await sat.send(i * 180, ...many));
    }
    await sat.take(sat.move({ kind: 'check' }));
    must(
      await makeEdition(odile, releaseId, 2, {
        reason: '',
        changes: [change(0, { accept: [{ item: 'gravel', zone: 'moist' }] })],
      }),
    );
    let replays = 0;
    const run: typeof app.work.run = async (...task) => {
      const result = await app.work.run(...task);
      replays++;
      if (replays === 1) {
        for (const [item, zone] of Object.entries(RIGHT)) await sat.take(sat.put(item, zone));
        await sat.take(sat.move({ kind: 'check' }));
      }
      return result;
    };
    must(await applyEdition({ ...odile, work: { ...app.work, run } }, releaseId, 2));
    expect(replays).toBeGreaterThan(1);
    expect(await marks()).toEqual({ [as.person.id]: [3, 3] });
  });

  it('leaves every mark what the core makes of the moves: random learners, two editions', async () => {
    const { releaseId, someone } = await ground();
    const next = random(11);
    const one = <T>(list: readonly T[]): T => list[Math.floor(next() * list.length)] as T;
    for (let i = 0; i < 12; i++) {
      const as = await someone();
      for (const at of [0, 1]) {
        const sat = await sitter(as, releaseId, at === 0 ? undefined : at);
        for (let k = 0; k < 8; k++) {
          const made =
            k % 4 === 3
              ? sat.move({ kind: 'check' })
              : sat.put(one(['barley', 'poppy', 'acorn', 'gravel']), one(['dry', 'moist', null]));
          if (!(await sat.send((await sitter(as, releaseId, at)).view.last, made)).ok) break;
        }
        if (at === 0 && next() < 0.3) break;
      }
    }
    expect(await expectScoresKept(app.db)).toBeGreaterThan(11);
    must(
      await makeEdition(odile, releaseId, 2, {
        reason: '',
        changes: [
          change(0, { accept: [{ item: 'acorn', zone: 'dry' }] }),
          change(1, { accept: [{ item: 'gravel', zone: 'moist' }] }),
        ],
      }),
    );
    must(await applyEdition(odile, releaseId, 2));
    await expectScoresKept(app.db);
    const content = (
      await app.db.query.edition.findFirst({ where: and(eq(edition.releaseId, releaseId), eq(edition.number, 2)) })
    )?.content;
    const models = content?.questions.map((question) => questionModel(question)) ?? [];
    const sittings = await app.db.select().from(sitting).where(eq(sitting.releaseId, releaseId));
    expect(sittings).toHaveLength(12);
    let checked = 0;
    for (const { id, edition } of sittings) {
      expect(edition).toBe(2);
      const moves = await app.db.select().from(move).where(eq(move.sittingId, id)).orderBy(asc(move.n));
      const kept = await app.db.select().from(standing).where(eq(standing.sittingId, id));
      for (const [at, model] of models.entries()) {
        const { tries, ended } = rejudge(
          model,
          moves.filter(({ question }) => question === at).map(({ body }) => body as Move),
        );
        const best = markSoFar(model, tries);
        const row = kept.find(({ question }) => question === at);
        expect(row === undefined).toBe(best === null);
        if (!row || !best) continue;
        checked++;
        expect(row).toMatchObject({
          tries: tries.count,
          mark: best.mark,
          max: best.max,
          fullMarks: best.fullMarks,
          ended,
          points: earned(best.mark, best.max, 3),
        });
        if (tries.last) expect(tries.last.judged.mark).toBeLessThanOrEqual(judge(model, model.start, tries.count).max);
      }
    }
    expect(checked).toBeGreaterThan(12);
  });
});
