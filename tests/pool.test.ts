import { afterAll, expect, it } from 'vitest';
import { workPool } from '../src/server/work/pool';
import { seeds, subsetSum } from './support/seeds';

const work = workPool(process.cwd());
afterAll(() => work.close());

it('a deadline runs from when a thread takes the task: those that wait their turn are not cut short', async () => {
  // Each search takes its two seconds; on two to four threads eight of them take far longer than one may.
  const searches = Array.from({ length: 8 }, (_, i) => work.run('modelAnswer', { question: seeds({ show: { modelAnswer: 'atTheEnd' }, ...subsetSum(i) }) }, 4000));
  expect((await Promise.all(searches)).map(({ ok }) => ok)).toEqual(searches.map(() => true));
});

it('says so when too many wait already', async () => {
  const tasks = Array.from({ length: 230 }, () => work.run('modelAnswer', { question: seeds() }));
  const refused = (await Promise.all(tasks)).filter((worked) => !worked.ok);
  expect(refused.length).toBeGreaterThan(20);
  expect(new Set(refused.map((worked) => (worked.ok ? '' : worked.reason)))).toEqual(new Set(['busy']));
});
