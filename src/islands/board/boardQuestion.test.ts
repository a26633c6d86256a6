import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest';
import { seeds } from '../../../tests/support/seeds';
import { type BoardQuestion, boardQuestion } from './boardQuestion';

beforeAll(() => vi.stubGlobal('requestAnimationFrame', (then: () => void) => setTimeout(then)));
afterAll(() => vi.unstubAllGlobals());

const MODEL = [
  { item: 'barley', zone: 'dry' },
  { item: 'poppy', zone: 'dry' },
  { item: 'acorn', zone: 'moist' },
] as never;

function board(changes: Record<string, unknown> = {}, up: () => readonly string[] = () => ['Clover']) {
  const judged: [number, boolean][] = [];
  const question = boardQuestion(seeds({ afterMiss: 'leave', ...changes }), {
    seed: 'a class',
    kept: () => undefined,
    up: () => up().map((name) => ({ name })),
    onJudged: (newlyRight, allRight) => judged.push([newlyRight, allRight]),
  });
  return { question, judged };
}
const player = (question: BoardQuestion) => question.state.getState().player.getState();
const named = (question: BoardQuestion, what: 'items' | 'zones', label: string) =>
  player(question).view.question[what].find((one) => one.label === label)?.id ?? '';
async function put(question: BoardQuestion, item: string, zone: string): Promise<void> {
  player(question).move({
    ...{ kind: 'put', copy: 0 },
    item: named(question, 'items', item),
    zone: named(question, 'zones', zone),
  });
  await player(question).flush();
}
async function check(question: BoardQuestion): Promise<void> {
  player(question).check();
  await player(question).flush();
}
const placed = (question: BoardQuestion) => player(question).board.zoneOf.size;

describe('A question on the board', () => {
  it('is put back and taken back, move by move, as often as one likes', async () => {
    const { question } = board();
    await put(question, 'barley', 'dry');
    await put(question, 'acorn', 'dry');
    question.putBack();
    expect(placed(question)).toBe(0);
    question.undo();
    expect(placed(question)).toBe(2);
    question.undo();
    expect(placed(question)).toBe(1);
    question.undo();
    expect([placed(question), question.state.getState().canUndo]).toEqual([0, false]);
    question.undo();
    await put(question, 'acorn', 'moist');
    expect(placed(question)).toBe(1);
  });

  it('has no marks and no end of tries, and counts what comes right once a round', async () => {
    const { question, judged } = board({ tries: 1 });
    await put(question, 'barley', 'dry');
    await check(question);
    await put(question, 'acorn', 'dry');
    await check(question);
    await put(question, 'acorn', 'moist');
    await check(question);
    expect(judged).toEqual([
      [1, false],
      [0, false],
      [1, false],
    ]);
    expect(player(question).told?.try?.mark).toBeNull();
    await put(question, 'poppy', 'dry');
    await check(question);
    expect(judged.at(-1)).toEqual([1, true]);
    question.putBack();
    await put(question, 'barley', 'dry');
    await check(question);
    expect(judged.at(-1)).toEqual([1, false]);
  });

  it('is judged but says nothing while it is covered', async () => {
    const { question, judged } = board();
    await put(question, 'barley', 'dry');
    question.cover(true);
    await check(question);
    expect([player(question).told, judged]).toEqual([null, [[1, false]]]);
    question.cover(false);
    expect(player(question).told?.verdicts).toHaveLength(1);
  });

  it('shows the model answer item by item, then its own again', async () => {
    const { question } = board();
    await put(question, 'gravel', 'moist');
    for (let shown = 1; shown <= 3; shown++) {
      question.step(MODEL);
      expect(question.state.getState().steps).toEqual({ shown, of: 3 });
      const answer = player(question).modelAnswer;
      expect(answer?.zones.reduce((sum, { held }) => sum + held.length, 0)).toBe(shown);
    }
    question.step(MODEL);
    expect([question.state.getState().steps, player(question).showsModel, placed(question)]).toEqual([null, false, 1]);
  });

  it('keeps rounds with who was up, for a record', async () => {
    let who = 'Clover';
    const { question } = board({}, () => [who]);
    await put(question, 'barley', 'dry');
    who = 'Sorrel';
    question.putBack();
    question.putBack();
    await put(question, 'acorn', 'moist');
    await check(question);
    expect(question.rounds().map(({ up, moves }) => [up, moves.map(({ move }) => move.kind)])).toEqual([
      [[{ name: 'Clover' }], ['put']],
      [[{ name: 'Sorrel' }], ['put', 'check']],
    ]);
    expect(question.homes).toHaveLength(4);
  });
});
