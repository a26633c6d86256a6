import { eq } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type Simulated, simulated, sitThrough } from '../demo/simulate';
import type { App } from '../src/server/app';
import type { As, Teacher } from '../src/server/context';
import { move, sitting } from '../src/server/database/tables';
import { resultsOf } from '../src/server/results/results';
import { analysed } from './support/analysed';
import { course, learner, must, release, seeds, teacher, testApp } from './support/app';

let app: App;
let done: () => void;
let odile: As<Teacher>;
beforeAll(async () => {
  ({ app, done } = await testApp());
  odile = await teacher(app, 'odile');
});
afterAll(() => done());

const began = new Date('2026-11-02T08:00:00Z');
let n = 0;

/** A question with three zones of room for all, of which the first is nobody's, and that of most comes last. */
const three = (tries: number) => {
  const [dry, moist] = seeds().zones;
  const third = {
    ...(dry as object),
    id: 'yard',
    label: 'yard',
    shape: { type: 'rect', x: 40, y: 345, w: 400, h: 90 },
  };
  return seeds({ tries, afterMiss: 'leave', zones: [third, moist, dry] });
};

describe('the simulator of the demo', () => {
  async function sat(who: Partial<Simulated>, people: number, tries = 6) {
    const courseId = await course(odile);
    const releaseId = await release(odile, courseId, three(tries));
    for (let i = 0; i < people; i++) {
      const as = await learner(odile, courseId, `someone.${n++}`);
      await sitThrough({ ...simulated(as), manner: 'thinks', slips: 0, ...who }, releaseId, { began });
    }
    return { releaseId, rows: must(await resultsOf(odile, releaseId)).rows };
  }
  const mean = (marks: readonly (number | null)[]) =>
    marks.reduce<number>((sum, mark) => sum + (mark ?? 0), 0) / marks.length;

  it('gives who knows more the better marks', async () => {
    const [strong, weak] = [await sat({ skill: 5 }, 12, 1), await sat({ skill: -5 }, 12, 1)];
    const [top, bottom] = [mean(strong.rows.map(({ mark }) => mark)), mean(weak.rows.map(({ mark }) => mark))];
    // Of 36 items the one lot knows nearly all, the other guesses some 0.15 each; that fewer than half, or more than
    // half, are right has a chance of less than 1 in 10^6.
    expect(top).toBeGreaterThan(1.5);
    expect(bottom).toBeLessThan(1.5);
    const first = (await analysed(odile, strong.releaseId)).questions[0]?.answers.pairs.filter(
      ({ right }) => right === true,
    );
    expect(first?.length).toBeGreaterThan(0);
  });

  it('has learners who try everything, whom the results find', async () => {
    const { releaseId } = await sat({ manner: 'triesEverything' }, 3);
    const { sweepers } = await analysed(odile, releaseId);
    expect(sweepers).toHaveLength(3);
  });

  it('does the same again for the same learner, release and sitting', async () => {
    const courseId = await course(odile);
    const question = three(6);
    const releaseId = await release(odile, courseId, question);
    const as = await learner(odile, courseId, `someone.${n++}`);
    await app.db.run(`update release set sittings = null where id = '${releaseId}'`);
    for (let i = 0; i < 2; i++) await sitThrough({ ...simulated(as), manner: 'guesses' }, releaseId, { began });
    const rows = await app.db.select({ id: sitting.id }).from(sitting).where(eq(sitting.releaseId, releaseId));
    const [one, two] = await Promise.all(
      rows.map(({ id }) =>
        app.db.select({ body: move.body, at: move.at }).from(move).where(eq(move.sittingId, id)).orderBy(move.n),
      ),
    );
    expect(rows).toHaveLength(2);
    expect(one?.length).toBeGreaterThan(4);
    expect(two).toEqual(one);
    // Each move takes its time.
    const times = (one ?? []).map(({ at }) => at.getTime() - began.getTime());
    expect(times).toEqual([...new Set(times)].sort((a, b) => a - b));
    expect(times[0]).toBeGreaterThan(500);
  });
});
