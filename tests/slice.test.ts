import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { editOf, type SentMove } from '../src/core';
import { resetLearnerPassword } from '../src/server/accounts/people';
import type { App } from '../src/server/app';
import type { As, Learner, Teacher } from '../src/server/context';
import { openCourse } from '../src/server/courses/courses';
import { publish } from '../src/server/releases/publish';
import { answersFile } from '../src/server/results/answersFile';
import { assignedReleases } from '../src/server/results/assignedReleases';
import { questionMarks, resultsCsv, resultsOf } from '../src/server/results/results';
import { receiveMoves } from '../src/server/sittings/moves';
import { openRelease } from '../src/server/sittings/openRelease';
import { listVault } from '../src/server/vault/listing';
import { copyQuestion, editQuestion, openQuestion, saveNew, setDeleted } from '../src/server/vault/questions';
import { course, learner, must, release, seeds, teacher, testApp } from './support/app';
import { sitter } from './support/sitting';

let app: App;
let done: () => void;
let odile: As<Teacher>;
let other: As<Teacher>;
let wren: As<Learner>;
let stranger: As<Learner>;
let courseId: string;
beforeAll(async () => {
  ({ app, done } = await testApp());
  odile = await teacher(app, 'odile');
  other = await teacher(app, 'other');
  courseId = await course(odile);
  wren = await learner(odile, courseId, 'wren');
  stranger = await learner(other, await course(other), 'stranger');
});
afterAll(() => done());

const title = (to: string, from = 'x') => [{ type: 'setQuestion' as const, field: 'title' as const, to, from }];

describe('a question in the Vault', () => {
  it('takes edits on the revision they were made on, each batch once', async () => {
    const question = seeds();
    must(await saveNew(odile, question));
    const batch = { id: randomUUID(), from: 1, edits: title('Second') };
    expect(must(await editQuestion(odile, question.id, batch)).revision).toBe(2);
    expect(must(await editQuestion(odile, question.id, batch)).revision).toBe(2);
    expect(await editQuestion(odile, question.id, { id: randomUUID(), from: 1, edits: title('Late') })).toMatchObject({
      ok: false,
      code: 'questionMovedOn',
      detail: { revision: 2 },
    });
    expect(must(await openQuestion(odile, question.id)).question.title).toBe('Second');
  });

  it('stays as it was when an edit would break it', async () => {
    const question = seeds();
    must(await saveNew(odile, question));
    const broken = {
      id: randomUUID(),
      from: 1,
      edits: [editOf({ type: 'set', in: 'items', id: 'barley', field: 'size', to: { w: -1, h: 1 }, from: null })],
    };
    expect(await editQuestion(odile, question.id, broken)).toMatchObject({
      ok: false,
      code: 'invalid',
      problems: [{ path: 'items[0].size.w' }],
    });
    expect(must(await openQuestion(odile, question.id)).revision).toBe(1);
  });

  it('is nobody else’s', async () => {
    const question = seeds();
    must(await saveNew(odile, question));
    const none = { ok: false, code: 'notFound' };
    expect(await openQuestion(other, question.id)).toMatchObject(none);
    expect(await editQuestion(other, question.id, { id: randomUUID(), from: 1, edits: title('Mine') })).toMatchObject(
      none,
    );
    expect(await setDeleted(other, question.id, true)).toMatchObject(none);
    expect(await copyQuestion(other, question.id, randomUUID())).toMatchObject(none);
    expect(await saveNew(other, question)).toMatchObject(none);
    expect((await listVault(other, {})).rows.some(({ id }) => id === question.id)).toBe(false);
  });

  it('can be deleted and brought back, and copied', async () => {
    const question = seeds();
    must(await saveNew(odile, question));
    must(await setDeleted(odile, question.id, true));
    expect(await openQuestion(odile, question.id)).toMatchObject({ code: 'notFound' });
    must(await setDeleted(odile, question.id, false));
    const copy = must(await copyQuestion(odile, question.id, randomUUID()));
    expect(must(await openQuestion(odile, copy.id)).question).toMatchObject({
      id: copy.id,
      title: 'Which seeds stand drying? (copy)',
    });
  });
});

describe('publishing', () => {
  it('freezes the question: changing it later does not touch the release', async () => {
    const question = seeds();
    const releaseId = await release(odile, courseId, question);
    must(await editQuestion(odile, question.id, { id: randomUUID(), from: 1, edits: title('Changed') }));
    expect(must(await openRelease(wren, releaseId)).open?.question.title).toBe('Which seeds stand drying?');
  });

  it('happens once for one id, only to a course of one’s own, and only with a key', async () => {
    const question = seeds({ key: [] });
    must(await saveNew(odile, question));
    const asked = { id: randomUUID(), courseId, questionId: question.id, revision: 1 };
    expect(await publish(odile, asked)).toMatchObject({ code: 'notReady', problems: [{ path: 'key' }] });
    const good = seeds();
    must(await saveNew(odile, good));
    const once = { ...asked, questionId: good.id };
    must(await publish(odile, once));
    must(await publish(odile, once));
    expect(must(await openCourse(odile, courseId)).releases.filter(({ id }) => id === once.id)).toHaveLength(1);
    must(await saveNew(other, seeds()));
    expect(await publish(other, once)).toMatchObject({ code: 'notFound' });
    expect(await publish(odile, { ...asked, id: randomUUID(), questionId: good.id, revision: 9 })).toMatchObject({
      code: 'questionMovedOn',
    });
  });
});

describe('a sitting', () => {
  const sitDown = async () => {
    const { view, ...doing } = await sitter(wren, await release(odile, courseId, seeds()));
    return { sitting: view, ...doing, check: () => doing.move({ kind: 'check' }) };
  };

  it('keeps moves in order and each once, and goes on after a reload', async () => {
    const { sitting, put, send } = await sitDown();
    const first = put('barley', 'dry');
    expect(must(await send(0, first)).last).toBe(1);
    // The answer was lost: the same move again, with one more.
    expect(must(await send(0, first, put('acorn', 'moist'))).last).toBe(2);
    const { open: again } = must(await openRelease(wren, (await assignedReleases(wren))[0]?.id ?? ''));
    expect(again?.id).toBe(sitting.id);
    expect(again?.board.zones.map(({ held }) => held.length)).toEqual([1, 1]);
    expect(again?.last).toBe(2);
  });

  it('does not fork: moves made without knowing the last ones are not taken', async () => {
    const { put, send } = await sitDown();
    must(await send(0, put('barley', 'dry')));
    const refused = await send(0, put('poppy', 'dry'));
    expect(refused).toMatchObject({ ok: false, code: 'sittingMovedOn', detail: { last: 1 } });
  });

  it('stores what comes in together, and of two that go on from one state only one', async () => {
    const tables = await Promise.all(Array.from({ length: 8 }, sitDown));
    const both = await Promise.all(
      tables.flatMap(({ put, send, check }) => [
        send(0, put('barley', 'dry'), check()),
        send(0, put('acorn', 'dry'), check()),
      ]),
    );
    for (let i = 0; i < both.length; i += 2) {
      // Which of the two comes in first is the machine's to say.
      const pair = both.slice(i, i + 2);
      const won = pair.findIndex(({ ok }) => ok);
      expect(must(pair[won] as (typeof pair)[number])).toMatchObject({
        last: 2,
        told: { try: { mark: { mark: won === 0 ? 1 : 0 } } },
      });
      expect(pair[1 - won]).toMatchObject({ ok: false, code: 'sittingMovedOn', detail: { last: 2 } });
    }
  });

  it('judges a check on the server and ends when it is all right', async () => {
    const { put, send, check } = await sitDown();
    const miss = must(await send(0, put('barley', 'dry'), put('gravel', 'moist'), check()));
    expect(miss).toMatchObject({
      tries: 1,
      ended: false,
      told: { try: { mark: { mark: 1, max: 3 }, fullMarks: false } },
    });
    expect(miss.told?.verdicts.map(({ verdict }) => verdict).sort()).toEqual(['right', 'wrong']);
    const full = must(await send(3, put('poppy', 'dry'), put('acorn', 'moist'), check()));
    expect(full).toMatchObject({ tries: 2, ended: true, best: { mark: 3, max: 3 } });
    expect(await send(6, put('gravel', 'dry'))).toMatchObject({ code: 'alreadyEnded' });
  });

  it('takes nothing of a batch with a move that cannot be', async () => {
    const { put, send } = await sitDown();
    const bad: SentMove = { id: randomUUID(), kind: 'put', item: 'barley', copy: 0, zone: null };
    expect(await send(0, put('poppy', 'dry'), bad)).toMatchObject({
      code: 'invalid',
      problems: [{ path: 'moves[1].item' }],
    });
    expect(must(await send(0, put('barley', 'dry'))).last).toBe(1);
  });

  it('is only for learners of the course, and only the learner’s own', async () => {
    const { sitting } = await sitDown();
    const releaseId = (await assignedReleases(wren))[0]?.id ?? '';
    expect(await openRelease(stranger, releaseId)).toMatchObject({ code: 'notFound' });
    expect(await assignedReleases(stranger)).toEqual([]);
    expect(
      await receiveMoves(stranger, sitting.id, stranger.person.id, {
        question: 0,
        after: 0,
        moves: [{ id: randomUUID(), kind: 'check' }],
      }),
    ).toMatchObject({ code: 'notFound' });
  });

  it('stands in the results of its release, for its teacher alone', async () => {
    const { sitting, put, send, check } = await sitDown();
    must(await send(0, put('barley', 'dry'), check()));
    const releaseId = (await assignedReleases(wren))[0]?.id ?? '';
    const results = must(await resultsOf(odile, releaseId));
    expect(results.rows).toEqual([
      expect.objectContaining({ name: 'wren', mark: 1, max: 3, tries: 1, state: 'checked' }),
    ]);
    expect(resultsCsv(results, await questionMarks(odile, results))).toBe(
      'name,user name,mark,out of,tries,seconds,state,late,sittings,1. Which seeds stand drying? (of 3)\r\nwren,wren,1,3,1,0,checked,,1,1\r\n',
    );
    const written = async (form: 'csv' | 'jsonl') => {
      const { lines } = must(await answersFile(odile, releaseId, form));
      let text = '';
      for await (const line of lines) text += line;
      return text;
    };
    expect(await written('csv')).toBe(
      'name,user name,attempt,finished,question,title,struck,tries,mark,out of,item,zone,place,typed,verdict\r\n' +
        'wren,wren,1,,1,Which seeds stand drying?,,1,1,3,barley,dry,,,right\r\n',
    );
    expect(JSON.parse(await written('jsonl'))).toMatchObject({
      ...{ name: 'wren', attempt: 1, question: 1, tries: 1, mark: 1, outOf: 3, struck: false, finishedAt: null },
      placed: [{ item: { id: 'barley' }, zone: { id: 'dry' }, place: null, typed: null, verdict: 'right' }],
    });
    expect(await answersFile(other, releaseId, 'csv')).toMatchObject({ code: 'notFound' });
    expect(await resultsOf(other, releaseId)).toMatchObject({ code: 'notFound' });
    expect(sitting.course).toBe('Tarn Hollow induction');
  });
});

it('a teacher resets the passwords of the learners they made, and no others', async () => {
  expect(await resetLearnerPassword(odile, stranger.person.id, 'another-26')).toMatchObject({ code: 'notFound' });
  expect(await resetLearnerPassword(odile, other.person.id, 'another-26')).toMatchObject({ code: 'notFound' });
  expect(await resetLearnerPassword(odile, wren.person.id, 'another-26')).toMatchObject({ ok: true });
});
