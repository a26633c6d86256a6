import loadHighs from 'highs';
import { type QuestionModel, questionModel } from '../src/core';
import { unlimited } from '../src/core/proof/budget';
import { reachability } from '../src/core/proof/reachable';
import { puzzleOf } from '../src/core/proof/solve/rules';
import { solveUpright } from '../src/core/proof/solve/solve';
import { randomQuestion } from '../tests/support/randomQuestion';
import { ordinary, seeded } from './generate';
import { type Measured, median, shown } from './measure';

type Highs = Awaited<ReturnType<typeof loadHighs>>;

/**
 * Is there an answer with full marks? As an integer program: how many copies of each item go to each entry that it
 * belongs to.
 */
function program(model: QuestionModel): string | null {
  const reachable = reachability(model);
  const { entries, copies } = puzzleOf(model, reachable, () => true);
  const name = (e: number, item: number) => `x_${e}_${item}`;
  const rows: string[] = [];
  const names: string[] = [];
  const perItem = new Map<number, string[]>();
  for (const [e, { entry, items, lo, hi, sum }] of entries.entries()) {
    const terms = items.map((item) => name(e, item));
    names.push(...terms);
    for (const item of items) perItem.set(item, [...(perItem.get(item) ?? []), name(e, item)]);
    // No variables, no row: then only nothing can be there.
    if (terms.length === 0) {
      if (lo > 0 || (sum && Math.abs(sum.target) > sum.tolerance)) return null;
      continue;
    }
    if (entry.sequence) for (const item of entry.order) rows.push(`${name(e, item)} >= 1`);
    if (entry.sequence && terms.length < entry.order.length) return null;
    rows.push(`${terms.join(' + ')} >= ${lo}`);
    if (Number.isFinite(hi)) rows.push(`${terms.join(' + ')} <= ${hi}`);
    if (!sum) continue;
    const weighed = items
      .map((item) => ({ item, value: model.values[item] as number }))
      .filter(({ value }) => value !== 0);
    if (weighed.length === 0) {
      if (Math.abs(sum.target) > sum.tolerance) return null;
      continue;
    }
    const total = weighed.map(({ item, value }) => `${value} ${name(e, item)}`).join(' + ');
    rows.push(`${total} >= ${sum.target - sum.tolerance}`, `${total} <= ${sum.target + sum.tolerance}`);
  }
  for (const [item, terms] of perItem)
    if (Number.isFinite(copies[item])) rows.push(`${terms.join(' + ')} <= ${copies[item]}`);
  if (names.length === 0) return '';
  return `Minimize\n obj: 0 ${names[0]}\nSubject To\n${rows.map((row, i) => ` r${i}: ${row}`).join('\n')}\nGeneral\n ${names.join(' ')}\nEnd\n`;
}

function byProgram(highs: Highs, model: QuestionModel): boolean {
  const text = program(model);
  if (text === null || text === '') return text === '';
  return highs.solve(text).Status === 'Optimal';
}

const solvable = (model: QuestionModel) =>
  solveUpright(
    puzzleOf(model, reachability(model), () => true),
    unlimited,
  ) !== null;

/** Twenty-four sachets of odd weights into two jars, each of a weight that some of them make. */
function weighing(seed: string): QuestionModel {
  const next = seeded(seed);
  const values = Array.from({ length: 24 }, () => 1 + Math.floor(next() * 400) / 4);
  const part = (rest: number) => values.reduce((sum, value, i) => sum + (i % 3 === rest ? value : 0), 0);
  const question = ordinary(24, 2);
  return questionModel({
    ...question,
    items: question.items.map((item, i) => ({ ...item, value: values[i] as number })),
    key: question.key.map((entry, i) => ({
      ...entry,
      belongs: null,
      need: null,
      sum: { target: part(i), tolerance: 0 },
    })),
  });
}

/** Solvability against HiGHS on the same instances: that both say the same, and how long they take. */
export async function againstProgramming(): Promise<Measured[]> {
  const highs = await loadHighs();
  const compare = (name: string, models: readonly QuestionModel[]): Measured => {
    let same = 0;
    const times: { ours: number; theirs: number }[] = [];
    for (const model of models) {
      const began = performance.now();
      const ours = solvable(model);
      const middle = performance.now();
      const theirs = byProgram(highs, model);
      times.push({ ours: middle - began, theirs: performance.now() - middle });
      if (ours === theirs) same++;
    }
    const [ours, theirs] = [median(times.map((t) => t.ours)), median(times.map((t) => t.theirs))];
    return {
      name: `solvable, ${name}: agrees with HiGHS`,
      value: `${same} of ${models.length} (${shown(ours, ' ms')} / ${shown(theirs, ' ms')})`,
      goal: 'all',
      met: same === models.length,
      ours,
      theirs,
    };
  };
  const random = Array.from({ length: 400 }, (_, i) =>
    questionModel(randomQuestion(`programming-${i}`, { items: 10, zones: 5, copies: 3 })),
  ).filter((model) => model.entries.length > 0);
  return [
    compare('random questions of up to 10 items', random),
    compare(
      '40 items, 8 zones',
      Array.from({ length: 10 }, () => questionModel(ordinary(40, 8))),
    ),
    compare(
      'two jars of 24 weights',
      Array.from({ length: 10 }, (_, i) => weighing(`weighing-${i}`)),
    ),
  ];
}
