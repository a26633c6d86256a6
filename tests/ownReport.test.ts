import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { ReleaseSettings } from '../src/contract';
import type { Question } from '../src/core';
import type { App } from '../src/server/app';
import type { As, Learner, Teacher } from '../src/server/context';
import { publish } from '../src/server/releases/publish';
import { setWithdrawn } from '../src/server/releases/withdraw';
import { ownReport, reportOf } from '../src/server/results/report';
import { finish } from '../src/server/sittings/finish';
import { saveNew } from '../src/server/vault/questions';
import { course, learner, must, seeds, teacher, testApp } from './support/app';
import { sitter } from './support/sitting';

let app: App;
let done: () => void;
let odile: As<Teacher>;
let wren: As<Learner>;
let courseId: string;
beforeAll(async () => {
  ({ app, done } = await testApp());
  odile = await teacher(app, 'odile');
});
afterAll(() => done());

const HOUR = 3_600_000;
const say = (text: string) => ({
  text: { blocks: [{ type: 'paragraph', runs: [{ text }] }] },
  picture: null,
  sound: null,
});

/** A course of its own with one release, which wren answers: one right, one wrong. */
async function answered(
  settings: Partial<ReleaseSettings>,
  more: Parameters<typeof seeds>[0] = {},
  ends = true,
): Promise<{ releaseId: string; question: Question }> {
  courseId = await course(odile);
  wren = await learner(odile, courseId, `wren.${randomUUID().slice(0, 8)}`);
  const question = seeds({
    title: 'How is it kept?',
    afterMiss: 'leave',
    tries: 1,
    show: { modelAnswer: 'always' },
    feedback: { partly: say('Not all of it.') },
    key: [
      {
        zone: 'dry',
        belongs: ['barley', 'poppy'],
        need: { rule: 'all' },
        says: { zone: null, items: { gravel: say('Gravel is no seed.') } },
      },
      { zone: 'moist', belongs: ['acorn'], need: { rule: 'all' } },
    ],
    ...more,
  });
  must(await saveNew(odile, question));
  const { id } = must(
    await publish(odile, { id: randomUUID(), courseId, questionId: question.id, revision: 1, settings }),
  );
  const sat = await sitter(wren, id);
  for (const [item, x] of [
    ['barley', 60],
    ['gravel', 200],
  ] as const)
    await sat.take(sat.drop(item, x, 80));
  if (ends) must(await finish(wren, sat.view.id));
  else await sat.take(sat.move({ kind: 'check' }));
  return { releaseId: id, question };
}

const own = async () => must(await ownReport(wren, courseId));

describe('a learner’s own report', () => {
  it('has the mark, the answer, what was said of it and the model answer', async () => {
    await answered({});
    const report = await own();
    expect(report).toMatchObject({
      learner: { id: wren.person.id },
      releases: [
        {
          told: true,
          state: 'done',
          questions: [
            {
              tries: 1,
              said: 'Not all of it.',
              lines: [
                { item: 'barley', zone: 'dry', verdict: 'right' },
                { item: 'gravel', zone: 'dry', verdict: 'wrong', said: 'Gravel is no seed.' },
              ],
            },
          ],
        },
      ],
    });
    expect(report.overall).toBe(must(await reportOf(odile, courseId, wren.person.id)).overall);
    expect(report.releases[0]?.questions[0]?.drawn?.model).not.toBeNull();
  });

  it('says no more than the feedback level', async () => {
    await answered({ feedbackLevel: 'verdicts' });
    const [question] = (await own()).releases[0]?.questions ?? [];
    expect(question).toMatchObject({ said: '', lines: [{ said: '' }, { verdict: 'wrong', said: '' }] });
    expect(question?.drawn?.model).toBeNull();
    expect(JSON.stringify(question)).not.toContain('Gravel is no seed.');

    await answered({ feedbackLevel: 'nothing' });
    expect(await own()).toMatchObject({
      overall: null,
      categories: [],
      releases: [{ told: false, mark: null, byHand: null, questions: [] }],
    });
    // The teacher sees it as it is.
    expect(must(await reportOf(odile, courseId, wren.person.id)).releases[0]).toMatchObject({
      told: true,
      questions: [{ said: 'Not all of it.' }],
    });
  });

  it('says nothing before its time', async () => {
    const closesAt = new Date(wren.now().getTime() + HOUR);
    await answered({ feedbackTime: 'closed', closesAt });
    expect(await own()).toMatchObject({ overall: null, releases: [{ told: false, mark: null, questions: [] }] });
    const later = { ...wren, now: () => new Date(closesAt.getTime() + HOUR) };
    expect(must(await ownReport(later, courseId)).releases).toMatchObject([{ told: true, questions: [{ tries: 1 }] }]);
  });

  it('shows no answer that is still being given', async () => {
    await answered({}, { tries: 3 }, false);
    expect((await own()).releases).toMatchObject([{ state: 'running', questions: [] }]);
  });

  it('keeps marks that the author does not show', async () => {
    await answered({}, { show: { mark: false } });
    expect(await own()).toMatchObject({
      overall: null,
      releases: [{ told: false, mark: null, questions: [{ earned: null, lines: [{}, { verdict: 'wrong' }] }] }],
    });
  });

  it('does not tell of hidden zones', async () => {
    const { question } = await answered({}, {
      zones: ['dry', 'moist'].map((label, i) => ({
        id: label,
        label,
        hidden: true,
        shape: { type: 'rect', x: 40 + 450 * i, y: 40, w: 400, h: 300 },
      })),
    } as never);
    const [told] = (await own()).releases[0]?.questions ?? [];
    expect(question.zones.every(({ hidden }) => hidden)).toBe(true);
    expect(told?.lines.map(({ zone }) => zone)).toEqual(told?.lines.map(() => null));
    expect(told?.lines.length).toBeGreaterThan(0);
    expect(told?.drawn).toMatchObject({ hides: true });
  });

  it('is of the learner’s own courses, without what was withdrawn', async () => {
    const { releaseId } = await answered({});
    must(await setWithdrawn(odile, releaseId, true));
    expect((await own()).releases).toEqual([]);
    expect(await ownReport(wren, await course(odile))).toMatchObject({ code: 'notFound' });
  });
});
