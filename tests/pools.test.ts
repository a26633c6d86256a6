import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type Question, questionModel } from '../src/core';
import { parseQuestion } from '../src/core/document';
import { prove } from '../src/core/proof/proof';
import type { App } from '../src/server/app';
import type { As, Teacher } from '../src/server/context';
import { editionOf } from '../src/server/releases/editions';
import { retraceOf } from '../src/server/results/retrace';
import { finish } from '../src/server/sittings/finish';
import { regradeSitting } from '../src/server/sittings/regrade';
import { analysed } from './support/analysed';
import { course, learner, must, release, teacher, testApp } from './support/app';
import { seeds } from './support/seeds';
import { sitter } from './support/sitting';

let app: App;
let done: () => void;
let odile: As<Teacher>;
beforeAll(async () => {
  ({ app, done } = await testApp());
  odile = await teacher(app, 'odile');
});
afterAll(() => done());

const NAMES = ['Barley', 'Poppy', 'Onion', 'Acorn', 'Chestnut', 'Willow'];
const DRY = NAMES.slice(0, 3);
/** Two of three that dry, two of three that do not, and gravel that belongs nowhere. */
function pooled(more: Record<string, unknown> = {}): Question {
  const id = (name: string) => name.toLowerCase();
  const item = (name: string, i: number) => ({
    id: id(name),
    label: name,
    size: { w: 100, h: 40 },
    home: { x: 20 + 120 * i, y: 440 },
  });
  return seeds({
    items: [...NAMES, 'Gravel'].map(item),
    key: [
      { zone: 'dry', belongs: DRY.map(id), need: { rule: 'all' } },
      { zone: 'moist', belongs: NAMES.slice(3).map(id), need: { rule: 'all' } },
    ],
    pools: [
      { items: DRY.map(id), take: 2 },
      { items: NAMES.slice(3).map(id), take: 2 },
    ],
    marks: { max: 4, rule: 'perPlacement' },
    ...more,
  });
}

describe('a question with pools', () => {
  it('is drawn for each sitting: the learner has what was drawn and nothing else, the same after a reload', async () => {
    const courseId = await course(odile);
    const releaseId = await release(odile, courseId, pooled());
    const draws = new Set<string>();
    for (let n = 0; n < 12; n++) {
      const wren = await learner(odile, courseId, `wren.${n}`);
      const sat = await sitter(wren, releaseId);
      const labels = sat.view.question.items.map(({ label }) => label);
      expect(labels).toHaveLength(5);
      expect(labels.filter((label) => DRY.includes(label))).toHaveLength(2);
      const missing = NAMES.filter((name) => !labels.includes(name));
      for (const name of missing) expect(JSON.stringify(sat.view)).not.toContain(name);
      draws.add([...labels].sort().join());
      expect((await sitter(wren, releaseId)).view.question.items.map(({ label }) => label)).toEqual(labels);
    }
    expect(draws.size).toBeGreaterThan(1);
  });

  it('is judged by what was drawn, and judged again, retraced and analysed as it was', async () => {
    const courseId = await course(odile);
    const releaseId = await release(odile, courseId, pooled());
    const wren = await learner(odile, courseId, 'wren.judged');
    const sat = await sitter(wren, releaseId);
    const labels = sat.view.question.items.map(({ label }) => label).filter((label) => label !== 'Gravel');
    for (const label of labels) await sat.take(sat.put(label, DRY.includes(label) ? 'dry' : 'moist'));
    expect(await sat.take(sat.move({ kind: 'check' }))).toMatchObject({ ended: true, best: { mark: 4, max: 4 } });
    must(await finish(wren, sat.view.id));
    const edition = await editionOf(app.db, releaseId, 1);
    expect(await regradeSitting(app, edition, sat.view.id)).toMatchObject({ points: 4, outOf: 4 });
    const retraced = must(await retraceOf(odile, releaseId, sat.view.id));
    expect(
      retraced.questions[0]?.document.items
        .map(({ label }) => label)
        .filter((label) => label !== 'Gravel')
        .sort(),
    ).toEqual([...labels].sort());
    const { questions } = await analysed(odile, releaseId);
    const placed = questions[0]?.answers.pairs.filter(({ zone }) => zone !== -1) ?? [];
    const all = questions[0]?.document.items ?? [];
    expect(placed.map(({ item }) => all[item]?.label).sort()).toEqual([...labels].sort());
  });

  it('is proved over all draws', () => {
    const proof = prove(questionModel(pooled()), 3000, { now: () => performance.now() });
    expect(proof).toMatchObject({ solvable: true, guessing: { method: 'exact', fullMarkArrangements: null } });
    expect(proof.modelAnswer?.drawn).toHaveLength(4);
    // 9 draws, each alike: four items in three places (two zones and the tray), and gravel that may lie anywhere.
    expect(proof.guessing.chanceOfFullMarks).toBeCloseTo(1 / 3 ** 5, 12);
    const lopsided = pooled({
      key: [{ zone: 'dry', belongs: ['barley', 'acorn'], need: { rule: 'exactly', n: 2 } }],
    });
    const found = prove(questionModel(lopsided), 3000, { now: () => performance.now() });
    expect(found.solvable).toBe(true);
    const hidden = pooled({
      items: pooled().items.map((item) => (item.id === 'onion' ? { ...item, home: { x: 2000, y: 440 } } : item)),
    });
    expect(
      prove(questionModel(hidden), 3000, { now: () => performance.now() }).findings.find(
        ({ code }) => code === 'cannotBePickedUp',
      )?.message,
    ).toMatch(/^In 6 of 9 draws: "Onion"/);
  });

  it('is refused where a pool cannot be drawn from', () => {
    const wrong = (pools: unknown) => {
      const parsed = parseQuestion({ ...pooled(), pools });
      return parsed.ok ? [] : parsed.problems.map(({ path }) => path);
    };
    expect(wrong([{ items: ['barley'], take: 2 }])).toEqual(['pools[0].take']);
    expect(wrong([{ items: ['barley', 'nobody'], take: 1 }])).toEqual(['pools[0].items[1]']);
    expect(
      wrong([
        { items: ['barley', 'poppy'], take: 1 },
        { items: ['poppy', 'onion'], take: 1 },
      ]),
    ).toEqual(['pools[1].items[0]']);
  });
});
